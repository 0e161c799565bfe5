package desk_test

import (
	"archive/zip"
	"bytes"
	"context"
	"encoding/csv"
	"encoding/xml"
	"fmt"
	"image"
	"image/jpeg"
	"io"
	"os"
	"strings"
	"testing"
	"time"

	"botanik/internal/desk"
	recordroom "botanik/internal/records"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/text/encoding/charmap"
	"golang.org/x/text/encoding/unicode"
)

// worked waits for a long work and answers it.
func (b *bench) worked(j recordroom.Job, err error) recordroom.Job {
	b.t.Helper()
	require.NoError(b.t, err)
	require.Eventually(b.t, func() bool {
		for _, x := range b.Jobs(boss) {
			if x.ID == j.ID {
				j = x
			}
		}
		return j.State != "running"
	}, 2*time.Minute, 5*time.Millisecond)
	return j
}

// file is what a long work wrote.
func (b *bench) file(j recordroom.Job) []byte {
	b.t.Helper()
	require.Equal(b.t, "done", j.State, j.Said)
	path, _, err := b.JobFile(boss, j.ID)
	require.NoError(b.t, err)
	raw, err := os.ReadFile(path)
	require.NoError(b.t, err)
	return raw
}

// bring sends a file in parts, one of them twice, as on bad wifi.
func (b *bench) bring(raw []byte) string {
	b.t.Helper()
	ctx := context.Background()
	u, err := b.BringFile(ctx, boss, "records")
	require.NoError(b.t, err)
	for at := 0; at < len(raw); at += recordroom.MostPart {
		part := raw[at:min(len(raw), at+recordroom.MostPart)]
		_, err = b.BringPart(ctx, boss, u.ID, int64(at), part)
		require.NoError(b.t, err)
		got, err := b.BringPart(ctx, boss, u.ID, int64(at), part)
		require.NoError(b.t, err)
		require.EqualValues(b.t, at+len(part), got.Bytes)
	}
	return u.ID
}

// opened is a second desk, empty, of another hour.
func (b *bench) another() *bench {
	b.t.Helper()
	x := open(b.t)
	x.now = b.now
	return x
}

func rows(t *testing.T, raw []byte) [][]string {
	t.Helper()
	all, err := csv.NewReader(bytes.NewReader(raw)).ReadAll()
	require.NoError(t, err)
	return all
}

// everything is a bundle's files by name, without what says when it was made.
func everything(t testing.TB, raw []byte) map[string]string {
	t.Helper()
	z, err := zip.NewReader(bytes.NewReader(raw), int64(len(raw)))
	require.NoError(t, err)
	out := map[string]string{}
	for _, f := range z.File {
		r, err := f.Open()
		require.NoError(t, err)
		body, err := io.ReadAll(r)
		require.NoError(t, err)
		if f.Name != "manifest.json" {
			out[f.Name] = string(body)
		}
	}
	return out
}

// lived is a desk where something happened: rounds, pictures, a person merged, a case undone
// and closed with another cause.
func lived(t testing.TB) *bench {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Contact, in.Square = "ilse@terrace.example", "C4"
	b.treated(in)
	b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Word: "gone", Note: "=clean, +she says"}))
	b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, desk.CloseInput{Outcome: "cleared", Confirmed: "red-mite", Found: "laboratory", Followed: "yes"}))
	b.now = b.now.Add(time.Hour)
	in.Grower, in.Contact, in.Square = "Rhona, of the \"Gulls\"", "", ""
	b.known(in, "two-spotted-mite")
	var pic bytes.Buffer
	require.NoError(t, jpeg.Encode(&pic, image.NewRGBA(image.Rect(0, 0, 40, 30)), nil))
	b.keep(b.AddPhoto(ctx, b.who, b.v.ID, b.v.Version, "leaf.jpg", pic.Bytes()))
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "two-spotted-mite", Degree: "settled", Note: "line\nbreak, and Ünï"}))
	b.keep(b.Undo(ctx, b.who, b.v.ID, b.v.Version))
	b.now = b.now.Add(time.Hour)
	b.treated(bean)
	id, v, err := b.House.Identity(ctx)
	require.NoError(t, err)
	id.Name = "A desk that lived"
	require.NoError(t, b.House.SetIdentity(ctx, boss, id, v))
	return b
}

