// Package demo fills a desk with the fictional Merrin Sound Plant Desk: a busy
// day, with a season behind it. All people and places are made up; dates are
// set relative to the day it starts. It goes through package desk like any
// person, so that nothing in it could not have happened.
package demo
