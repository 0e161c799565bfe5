package desk_test

import (
	"context"
	"testing"

	"botanik/core/knowledge"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A book that is changed while something is worked out changes nothing of it.
func TestAMomentKeepsItsBook(t *testing.T) {
	d := open(t)
	m, err := d.Moment(context.Background())
	require.NoError(t, err)
	soap, engine := m.Book.Remedy("soap"), m.Engine()
	d.UseBook(knowledge.New(knowledge.Entries{}))
	assert.Same(t, soap, m.Book.Remedy("soap"))
	assert.Same(t, engine, m.Engine())
	after, err := d.Moment(context.Background())
	require.NoError(t, err)
	assert.Nil(t, after.Book.Remedy("soap"))
	assert.NotSame(t, engine, after.Engine())
}
