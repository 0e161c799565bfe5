package settings

import (
	"context"
	"encoding/json"
	"fmt"
	"sort"

	"botanik/core/civil"
	"botanik/core/remedy"
	"botanik/internal/store"
)

// News tells what changed in the rules after a version, in plain words: by whom,
// when, and which.
func (s *Service) News(ctx context.Context, m Moment, since int) ([]string, error) {
	out := []string{}
	if since >= m.Version {
		return out, nil
	}
	events, err := s.store.SettingEventsSince(ctx, keyHouse, since)
	if err != nil {
		return nil, err
	}
	for _, e := range events {
		var was, is remedy.House
		if e.Before != "" {
			_ = json.Unmarshal([]byte(e.Before), &was) // what could not be read said nothing
		}
		if e.After != "" && json.Unmarshal([]byte(e.After), &is) != nil {
			continue // its default held, and the Counter said so
		}
		for _, line := range s.ruleChanges(was, is) {
			out = append(out, fmt.Sprintf("%s changed the house rules on %s: %s.", e.Who, civil.Of(store.ParseTime(e.At), m.Clock).Spoken(m.Today), line))
		}
	}
	return out, nil
}

// ruleChanges names each rule that differs between two house documents.
func (s *Service) ruleChanges(was, is remedy.House) []string {
	out := []string{}
	name := func(id string) string {
		if r := s.base.Load().Remedy(id); r != nil {
			return r.Name
		}
		return id
	}
	keys := func(a, b map[string]string) []string {
		all := map[string]bool{}
		for k := range a {
			all[k] = true
		}
		for k := range b {
			all[k] = true
		}
		list := []string{}
		for k := range all {
			list = append(list, k)
		}
		sort.Strings(list)
		return list
	}
	or := func(v, d string) string {
		if v == "" {
			return d
		}
		return v
	}
	flat := func(h remedy.House) (policy, law, labels map[string]string) {
		policy, law, labels = map[string]string{}, map[string]string{}, map[string]string{}
		for k, p := range h.Policy {
			policy[k] = p.Use
		}
		for k, w := range h.Law {
			law[k] = w.Status
		}
		for k, l := range h.Labels {
			raw, _ := json.Marshal(l)
			labels[k] = string(raw)
		}
		return policy, law, labels
	}
	p1, l1, b1 := flat(was)
	p2, l2, b2 := flat(is)
	for _, k := range keys(p1, p2) {
		if a, b := or(p1[k], "yes"), or(p2[k], "yes"); a != b {
			out = append(out, fmt.Sprintf("%s, %s before and %s now", name(k), a, b))
		}
	}
	for _, k := range keys(l1, l2) {
		if a, b := or(l1[k], "allowed"), or(l2[k], "allowed"); a != b {
			out = append(out, fmt.Sprintf("local law on %s, %s before and %s now", k, a, b))
		}
	}
	for _, k := range keys(b1, b2) {
		if or(b1[k], "{}") != or(b2[k], "{}") {
			out = append(out, "the label of "+name(k))
		}
	}
	for _, k := range keys(was.Schools, is.Schools) {
		x := s.base.Load().School(k)
		if x == nil {
			continue
		}
		if a, b := or(was.Schools[k], x.Default), or(is.Schools[k], x.Default); a != b && x.Option(b) != nil {
			out = append(out, fmt.Sprintf("“%s” is now %s", x.Question, x.Option(b).Name))
		}
	}
	return out
}
