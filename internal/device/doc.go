// Package device knows what a device or service outside the desk may be reached at, and how
// it is asked: no redirect is followed, so that a named bridge leads nowhere else. It knows
// no protocol.
package device
