package settings

import (
	"context"

	"botanik/core/fault"
	"botanik/internal/accounts"
)

const keyKeeping = "keeping"

// Keeping is when the desk's file is copied by itself.
type Keeping struct {
	Every string `json:"every" enum:"never,day,week" doc:"how often; a week begins on Monday"`
	Hour  int    `json:"hour" minimum:"0" maximum:"23" doc:"of the desk's clock"`
	Keep  int    `json:"keep" minimum:"1" maximum:"60" doc:"how many are kept; older ones are taken away when a newer one is whole"`
}

// UsualKeeping holds until a coordinator says otherwise: a desk that nobody set up loses at
// most a day.
var UsualKeeping = Keeping{Every: "day", Hour: 3, Keep: 7}

// Keeping with its version.
func (s *Service) Keeping(ctx context.Context) (Keeping, int, error) {
	return read(ctx, s, keyKeeping, UsualKeeping)
}

// SetKeeping changes it. Coordinators only. Errors name every, hour or keep.
func (s *Service) SetKeeping(ctx context.Context, who accounts.Person, k Keeping, from int) error {
	if !who.May(accounts.SetHouse) {
		return accounts.ErrForbidden
	}
	var l fault.List
	if k.Every != "never" && k.Every != "day" && k.Every != "week" {
		l.Add("every", "is none of these", "use never, day or week")
	}
	if k.Hour < 0 || k.Hour > 23 {
		l.Add("hour", "is no hour of the day", "use 0 to 23")
	}
	if k.Keep < 1 || k.Keep > 60 {
		l.Add("keep", "is out of range", "keep 1 to 60")
	}
	if err := l.Err(); err != nil {
		return err
	}
	return s.put(ctx, who, keyKeeping, k, from)
}
