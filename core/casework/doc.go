// Package casework is the life of a case: its steps and stages, which step is
// allowed from which, when to ask how it went, and how a result is judged.
//
// It knows nothing of storage or people's names. Sources for the result:
// Abbott (1925) and Henderson & Tilton (1955); intervals by the delta method
// on logs with the overdispersion of the counts. The size of "no change" is
// judgement.
package casework
