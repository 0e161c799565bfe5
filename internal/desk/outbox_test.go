package desk_test

import (
	"context"
	"errors"
	"strings"
	"sync"
	"testing"
	"time"

	"botanik/internal/accounts"
	"botanik/internal/desk"
	looproom "botanik/internal/loop"
	"botanik/internal/messaging"
	"botanik/internal/settings"
	"botanik/internal/simulated"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// written is a bean of a grower with an address, handed over.
func written(t *testing.T, contact string) *bench {
	b := open(t)
	in := bean
	in.Contact = contact
	b.treated(in)
	return b
}

func (b *bench) messages() []desk.Sent {
	b.t.Helper()
	out, err := b.Messages(context.Background(), b.v.ID)
	require.NoError(b.t, err)
	return out
}

// A page is sent, delivered and answered; the answer comes up in Rounds. What bounces, fails
// or is refused says so, what is busy is tried again.
func TestAMessageOnItsWay(t *testing.T) {
	ctx := context.Background()
	for contact, want := range map[string]string{"ilse@terrace.example": "delivered", "tel 0117 220": "delivered", "bounce@terrace.example": "bounced", "fail@terrace.example": "failed", "refuse@terrace.example": "failed", "busy@terrace.example": "delivered", "answer@terrace.example": "answered"} {
		b := written(t, contact)
		g := simulated.NewGateway()
		c := messaging.New(g, func(context.Context) (string, error) { return "", nil })
		_, err := b.Send(ctx, desk.Person{Role: accounts.Trainee}, b.v.ID, "page")
		require.ErrorIs(t, err, desk.ErrForbidden)
		for range 2 {
			list, err := b.Send(ctx, b.who, b.v.ID, "page")
			require.NoError(t, err)
			require.Len(t, list, 1, "pressed twice, written once")
		}
		for range 12 {
			_, err := b.DeliverOutbox(ctx, c)
			require.NoError(t, err)
			b.now = b.now.Add(10 * time.Minute)
		}
		m := b.messages()[0]
		assert.Equal(t, want, m.State, contact)
		assert.LessOrEqual(t, len(g.Took()), 1)
		assert.NotContains(t, m.Text, "{")
		if want == "answered" {
			v, err := b.View(ctx, b.v.ID)
			require.NoError(t, err)
			require.Len(t, v.FollowUps, 1)
			assert.Equal(t, "much better, thank you", v.FollowUps[0].Note)
			r, err := b.Rounds(ctx)
			require.NoError(t, err)
			assert.Equal(t, "answered", r.Rows[0].Kind)
		}
	}
}

// Who wants none gets none, not even what was waiting; who has no address is told of.
func TestWhoGetsNoMessage(t *testing.T) {
	ctx := context.Background()
	b := written(t, "Ilse@Terrace.example, west terrace")
	_, err := b.Send(ctx, b.who, b.v.ID, "page")
	require.NoError(t, err)
	require.NoError(t, b.NoMessages(ctx, b.who, b.v.ID, true))
	g := simulated.NewGateway()
	c := messaging.New(g, func(context.Context) (string, error) { return "", nil })
	_, err = b.DeliverOutbox(ctx, c)
	require.NoError(t, err)
	_, err = b.Send(ctx, b.who, b.v.ID, "ask")
	require.NoError(t, err)
	for _, m := range b.messages() {
		assert.Equal(t, "held", m.State)
		assert.Equal(t, "wants no messages", m.Said)
	}
	assert.Empty(t, g.Took())

	b = written(t, "ilse@terrace.example") // or says so on the page
	p, err := b.PageByToken(ctx, b.v.Page.Token)
	require.NoError(t, err)
	assert.True(t, p.Written)
	require.NoError(t, b.Tell(ctx, b.v.Page.Token, looproom.TellInput{NoMessages: true}))
	p, err = b.PageByToken(ctx, b.v.Page.Token)
	require.NoError(t, err)
	assert.False(t, p.Written)
	_, err = b.Send(ctx, b.who, b.v.ID, "page")
	require.NoError(t, err)
	assert.Equal(t, "held", b.messages()[0].State)

	b = written(t, "by letter")
	_, err = b.Send(ctx, b.who, b.v.ID, "page")
	assert.ErrorContains(t, err, "no mail address and no telephone number")
}

// The words are the coordinator's; what would say nothing is refused by name.
func TestTheWordsOfAMessage(t *testing.T) {
	ctx := context.Background()
	b := written(t, "ilse@terrace.example")
	words, v, err := b.House.Templates(ctx)
	require.NoError(t, err)
	for _, c := range []struct{ text, says string }{{"", "is empty"}, {"{grower}", "without {link}"}, {"{link} {shoe}", "{shoe} is nothing"}} {
		bad := words
		bad.Page = c.text
		require.ErrorContains(t, b.House.SetTemplates(ctx, boss, bad, v), c.says)
	}
	require.ErrorIs(t, b.House.SetTemplates(ctx, b.who, words, v), desk.ErrForbidden)
	words.Page = "Hello {grower}: {link}"
	require.NoError(t, b.House.SetTemplates(ctx, boss, words, v))
	id, at, err := b.House.Identity(ctx)
	require.NoError(t, err)
	id.Public = "https://desk.example/"
	require.NoError(t, b.House.SetIdentity(ctx, boss, id, at))
	list, err := b.Send(ctx, b.who, b.v.ID, "page")
	require.NoError(t, err)
	assert.Equal(t, "Hello Ilse: https://desk.example/p/"+b.v.Page.Token, list[0].Text)
	for _, bad := range []string{"ftp://x", "smtp://mail.example", "http://a:b@c"} {
		id.Gateway = bad
		assert.Error(t, b.House.SetIdentity(ctx, boss, id, at+1), bad)
	}
	assert.Equal(t, "x ", settings.Fill("x {nothing}", nil)+" ")
}

// flaky carries messages and breaks in every way: before it took one, and after.
type flaky struct {
	mu   sync.Mutex
	once bool
	plan func() int
	took map[string]int
}

func (f *flaky) Once(context.Context) bool { return f.once }

func (f *flaky) Send(_ context.Context, m messaging.Message) (messaging.Receipt, error) {
	f.mu.Lock()
	defer f.mu.Unlock()
	switch f.plan() {
	case 0:
		return messaging.Receipt{}, errors.New("nobody there")
	case 1: // taken, and the receipt is lost
		f.take(m.ID)
		if f.once {
			return messaging.Receipt{}, errors.New("broke off")
		}
		return messaging.Receipt{}, messaging.ErrUnsure
	}
	f.take(m.ID)
	return messaging.Receipt{State: "sent"}, nil
}

// take counts what goes out: one that knows its keys sends a key once.
func (f *flaky) take(id string) {
	if !f.once || f.took[id] == 0 {
		f.took[id]++
	}
}

func (f *flaky) State(context.Context, string) (messaging.Receipt, error) {
	return messaging.Receipt{State: "delivered"}, nil
}

// Whatever breaks: two workers at once, one that dies before it sends and one that dies
// after, receipts that are lost. No message goes out twice, and none is forgotten: each ends
// delivered or says that it failed.
func TestNoMessageGoesOutTwice(t *testing.T) {
	ctx := context.Background()
	b := written(t, "ilse@terrace.example")
	sent := 0
	rapid.Check(t, func(rt *rapid.T) {
		sent++
		b.now = b.now.AddDate(0, 0, 10)
		b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Silent: true}))
		before := len(b.messages())
		if before >= 95 { // as many as one case shows
			return
		}
		_, err := b.Send(ctx, b.who, b.v.ID, "ask")
		require.NoError(rt, err)
		f := &flaky{once: rapid.Bool().Draw(rt, "knows keys"), took: map[string]int{}}
		breaks := rapid.SliceOfN(rapid.IntRange(0, 3), 1, 8).Draw(rt, "breaks")
		n := 0
		f.plan = func() int { n++; return breaks[min(n, len(breaks))-1] }
		for range 14 {
			switch rapid.IntRange(0, 4).Draw(rt, "who") {
			case 0: // a worker dies before it sends
				_, err := b.Store.ClaimMessages(ctx, b.now, 2*time.Minute, 20)
				require.NoError(rt, err)
			case 1: // one dies after
				due, err := b.Store.ClaimMessages(ctx, b.now, 2*time.Minute, 20)
				require.NoError(rt, err)
				for _, m := range due {
					if m.Said != "lost" || f.once {
						_, _ = f.Send(ctx, messaging.Message{ID: m.ID})
					}
				}
			case 2: // two at once
				var w sync.WaitGroup
				for range 2 {
					w.Go(func() { _, _ = b.DeliverOutbox(ctx, f) })
				}
				w.Wait()
			default:
				_, err := b.DeliverOutbox(ctx, f)
				require.NoError(rt, err)
			}
			b.now = b.now.Add(time.Duration(rapid.IntRange(1, 200).Draw(rt, "minutes")) * time.Minute)
		}
		breaks = []int{2}
		for range 8 {
			_, err := b.DeliverOutbox(ctx, f)
			require.NoError(rt, err)
			b.now = b.now.Add(8 * time.Hour)
		}
		for id, times := range f.took {
			require.Equal(rt, 1, times, id)
		}
		last := b.messages()[before]
		require.Contains(rt, []string{"delivered", "failed"}, last.State)
		if last.State == "failed" && f.took[last.ID] == 0 {
			require.True(rt, strings.Contains(last.Said, "tried") || strings.Contains(last.Said, "nobody knows"), last.Said)
		}
	})
	require.Greater(t, sent, 50)
}
