package knowledge

import "fmt"

// Frequency is a word of the seven-step scale.
type Frequency string

var frequencies = map[Frequency]float64{"never": .003, "rare": .03, "seldom": .12, "sometimes": .35, "often": .65, "usually": .85, "always": .97}

// P returns the probability a frequency word stands for, 0 for an unknown word.
func (f Frequency) P() float64 { return frequencies[f] }

// State is one answer a finding can have. Background is how often it would be
// met on a plant brought in for any reason; the states of a finding are
// normalised to one.
type State struct {
	ID         string        `json:"id" yaml:"id"`
	Name       string        `json:"name" yaml:"name"`
	Said       string        `json:"said,omitempty" yaml:"said"`
	Background Frequency     `json:"background" yaml:"background"`
	Absent     bool          `json:"absent,omitempty" yaml:"absent"`
	Unfit      bool          `json:"unfit,omitempty" yaml:"unfit" doc:"the sample cannot be judged: it is sent on or brought again"`
	TakenFor   []string      `json:"takenFor,omitempty" yaml:"taken_for" doc:"states of the same finding it is easily taken for"`
	Words      []string      `json:"words,omitempty" yaml:"words" doc:"other words a grower has for it"`
	Degree     string        `json:"degree,omitempty" yaml:"degree" doc:"how heavy a trouble is that shows it: light, moderate or heavy; empty where it tells nothing of that"`
	Change     string        `json:"change,omitempty" yaml:"change" doc:"of a condition that favours trouble, what to do otherwise"`
	Drawing    *StateDrawing `json:"drawing,omitempty" yaml:"drawing" doc:"how it shows on the drawn sample"`
}

// StateDrawing is how a recorded state shows on the drawing of a sample: layers of the
// leaf, animals on it, characters of another part, or a change to the animals
// that are there already. Its words are the drawing kit's.
type StateDrawing struct {
	Layers  []string       `json:"layers,omitempty" yaml:"layers"`
	Amount  float64        `json:"amount,omitempty" yaml:"amount" doc:"how much of the layers, 0 to 1; all when left out"`
	Animals map[string]any `json:"animals,omitempty" yaml:"animals"`
	N       int            `json:"n,omitempty" yaml:"n" doc:"how many animals"`
	Add     map[string]any `json:"add,omitempty" yaml:"add"`
	Refine  map[string]any `json:"refine,omitempty" yaml:"refine"`
}

// Finding is a character that can be looked at: where, how, at what cost.
type Finding struct {
	ID          string   `json:"id" yaml:"id"`
	Name        string   `json:"name" yaml:"name"`
	Short       string   `json:"short" yaml:"short"`
	Hint        string   `json:"hint,omitempty" yaml:"hint"`
	Topic       string   `json:"topic" yaml:"topic" doc:"the group of lines it stands in on the Look step"`
	Part        string   `json:"part" yaml:"part" doc:"plant, shoot, leaf, flower, fruit, stem, root, pot or asked"`
	Where       string   `json:"where,omitempty" yaml:"where" doc:"upper, underside, veins, margin, axil, new growth, old growth, stalk end, blossom end…"`
	How         string   `json:"how" yaml:"how" doc:"asked, eye, lens, test, scope, meter or lab"`
	Minutes     float64  `json:"minutes" yaml:"minutes"`
	Fresh       bool     `json:"fresh,omitempty" yaml:"fresh" doc:"a first impression: asked after other looks, it is half hindsight and suggested less"`
	Destructive bool     `json:"destructive,omitempty" yaml:"destructive"`
	Cluster     string   `json:"cluster,omitempty" yaml:"cluster"`
	Many        bool     `json:"many,omitempty" yaml:"many" doc:"several of its states can stand together"`
	Misread     float64  `json:"misread,omitempty" yaml:"misread" doc:"how often it is misread even when sure, 0 to 1; the usual rate of its way of looking when left out"`
	Words       []string `json:"words,omitempty" yaml:"words" doc:"other words a grower has for it"`
	Stage       string   `json:"stage,omitempty" yaml:"stage" doc:"the stage of a pest that is seen when it is there: egg, crawler, young ..."`
	States      []State  `json:"states" yaml:"states"`
	From        string   `json:"from,omitempty" yaml:"-"`
}

