package compute

import (
	"cmp"
	"fmt"
	"reflect"
	"sync"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/microscopy"
	"botanik/core/mix"
	"botanik/core/remedy"
	"botanik/core/scouting"
)

// DiagnoseIn is a sample: what is known before looking, and the looks.
type DiagnoseIn struct {
	differential.Circumstances
	Looks []differential.Look `json:"looks"`
}

// AdviseIn is a cause and the case it is to be treated in.
type AdviseIn struct {
	Cause  string           `json:"cause" doc:"cause id"`
	Case   remedy.Situation `json:"case"`
	Chosen []string         `json:"chosen,omitempty" doc:"remedies chosen so far; says how they work together"`
}

// engines keeps the engine of the book asked last: building one takes longer than a
// thousand questions to it.
var engines struct {
	sync.Mutex
	base   *knowledge.Base
	engine *differential.Engine
}

func engineOf(b *knowledge.Base) *differential.Engine {
	engines.Lock()
	defer engines.Unlock()
	if engines.base != b {
		engines.base, engines.engine = b, differential.NewEngine(b)
	}
	return engines.engine
}

// Diagnose ranks a sample.
func Diagnose(b *knowledge.Base, in DiagnoseIn) (differential.Ranking, error) {
	e := engineOf(b)
	if err := e.Check(in.Circumstances, in.Looks); err != nil {
		return differential.Ranking{}, err
	}
	return e.Rank(in.Circumstances, in.Looks), nil
}

// Advised is the ladder, and what speaks against what was chosen.
type Advised struct {
	remedy.Advice
	Apart []string `json:"apart" doc:"of what was chosen: what is not free, and what must not go together; as long as anything stands here nothing is combined"`
}

// Advise answers the ladder, by the house's own words on where it is.
func Advise(b *knowledge.Base, in AdviseIn) (Advised, error) {
	if in.Case.Date == "" {
		return Advised{}, fault.New("case.date", "is missing", "give the day asked about as YYYY-MM-DD")
	}
	if local := in.Case.House.Local; !reflect.DeepEqual(local, knowledge.Local{}) {
		if err := local.Check(b); err != nil {
			return Advised{}, fault.Under("case.house", err)
		}
		b = b.At(local)
	}
	ladder, err := remedy.Advise(b, in.Cause, in.Case)
	a := Advised{ladder, []string{}}
	if err != nil {
		l := fault.List{}
		for _, f := range fault.From(err) {
			if f.Field != "cause" {
				f.Field = "case." + f.Field
			}
			l = append(l, f)
		}
		return a, l
	}
	if len(in.Chosen) > 0 {
		for i, id := range in.Chosen {
			if b.Remedy(id) == nil {
				return a, fault.New(fmt.Sprintf("chosen[%d]", i), fmt.Sprintf("%q is not a remedy of the herbarium", id), "use an id from kb list remedies")
			}
		}
		a.Combine, a.Apart = remedy.Choose(b, b.Cause(in.Cause), ladder, in.Case, in.Chosen)
	}
	return a, nil
}

type convertIn struct {
	Amount string `json:"amount" doc:"like '2 US tbsp'"`
	To     string `json:"to" doc:"unit, like 'mL'"`
}

type reticleIn struct {
	Readings []microscopy.Reading `json:"readings" doc:"divisions laid over a length of the stage micrometer, repeats as they come"`
}

type slideKeyIn struct {
	Group string            `json:"group"`
	Seen  []microscopy.Seen `json:"seen"`
	Hosts []string          `json:"hosts,omitempty" doc:"the plant's id, group and family"`
}

type rateIn struct {
	Rate string `json:"rate"`
}

type rateOut struct {
	Kind     mix.RateKind `json:"kind"`
	PerLitre string       `json:"perLitre"`
	Fraction float64      `json:"fraction" doc:"mL or g of product per mL of finished mix"`
}

type blendIn struct {
	dosage.MixInput
	House remedy.House `json:"house,omitempty"`
}

type placeIn struct {
	dosage.PlaceInput
	House remedy.House `json:"house,omitempty"`
}

type splitIn struct {
	Causes []string `json:"causes"`
}

type needIn struct {
	Plants []mix.PlantSize `json:"plants"`
}

