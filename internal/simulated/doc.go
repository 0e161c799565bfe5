// Package simulated holds small simulated devices that ship with the program in
// place of ones outside it. Each says that it is simulated. It must never
// reach the network or know a case.
package simulated