// State returns the index of a state, -1 when the finding has none such.
func (f *Finding) State(id string) int {
	for i := range f.States {
		if f.States[i].ID == id {
			return i
		}
	}
	return -1
}

// Sign is a finding in any of some states.
type Sign struct {
	Finding string   `json:"finding" yaml:"finding"`
	States  []string `json:"states" yaml:"states"`
}

// LookAlike names another cause and the look that splits the two.
type LookAlike struct {
	Cause string `json:"cause" yaml:"cause"`
	Split string `json:"split" yaml:"split"`
}

// Action is something to do about a cause, mildest rung first.
type Action struct {
	Remedy   string `json:"remedy" yaml:"remedy"`
	Efficacy string `json:"worth" yaml:"worth" doc:"good, fair or some: how much it does against this cause"`
	When     string `json:"when,omitempty" yaml:"when" doc:"the condition in plain words, printed with the step"`
	How      string `json:"how,omitempty" yaml:"how" doc:"the manner for this cause, printed with the step"`

	Only *Condition `json:"only,omitempty" yaml:"only" doc:"the condition as data; the rules go by it"`
}

// Condition is when an action holds. What is empty binds nothing; what is given has
// to hold all together.
type Condition struct {
	Months   []int    `json:"months,omitempty" yaml:"months" doc:"months of the northern year"`
	Phase    []string `json:"phase,omitempty" yaml:"phase" doc:"any of: dormant, bud swell, in leaf, leaf fall, not in flower"`
	Hosts    []string `json:"hosts,omitempty" yaml:"hosts" doc:"any of: host id, group:, family:, form:"`
	NotHosts []string `json:"notHosts,omitempty" yaml:"not_hosts" doc:"none of these"`
	Stand    string   `json:"stand,omitempty" yaml:"stand" doc:"pot, ground, glass or outdoors"`
	Pressure []string `json:"pressure,omitempty" yaml:"pressure" doc:"any of: light, moderate, heavy"`
	Stages   []string `json:"stages,omitempty" yaml:"stages" doc:"any of these was seen, or nobody looked"`
	AboveC   float64  `json:"aboveC,omitempty" yaml:"above_c" doc:"°C of the hours it is done in"`
	BelowC   float64  `json:"belowC,omitempty" yaml:"below_c"`
	BadYear  bool     `json:"badYear,omitempty" yaml:"bad_year" doc:"only after a bad last year"`
	Prevents bool     `json:"prevents,omitempty" yaml:"prevents" doc:"against the next attack: it does nothing for this one"`
	Know     string   `json:"know,omitempty" yaml:"know" doc:"what no program can see and somebody has to know first"`
}

// MustNot is something that would harm or waste, with why.
type MustNot struct {
	What   string `json:"what" yaml:"what"`
	Why    string `json:"why" yaml:"why"`
	Remedy string `json:"remedy,omitempty" yaml:"remedy"`
	Does   string `json:"does,omitempty" yaml:"does" doc:"nothing or little; harm where it says neither"`
}

// Tolerable is the level below which nothing needs doing.
type Tolerable struct {
	Text    string  `json:"text" yaml:"text"`
	PerUnit float64 `json:"perUnit,omitempty" yaml:"per_unit" doc:"pests per leaf or shoot; 0 when not counted so"`
	Share   float64 `json:"share,omitempty" yaml:"share" doc:"share of leaves hit, 0 to 1; 0 when not counted so"`
	Unit    string  `json:"unit,omitempty" yaml:"unit"`
	Of      string  `json:"of,omitempty" yaml:"of" doc:"the tally it speaks of, where that is not pests: young, marks, parasitised"`
	None    bool    `json:"none,omitempty" yaml:"none" doc:"none is borne"`
	Source  string  `json:"source" yaml:"source"`
}

