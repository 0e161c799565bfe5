// Package knowledge says what a cause, a finding, a host and a remedy are, and
// checks that a knowledge base is sound.
//
// It knows the vocabulary and its rules. It must never know where the entries
// come from (the herbarium reads files) nor what is concluded from them
// (differential, remedy). The seven-step frequency scale is a judgement scale
// of this project: never .003, rare .03, seldom .12, sometimes .35, often .65,
// usually .85, always .97.
package knowledge