// What a desk wrote out, another empty one takes in and is the same: cases, stories line by
// line, pictures, house; it can be worked on, undone as a whole, and is never overwritten.
func TestABundleMakesTheSameDesk(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	raw := b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "bundle"})))
	other := b.another()
	reading, err := other.ReadImport(ctx, boss, other.bring(raw), recordroom.ImportInput{})
	require.NoError(t, err)
	assert.Equal(t, []any{"bundle", "A desk that lived", 3, 1}, []any{reading.Kind, reading.Desk, reading.Cases, reading.Photos})
	require.Len(t, reading.Rules, 1, "what its house says otherwise is offered")
	assert.Equal(t, "identity", reading.Rules[0].Key)
	assert.Contains(t, reading.Rules[0].Says, "what it is called: A desk that lived")
	j := other.worked(other.KeepImport(ctx, boss, other.bring(raw), recordroom.ImportInput{Name: "desk.zip", Take: []string{"identity"}}))
	require.Equal(t, "done", j.State, j.Said)
	assert.Equal(t, 3, j.Import.In)
	id, _, err := other.House.Identity(ctx)
	require.NoError(t, err)
	assert.Equal(t, "A desk that lived", id.Name)
	again := other.file(other.worked(other.Export(ctx, boss, recordroom.ExportInput{What: "bundle"})))
	was, is := everything(t, raw), everything(t, again)
	for name := range was {
		if name != "people.jsonl" && name != "settings.jsonl" { // what was ticked is a change of who took it
			assert.Equal(t, was[name], is[name], name)
		}
	}
	assert.Len(t, is, len(was))
	// What is found, counted and read of it is the same as well.
	for _, of := range []*bench{b, other} {
		s, err := of.SeasonOf(ctx, "", "")
		require.NoError(t, err)
		assert.Equal(t, 3, s.N)
		found, err := of.Find(ctx, desk.FindInput{Words: "gulls"})
		require.NoError(t, err)
		require.Equal(t, 1, found.N)
		v, err := of.View(ctx, found.Cases[0].ID)
		require.NoError(t, err)
		assert.Len(t, v.Photos, 1)
		doc, err := of.Store.DocAt(ctx, v.ID, 2)
		require.NoError(t, err)
		assert.Contains(t, doc, "Gulls")
	}
	other.now = other.now.Add(time.Minute)
	// Once more: nothing happens.
	j = other.worked(other.KeepImport(ctx, boss, other.bring(raw), recordroom.ImportInput{}))
	assert.Equal(t, []int{0, 3}, []int{j.Import.In, j.Import.Same})

	// Somebody works on one; a bundle of before does not overwrite it, and undoing leaves it.
	found, err := other.Find(ctx, desk.FindInput{Words: "gulls"})
	require.NoError(t, err)
	other.keep(other.View(ctx, found.Cases[0].ID))
	other.keep(other.SetVerdict(ctx, other.who, other.v.ID, other.v.Version, desk.VerdictInput{Degree: "undetermined", Note: "on second thoughts"}))
	other.now = other.now.Add(time.Minute)
	j = other.worked(other.KeepImport(ctx, boss, other.bring(raw), recordroom.ImportInput{}))
	assert.Equal(t, []string{other.v.Number}, j.Import.Conflicts)
	list, err := other.Batches(ctx)
	require.NoError(t, err)
	_, err = other.UndoImport(ctx, other.who, list[2].ID)
	require.ErrorIs(t, err, desk.ErrForbidden)
	undone, err := other.UndoImport(ctx, boss, list[2].ID)
	require.NoError(t, err)
	assert.Equal(t, recordroom.Undone{Gone: 2, Stay: []string{other.v.Number}}, undone)
	left, err := other.Find(ctx, desk.FindInput{})
	require.NoError(t, err)
	assert.Equal(t, 1, left.N)
	_, err = other.UndoImport(ctx, boss, list[2].ID)
	require.ErrorIs(t, err, desk.ErrNotFound)
	today, err := other.Today(ctx)
	require.NoError(t, err)
	assert.Equal(t, 0, today.Counts.Ask, "the trays count what is there")
	require.NoError(t, other.Healthy(ctx))
}

