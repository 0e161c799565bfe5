// Package weathersource is where the desk's hours of weather come from: hours that were brought in
// a file stand first, then those of the station whose address the house gives, then the
// stand-in's, which only the demo desk has; every hour says who it is from. A station speaks
// the protocol of docs/weather.md; what it says is held to what air can be. The package judges no hour:
// that is core/sprayday.
package weathersource