type countsIn struct {
	Counts []int `json:"counts" doc:"pests per leaf or shoot; the variance is the sample's, n-1; k by moments; the interval is of the mean and holds on clumped counts"`
}

type sizeIn struct {
	Mean      float64          `json:"mean" doc:"of a first count, pests a unit"`
	Precision float64          `json:"precision,omitempty" doc:"standard error as a share of the mean, 0.05 to 1; 0.25 when left out"`
	Law       *scouting.Taylor `json:"law,omitempty" doc:"s² = a·m^b; a 2.5 and b 1.5 when left out"`
	Counted   int              `json:"counted,omitempty" doc:"units counted so far"`
}

type sequentialIn struct {
	Share  float64 `json:"share,omitempty" doc:"threshold as a share of units hit; or mean, not both"`
	Mean   float64 `json:"mean,omitempty" doc:"threshold as pests a unit"`
	K      float64 `json:"k,omitempty" doc:"clumping for a mean; 0.8 when left out"`
	Counts []int   `json:"counts,omitempty" doc:"unit by unit, in the order counted; of a share any number above 0 is a hit. All of them count, also those after the test could have stopped: crossed says where that was"`
	scouting.Levels
}

type sequentialOut struct {
	Test scouting.Sequential       `json:"test" doc:"its lines, about the two levels and risks that were given, or as a desk counts"`
	Step scouting.SequentialResult `json:"step"`
}

type severityIn struct {
	Shares []int `json:"shares" doc:"leaves matched with the drawn ones: 0, 1, 3, 5, 10, 15, 25, 40, 60 or 80 per cent of area each"`
}

type indexIn struct {
	Counts []int `json:"counts" doc:"units in each class, from clean (class 0) to the worst"`
}

type indexOut struct {
	Index float64 `json:"index" doc:"Σ(class×count)/(n×top class), 0 to 1"`
}

type windowIn struct {
	LifeTable string  `json:"lifeTable" doc:"id of a life table of the herbarium"`
	TempC     float64 `json:"tempC" doc:"mean temperature of the coming days, °C"`
}

type repeatsIn struct {
	Start     string   `json:"start" doc:"YYYY-MM-DD"`
	GapMin    int      `json:"gapMinDays"`
	GapMax    int      `json:"gapMaxDays"`
	Most      int      `json:"mostPerSeason,omitempty"`
	Used      int      `json:"used,omitempty"`
	Count     int      `json:"count"`
	Gap       int      `json:"gapDays,omitempty" doc:"a fixed rhythm"`
	LifeTable string   `json:"lifeTable,omitempty"`
	TempC     *float64 `json:"tempC,omitempty"`
	KillsEggs float64  `json:"killsEggs,omitempty" doc:"share of eggs killed, 0 to 1"`
	Harvest   string   `json:"harvest,omitempty" doc:"next picking, YYYY-MM-DD"`
	Wait      int      `json:"waitDays,omitempty" minimum:"0" doc:"days between a treatment and picking"`
}

type repeatsOut struct {
	Days  []string `json:"days"`
	Gap   int      `json:"gapDays"`
	Notes []string `json:"notes"`
}

type abbottIn struct {
	TreatedAfter float64 `json:"treatedAfter"`
	CheckAfter   float64 `json:"checkAfter"`
}

type shareOut struct {
	Share float64 `json:"share"`
}

type wilsonIn struct {
	Hit   int `json:"hit" minimum:"0"`
	Total int `json:"total" minimum:"1"`
}

type intervalOut struct {
	Share  float64                `json:"share"`
	Wilson [2]float64             `json:"wilson" doc:"95 %, Wilson's score interval without continuity correction"`
	Exact  [2]float64             `json:"exact" doc:"95 % at least, Clopper-Pearson"`
	Low    float64                `json:"low" doc:"the one taken: Wilson's, under ten units the exact"`
	High   float64                `json:"high"`
	Mean   scouting.MeanFromShare `json:"mean" doc:"pests a unit by ln m = a + b·ln(−ln(1−p)), drawn through a negative binomial with k 0.8"`
}

type nextMoveIn struct {
	Word     string `json:"word" enum:"better,no change,worse,cannot tell"`
	Borne    bool   `json:"borne,omitempty" doc:"what is left can be borne"`
	Round    int    `json:"round"`
	Outgrown bool   `json:"outgrown,omitempty" doc:"the remedy has a resistance group"`
}