// Sampling is how a unit is counted: which, how many, where on the plant.
type Sampling struct {
	ID     string `json:"id" yaml:"id" doc:"the unit: leaf, shoot, plant ..."`
	Take   int    `json:"take" yaml:"take" doc:"units that mostly do"`
	Where  string `json:"where" yaml:"where"`
	How    string `json:"how" yaml:"how"`
	Spots  string `json:"spots" yaml:"spots" doc:"where on the drawing: leaves, tips, flowers, plants or ground"`
	Source string `json:"source" yaml:"source"`
	From   string `json:"from,omitempty" yaml:"-"`
}

// Cause is a pest, helper, harmless thing, disease, disorder or injury.
type Cause struct {
	ID           string                          `json:"id" yaml:"id"`
	Name         string                          `json:"name" yaml:"name"`
	Scientific   string                          `json:"scientific,omitempty" yaml:"scientific"`
	Class        string                          `json:"class" yaml:"class"`
	Kind         string                          `json:"kind" yaml:"kind" doc:"pest, helper, harmless, disease, disorder or injury"`
	Group        string                          `json:"group" yaml:"group" doc:"causes of one treatment group are treated the same way"`
	Commonness   string                          `json:"commonness" yaml:"commonness" doc:"very common, common, occasional, uncommon or rare"`
	Regulated    string                          `json:"regulated,omitempty" yaml:"regulated" doc:"why it goes to the authority; empty when it does not"`
	Abroad       string                          `json:"abroad,omitempty" yaml:"abroad" doc:"why it is reported where it is not at home, by regions and abroad_climates; empty when it is not"`
	AbroadIn     []string                        `json:"abroadIn,omitempty" yaml:"abroad_climates" doc:"climates in which it counts as not at home, whatever the region"`
	Unreported   string                          `json:"unreported,omitempty" yaml:"unreported" doc:"of a regulated cause, the words to the grower where it need not be reported; empty when it always must"`
	LabOnly      string                          `json:"labOnly,omitempty" yaml:"lab_only" doc:"why a desk cannot settle it; empty when it can"`
	Hosts        map[string]string               `json:"hosts" yaml:"hosts" doc:"host id, group:, family:, form: or any → strong, usual, weak, never"`
	Places       []string                        `json:"places,omitempty" yaml:"places"`
	Months       []int                           `json:"months,omitempty" yaml:"months" doc:"months met, northern year"`
	Climates     []string                        `json:"climates,omitempty" yaml:"climates" doc:"climates it lives in outdoors; empty for any"`
	Regions      []string                        `json:"regions,omitempty" yaml:"regions" doc:"parts of the world it is at home in; empty for any"`
	Parts        []string                        `json:"parts" yaml:"parts"`
	Findings     map[string]map[string]Frequency `json:"findings" yaml:"findings"`
	Calls        []Sign                          `json:"calls,omitempty" yaml:"calls" doc:"signs that call a danger or a suspect out by themselves, however unlikely it is else"`
	Confirms     []Sign                          `json:"confirms" yaml:"confirms"`
	Excludes     []Sign                          `json:"excludes,omitempty" yaml:"excludes"`
	MustLook     []string                        `json:"mustLook,omitempty" yaml:"must_look" doc:"findings that have to be looked at before it is settled"`
	Danger       string                          `json:"danger,omitempty" yaml:"danger" doc:"what it can do to people and what they must do first; empty when it is none to them"`
	LookAlikes   []LookAlike                     `json:"lookAlikes" yaml:"look_alikes"`
	Stages       []string                        `json:"stages,omitempty" yaml:"stages"`
	LifeTable    string                          `json:"lifeTable,omitempty" yaml:"life_table"`
	Crawlers     []int                           `json:"crawlers,omitempty" yaml:"crawlers" doc:"months in which the young of a scale walk, northern year: outdoors a spray on the young has to fall then"`
	SizeMm       []float64                       `json:"sizeMm,omitempty" yaml:"size_mm"`
	Spread       string                          `json:"spread" yaml:"spread"`
	Carries      string                          `json:"carries,omitempty" yaml:"carries"`
	Why          []string                        `json:"why" yaml:"why"`
	Seriousness  string                          `json:"seriousness" yaml:"seriousness" doc:"none, low, moderate, high"`
	Tolerable    Tolerable                       `json:"tolerable" yaml:"tolerable"`
	Recovers     string                          `json:"recovers" yaml:"recovers"`
	Disposal     string                          `json:"disposal" yaml:"disposal" doc:"none, compost, hot compost, bag or as local rules say"`
	DisposalNote string                          `json:"disposalNote,omitempty" yaml:"disposal_note"`
	Actions      []Action                        `json:"actions" yaml:"actions"`
	MustNot      []MustNot                       `json:"mustNot,omitempty" yaml:"must_not"`
	Plain        string                          `json:"plain" yaml:"plain" doc:"three sentences for the grower"`
	Drawing      map[string]any                  `json:"drawing" yaml:"drawing"`
	Source       string                          `json:"source" yaml:"source"`
	From         string                          `json:"from,omitempty" yaml:"-"`
}