// A desk that has work of its own takes another's beside it: a number that is taken is given
// anew and told.
func TestTwoDesksBecomeOne(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	raw := b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "bundle"})))
	other := b.another()
	other.now = other.now.Add(time.Minute)
	other.treated(bean)
	j := other.worked(other.KeepImport(ctx, boss, other.bring(raw), recordroom.ImportInput{}))
	require.Equal(t, "done", j.State, j.Said)
	assert.Equal(t, 3, j.Import.In)
	assert.Equal(t, []string{"26-0001 is 26-0002 here", "26-0002 is 26-0003 here", "26-0003 is 26-0004 here"}, j.Import.Renamed)
	other.treated(bean)
	assert.Equal(t, "26-0005", other.v.Number)
}

// A bundle that is damaged, cut, no bundle or of a newer program is refused, and nothing of
// it is kept.
func TestABadBundleIsRefused(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	raw := b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "bundle"})))
	remade := func(change func(name string, body []byte) []byte) []byte {
		var out bytes.Buffer
		w := zip.NewWriter(&out)
		z, err := zip.NewReader(bytes.NewReader(raw), int64(len(raw)))
		require.NoError(t, err)
		for _, f := range z.File {
			r, err := f.Open()
			require.NoError(t, err)
			body, err := io.ReadAll(r)
			require.NoError(t, err)
			if body = change(f.Name, body); body == nil {
				continue
			}
			x, err := w.Create(f.Name)
			require.NoError(t, err)
			_, err = x.Write(body)
			require.NoError(t, err)
		}
		require.NoError(t, w.Close())
		return out.Bytes()
	}
	for says, bad := range map[string][]byte{
		"opened as a zip": raw[:len(raw)/2],
		"is damaged": remade(func(n string, x []byte) []byte {
			return bytes.Replace(x, []byte("clean"), []byte("cream"), 1)
		}),
		"newer Botanik": remade(func(n string, x []byte) []byte {
			return bytes.Replace(x, []byte(`"version": 1`), []byte(`"version": 7`), 1)
		}),
		"has no manifest.json": remade(func(n string, x []byte) []byte {
			if n == "manifest.json" {
				return nil
			}
			return x
		}),
		"not what its list says": remade(func(n string, x []byte) []byte {
			if strings.HasPrefix(n, "photos/") {
				return nil
			}
			return x
		}),
	} {
		other := b.another()
		_, err := other.ReadImport(ctx, boss, other.bring(bad), recordroom.ImportInput{})
		require.ErrorContains(t, err, says)
		n, err := other.Find(ctx, desk.FindInput{})
		require.NoError(t, err)
		assert.Zero(t, n.N)
	}
}