type askOnIn struct {
	Handed   string   `json:"handed"`
	Days     []string `json:"days,omitempty"`
	Effect   int      `json:"effectDays,omitempty"`
	Referred bool     `json:"referred,omitempty"`
}

type dayOut struct {
	Day string `json:"day"`
}

func day(field, s string) (civil.Day, error) {
	t, err := civil.Parse(s)
	if err != nil {
		return t, fault.New(field, "is not a day", "write it as YYYY-MM-DD")
	}
	return t, nil
}

func table(b *knowledge.Base, id string) (*knowledge.LifeTable, error) {
	lt := b.LifeTable(id)
	if lt == nil {
		ids := ""
		for _, l := range b.LifeTables {
			ids += " " + l.ID
		}
		return nil, fault.New("lifeTable", "is not a life table of the herbarium", "use one of:"+ids)
	}
	return lt, nil
}

func init() {
	add("diagnose", "rank what a sample could be, with reasons and the next look", `{"host":"passionflower","place":"balcony","month":7,"looks":[{"finding":"flecks","state":"many"},{"finding":"walkers","state":"many","certainty":"think"},{"finding":"touch","state":"stays"}]}`, Diagnose)
	add("advise", "the ladder of remedies for a cause and a case, each go, care, not now or no", `{"cause":"two-spotted-mite","case":{"host":"bean","place":"garden","date":"2026-07-10","edible":true,"daysToHarvest":5,"tempC":22,"earlier":[{"remedy":"summer-oil","on":"2026-06-30"}]}}`, Advise)
	add("mix", "amounts per tank, spoons, order and what to buy", `{"volume":"3 L","sprayer":"1 L","spoons":"metric","parts":[{"name":"Insecticidal soap","rate":"15 mL per L","low":"10 mL per L","high":"20 mL per L","form":"soap"}]}`, func(b *knowledge.Base, in mix.Request) (mix.Plan, error) {
		if err := dosage.MayMix(b, in.Parts); err != nil {
			return mix.Plan{}, err
		}
		return mix.Make(in)
	})
	add("blend", "the mix of one remedy of the herbarium within its label range", `{"remedy":"soap","use":"middle","volume":"1 L","spoons":"us"}`, func(b *knowledge.Base, in blendIn) (dosage.Mixed, error) {
		return dosage.Blend(b, in.House, in.MixInput)
	})
	add("convert", "the same amount in another unit, exactly", `{"amount":"2 US tbsp","to":"mL"}`, func(_ *knowledge.Base, in convertIn) (mix.Converted, error) {
		return mix.ConvertedTo(in.Amount, in.To)
	})
	add("cut", "how much water goes to what is left in a bottle, to cut it to a strength", `{"have":"200 mL","from":"91 %","to":"45 %"}`, func(_ *knowledge.Base, in mix.CutIn) (mix.Cut, error) { return mix.CutDown(in) })
	add("rate", "read a rate as a label writes it", `{"rate":"1:50 of water"}`, func(_ *knowledge.Base, in rateIn) (rateOut, error) {
		r, err := mix.ParseRate(in.Rate)
		if err != nil {
			return rateOut{}, err
		}
		f, _ := r.Fraction.Float64()
		return rateOut{r.Kind, r.PerLitre(), f}, nil
	})
	add("reticle", "what one eyepiece division is long, from a stage micrometer", `{"readings":[{"divisions":98,"micrometres":245},{"divisions":100,"micrometres":250}]}`, func(_ *knowledge.Base, in reticleIn) (microscopy.Factor, error) {
		return microscopy.Calibrate(in.Readings)
	})
	add("ratio", "two lengths measured in turn against the line of a key", `{"a":[12,12.5,12],"b":[10,10.5,10],"line":1}`, func(_ *knowledge.Base, in microscopy.RatioRequest) (microscopy.Ratio, error) {
		return microscopy.Compare(in)
	})
	add("slide-key", "species weighed by what was seen on a slide, and what to look at next", `{"group":"armored scale","seen":[{"character":"lobes","state":"three"},{"character":"birth-pores","state":"four"},{"character":"opening-lobe","ratio":0.7,"sd":0.04}],"hosts":["oleander"]}`, func(b *knowledge.Base, in slideKeyIn) (microscopy.Keyed, error) {
		return b.SlideKey.Identify(in.Group, in.Seen, in.Hosts)
	})
	add("photo-scale", "lengths and areas on a picture by a known length in it", `{"known":[{"x":100,"y":100},{"x":300,"y":100}],"millimetres":10,"lines":[[{"x":10,"y":10},{"x":110,"y":10}]],"areas":[[{"x":0,"y":0},{"x":200,"y":0},{"x":200,"y":200},{"x":0,"y":200}]]}`, func(_ *knowledge.Base, in microscopy.PhotoRequest) (microscopy.PhotoScale, error) {
		return microscopy.Measure(in)
	})
	add("need", "how much mix wets these plants on both sides of the leaves; an estimate", `{"plants":[{"count":2,"heightCm":80,"widthCm":60,"leaf":"dense"}]}`, func(_ *knowledge.Base, in needIn) (mix.Need, error) { return mix.SprayNeed(in.Plants) })
	add("place", "dust, drench or helpers over a bed, pots or plants, inside the range", `{"remedy":"nematodes-vine","area":"3 m2"}`, func(b *knowledge.Base, in placeIn) (dosage.Dosed, error) {
		return dosage.OverArea(b, in.House, in.PlaceInput)
	})
	add("split", "the looks that tell two or three causes apart, by Jeffreys divergence per minute", `{"causes":["two-spotted-mite","rose-leafhopper"]}`, func(b *knowledge.Base, in splitIn) ([]differential.SplitLook, error) {
		return engineOf(b).Split(in.Causes)
	})
	add("mean", "counts on leaves: mean with its interval, variance, clumping, share hit", `{"counts":[4,0,12,7,3,9,15,2,6,8]}`, func(_ *knowledge.Base, in countsIn) (scouting.Summary, error) {
		return scouting.Summarise(in.Counts)
	})
	add("share", "a share with its 95 % intervals, both ways, and the mean it stands for", `{"hit":4,"total":20}`, func(_ *knowledge.Base, in wilsonIn) (intervalOut, error) {
		m, err := scouting.UsualLine.Mean(in.Hit, in.Total)
		if err != nil {
			return intervalOut{}, err
		}
		out := intervalOut{Share: m.Share, Mean: m}
		out.Wilson[0], out.Wilson[1] = scouting.Wilson(in.Hit, in.Total)
		out.Exact[0], out.Exact[1] = scouting.ClopperPearson(in.Hit, in.Total)
		out.Low, out.High = scouting.ShareInterval(in.Hit, in.Total)
		return out, nil
	})
	add("sample-size", "units that give a mean to a stated precision, by Taylor's power law", `{"mean":4,"precision":0.25,"counted":12}`, func(_ *knowledge.Base, in sizeIn) (scouting.SampleSize, error) {
		law := scouting.Usual
		if in.Law != nil {
			law = *in.Law
		}
		return scouting.ForPrecision(in.Mean, cmp.Or(in.Precision, .25), law, in.Counted)
	})
	add("sequential", "a running count against a threshold: keep counting, stop and wait, stop and act", `{"share":0.2,"counts":[0,1,0,0,2,0,0,0]}`, func(_ *knowledge.Base, in sequentialIn) (sequentialOut, error) {
		if in.Share != 0 && in.Mean != 0 {
			return sequentialOut{}, fault.New("mean", "stands beside a share", "give one of the two")
		}
		test, err := scouting.SequentialShare(in.Share, in.Levels)
		if in.Mean != 0 {
			test, err = scouting.SequentialMean(in.Mean, cmp.Or(in.K, scouting.UsualK), in.Levels)
		}
		if err != nil {
			return sequentialOut{}, err
		}
		if len(in.Counts) > 0 {
			if _, err := scouting.Summarise(in.Counts); err != nil {
				return sequentialOut{}, err
			}
		}
		return sequentialOut{test, test.Run(in.Counts)}, nil
	})
	add("severity", "leaves matched with drawn ones: mean share of area, over all and over those that have any", `{"shares":[0,5,10,25,3]}`, func(_ *knowledge.Base, in severityIn) (scouting.Severity, error) {
		return scouting.Match(in.Shares)
	})
	add("index", "disease index over classes", `{"counts":[10,5,3,2,0]}`, func(_ *knowledge.Base, in indexIn) (indexOut, error) {
		x, err := scouting.Index(in.Counts)
		return indexOut{x}, err
	})
	add("decide", "leave, watch, act, wait for the young, pull, save: with reasons and what would change it", `{"kind":"pest","threshold":{"perUnit":5,"unit":"leaf","source":"house judgement"},"count":{"of":["pests","helpers"],"leaves":[[8,1],[3,0],[12,2],[6,0],[9,1],[4,0],[7,0],[10,1],[5,0],[6,1]]},"form":"annual","month":7}`, func(_ *knowledge.Base, in scouting.Question) (scouting.Decision, error) {
		return scouting.Decide(in)
	})
	add("repeat-window", "the closed-form window for the next spray at a steady temperature", `{"lifeTable":"two-spotted-mite","tempC":20}`, func(b *knowledge.Base, in windowIn) (lifecycle.Window, error) {
		lt, err := table(b, in.LifeTable)
		if err != nil {
			return lifecycle.Window{}, err
		}
		return lifecycle.ClosedForm(lt, in.TempC)
	})
	add("repeat-days", "treatment days inside the label's range", `{"start":"2026-07-10","gapMinDays":4,"gapMaxDays":10,"mostPerSeason":6,"count":3,"lifeTable":"two-spotted-mite","tempC":20}`, repeats)
	add("judge", "a recount: simple or Henderson-Tilton reduction with its interval", `{"before":20,"after":4,"units":10,"checkBefore":10,"checkAfter":8}`, func(_ *knowledge.Base, in casework.Recount) (casework.Result, error) {
		return casework.EstimateEfficacy(in)
	})
	add("abbott", "Abbott's correction of a treated survival by an untreated one", `{"treatedAfter":10,"checkAfter":40}`, func(_ *knowledge.Base, in abbottIn) (shareOut, error) {
		v, err := casework.Abbott(in.TreatedAfter, in.CheckAfter)
		return shareOut{v}, err
	})
	add("next-move", "what to do after a result", `{"word":"no change","round":1,"outgrown":true}`, func(_ *knowledge.Base, in nextMoveIn) (casework.NextMove, error) {
		return casework.NextAfter(in.Word, in.Borne, in.Round, in.Outgrown), nil
	})
	add("ask-on", "the day to ask how it went", `{"handed":"2026-07-04","days":["2026-07-04","2026-07-11"],"effectDays":7}`, func(_ *knowledge.Base, in askOnIn) (dayOut, error) {
		var l fault.List
		h, err := day("handed", in.Handed)
		l.AddErr("", err)
		days := []civil.Day{}
		for _, d := range in.Days {
			t, err := day("days", d)
			l.AddErr("", err)
			days = append(days, t)
		}
		if err := l.Err(); err != nil {
			return dayOut{}, err
		}
		return dayOut{casework.AskOn(h, days, in.Effect, in.Referred).String()}, nil
	})
}