// Host is a plant. Sensitive maps a class of product (oil, soap, sulfur,
// copper, alcohol, aromatic) to "care" or "never".
type Host struct {
	ID         string            `json:"id" yaml:"id"`
	Name       string            `json:"name" yaml:"name"`
	Scientific string            `json:"scientific" yaml:"scientific"`
	Aliases    []string          `json:"aliases,omitempty" yaml:"aliases"`
	Family     string            `json:"family" yaml:"family"`
	Group      string            `json:"group,omitempty" yaml:"group"`
	Form       string            `json:"form" yaml:"form" doc:"annual, perennial, woody, bulb, houseplant, succulent, conifer, palm, fern or orchid"`
	Eaten      string            `json:"eaten,omitempty" yaml:"eaten"`
	BeeVisited bool              `json:"beeVisited" yaml:"bees"`
	Dormant    bool              `json:"dormant" yaml:"dormant"`
	Tender     bool              `json:"tender,omitempty" yaml:"tender" doc:"the first frost ends it: out of doors it is not met in a winter with frost"`
	Sensitive  map[string]string `json:"sensitive,omitempty" yaml:"sensitive"`
	Leaf       string            `json:"leaf" yaml:"leaf"`
	Source     string            `json:"source,omitempty" yaml:"source"`
	From       string            `json:"from,omitempty" yaml:"-"`
}

// Rate is a label's typical range for one use. Texts are read by package mix.
type Rate struct {
	ID   string `json:"id" yaml:"id"`
	Name string `json:"name" yaml:"name"`
	Low  string `json:"low" yaml:"low"`
	High string `json:"high" yaml:"high"`
	Form string `json:"form" yaml:"form"`
	With string `json:"with,omitempty" yaml:"with" doc:"another part that has to be in the tank"`

	Stock string `json:"stock,omitempty" yaml:"-" doc:"of a strength, what the usual bottle holds, like 70 %"` // by New

	read *readRate // by New
}

// PlaceRate is an amount over a place rather than in water: dust or gypsum on a bed,
// a drench in a pot, helpers let loose on leaves.
type PlaceRate struct {
	ID   string  `json:"id" yaml:"id"`
	Name string  `json:"name" yaml:"name"`
	Per  string  `json:"per" yaml:"per" doc:"m2 (of bed or leafy ground), pot L (litre of pot) or plant"`
	Low  float64 `json:"low" yaml:"low"`
	High float64 `json:"high" yaml:"high"`
	Unit string  `json:"unit" yaml:"unit" doc:"g, mL of mix, animals or plants"`
	Way  string  `json:"way" yaml:"way" doc:"dust, bait, rake, water, pour, release or plant"`
	Bulk float64 `json:"gramsPerMl,omitempty" yaml:"g_per_ml" doc:"of what is weighed, the heaviest a levelled mL of it is met; approximate"`
}