// Old cards come in from a spreadsheet: columns are guessed, days read both ways, rows that
// cannot be taken are told with their line, and the whole is taken out again.
func TestOldCardsComeIn(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	const cards = "No.;Date;Client;Plant;Diagnosis;Advice;Remarks;How it ended\r\n" +
		"A-1;3.4.2024;\"Tice; Rhona\";French bean;Two-spotted spider mite;insecticidal soap;\"says \"\"it is the heat\"\",\r\nand more\";gone\r\n" +
		"A-2;25.6.2024;;Rose;Tetranychus urticae;;'=1+1;died\r\n" +
		"A-2;26.6.2024;;Rose;rust;;;\r\n" +
		"A-3;31.2.2024;;Rose;rust;;;\r\n" +
		"A-4;1.1.2099;;;rust;;;\r\n" +
		"A-5;1.5.2024;;Rose;dragon pox;;;cured\r\n" +
		";;;;;;;\r\n" +
		"A-6;2.5.2024;Rhona;Olive;?;;;\r\n" +
		"A-7;2.5.2024;Rhona;Olive;\"un\"closed;;;\r\n"
	id := b.bring([]byte(cards))
	_, err := b.ReadImport(ctx, b.who, id, recordroom.ImportInput{})
	require.ErrorIs(t, err, desk.ErrForbidden)
	r, err := b.ReadImport(ctx, boss, id, recordroom.ImportInput{})
	require.NoError(t, err)
	assert.Equal(t, map[string]string{"number": "No.", "brought": "Date", "grower": "Client", "plant": "Plant", "cause": "Diagnosis", "remedy": "Advice", "note": "Remarks", "outcome": "How it ended"}, r.Used.Columns)
	assert.Equal(t, "day first", r.Used.Days)
	told := []string{}
	for _, x := range r.Refusals {
		told = append(told, fmt.Sprintf("%d %s", x.Line, strings.Join(strings.Fields(x.Text)[:3], " ")))
	}
	assert.Equal(t, []string{`6 brought "31.2.2024" is`, "7 brought 2099-01-01 lies", `8 cause "dragon pox"`, "11 row cannot be"}, told)
	assert.Equal(t, []int{8, 4, 4}, []int{r.Rows, r.Good, r.Refused})
	assert.Equal(t, "Tice; Rhona", r.First[0].Grower)
	assert.Equal(t, "2024-04-03", r.First[0].Brought)
	assert.Equal(t, "=1+1", r.First[1].Note, "a guard against formulas is taken off")

	_, err = b.ReadImport(ctx, boss, id, recordroom.ImportInput{CardMapping: r.Used, Loose: true})
	require.NoError(t, err)
	bad := r.Used
	bad.Columns = map[string]string{"brought": "Dates", "plant": ""}
	_, err = b.ReadImport(ctx, boss, id, recordroom.ImportInput{CardMapping: bad})
	require.ErrorContains(t, err, "columns.brought")
	require.ErrorContains(t, err, "columns.plant")

	j := b.worked(b.KeepImport(ctx, boss, id, recordroom.ImportInput{CardMapping: r.Used, Name: "cards.csv", Loose: true}))
	require.Equal(t, "done", j.State, j.Said)
	assert.Equal(t, 4, j.Import.In, "two of the number A-2: the second is refused")
	found, err := b.Find(ctx, desk.FindInput{Cause: "two-spotted-mite", Sort: "brought"})
	require.NoError(t, err)
	require.Equal(t, 2, found.N)
	v, err := b.View(ctx, found.Cases[0].ID)
	require.NoError(t, err)
	assert.Equal(t, []any{"A-1", "closed", "cleared", "2024-04-03"}, []any{v.Number, string(v.Stage), v.Closing.Outcome, v.CreatedAt.Format("2006-01-02")})
	assert.Equal(t, "says \"it is the heat\",\nand more", v.Closing.Note)
	weird, err := b.Find(ctx, desk.FindInput{Words: "dragon pox"})
	require.NoError(t, err)
	assert.Equal(t, 1, weird.N, "what it was called is kept as a note")

	list, err := b.Batches(ctx)
	require.NoError(t, err)
	require.Len(t, list, 1)
	gone, err := b.UndoImport(ctx, boss, list[0].ID)
	require.NoError(t, err)
	assert.Equal(t, 4, gone.Gone)
	n, err := b.Find(ctx, desk.FindInput{})
	require.NoError(t, err)
	assert.Zero(t, n.N)
	rows, _, err := b.Store.ConfirmedSince(ctx, "2000-01-01")
	require.NoError(t, err)
	assert.Empty(t, rows, "nothing of it is left in what the desk learns from")
}

