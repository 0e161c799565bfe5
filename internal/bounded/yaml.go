package bounded

import (
	"fmt"

	"github.com/goccy/go-yaml/lexer"
	"github.com/goccy/go-yaml/token"
)

// Limits of a sheet of YAML that came from elsewhere.
const (
	// YAMLBytes of one sheet: our longest has some 60 kB.
	YAMLBytes = 256 << 10
	yamlDeep  = 20
	// yamlText is the longest single text, in bytes.
	yamlText = 16 << 10
)

// YAML reads a sheet's signs and refuses what grows when it is read: anchors, aliases and
// merges, lists and maps deep inside each other, texts of a size that no entry has. The
// error says what and in which line.
func YAML(data []byte) error {
	if len(data) > YAMLBytes {
		return fmt.Errorf("is larger than %d kB; split it", YAMLBytes>>10)
	}
	if err := brackets(data); err != nil {
		return err
	}
	deep, dashes, line := 0, 0, 0
	for _, t := range lexer.Tokenize(string(data)) {
		if t.Position != nil && t.Position.Line != line {
			line, dashes = t.Position.Line, 0
		}
		switch t.Type {
		case token.AnchorType, token.AliasType, token.MergeKeyType:
			return fmt.Errorf("line %d: has an anchor, an alias or a merge (& * <<); write the entry out", line)
		case token.SequenceStartType, token.MappingStartType:
			deep++
		case token.SequenceEndType, token.MappingEndType:
			deep--
		case token.SequenceEntryType, token.MappingValueType:
			dashes++
		}
		if deep > yamlDeep || dashes > yamlDeep {
			if deep > yamlDeep || t.Type == token.SequenceEntryType {
				return fmt.Errorf("line %d: lies more than %d deep; entries are a few levels at most", line, yamlDeep)
			}
		}
		if len(t.Value) > yamlText {
			return fmt.Errorf("line %d: has a text of more than %d kB; shorten it", line, yamlText>>10)
		}
	}
	return nil
}

// brackets refuses a run of open brackets that no entry has, before the signs are read:
// the reader of signs itself holds each of them.
func brackets(data []byte) error {
	run, line := 0, 1
	for _, c := range data {
		switch c {
		case '[', '{':
			run++
		case '\n':
			line++
		case ' ', '\t', '\r', ',':
		default:
			run = 0
		}
		if run > yamlDeep {
			return fmt.Errorf("line %d: lies more than %d deep; entries are a few levels at most", line, yamlDeep)
		}
	}
	return nil
}
