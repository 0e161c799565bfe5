package main

import (
	"bytes"
	"fmt"
	"os"

	"botanik/herbarium"
)

func main() {
	var b bytes.Buffer
	err := herbarium.Pack(&b)
	if err == nil && len(os.Args) == 2 {
		err = os.WriteFile(os.Args[1], b.Bytes(), 0o644)
	} else if err == nil {
		err = fmt.Errorf("give the file to write")
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "pack:", err)
		os.Exit(1)
	}
}
