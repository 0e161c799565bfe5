package httpapi_test

import (
	"encoding/json"
	"flag"
	"fmt"
	"net/url"
	"os"
	"strings"
	"testing"
	"time"

	"botanik/herbarium"
	"botanik/internal/demo"
	"botanik/internal/httpapi"

	"github.com/stretchr/testify/require"
)

var record = flag.Bool("record", false, "write examples.json from what the demo desk answers")

// TestExamples plays one request of every operation at the demo desk. With
// -record its requests and answers become the examples of the description; else
// it holds that each still gets the same kind of answer.
func TestExamples(t *testing.T) {
	c := newDesk(t)
	out := map[string]httpapi.Example{}
	keep := func(id string, request any, a answer, want int) answer {
		t.Helper()
		require.Equal(t, want, a.Status, "%s: %s", id, a.Raw)
		var v any
		if a.Raw != "" && strings.HasPrefix(a.Header.Get("Content-Type"), "application/json") {
			require.NoError(t, json.Unmarshal([]byte(a.Raw), &v))
		}
		out[id] = httpapi.Example{Request: request, Response: shortened("", v)}
		return a
	}
	in := map[string]any{"login": "odile", "password": demo.Password}
	a := keep("sign-in", in, c.call("POST", "/api/v1/session", in), 200)
	o := *c
	o.cookie, o.token = strings.Split(a.Header.Get("Set-Cookie"), ";")[0], a.Body["token"].(string)
	read := func(id, path string) answer { t.Helper(); return keep(id, nil, o.call("GET", path, nil), 200) }
	ask := func(id, path string, body map[string]any) answer {
		t.Helper()
		return keep(id, body, o.call("POST", path, body), 200)
	}
	read("session", "/api/v1/session")
	read("today", "/api/v1/today")
	read("vocabulary", "/api/v1/vocabulary")
	read("cause", "/api/v1/causes/two-spotted-mite")
	read("list-cases", "/api/v1/cases?stage=handed&limit=1")
	read("search", "/api/v1/search?q=rose")
	read("split", "/api/v1/split?cause=two-spotted-mite&cause=rose-leafhopper")
	read("browse", "/api/v1/browse?host=rose&seen=spots%3Dfeathery")
	read("slide-key", "/api/v1/scope/key")
	ask("identify", "/api/v1/scope/identify", map[string]any{"group": "armored scale", "host": "lemon", "seen": []any{map[string]any{"character": "lobes", "state": "three"}, map[string]any{"character": "opening-lobe", "ratio": .6}}})
	ask("ratio", "/api/v1/scope/ratio", map[string]any{"a": []any{12, 12.5}, "b": []any{10, 10.5}, "line": 1})
	ask("reticle", "/api/v1/scope/reticle", map[string]any{"readings": []any{map[string]any{"divisions": 98, "micrometres": 245}}})
	ask("photo-scale", "/api/v1/scope/photo", map[string]any{"known": []any{map[string]any{"x": 100, "y": 100}, map[string]any{"x": 300, "y": 100}}, "millimetres": 10, "lines": []any{[]any{map[string]any{"x": 10, "y": 10}, map[string]any{"x": 110, "y": 10}}}})
	read("camera", "/api/v1/scope/camera")
	move := map[string]any{"slide": "3"}
	keep("set-camera", move, o.call("PUT", "/api/v1/scope/camera", move), 200)
	read("camera-frame", "/api/v1/scope/camera/frame")
	read("calibrations", "/api/v1/scope/calibrations")
	cal := map[string]any{"microscope": "bench compound", "objective": "40x", "readings": []any{map[string]any{"divisions": 98, "micrometres": 245}}}
	keep("calibrate", cal, o.call("PUT", "/api/v1/scope/calibrations", cal, "If-Match", `"0"`), 200)
	read("spray-days", "/api/v1/spray-days?remedy=soap")
	read("lately", "/api/v1/spray-days/lately")
	read("since-spray", "/api/v1/spray-days/since?remedy=copper&on="+c.d.Now().AddDate(0, 0, -9).Format("2006-01-02"))
	ask("winter", "/api/v1/spray-days/winter", map[string]any{"host": "peach", "causes": []any{"peach-leaf-curl"}, "badYear": true})
	hours := map[string]any{"name": "roof.csv", "text": "time,temp_c,humidity,wind_ms,rain_mm\n2026-07-11 13:00,18.5,70,2,0\n2026-07-11 14:00,19,65,3,0.4\n", "mapping": map[string]any{"units": map[string]any{"wind": "m/s"}}}
	ask("read-weather", "/api/v1/weather/read", hours)
	brought := ask("keep-weather", "/api/v1/weather/files", hours)
	read("weather-files", "/api/v1/weather/files")
	keep("drop-weather", nil, o.call("DELETE", "/api/v1/weather/files/"+firstID(t, brought.Raw), nil), 200)
	mine := ask("open-feed", "/api/v1/calendars", map[string]any{})
	read("feeds", "/api/v1/calendars")
	keep("end-feed", nil, o.call("DELETE", "/api/v1/calendars/"+mine.Body["token"].(string), nil), 200)
	ask("blend", "/api/v1/blend", map[string]any{"remedy": "soap", "use": "middle", "volume": "1 L", "spoons": "metric"})
	ask("place", "/api/v1/place", map[string]any{"remedy": "iron-bait", "area": "3 m2"})
	ask("need", "/api/v1/need", map[string]any{"plants": []any{map[string]any{"count": 2, "heightCm": 80, "widthCm": 60, "leaf": "dense"}}})
	ask("convert", "/api/v1/convert", map[string]any{"amount": "2 US tbsp", "to": "mL"})
	ask("earlier", "/api/v1/earlier", map[string]any{"text": "soap 9 days ago, neem on Tuesday"})

	sample := bean()
	sample["contact"] = "ilse@terrace.example"
	v := keep("check-in", sample, o.call("POST", "/api/v1/cases", sample, "Idempotency-Key", "0a7c2f4e-example"), 201)
	at := "/api/v1/cases/" + v.Body["id"].(string)
	do := func(id, method, path string, body map[string]any) answer {
		t.Helper()
		v = keep(id, body, o.call(method, at+path, body, "If-Match", v.Header.Get("ETag")), 200)
		return v
	}
	read("case", at)
	read("say", at+"/say?words=fine+webs")
	do("set-intake", "PUT", "/intake", sample)
	do("set-look", "PUT", "/looks/walker-spots", map[string]any{"state": "yes", "certainty": "sure"})
	do("undo", "POST", "/undo", map[string]any{})
	do("set-look", "PUT", "/looks/walker-spots", map[string]any{"state": "yes", "certainty": "sure"})
	do("put-look-aside", "PUT", "/looks/walker-spots/aside", map[string]any{"state": "yes", "why": "an old scar"})
	do("put-look-aside", "PUT", "/looks/walker-spots/aside", map[string]any{"state": "yes", "why": ""})
	pic := o.call("POST", at+"/photos?name=leaf.png", aPicture(t), "Content-Type", "application/octet-stream", "If-Match", v.Header.Get("ETag"))
	v = keep("add-photo", nil, pic, 200)
	leaf := map[string]any{"outline": []any{map[string]any{"x": 0, "y": 0}, map[string]any{"x": 8, "y": 0}, map[string]any{"x": 8, "y": 8}}}
	ask("leaf-share", at+"/photos/"+v.Body["photos"].([]any)[0].(map[string]any)["id"].(string)+"/share", leaf)
	marks := map[string]any{"leaf": leaf, "marks": map[string]any{"known": []any{map[string]any{"x": 10, "y": 10}, map[string]any{"x": 210, "y": 10}}, "millimetres": 20, "lines": []any{[]any{map[string]any{"x": 10, "y": 20}, map[string]any{"x": 60, "y": 20}}}}}
	v = keep("mark-photo", marks, o.call("PUT", at+"/photos/"+v.Body["photos"].([]any)[0].(map[string]any)["id"].(string)+"/marks", marks, "If-Match", v.Header.Get("ETag")), 200)
	v = keep("drop-photo", nil, o.call("DELETE", at+"/photos/"+v.Body["photos"].([]any)[0].(map[string]any)["id"].(string), nil, "If-Match", v.Header.Get("ETag")), 200)
	wren := c.signIn("wren")
	v = wren.call("PUT", at+"/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"}, "If-Match", v.Header.Get("ETag"))
	do("review", "POST", "/review", map[string]any{"agree": true})
	do("set-verdict", "PUT", "/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"})
	ask("weigh", at+"/weigh", map[string]any{"counts": []any{4, 0, 12, 7, 3}})
	do("set-act", "PUT", "/act", map[string]any{"counts": []any{4, 0, 12, 7, 3}, "choice": "act", "pressure": "moderate"})
	read("advice", at+"/advice")
	do("set-school", "PUT", "/school", map[string]any{"school": "rhythm", "option": "weekly"})
	do("set-remedy", "PUT", "/remedy", map[string]any{"remedies": []any{"soap", "hose-off"}})
	do("set-mix", "PUT", "/mix", map[string]any{"remedy": "soap", "volume": "1 L", "sprayer": "1 L", "spoons": "metric"})
	ask("plan-days", at+"/plan-days", map[string]any{"count": 2})
	do("set-days", "PUT", "/days", map[string]any{"count": 2})
	read("sheet", at+"/sheet")
	do("hand-over", "POST", "/handover", map[string]any{})
	ask("send-message", at+"/messages", map[string]any{"kind": "page"})
	read("messages", at+"/messages")
	keep("no-messages", map[string]any{"none": true}, o.call("PUT", at+"/messages/none", map[string]any{"none": true}), 200)
	words := read("templates", "/api/v1/templates")
	keep("set-templates", words.Body, o.call("PUT", "/api/v1/templates", words.Body, "If-Match", words.Header.Get("ETag")), 200)
	keep("page", nil, c.call("GET", "/api/v1/page/"+v.Body["handover"].(map[string]any)["token"].(string), nil), 200)
	do("follow-up", "POST", "/followup", map[string]any{"count": map[string]any{"beforeCounts": []any{14, 9, 22, 11, 17}, "afterCounts": []any{1, 0, 3, 2, 0}}, "note": "much better"})
	read("rounds", "/api/v1/rounds")
	do("end-page", "POST", "/page/end", map[string]any{})
	do("next-round", "POST", "/round", map[string]any{"move": "bring back"})
	bait := o.call("POST", "/api/v1/cases", map[string]any{"grower": "Ilse", "plant": "hosta", "place": "garden", "story": "holes"}, "Idempotency-Key", "1b7c2f4e-example")
	b := "/api/v1/cases/" + bait.Body["id"].(string)
	bait = o.call("PUT", b+"/verdict", map[string]any{"cause": "slug", "degree": "open"}, "If-Match", bait.Header.Get("ETag"))
	require.Equal(t, 200, bait.Status, bait.Raw)
	bait = o.call("PUT", b+"/remedy", map[string]any{"remedies": []string{"iron-bait"}}, "If-Match", bait.Header.Get("ETag"))
	require.Equal(t, 200, bait.Status, bait.Raw)
	dose := map[string]any{"remedy": "iron-bait", "area": "3 m2"}
	keep("set-dose", dose, o.call("PUT", b+"/dose", dose, "If-Match", bait.Header.Get("ETag")), 200)
	do("close", "POST", "/close", map[string]any{"outcome": "unknown", "note": "moved away", "followed": "partly"})
	do("reopen", "POST", "/reopen", map[string]any{})
	soaped := o.call("GET", "/api/v1/cases?stage=handed&limit=1", nil).Body["cases"].([]any)[0].(map[string]any)
	told := o.call("POST", "/api/v1/cases/"+soaped["id"].(string)+"/followup", map[string]any{"word": "gone"}, "If-Match", fmt.Sprintf("%q", fmt.Sprint(soaped["version"])))
	require.Equal(t, 200, told.Status, told.Raw)
	keep("take-next", map[string]any{}, o.call("POST", "/api/v1/cases/"+soaped["id"].(string)+"/next", map[string]any{}, "If-Match", told.Header.Get("ETag")), 200)
	read("story", at+"/story")

	read("growers", "/api/v1/growers?q=tam")
	person := func(name string) string {
		list := o.call("GET", "/api/v1/growers?q="+url.QueryEscape(name), nil)
		require.NotEmpty(t, many(t, list.Raw), name)
		return many(t, list.Raw)[0]["id"].(string)
	}
	oake := person("Perrin Oake")
	read("export-grower", "/api/v1/growers/export?person="+oake)
	read("grower-mentions", "/api/v1/growers/mentions?person="+oake)
	ask("merge-growers", "/api/v1/growers/merge", map[string]any{"from": person("Sorrel Whitby"), "into": person("Rhona Tice")})
	tice := person("Rhona Tice")
	theirs := many(t, o.call("GET", "/api/v1/growers?q=Rhona+Tice", nil).Raw)[0]["earlier"].([]any)[0].(map[string]any)["id"]
	ask("split-grower", "/api/v1/growers/split", map[string]any{"person": tice, "name": "Sorrel Whitby", "cases": []any{theirs}})
	ask("forget-grower", "/api/v1/growers/forget", map[string]any{"person": oake, "also": []any{"Perrin"}})
	read("together", at+"/together")
	pair := []any{}
	for _, plant := range []string{"bean", "rose"} {
		x := o.call("POST", "/api/v1/cases", map[string]any{"grower": "Ilse Marrow", "plant": plant, "place": "garden", "story": "cannot be told", "person": person("Ilse Marrow")}, "Idempotency-Key", "together-"+plant)
		x = o.call("PUT", "/api/v1/cases/"+x.Body["id"].(string)+"/verdict", map[string]any{"degree": "undetermined"}, "If-Match", x.Header.Get("ETag"))
		require.Equal(t, 200, x.Status, x.Raw)
		pair = append(pair, map[string]any{"id": x.Body["id"], "version": x.Body["version"]})
	}
	ask("hand-over-together", "/api/v1/handover-together", map[string]any{"cases": pair})
	load := read("workload", "/api/v1/workload")
	staff := load.Body["people"].([]any)
	some := func(i int) string { return staff[i].(map[string]any)["id"].(string) }
	lead := o.call("GET", "/api/v1/cases/"+pair[0].(map[string]any)["id"].(string), nil)
	give := map[string]any{"to": some(1)}
	keep("give-case", give, o.call("POST", "/api/v1/cases/"+lead.Body["id"].(string)+"/keeper", give, "If-Match", lead.Header.Get("ETag")), 200)
	ask("give-all", "/api/v1/workload/give", map[string]any{"from": some(1), "to": some(0)})
	away := map[string]any{"account": some(1), "first": "2099-08-01", "last": "2099-08-14"}
	ask("set-away", "/api/v1/workload/away", away)
	ask("end-away", "/api/v1/workload/away/end", map[string]any{"account": some(1), "first": "2099-08-01"})
	read("day", "/api/v1/day")

	read("season", "/api/v1/season")
	read("find", "/api/v1/find?cause=two-spotted-mite&sort=-brought&most=2")
	saved := ask("save-search", "/api/v1/searches", map[string]any{"name": "mites on beans", "query": "cause=two-spotted-mite&host=french-bean"})
	read("saved-searches", "/api/v1/searches")
	keep("drop-search", nil, o.call("DELETE", "/api/v1/searches/"+firstID(t, saved.Raw), nil), 200)
	read("record-tables", "/api/v1/records")
	ask("export-records", "/api/v1/records/export", map[string]any{"what": "cases", "find": map[string]any{"cause": "two-spotted-mite"}})
	up := ask("bring-file", "/api/v1/imports", map[string]any{"name": "cards.csv"}).Body["id"].(string)
	part := o.call("PUT", "/api/v1/imports/"+up+"?offset=0", "date,plant,diagnosis\n2024-05-02,Rose,rust\n2024-05-32,Rose,rust\n", "Content-Type", "application/octet-stream")
	keep("bring-part", nil, part, 200)
	ask("read-import", "/api/v1/imports/"+up+"/read", map[string]any{})
	work := ask("keep-import", "/api/v1/imports/"+up+"/keep", map[string]any{"name": "cards.csv"})
	require.Eventually(t, func() bool {
		return many(t, o.call("GET", "/api/v1/jobs", nil).Raw)[0]["state"] == "done"
	}, time.Minute, 10*time.Millisecond)
	read("jobs", "/api/v1/jobs")
	keep("stop-job", nil, o.call("DELETE", "/api/v1/jobs/"+work.Body["id"].(string), nil), 200)
	batch := firstID(t, read("imports", "/api/v1/imports").Raw)
	ask("undo-import", "/api/v1/imports/"+batch+"/undo", map[string]any{})
	health := read("health", "/api/v1/keeping")
	keeping := map[string]any{"every": "day", "hour": 2, "keep": 10}
	keep("set-keeping", keeping, o.call("PUT", "/api/v1/keeping", keeping, "If-Match", fmt.Sprintf("%q", fmt.Sprint(health.Body["version"]))), 200)
	ask("backup-now", "/api/v1/keeping/now", map[string]any{})
	ask("check-file", "/api/v1/keeping/check", map[string]any{})
	c.d.Books = herbarium.Load
	keep("drop-book", nil, o.call("DELETE", "/api/v1/keeping/herbarium", nil), 200)
	read("troubles", "/api/v1/keeping/troubles")
	asked := ask("invite", "/api/v1/people/invite", map[string]any{"login": "petra", "name": "Petra", "role": "trainee"})
	path := asked.Body["path"].(string)
	newcomer := asked.Body["person"].(map[string]any)["id"].(string)
	ask("invite-again", "/api/v1/people/"+newcomer+"/invite", map[string]any{})
	again := o.call("POST", "/api/v1/people/"+newcomer+"/invite", map[string]any{}).Body["path"].(string)
	require.Equal(t, 404, c.call("GET", "/api/v1"+path, nil).Status, "the address before has ended")
	keep("invited", nil, c.call("GET", "/api/v1"+again, nil), 200)
	keep("join", map[string]any{"password": "a-long-password"}, c.call("POST", "/api/v1"+again, map[string]any{"password": "a-long-password"}), 200)
	require.Equal(t, 404, c.call("POST", "/api/v1"+again, map[string]any{"password": "another-password"}).Status, "good once")
	c.signIn("ansel")
	ansel := ""
	for _, p := range many(t, o.call("GET", "/api/v1/people", nil).Raw) {
		if p["login"] == "ansel" {
			ansel = p["id"].(string)
		}
	}
	open := read("sessions", "/api/v1/people/"+ansel+"/sessions")
	keep("end-session", nil, o.call("DELETE", "/api/v1/people/"+ansel+"/sessions/"+firstID(t, open.Raw), nil), 200)
	read("people-trace", "/api/v1/people/trace")

	course := map[string]any{"name": "scales before spring", "classes": []any{"armored-scale", "soft-scale"}, "kinds": []any{"split", "plate"}}
	keep("set-course", course, o.call("PUT", "/api/v1/drill/course", course, "If-Match", `"0"`), 200)
	read("practice", "/api/v1/drill")
	q := ask("ask-me", "/api/v1/drill/questions", map[string]any{"kind": "plate"})
	said := map[string]any{"choice": q.Body["options"].([]any)[0].(map[string]any)["id"], "sure": .7}
	ask("answer-me", "/api/v1/drill/questions/"+q.Body["id"].(string), said)
	pc := ask("practise-case", "/api/v1/drill/cases", map[string]any{})
	drillAt := "/api/v1/drill/cases/" + pc.Body["id"].(string)
	ask("practice-look", drillAt+"/look", map[string]any{"finding": "flecks"})
	read("practice-case", drillAt)
	ask("practice-verdict", drillAt+"/verdict", map[string]any{"sure": .5, "act": "refer"})
	closed := ""
	for _, x := range o.call("GET", "/api/v1/cases?stage=closed&limit=200", nil).Body["cases"].([]any) {
		if x.(map[string]any)["plant"] == "Runner bean" {
			closed = x.(map[string]any)["id"].(string)
		}
	}
	require.NotEmpty(t, closed)
	keep("offer-old", map[string]any{"offer": true}, o.call("PUT", "/api/v1/drill/old/"+closed, map[string]any{"offer": true}), 200)
	read("old-cases", "/api/v1/drill/old")
	ask("practise-old", "/api/v1/drill/old/"+closed, map[string]any{})
	read("learners", "/api/v1/drill/learners")

	h := read("house", "/api/v1/house")
	rules := map[string]any{"policy": map[string]any{"pyrethrins": map[string]any{"use": "heavy", "why": "the market keeps bees on the roof"}}}
	keep("set-house", rules, o.call("PUT", "/api/v1/house", rules, "If-Match", h.Header.Get("ETag")), 200)
	i := read("identity", "/api/v1/identity")
	keep("set-identity", i.Body, o.call("PUT", "/api/v1/identity", i.Body, "If-Match", i.Header.Get("ETag")), 200)
	read("people", "/api/v1/people")
	isolde := map[string]any{"login": "isolde", "name": "Isolde", "role": "trainee", "password": "a-long-password"}
	p := keep("add-person", isolde, o.call("POST", "/api/v1/people", isolde), 200)
	change := map[string]any{"role": "advisor"}
	keep("set-person", change, o.call("PUT", "/api/v1/people/"+p.Body["id"].(string), change), 200)
	pass := map[string]any{"old": demo.Password, "password": "another-long-password"}
	keep("set-password", pass, o.call("PUT", "/api/v1/session/password", pass), 204)

	if *record {
		raw, err := json.MarshalIndent(out, "", " ")
		require.NoError(t, err)
		require.NoError(t, os.WriteFile("examples.json", append(raw, '\n'), 0o644))
		fmt.Println(len(out), "examples,", len(raw)/1024, "kB")
	}
}

