// Package e2e drives the real page of the real program in headless Chromium:
// journeys of what a person does, pictures for docs/screenshots, and checks of
// access. It has only tests; it must never reach into the program.
package e2e
