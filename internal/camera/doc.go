// Package camera asks a microscope's camera for frames, by the protocol of
// docs/scope-camera.md: the simulated one that ships with the program, or the
// bridge a coordinator named in House rules. It must never know a case.
package camera
