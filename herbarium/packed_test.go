package herbarium

import (
	"bytes"
	"compress/gzip"
	"encoding/gob"
	"encoding/json"
	"reflect"
	"testing"

	"botanik/core/knowledge"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The form that opens quickly holds the same book as the sheets, entry for entry, and so
// does what is sent of it.
func TestThePackedBookIsTheBook(t *testing.T) {
	var e entries
	require.NoError(t, e.walk(ours, "herbarium/", nil))
	var b bytes.Buffer
	require.NoError(t, Pack(&b))
	z, err := gzip.NewReader(&b)
	require.NoError(t, err)
	var f form
	require.NoError(t, gob.NewDecoder(z).Decode(&f))
	canonical(reflect.ValueOf(&f.Entries))
	is, was := reflect.ValueOf(f.Entries), reflect.ValueOf(e.Entries)
	for i := range was.NumField() {
		for k := range was.Field(i).Len() {
			require.True(t, reflect.DeepEqual(was.Field(i).Index(k).Interface(), is.Field(i).Index(k).Interface()), "%s %d", was.Type().Field(i).Name, k)
		}
	}
	a, err := json.Marshal(e.Entries)
	require.NoError(t, err)
	c, err := json.Marshal(f.Entries)
	require.NoError(t, err)
	assert.Equal(t, string(a), string(c))
	of, err := sheets()
	require.NoError(t, err)
	assert.Equal(t, of, f.Sheets)
	assert.NotEqual(t, shapeOf(reflect.TypeFor[knowledge.Cause](), map[reflect.Type]bool{}), shapeOf(reflect.TypeFor[knowledge.Remedy](), map[reflect.Type]bool{}))
}
