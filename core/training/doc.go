// Package training practises the job on made-up samples: cases drawn from the herbarium, short
// questions, what an answer was worth, and when to ask again.
//
// It knows the book, the ranking and figures about answers. It must never know who practises,
// where answers are kept, or a real case with its people.
//
// Sources: Brier (1950) and its parts after Murphy (1973); half-lives of memory as in Settles
// and Meeder, A Trainable Spaced Repetition Model (ACL 2016), with the weights under which
// theirs is Leitner's box.
package training
