// Package settings knows the coordinator's documents: who and where the desk is,
// and its rules (policy, law, the bottles on its shelf, answers to the questions
// good advisors disagree on), with the trace of each change in plain words. It
// must never know a case.
package settings
