package casefile

import (
	"encoding/json"
	"time"
)

// upgrades brings a document from a version to the next.
var upgrades = map[int]func([]byte) ([]byte, error){1: toRounds, 2: toActors}

// toRounds makes rounds of the one round version 1 kept. Of rounds before it
// only what they put on the plant and what was told of them is left; they are
// counted, and their hand-over has no name.
func toRounds(raw []byte) ([]byte, error) {
	var old struct {
		Intake    json.RawMessage   `json:"intake"`
		Looks     json.RawMessage   `json:"looks"`
		Photos    json.RawMessage   `json:"photos"`
		Verdict   json.RawMessage   `json:"verdict"`
		Act       *Act              `json:"act"`
		Treatment *Treatment        `json:"treatment"`
		Mix       *KeptMix          `json:"mix"`
		Doses     []KeptDose        `json:"doses"`
		Days      *Days             `json:"days"`
		Handover  *Handover         `json:"handover"`
		Page      json.RawMessage   `json:"page"`
		FollowUps []FollowUp        `json:"followUps"`
		Round     int               `json:"round"`
		AskOn     string            `json:"askOn"`
		Given     []Treated         `json:"given"`
		Closing   json.RawMessage   `json:"closing"`
		Schools   map[string]string `json:"schools"`
		HouseSeen *int              `json:"houseSeen"`
	}
	if err := json.Unmarshal(raw, &old); err != nil {
		return nil, err
	}
	rounds, now := []Round{}, Round{Act: old.Act, Treatment: old.Treatment, Mix: old.Mix, Doses: old.Doses, Days: old.Days, Handover: old.Handover}
	earlier := old.Round
	if old.Handover != nil {
		earlier--
	}
	for range earlier {
		rounds = append(rounds, Round{Handover: &Handover{}})
	}
	since, day := time.Time{}, ""
	if old.Handover != nil {
		since, day = old.Handover.At, old.Handover.At.Format("2006-01-02")
	}
	before := func() *Round { // where what came before the round in hand is kept
		if len(rounds) == 0 {
			return &now
		}
		return &rounds[len(rounds)-1]
	}
	for _, f := range old.FollowUps {
		if r := &now; old.Handover == nil || f.At.Before(since) {
			r = before()
			r.FollowUps = append(r.FollowUps, f)
		} else {
			r.FollowUps = append(r.FollowUps, f)
		}
	}
	for _, t := range old.Given {
		if old.Handover == nil || t.On < day {
			r := before()
			r.Given = append(r.Given, t)
		} else {
			now.Given = append(now.Given, t)
		}
	}
	return json.Marshal(map[string]any{"v": 2, "intake": old.Intake, "looks": old.Looks, "photos": old.Photos, "verdict": old.Verdict, "rounds": append(rounds, now), "page": old.Page, "askOn": old.AskOn, "closing": old.Closing, "schools": old.Schools, "houseSeen": old.HouseSeen})
}

// toActors marks what a grower told themselves: version 2 knew it by the name "the grower".
func toActors(raw []byte) ([]byte, error) {
	var doc map[string]any
	if err := json.Unmarshal(raw, &doc); err != nil {
		return nil, err
	}
	rounds, _ := doc["rounds"].([]any)
	for _, r := range rounds {
		round, _ := r.(map[string]any)
		told, _ := round["followUps"].([]any)
		for _, f := range told {
			if x, ok := f.(map[string]any); ok && x["by"] == "the grower" {
				x["fromGrower"] = true
			}
		}
	}
	doc["v"] = 3
	return json.Marshal(doc)
}