// The same cards in other signs read the same; what is no text is refused.
func TestCardsInOtherSigns(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	const cards = "date,plant,story\n2024-04-03,Rose,\"tâches brûlées\"\n"
	utf16, err := unicode.UTF16(unicode.LittleEndian, unicode.UseBOM).NewEncoder().String(cards)
	require.NoError(t, err)
	western, err := charmap.Windows1252.NewEncoder().String(cards)
	require.NoError(t, err)
	for encoding, raw := range map[string]string{"UTF-8": "\ufeff" + cards, "UTF-16": utf16, "Windows-1252": western} {
		r, err := b.ReadImport(ctx, boss, b.bring([]byte(raw)), recordroom.ImportInput{})
		require.NoError(t, err, encoding)
		require.Len(t, r.First, 1, encoding)
		assert.Equal(t, "tâches brûlées", r.First[0].Story, encoding)
		assert.Equal(t, encoding, r.Encoding)
	}
	for says, raw := range map[string]string{"is no text": "a,b\x00c\n", "is empty": "", "column names": "lonely\n1\n"} {
		_, err := b.ReadImport(ctx, boss, b.bring([]byte(raw)), recordroom.ImportInput{})
		require.ErrorContains(t, err, says)
	}
	_, err = b.BringPart(ctx, boss, "01KX89X7800KQQPW7DNZ4H267J", 0, []byte("x"))
	require.ErrorIs(t, err, desk.ErrNotFound)
	u, err := b.BringFile(ctx, boss, "../../etc/cards.csv")
	require.NoError(t, err)
	assert.Equal(t, "cards.csv", u.Name)
	_, err = b.BringPart(ctx, boss, u.ID, 5, []byte("x"))
	require.ErrorContains(t, err, "offset")
}

// Long work is cancelled: nothing of it stays.
func TestLongWorkIsCancelled(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	var big strings.Builder
	big.WriteString("date,plant,story\n")
	for i := range 60_000 {
		fmt.Fprintf(&big, "2024-04-%02d,Rose,card %d\n", i%28+1, i)
	}
	j, err := b.KeepImport(ctx, boss, b.bring([]byte(big.String())), recordroom.ImportInput{})
	require.NoError(t, err)
	require.Eventually(t, func() bool { return b.Jobs(boss)[0].Done > 1000 }, time.Minute, time.Millisecond)
	require.ErrorIs(t, b.StopJob(b.who, j.ID), desk.ErrNotFound, "another's")
	require.NoError(t, b.StopJob(boss, j.ID))
	j = b.worked(j, nil)
	assert.Equal(t, "cancelled", j.State)
	n, err := b.Find(ctx, desk.FindInput{})
	require.NoError(t, err)
	assert.Zero(t, n.N)
	b.StopJobs()
	_, err = os.Stat(b.WorkFolder())
	assert.True(t, os.IsNotExist(err))
}

// Tables leave the desk as CSV that another reader takes, without people unless they are
// asked for, and without formulas.
func TestTablesLeaveTheDesk(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	_, err := b.Export(ctx, b.who, recordroom.ExportInput{What: "cases", People: true})
	require.ErrorIs(t, err, desk.ErrForbidden)
	_, err = b.Export(ctx, b.who, recordroom.ExportInput{What: "bundle"})
	require.ErrorIs(t, err, desk.ErrForbidden)
	_, err = b.Export(ctx, boss, recordroom.ExportInput{What: "dragons"})
	require.ErrorContains(t, err, "what")

	cases := rows(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "cases"}))))
	require.Len(t, cases, 4)
	assert.NotContains(t, cases[0], "grower")
	assert.NotContains(t, fmt.Sprint(cases), "Ilse")
	all := rows(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "cases", People: true}))))
	assert.Equal(t, []string{"number", "brought_in", "grower"}, all[0][:3])
	assert.Equal(t, `Rhona, of the "Gulls"`, all[2][2])
	looks := rows(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "looks"}))))
	assert.Len(t, looks, 4)
	treatments := rows(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "treatments"}))))
	require.Len(t, treatments, 5)
	assert.Equal(t, []string{"26-0001", "1"}, treatments[1][:2])
	one := rows(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "cases", Find: desk.FindInput{Square: "c4"}}))))
	assert.Len(t, one, 2)
}

// dwcTerms are terms of Darwin Core as the standard lists them (TDWG, 2023), written down
// apart from the program.
const dwcTerms = "occurrenceID catalogNumber basisOfRecord eventDate scientificName vernacularName occurrenceStatus associatedTaxa habitat decimalLatitude decimalLongitude geodeticDatum coordinateUncertaintyInMeters dataGeneralizations identificationVerificationStatus occurrenceRemarks institutionCode datasetName recordedBy locality county country kingdom taxonRank verbatimIdentification"

