// Package differential says what a sample could be, how sure that is, and
// which one look would tell most.
//
// It knows Bayes' rule over the causes of a knowledge base, weights of
// evidence in decibans (10·log10 of a likelihood ratio), and decision loss. It
// must never know who asks or where an answer is kept. Order of findings never
// matters; an unknown changes nothing; probabilities sum to one; a finding
// equal in all causes changes nothing: each is a property test.
// Sources: Good, weight of evidence; Jeffreys, divergence; the rest judgement.
package differential
