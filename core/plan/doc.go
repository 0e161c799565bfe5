// Package plan sets what is to be done to one plant on days: the request the label, the
// picking and the pest's life make of them, days fitted to the weather known, whether a day
// still fits, days set by hand, and what the weeks around them bring. It holds every figure
// of that with its reason. It must never know a case, a person or a file: a Task says what
// is done to which plant, a Moment from where and when it is looked at. What is said of an
// hour is core/sprayday, of a pest's pace core/lifecycle, of a remedy core/remedy.
package plan
