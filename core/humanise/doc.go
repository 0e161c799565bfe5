// Package humanise says figures as a person would. It knows words and nothing of
// plants; every other package of core may use it.
package humanise

import "fmt"

// Days says a number of days: "a day", "9 days".
func Days(n int) string {
	if n == 1 {
		return "a day"
	}
	return fmt.Sprintf("%d days", n)
}

// Times says how often: "once", "twice", "3 times".
func Times(n int) string {
	switch n {
	case 1:
		return "once"
	case 2:
		return "twice"
	}
	return fmt.Sprintf("%d times", n)
}

// Count says how many of something: "no cases", "1 case", "12 cases". The plural is one by s.
func Count(n int, of string) string {
	switch n {
	case 0:
		return "no " + of + "s"
	case 1:
		return "1 " + of
	}
	return fmt.Sprintf("%d %ss", n, of)
}
