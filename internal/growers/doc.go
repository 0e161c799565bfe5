// Package growers is the desk's list of those who bring something: who is who, taking two
// together and apart, and all that is kept of one, to hand over. It must never know another
// room; how a grower is named on a case is the desk's, and forgetting one is the records'.
package growers
