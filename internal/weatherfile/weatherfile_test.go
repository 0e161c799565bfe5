package weatherfile

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"botanik/core/fault"
	"botanik/core/sprayday"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func london(t *testing.T) *time.Location {
	z, err := time.LoadLocation("Europe/London")
	require.NoError(t, err)
	return z
}

// The same two hours, written eight ways: 12.5 °C and 80 in 100 at 13:00 of a summer
// clock one hour before UTC, 20 °C, 50 in 100 with 2.5 mm an hour on.
func TestTheSameHoursWrittenManyWays(t *testing.T) {
	for name, text := range map[string]string{
		"plain":         "time,temp_c,humidity,wind_ms,rain_mm\n2026-07-11 13:00,12.5,80,2,0\n2026-07-11 14:00,20,50,3,2.5\n",
		"of a zone":     "time,temp_c,humidity,wind_ms,rain_mm\n2026-07-11T12:00:00Z,12.5,80,2,0\n2026-07-11T15:00:00+02:00,20,50,3,2.5\n",
		"other units":   "Date;Time;Air temp (°F);RH (%);Wind speed (km/h);Wind direction;Rain (in)\n11/07/2026;13:00;54,5;80;7,2;200;0\n11/07/2026;14:00;68;50;10,8;210;0,0984\n25/07/2026;24:99;;;;;\n",
		"with preamble": "# station on the roof\nsomewhere, 12 m\n\ntimestamp\ttemperature\trelative humidity\twind\tprecipitation\n1783771200\t12.5\t80\t2\t0\n1783774800\t20\t50\t3\t2.5\n",
		"an hour apart": "date,hour,temp,rh,wind,rain\n2026-07-11,13,12.5,80,2,0\n2026-07-11,14,20,50,3,2.5\n",
		"records":       `[{"time":"2026-07-11T12:00Z","temp_k":285.65,"humidity":"80","wind_kn":3.88769,"rain_cm":0},{"time":"2026-07-11T13:00Z","temp_k":293.15,"humidity":50,"wind_kn":5.83154,"rain_cm":0.25}]`,
		"side by side":  `{"place":"x","hourly":{"time":["2026-07-11T13:00","2026-07-11T14:00"],"temperature":[12.5,20],"relative_humidity":[80,50],"wind_speed":[2,3],"precipitation":[0,2.5],"precipitation_probability":[5,90]}}`,
		"by dew point":  "time,temp_c,dew_point_c,wind_ms,rain_mm\n2026-07-11 13:00,12.5,9.14,2,0\n2026-07-11 14:00,20,9.27,3,2.5\n",
		"in halves":     "time,temp_c,humidity,wind_ms,rain_mm\n2026-07-11 13:00,12,82,1,0\n2026-07-11 13:30,13,78,3,0\n2026-07-11 14:00,20,50,3,1\n2026-07-11 14:30,20,50,3,1.5\n",
	} {
		t.Run(name, func(t *testing.T) {
			m := Mapping{}
			if name == "with preamble" {
				m.Zone = "UTC"
			}
			r, err := Read(text, m, london(t))
			require.NoError(t, err)
			require.Len(t, r.Hours, 2)
			assert.Equal(t, "2026-07-11T12:00:00Z", r.Hours[0].At.Format(time.RFC3339))
			assert.Equal(t, "2026-07-11T13:00:00Z", r.Hours[1].At.Format(time.RFC3339))
			for i, want := range [][4]float64{{12.5, 80, 2, 0}, {20, 50, 3, 2.5}} {
				assert.InDelta(t, want[0], r.Hours[i].TempC, .05)
				assert.InDelta(t, want[1], r.Hours[i].Humidity, .5)
				assert.InDelta(t, want[2], r.Hours[i].WindMs, .05)
				assert.InDelta(t, want[3], r.Hours[i].RainMm, .01)
			}
		})
	}
}

