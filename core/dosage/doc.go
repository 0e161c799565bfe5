// Package dosage is how much of a remedy of the herbarium: its rate under this
// house's bottle and the law, with what may share its tank, in water or over a
// bed, pots or plants. It joins knowledge, remedy and mix, and holds the rules
// between them: the label's range outranks the herbarium's, what the law takes
// away is not measured, what may not share a tank is refused with its reason.
// It must never know a case. Its figures are the herbarium's and the label's.
package dosage