// Hazards are judged 0 (none) to 3 (serious).
type Hazards struct {
	Bees    int `json:"bees" yaml:"bees"`
	Helpers int `json:"helpers" yaml:"helpers"`
	Water   int `json:"water" yaml:"water"`
	People  int `json:"people" yaml:"people"`
	Pets    int `json:"pets" yaml:"pets"`
	Plant   int `json:"plant" yaml:"plant"`
}

// Sum is the whole hazard, for choosing the least inside a rung.
func (h Hazards) Sum() int { return h.Bees + h.Helpers + h.Water + h.People + h.Pets + h.Plant }

// Remedy is anything a grower can be told to do, bottled or not.
type Remedy struct {
	ID              string             `json:"id" yaml:"id"`
	Name            string             `json:"name" yaml:"name"`
	Aliases         []string           `json:"aliases,omitempty" yaml:"aliases" doc:"what growers call it; a name two remedies share is asked about"`
	Classes         []string           `json:"classes,omitempty" yaml:"class" doc:"classes that rules speak of"`
	Rung            int                `json:"rung" yaml:"rung" doc:"0 leave it … 7 referred only"`
	Kind            string             `json:"kind" yaml:"kind" doc:"action, culture, helper, product or referred"`
	Ingredient      string             `json:"ingredient,omitempty" yaml:"ingredient"`
	ResistanceGroup string             `json:"mode,omitempty" yaml:"mode" doc:"mode-of-action group"`
	ModeName        string             `json:"modeName,omitempty" yaml:"mode_name"`
	Acts            string             `json:"acts,omitempty" yaml:"acts" doc:"contact, residual, gut, protects or cures"`
	Mortality       map[string]float64 `json:"kills,omitempty" yaml:"kills" doc:"stage → share killed where it reaches, 0 to 1"`
	HalfLife        float64            `json:"halfLifeDays,omitempty" yaml:"half_life_days"`
	TempMin         *float64           `json:"tempMinC,omitempty" yaml:"temp_min_c"`
	TempMax         *float64           `json:"tempMaxC,omitempty" yaml:"temp_max_c"`
	NoSun           bool               `json:"noSun,omitempty" yaml:"no_sun"`
	NoDrought       bool               `json:"noDrought,omitempty" yaml:"no_drought"`
	Harms           []string           `json:"harms,omitempty" yaml:"harms" doc:"sensitivity classes that concern it"`
	Bloom           string             `json:"bloom" yaml:"bloom" doc:"fine, evening or never"`
	Food            string             `json:"food" yaml:"food" doc:"fine, label or never"`
	WaitDays        int                `json:"waitDays,omitempty" yaml:"wait_days" doc:"days before harvest"`
	RepeatMin       int                `json:"repeatMinDays,omitempty" yaml:"repeat_min_days"`
	RepeatMax       int                `json:"repeatMaxDays,omitempty" yaml:"repeat_max_days"`
	MaxApplications int                `json:"mostPerSeason,omitempty" yaml:"most_per_season"`
	WinterTask      bool               `json:"winterTask,omitempty" yaml:"winter_task" doc:"cleaning up that is done while the plant rests"`
	Season          string             `json:"season,omitempty" yaml:"season" doc:"dormant: only without leaves; leaf: only in leaf"`
	Indoors         string             `json:"indoors" yaml:"indoors" doc:"fine, air or never"`
	Climate         string             `json:"climate,omitempty" yaml:"climate" doc:"where a released helper can live"`
	Only            string             `json:"only,omitempty" yaml:"only" doc:"where it can be done: pot, ground or glass; empty for anywhere"`
	Bottle          bool               `json:"bottle,omitempty" yaml:"bottle" doc:"its bottles differ many times in strength: mixed only at the rate on the bottle"`
	Active          *Active            `json:"active,omitempty" yaml:"active" doc:"of such a one, what a litre of finished mix holds; approximate"`
	Cuts            bool               `json:"cuts,omitempty" yaml:"cuts" doc:"it cuts living wood"`
	Hour            string             `json:"hour,omitempty" yaml:"hour" doc:"when in the day it is put on: morning, evening, or free for the school to say; empty where the hour does not matter"`
	Yields          bool               `json:"yields,omitempty" yaml:"yields" doc:"one name for many doings: where the cause says how, that stands in place of its own how"`
	Aside           bool               `json:"aside,omitempty" yaml:"aside" doc:"it goes beside what is done and cures nothing by itself"`
	Months          []int              `json:"months,omitempty" yaml:"months" doc:"months of the northern year it is done in; empty for any"`
	Prevents        bool               `json:"prevents,omitempty" yaml:"prevents" doc:"it keeps trouble from coming and does nothing for what is there"`
	Licensed        bool               `json:"licensed,omitempty" yaml:"licensed"`
	Flammable       bool               `json:"flammable,omitempty" yaml:"flammable"`
	Patch           bool               `json:"patch,omitempty" yaml:"patch" doc:"patch test first"`
	Hazards         Hazards            `json:"hazards" yaml:"hazards"`
	Wear            []string           `json:"wear,omitempty" yaml:"wear"`
	Storage         string             `json:"storage,omitempty" yaml:"storage"`
	Rates           []Rate             `json:"rates,omitempty" yaml:"rates"`
	Doses           []PlaceRate        `json:"doses,omitempty" yaml:"doses" doc:"amounts per bed, pot or plant"`
	How             []string           `json:"how" yaml:"how"`
	Cautions        []string           `json:"cautions" yaml:"cautions"`
	Like            string             `json:"like,omitempty" yaml:"like" doc:"stands in for another remedy wherever that one is meant, a step less worth"`
	Reach           string             `json:"reach,omitempty" yaml:"reach" doc:"leaf, soil, or empty for either"`
	Source          string             `json:"source" yaml:"source"`
	From            string             `json:"from,omitempty" yaml:"-"`
}

