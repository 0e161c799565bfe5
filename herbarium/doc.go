// Package herbarium holds the knowledge base as YAML a horticulturist can read
// and mend, and its loader. Entries live one list a file under causes/,
// findings/, hosts/ and remedies/, with conflicts.yaml, lifetables.yaml,
// schools.yaml and kinds.yaml beside them. A desk can lay its own folder over ours; each entry remembers
// the file it came from. The rules an entry must keep are in core/knowledge.
package herbarium