// The archive is read by what its own meta.xml says, every term is one of the standard's, and
// it tells of no person and no place closer than was chosen.
func TestADarwinCoreArchive(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	_, err := b.Export(ctx, boss, recordroom.ExportInput{What: "darwin-core"})
	require.ErrorContains(t, err, "license")
	for coarse, want := range map[string]string{"square": "1", "": "1", "none": ""} {
		raw := b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "darwin-core", License: "CC-BY-4.0", Coarse: coarse})))
		files := everything(t, raw)
		var meta struct {
			Core struct {
				RowType string `xml:"rowType,attr"`
				Sep     string `xml:"fieldsTerminatedBy,attr"`
				Skip    int    `xml:"ignoreHeaderLines,attr"`
				File    string `xml:"files>location"`
				ID      struct {
					Index int `xml:"index,attr"`
				} `xml:"id"`
				Fields []struct {
					Index int    `xml:"index,attr"`
					Term  string `xml:"term,attr"`
				} `xml:"field"`
			} `xml:"core"`
		}
		require.NoError(t, xml.Unmarshal([]byte(files["meta.xml"]), &meta))
		assert.Equal(t, "http://rs.tdwg.org/dwc/terms/Occurrence", meta.Core.RowType)
		at := map[string]int{}
		for _, f := range meta.Core.Fields {
			if name, ok := strings.CutPrefix(f.Term, "http://rs.tdwg.org/dwc/terms/"); ok {
				assert.Contains(t, strings.Fields(dwcTerms), name)
				at[name] = f.Index
			} else {
				assert.Equal(t, "http://purl.org/dc/terms/license", f.Term)
			}
		}
		r := csv.NewReader(strings.NewReader(files[meta.Core.File]))
		r.Comma = []rune(meta.Core.Sep)[0]
		all, err := r.ReadAll()
		require.NoError(t, err)
		require.Len(t, all, 1+meta.Core.Skip, "one was settled, by the laboratory")
		row := all[1]
		assert.Len(t, row, len(meta.Core.Fields))
		assert.Equal(t, "Panonychus", row[at["scientificName"]], "two species of the book are one genus")
		assert.Equal(t, "genus", row[at["taxonRank"]])
		assert.Equal(t, "2026-07-11", row[at["eventDate"]])
		assert.Equal(t, `"host":"Phaseolus vulgaris"`, row[at["associatedTaxa"]])
		assert.Contains(t, row[at["identificationVerificationStatus"]], "laboratory")
		assert.Equal(t, want != "", row[at["decimalLatitude"]] != "", coarse)
		assert.NotEmpty(t, row[at["dataGeneralizations"]])
		assert.NotContains(t, files[meta.Core.File], "Ilse")
		assert.NotContains(t, files[meta.Core.File], "terrace")
		assert.Contains(t, files["eml.xml"], "licenses/by/4.0")
		require.NoError(t, xml.Unmarshal([]byte(files["eml.xml"]), new(struct{})))
	}
}

