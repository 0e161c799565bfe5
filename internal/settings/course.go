package settings

import (
	"context"
	"fmt"
	"slices"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/training"
	"botanik/internal/accounts"
)

const (
	keyCourse  = "course"
	keyOffered = "practice cases"
)

// mostOffered are how many closed cases are offered as practice at most.
const mostOffered = 60

// Offered are the closed cases the coordinator offers as practice, by id, with their version.
func (s *Service) Offered(ctx context.Context) ([]string, int, error) {
	return read(ctx, s, keyOffered, []string{})
}

// Offer puts a case among them or takes it out. Coordinators only.
func (s *Service) Offer(ctx context.Context, who accounts.Person, id string, offer bool) error {
	if !who.May(accounts.SetHouse) {
		return accounts.ErrForbidden
	}
	list, v, err := s.Offered(ctx)
	if err != nil {
		return err
	}
	list = slices.DeleteFunc(list, func(x string) bool { return x == id })
	if offer {
		if list = append(list, id); len(list) > mostOffered {
			return fault.New("", fmt.Sprintf("%d cases are offered already", mostOffered), "take one out first")
		}
	}
	return s.put(ctx, who, keyOffered, list, v)
}

// Course is what the coordinator would have practised: "scales before spring".
type Course struct {
	Name    string   `json:"name" maxLength:"80" doc:"as it is told to who practises; empty: no course is set"`
	Classes []string `json:"classes" maxItems:"20" doc:"classes of causes it is about: armored-scale, mite, fungus ...; all when empty"`
	Kinds   []string `json:"kinds" maxItems:"8" doc:"short forms it uses; all when empty"`
}

// Course with its version.
func (s *Service) Course(ctx context.Context) (Course, int, error) {
	return read(ctx, s, keyCourse, Course{Classes: []string{}, Kinds: []string{}})
}

// SetCourse changes it. Coordinators only. Errors name classes or kinds.
func (s *Service) SetCourse(ctx context.Context, who accounts.Person, c Course, from int) error {
	if !who.May(accounts.SetHouse) {
		return accounts.ErrForbidden
	}
	if err := s.checkCourse(&c); err != nil {
		return err
	}
	return s.put(ctx, who, keyCourse, c, from)
}

// checkCourse refuses what nobody can practise. Errors name classes or kinds.
func (s *Service) checkCourse(c *Course) error {
	var l fault.List
	c.Name = humanise.Line(c.Name)
	for i, class := range c.Classes {
		known := false
		for _, k := range s.base.Load().Causes {
			known = known || k.Class == class
		}
		if !known {
			l.Add(fmt.Sprintf("classes[%d]", i), fmt.Sprintf("%q is no class of the herbarium", class), "use the class of a cause: armored-scale, mite, fungus ...")
		}
	}
	for i, k := range c.Kinds {
		if !slices.Contains(training.Kinds, k) {
			l.Add(fmt.Sprintf("kinds[%d]", i), fmt.Sprintf("%q is no short form", k), "use plate, split, next, helper, unsafe, mix, recount or ratio")
		}
	}
	return l.Err()
}