// What is wrong is named where it is, and the rest is read.
func TestWhatIsWrongIsNamed(t *testing.T) {
	rows := func(lines ...string) string {
		return "time,temp_c,humidity,wind_ms,rain_mm\n" + strings.Join(lines, "\n")
	}
	r, err := Read(rows("2026-07-11 13:00,12,80,2,0", "2026-07-11 13:00,12,80,2,0", "later,12,80,2,0", "2026-07-11 14:00,112,80,2,0", "2026-07-11 15:00,12,,2,0", "2026-07-11 18:00,12,80,2,0"), Mapping{}, time.UTC)
	require.NoError(t, err)
	require.Len(t, r.Hours, 2)
	assert.Equal(t, 4, r.Refused)
	says := fmt.Sprint(r.Why)
	for _, want := range []string{"3 the moment 2026-07-11 13:00 is there twice", `4 "later" is no time`, "5 temperature of 112 °C cannot be", `6 the humidity is ""`} {
		assert.Contains(t, says, want)
	}
	assert.Equal(t, []Gap{{r.Hours[0].At.Add(time.Hour), r.Hours[1].At, 4}}, r.Gaps)

	for name, c := range map[string]struct {
		text, field string
		m           Mapping
	}{
		"nothing":          {"", "text", Mapping{}},
		"a picture":        {"\x00\x01", "text", Mapping{}},
		"no names":         {"1,2,3\n4,5,6\n", "text", Mapping{}},
		"half a JSON":      {`[{"time":`, "text", Mapping{}},
		"no wind":          {"time,temp_c,humidity,rain_mm\n2026-07-11 13:00,12,80,0\n", "columns.wind", Mapping{}},
		"no damp":          {"time,temp_c,wind,rain_mm\n2026-07-11 13:00,12,8,0\n", "columns.humidity", Mapping{}},
		"unknown column":   {rows("2026-07-11 13:00,12,80,2,0"), "columns.rain", Mapping{Columns: map[string]string{"rain": "pluvia"}}},
		"unknown quantity": {rows("2026-07-11 13:00,12,80,2,0"), "columns.snow", Mapping{Columns: map[string]string{"snow": "rain_mm"}}},
		"unknown unit":     {rows("2026-07-11 13:00,12,80,2,0"), "units.wind", Mapping{Units: map[string]string{"wind": "furlong"}}},
		"unknown zone":     {rows("2026-07-11 13:00,12,80,2,0"), "zone", Mapping{Zone: "Middle/Earth"}},
		"two ways":         {rows("03/04/2026 13:00,12,80,2,0"), "order", Mapping{}},
		"all of it wrong":  {rows("2026-07-11 13:00,900,80,2,0"), "text", Mapping{}},
		"centuries":        {rows("1926-07-11 13:00,12,80,2,0", "2026-07-11 13:00,12,80,2,0"), "text", Mapping{}},
	} {
		_, err := Read(c.text, c.m, time.UTC)
		fields := []string{}
		for _, f := range fault.From(err) {
			fields = append(fields, f.Field)
			assert.NotEmpty(t, f.Mend, name)
		}
		assert.Contains(t, fields, c.field, "%s: %v", name, err)
	}
}

// A unit that is wrong is seen by the figures: read aloud where there is one way, doubted
// where there are two.
func TestAWrongUnitIsSeen(t *testing.T) {
	day := func(head string, row func(i int) string) string {
		s := head + "\n"
		for i := range 30 {
			s += time.Date(2026, 7, 1, i, 0, 0, 0, time.UTC).Format("2006-01-02 15:04") + "," + row(i) + "\n"
		}
		return s
	}
	for name, c := range map[string]struct {
		text, says string
	}{
		"°F unsaid":       {day("time,temp,humidity,wind,rain", func(i int) string { return fmt.Sprintf("%d,70,2,0", 60+i) }), "read as °F"},
		"°F said to be C": {day("time,temp_c,humidity,wind,rain", func(i int) string { return fmt.Sprintf("%d,70,2,0", 40+i%10) }), "is it °F?"},
		"km/h":            {day("time,temp,humidity,wind,rain", func(i int) string { return "15,70,14,0" }), "is it km/h?"},
		"inches":          {day("time,temp,humidity,wind,rain", func(i int) string { return fmt.Sprintf("15,70,2,%.2f", float64(i%3)*.07) }), "is it inches?"},
		"a running total": {day("time,temp,humidity,wind,rain_mm", func(i int) string { return fmt.Sprintf("15,70,2,%d", i) }), "running total"},
	} {
		r, err := Read(c.text, Mapping{}, time.UTC)
		require.NoError(t, err, name)
		assert.Contains(t, strings.Join(r.Doubts, " "), c.says, name)
	}
	good, err := Read(day("time,temp_c,humidity,wind_ms,rain_mm", func(i int) string { return fmt.Sprintf("%d,70,3,%g", 10+i%12, float64(i%5)*.2) }), Mapping{}, time.UTC)
	require.NoError(t, err)
	assert.Empty(t, good.Doubts, "nothing is doubted of a usual day")
}