func repeats(b *knowledge.Base, in repeatsIn) (repeatsOut, error) {
	start, err := day("start", in.Start)
	if err != nil {
		return repeatsOut{}, err
	}
	req := lifecycle.RepeatRequest{Start: start, GapMin: in.GapMin, GapMax: in.GapMax, Most: in.Most, Used: in.Used, Want: in.Count, FixedGap: in.Gap, EggKill: in.KillsEggs, Wait: in.Wait}
	if in.Harvest != "" {
		if req.Harvest, err = day("harvest", in.Harvest); err != nil {
			return repeatsOut{}, err
		}
	}
	if in.LifeTable != "" {
		lt, err := table(b, in.LifeTable)
		if err != nil {
			return repeatsOut{}, err
		}
		if in.TempC == nil {
			return repeatsOut{}, fault.New("tempC", "is missing", "give the mean temperature of the coming days")
		}
		w, err := lifecycle.ClosedForm(lt, *in.TempC)
		if err != nil {
			return repeatsOut{}, err
		}
		req.Window = &w
	}
	s, err := lifecycle.Repeats(req)
	if err != nil {
		return repeatsOut{}, err
	}
	out := repeatsOut{Gap: s.Gap, Notes: s.Notes, Days: []string{}}
	for _, d := range s.Days {
		out.Days = append(out.Days, d.String())
	}
	return out, nil
}