// What is found is what was asked for, by every filter, and pages add up.
func TestCasesAreFound(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	for _, c := range []struct {
		in   desk.FindInput
		want int
	}{
		{desk.FindInput{}, 3}, {desk.FindInput{Cause: "red-mite"}, 1}, {desk.FindInput{Was: "two-spotted-mite"}, 1}, {desk.FindInput{Host: "french-bean"}, 3}, {desk.FindInput{Square: "C4"}, 1},
		{desk.FindInput{Photos: "yes"}, 1}, {desk.FindInput{Photos: "no"}, 2}, {desk.FindInput{Remedy: "soap"}, 2}, {desk.FindInput{Outcome: "cleared"}, 1}, {desk.FindInput{Outcome: "-"}, 2},
		{desk.FindInput{Stage: "closed"}, 1}, {desk.FindInput{From: "2026-07-12"}, 0}, {desk.FindInput{To: "2026-07-11"}, 3}, {desk.FindInput{Words: "insecticidal soap"}, 2}, {desk.FindInput{Words: "she says"}, 1}, {desk.FindInput{Words: "laboratory"}, 0},
	} {
		got, err := b.Find(ctx, c.in)
		require.NoError(t, err)
		assert.Equal(t, c.want, got.N, "%+v", c.in)
	}
	first, err := b.Find(ctx, desk.FindInput{Sort: "-brought", Most: 2})
	require.NoError(t, err)
	second, err := b.Find(ctx, desk.FindInput{Sort: "-brought", Most: 2, Skip: 2})
	require.NoError(t, err)
	assert.Equal(t, []string{"26-0003", "26-0002", "26-0001"}, []string{first.Cases[0].Number, first.Cases[1].Number, second.Cases[0].Number})
	_, err = b.Find(ctx, desk.FindInput{Sort: "-"})
	require.ErrorContains(t, err, "sort")
	for says, bad := range map[string]desk.FindInput{"sort": {Sort: "doc; drop"}, "from": {From: "monday"}, "cause": {Cause: "dragon"}, "photos": {Photos: "some"}, "host": {Host: "triffid"}} {
		_, err := b.Find(ctx, bad)
		require.ErrorContains(t, err, says)
	}

	staff := b.staffed("odile", "ansel")
	list, err := b.SaveSearch(ctx, staff[0], "mites", "cause=red-mite")
	require.NoError(t, err)
	require.Len(t, list, 1)
	_, err = b.SaveSearch(ctx, staff[0], " ", "x")
	require.ErrorContains(t, err, "name")
	theirs, err := b.SavedSearches(ctx, staff[1])
	require.NoError(t, err)
	assert.Empty(t, theirs)
	_, err = b.DropSearch(ctx, staff[1], list[0].ID)
	require.ErrorIs(t, err, desk.ErrNotFound)
	list, err = b.DropSearch(ctx, staff[0], list[0].ID)
	require.NoError(t, err)
	assert.Empty(t, list)
}

// The season, counted by hand from what happened here.
func TestASeasonIsLookedOver(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	for range 5 {
		b.now = b.now.AddDate(0, 0, 7)
		b.treated(bean)
		b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, desk.CloseInput{Outcome: "better", Followed: "yes"}))
	}
	s, err := b.SeasonOf(ctx, "", "")
	require.NoError(t, err)
	assert.Equal(t, 8, s.N)
	in := 0
	for _, x := range s.Bands {
		in += x.N
	}
	assert.Equal(t, 8, in)
	assert.Equal(t, "french bean", strings.ToLower(s.Hosts[0].Name))
	require.Len(t, s.Squares, 1)
	assert.Equal(t, "C4", s.Squares[0].Square)
	assert.Equal(t, 7, s.Nowhere)
	require.Len(t, s.Mistaken, 1)
	assert.Equal(t, "red-mite", s.Mistaken[0].Became)
	require.Len(t, s.Advised, 1)
	assert.Equal(t, []any{"two-spotted-mite", "soap", 5, 5}, []any{s.Advised[0].Cause, s.Advised[0].Remedy, s.Advised[0].N, s.Advised[0].Better})
	assert.Equal(t, 7, s.Waits.N)
	require.NotEmpty(t, s.Arrivals)
	assert.NotNil(t, s.Arrivals[0].DegreeDays)
	for says, bad := range map[string][2]string{"from": {"x", ""}, "to": {"2026-05-01", "2026-04-01"}, "thirteen months": {"2020-01-01", "2026-01-01"}} {
		_, err := b.SeasonOf(ctx, bad[0], bad[1])
		require.ErrorContains(t, err, says)
	}
	early, err := b.SeasonOf(ctx, "2025-01-01", "2025-03-01")
	require.NoError(t, err)
	assert.Zero(t, early.N)
}

// Whatever is written as cells comes back as it was.
func TestAnImportIsCountedAmongWhatTheDeskLearnsFrom(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	j := b.worked(b.KeepImport(ctx, boss, b.bring([]byte("date,plant,cause\n2026-07-01,Rose,rust\n2026-07-02,Rose,rust\n")), recordroom.ImportInput{}))
	require.Equal(t, "done", j.State, j.Said)
	rows, _, err := b.Store.ConfirmedSince(ctx, "2026-01-01")
	require.NoError(t, err)
	assert.Equal(t, []store.Confirmed{{Day: "2026-07-01", Cause: "rust", N: 1}, {Day: "2026-07-02", Cause: "rust", N: 1}}, rows)
}
