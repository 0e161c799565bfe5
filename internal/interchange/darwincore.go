package interchange

import (
	"archive/zip"
	"encoding/csv"
	"encoding/xml"
	"fmt"
	"io"
	"strconv"
	"time"
)

// dwc is where the terms of Darwin Core are defined; those of Dublin Core stand beside.
const (
	dwc = "http://rs.tdwg.org/dwc/terms/"
	dc  = "http://purl.org/dc/terms/"
)

// terms of an occurrence in the order of its columns, the first being its id.
var terms = []string{dwc + "occurrenceID", dwc + "catalogNumber", dwc + "basisOfRecord", dwc + "eventDate", dwc + "scientificName", dwc + "taxonRank", dwc + "verbatimIdentification", dwc + "vernacularName", dwc + "occurrenceStatus", dwc + "associatedTaxa", dwc + "habitat", dwc + "decimalLatitude", dwc + "decimalLongitude", dwc + "geodeticDatum", dwc + "coordinateUncertaintyInMeters", dwc + "dataGeneralizations", dwc + "identificationVerificationStatus", dwc + "occurrenceRemarks", dwc + "institutionCode", dwc + "datasetName", dc + "license"}

// licences by their short names (SPDX).
var licences = map[string]string{"CC0-1.0": "https://creativecommons.org/publicdomain/zero/1.0/legalcode", "CC-BY-4.0": "https://creativecommons.org/licenses/by/4.0/legalcode", "CC-BY-NC-4.0": "https://creativecommons.org/licenses/by-nc/4.0/legalcode"}

// About says what an archive is of.
type About struct {
	Title, Desk, Place, License string
	Made                        time.Time
}

// Occurrence is one organism found on one plant.
type Occurrence struct {
	ID, Catalog, Day     string
	Scientific, Rank     string // one taxon
	Verbatim, Vernacular string // as the herbarium has it
	Host                 string // scientific name of the plant it was on
	Habitat              string
	Lat, Lon             *float64 // degrees, WGS 84; nil where the place is withheld
	WithinM              float64
	Generalised          string
	Verified             string
	Remarks              string
}

// Archive is a Darwin Core archive that is being written: a zip with the table, meta.xml
// that says which column is which term, and eml.xml about the whole.
type Archive struct {
	z     *zip.Writer
	w     *csv.Writer
	about About
}

// NewArchive begins one. Errors name license.
func NewArchive(w io.Writer, about About) (*Archive, error) {
	if licences[about.License] == "" {
		return nil, fmt.Errorf("license: %q is none of CC0-1.0, CC-BY-4.0, CC-BY-NC-4.0", about.License)
	}
	a := &Archive{z: zip.NewWriter(w), about: about}
	f, err := a.z.Create("occurrence.csv")
	if err != nil {
		return nil, err
	}
	a.w = csv.NewWriter(f)
	names := []string{}
	for _, t := range terms {
		names = append(names, t[len(t)-len(shortTerm(t)):])
	}
	return a, a.w.Write(names)
}

func shortTerm(t string) string {
	for i := len(t) - 1; i >= 0; i-- {
		if t[i] == '/' {
			return t[i+1:]
		}
	}
	return t
}

// Add writes an occurrence.
func (a *Archive) Add(o Occurrence) error {
	degrees := func(x *float64) string {
		if x == nil {
			return ""
		}
		return strconv.FormatFloat(*x, 'f', 4, 64)
	}
	taxa, datum, within := "", "", ""
	if o.Host != "" {
		taxa = `"host":"` + o.Host + `"`
	}
	if o.Lat != nil {
		datum, within = "WGS84", strconv.FormatFloat(o.WithinM, 'f', 0, 64)
	}
	return a.w.Write([]string{o.ID, o.Catalog, "HumanObservation", o.Day, o.Scientific, o.Rank, o.Verbatim, o.Vernacular, "present", taxa, o.Habitat, degrees(o.Lat), degrees(o.Lon), datum, within, o.Generalised, o.Verified, o.Remarks, a.about.Desk, a.about.Title, licences[a.about.License]})
}

type metaXML struct {
	XMLName  xml.Name `xml:"archive"`
	NS       string   `xml:"xmlns,attr"`
	Metadata string   `xml:"metadata,attr"`
	Core     struct {
		Encoding string `xml:"encoding,attr"`
		Sep      string `xml:"fieldsTerminatedBy,attr"`
		Lines    string `xml:"linesTerminatedBy,attr"`
		Quote    string `xml:"fieldsEnclosedBy,attr"`
		Skip     int    `xml:"ignoreHeaderLines,attr"`
		RowType  string `xml:"rowType,attr"`
		Files    struct {
			Location string `xml:"location"`
		} `xml:"files"`
		ID struct {
			Index int `xml:"index,attr"`
		} `xml:"id"`
		Fields []metaField `xml:"field"`
	} `xml:"core"`
}

type metaField struct {
	Index int    `xml:"index,attr"`
	Term  string `xml:"term,attr"`
}

type emlXML struct {
	XMLName xml.Name `xml:"eml:eml"`
	NS      string   `xml:"xmlns:eml,attr"`
	ID      string   `xml:"packageId,attr"`
	System  string   `xml:"system,attr"`
	Lang    string   `xml:"xml:lang,attr"`
	Dataset struct {
		Title   string `xml:"title"`
		Creator struct {
			Org string `xml:"organizationName"`
		} `xml:"creator"`
		Made     string `xml:"pubDate"`
		Abstract struct {
			Para string `xml:"para"`
		} `xml:"abstract"`
		Rights struct {
			Para string `xml:"para"`
		} `xml:"intellectualRights"`
		Contact struct {
			Org string `xml:"organizationName"`
		} `xml:"contact"`
	} `xml:"dataset"`
}

// End writes what the archive says of itself.
func (a *Archive) End() error {
	a.w.Flush()
	if err := a.w.Error(); err != nil {
		return err
	}
	var m metaXML
	m.NS, m.Metadata = "http://rs.tdwg.org/dwc/text/", "eml.xml"
	m.Core.Encoding, m.Core.Sep, m.Core.Lines, m.Core.Quote, m.Core.Skip, m.Core.RowType = "UTF-8", ",", `\n`, `"`, 1, dwc+"Occurrence"
	m.Core.Files.Location = "occurrence.csv"
	for i, t := range terms {
		m.Core.Fields = append(m.Core.Fields, metaField{i, t})
	}
	if err := a.xml("meta.xml", m); err != nil {
		return err
	}
	var e emlXML
	e.NS, e.System, e.Lang = "eml://ecoinformatics.org/eml-2.1.1", "botanik", "en"
	e.ID = "botanik-" + a.about.Made.UTC().Format("20060102T150405")
	e.Dataset.Title, e.Dataset.Creator.Org, e.Dataset.Contact.Org, e.Dataset.Made = a.about.Title, a.about.Desk, a.about.Desk, a.about.Made.UTC().Format(time.DateOnly)
	e.Dataset.Abstract.Para = "Pests, diseases and helpers on plants that growers brought to a plant desk, each diagnosed there. Places are generalised and people left out. A record says that something was brought in, not how common it is."
	e.Dataset.Rights.Para = "This work is licensed under " + licences[a.about.License]
	if err := a.xml("eml.xml", e); err != nil {
		return err
	}
	return a.z.Close()
}

func (a *Archive) xml(name string, v any) error {
	f, err := a.z.Create(name)
	if err != nil {
		return err
	}
	if _, err := io.WriteString(f, xml.Header); err != nil {
		return err
	}
	e := xml.NewEncoder(f)
	e.Indent("", " ")
	return e.Encode(v)
}
