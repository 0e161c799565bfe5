// Package mix turns a rate, a sprayer and a set of spoons into exact amounts.
//
// It knows units, rates, strengths, tanks and kitchen measures, all in exact
// rational arithmetic; nothing is rounded before the answer is shown. It must
// never know which remedy it mixes, nor let a mix pass the label's top rate.
// Unit definitions: the international yard and pound agreement (US customary),
// the Imperial gallon of exactly 4.54609 L, the metric cook's spoons of 5, 15
// and 20 mL. C1·V1 = C2·V2 for strengths.
package mix