// Active is how much of its active ingredient a litre of finished mix holds: what the
// rate of a bottle is reckoned from, and held against. Without figures it is counted
// in something no bottle's strength is written in, as spores are.
type Active struct {
	Of   string  `json:"of" yaml:"of" doc:"the active ingredient"`
	Low  float64 `json:"lowGramsPerL,omitempty" yaml:"low"`
	High float64 `json:"highGramsPerL,omitempty" yaml:"high"`
}

// UnmarshalYAML reads it as it stands, and as the words it was before it had figures: a
// desk's own folder may still say "0.06 to 0.1 g of spinosad".
func (a *Active) UnmarshalYAML(read func(any) error) error {
	type plain Active
	if err := read((*plain)(a)); err == nil {
		return nil
	}
	*a = Active{}
	return read(&a.Of)
}

// String says it as a person does: "0.06 to 0.1 g of spinosad".
func (a *Active) String() string {
	if a.High == 0 {
		return a.Of
	}
	return fmt.Sprintf("%g to %g g of %s", a.Low, a.High, a.Of)
}

// Outgrown says whether pests can outgrow its way of killing: a numbered group of
// the public resistance codes. Suffocating and drying (groups UN-) cannot be.
func (r *Remedy) Outgrown() bool {
	return r.ResistanceGroup != "" && r.ResistanceGroup[0] >= '0' && r.ResistanceGroup[0] <= '9'
}