// shortened keeps the first of every list, and tokens that are nobody's.
func shortened(key string, v any) any {
	switch x := v.(type) {
	case []any:
		most := 1
		if len(x) == 2 { // a range or the two ends of a length stays whole
			switch y := x[0].(type) {
			case float64:
				most = 2
			case map[string]any:
				if y["x"] != nil {
					most = 2
				}
			}
		}
		x = x[:min(len(x), most)]
		for i := range x {
			x[i] = shortened("", x[i])
		}
		return x
	case map[string]any:
		for k := range x {
			x[k] = shortened(k, x[k])
		}
		return x
	case string:
		switch {
		case key == "token":
			return "k3Jt0Vq-example-of-a-token"
		case len(x) == 26 && strings.HasPrefix(x, "01") && strings.ToUpper(x) == x: // made anew each time
			return "01K0EXAMPLE000000000000000"
		}
	}
	return v
}

// firstID of a list of things that have one.
func firstID(t *testing.T, raw string) string {
	t.Helper()
	var list []struct {
		ID string `json:"id"`
	}
	require.NoError(t, json.Unmarshal([]byte(raw), &list))
	require.NotEmpty(t, list)
	return list[0].ID
}

// many reads an answer that is a list.
func many(t *testing.T, raw string) []map[string]any {
	out := []map[string]any{}
	require.NoError(t, json.Unmarshal([]byte(raw), &out))
	return out
}
