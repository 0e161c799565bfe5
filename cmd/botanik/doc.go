// Command botanik is the plant desk: its server, its demo, and every
// computation from the command line. It wires the rooms together and holds no
// rule of the job.
package main
