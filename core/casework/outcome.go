package casework

// Outcomes are how a case can end, best first.
var Outcomes = []string{"better", "cleared", "no change", "lost", "referred", "unknown"}
