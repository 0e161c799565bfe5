// Package guard keeps one mistake of ours from ending the program: whatever runs outside a
// request runs inside it. It knows nothing of what runs.
package guard