// Conflict keeps two remedies apart by days, one figure for each order, and
// says whether they may share a tank.
type Conflict struct {
	A         string `json:"a" yaml:"a"`
	B         string `json:"b" yaml:"b"`
	DaysAtoB  int    `json:"daysAtoB" yaml:"a_then_b_days"`
	DaysBtoA  int    `json:"daysBtoA" yaml:"b_then_a_days"`
	Tank      string `json:"tank" yaml:"tank" doc:"never, labels or allowed"`
	DormantOK bool   `json:"dormantOk,omitempty" yaml:"dormant_ok"`
	Why       string `json:"why" yaml:"why"`
	Source    string `json:"source" yaml:"source"`
	From      string `json:"from,omitempty" yaml:"-"`
}

// LifeStage is a stage with its thermal need.
type LifeStage struct {
	ID    string  `json:"id" yaml:"id"`
	Name  string  `json:"name" yaml:"name"`
	Lower float64 `json:"lowerC" yaml:"lower_c"`
	Upper float64 `json:"upperC" yaml:"upper_c"`
	DD    float64 `json:"degreeDays" yaml:"degree_days" doc:"degree-days above the lower threshold"`
	Soil  bool    `json:"soil,omitempty" yaml:"soil"`
}

// LifeTable is approximate development data for one pest.
type LifeTable struct {
	ID     string      `json:"id" yaml:"id"`
	Name   string      `json:"name" yaml:"name"`
	Spread float64     `json:"spread" yaml:"spread" doc:"slowest eggs take this share longer, 0.25 = a quarter"`
	Stages []LifeStage `json:"stages" yaml:"stages"`
	Lays   Lays        `json:"lays" yaml:"lays"`
	Source string      `json:"source" yaml:"source"`
	From   string      `json:"from,omitempty" yaml:"-"`
}

// Lays is how a pest multiplies, rough figures for the drawn course of a colony.
type Lays struct {
	DD        float64 `json:"degreeDays" yaml:"degree_days" doc:"degree-days a mother lays for, above the last stage's lower threshold"`
	Eggs      float64 `json:"eggs" yaml:"eggs" doc:"eggs or young of one mother in all"`
	Daughters float64 `json:"daughters" yaml:"daughters" doc:"share of daughters, 1 where no males are needed"`
	Lives     float64 `json:"lives" yaml:"lives" doc:"share that lives from egg to mother without enemies"`
}

// Protocol is how a slide or a strip is made ready at the bench.
type Protocol struct {
	ID     string         `json:"id" yaml:"id"`
	Name   string         `json:"name" yaml:"name"`
	Mind   string         `json:"mind" yaml:"mind" doc:"what is dangerous, and what makes it worthless"`
	Steps  []ProtocolStep `json:"steps" yaml:"steps"`
	Source string         `json:"source" yaml:"source"`
	From   string         `json:"from,omitempty" yaml:"-"`
}

// ProtocolStep is one step of it.
type ProtocolStep struct {
	Text    string  `json:"text" yaml:"text"`
	Minutes float64 `json:"minutes,omitempty" yaml:"minutes" doc:"of a step that takes its time"`
}

// School is a question where good advisors disagree. The house chooses one
// answer, a case may choose another; the default carries its reason.
type School struct {
	ID       string     `json:"id" yaml:"id"`
	Question string     `json:"question" yaml:"question"`
	Options  []Option   `json:"options" yaml:"options"`
	Near     [][]string `json:"-" yaml:"near" doc:"groups of remedies; it bears on a case where something of every group is on the ladder"`
	Default  string     `json:"default" yaml:"default"`
	Why      string     `json:"why" yaml:"why" doc:"why the default is the default"`
	Source   string     `json:"source" yaml:"source"`
	From     string     `json:"from,omitempty" yaml:"-"`
}

// Option is one answer of a school.
type Option struct {
	ID   string `json:"id" yaml:"id"`
	Name string `json:"name" yaml:"name"`
	Does string `json:"does" yaml:"does" doc:"what the program does under it, in one plain sentence"`
}

// Option returns an answer by id, nil when the school has none such.
func (s *School) Option(id string) *Option {
	for i := range s.Options {
		if s.Options[i].ID == id {
			return &s.Options[i]
		}
	}
	return nil
}
