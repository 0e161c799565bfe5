package casework

// RoundKinds are the places a case has in the queue of follow-ups, the most pressing first:
// the grower has answered, is to be telephoned, the coordinator asks the authority, is late,
// due, was heard and no step was taken, may not have read that a day moved, soon.
var RoundKinds = []string{"answered", "call", "boss", "late", "due", "decide", "moved", "soon"}

// QueueState is what decides where a case that is due stands in the queue.
type QueueState struct {
	Unread    bool // told on the grower's page, and nobody has answered
	Silences  int  // without an answer, one after the other
	Regulated bool
	Heard     bool // the last word was the grower's, with a next step advised
	Late      int  // days
}

// RoundKind is the place of a case that is due: what a grower said comes before what the
// desk forgot.
func RoundKind(s QueueState) string {
	switch {
	case s.Unread:
		return "answered"
	case s.Silences >= SilencesToCall:
		return "call"
	case s.Regulated:
		return "boss"
	case s.Heard:
		return "decide"
	case s.Late > 0:
		return "late"
	}
	return "due"
}