// The night the clocks go back has twenty-five hours, the one they go forward has
// twenty-three.
func TestClocksThatChange(t *testing.T) {
	for start, want := range map[string]int{"2026-10-25": 25, "2026-03-29": 23, "2026-06-01": 24} {
		zone := london(t)
		from, err := time.ParseInLocation("2006-01-02", start, zone)
		require.NoError(t, err)
		text := "time,temp_c,humidity,wind_ms,rain_mm\n"
		for at := from; at.Before(from.AddDate(0, 0, 1)); at = at.Add(time.Hour) {
			text += at.Format("2006-01-02 15:04") + ",10,70,2,0\n"
		}
		r, err := Read(text, Mapping{}, zone)
		require.NoError(t, err)
		assert.Len(t, r.Hours, want, start)
		assert.Empty(t, r.Gaps, start)
		assert.Zero(t, r.Refused, "%s: %v", start, r.Why)
	}
}

// Whatever a file holds, it is read or refused with a mend; what is read can be.
func FuzzRead(f *testing.F) {
	f.Add("time,temp_c,humidity,wind_ms,rain_mm\n2026-07-11 13:00,12.5,80,2,0\n", "")
	f.Add("Date;Time;T (F);RH;wind (mph);rain (in)\n1/2/2026;1330;54,5;80;7;0\n", "dmy")
	f.Add(`{"hourly":{"time":["2026-07-11T13:00"],"temp":[1],"rh":[2],"wind":[3],"rain":[4]}}`, "")
	f.Add(`[{"time":1783771200,"temp":"x","rh":null,"wind":{},"rain":[1e999]}]`, "mdy")
	f.Fuzz(func(t *testing.T, text, order string) {
		r, err := Read(text, Mapping{Order: order}, time.UTC)
		if err != nil {
			for _, x := range fault.From(err) {
				require.NotEmpty(t, x.Mend)
			}
			return
		}
		require.LessOrEqual(t, len(r.Hours), r.Rows)
		for i, h := range r.Hours {
			require.NoError(t, sprayday.CheckAir(h.TempC, h.Humidity))
			require.True(t, h.WindMs >= 0 && h.RainMm >= 0 && h.GustMs >= 0)
			require.True(t, i == 0 || r.Hours[i-1].At.Before(h.At))
		}
		_, err = json.Marshal(r)
		require.NoError(t, err)
	})
}

// Where the wind comes from is read in degrees and points of the compass, and put together
// across north; what is neither leaves the hour as it is.
func TestWhereTheWindComesFrom(t *testing.T) {
	for cells, want := range map[string]float64{"350,10": 360, "NNW,NNE": 360, "W,W": 270, "90,S": 135, "calm,": 0, "270,": 270} {
		a, b, _ := strings.Cut(cells, ",")
		r, err := Read("time,temp_c,humidity,wind_ms,wind_dir,rain_mm\n2026-07-11 13:00,12,80,2,"+a+",0\n2026-07-11 13:30,12,80,2,"+b+",0\n", Mapping{}, time.UTC)
		require.NoError(t, err)
		assert.InDelta(t, want, r.Hours[0].WindFrom, .5, cells)
	}
}
