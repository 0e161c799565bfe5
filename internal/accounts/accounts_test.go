package accounts

import (
	"context"
	"errors"
	"fmt"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"botanik/core/fault"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Real hashing is slow on purpose; what is tested here is not its strength.
func init() { hashing.Memory, hashing.Iterations = 64, 1 }

type door struct {
	*Service
	t   *testing.T
	now time.Time
}

func opened(t *testing.T) *door {
	st, err := store.Open(context.Background(), t.TempDir())
	require.NoError(t, err)
	t.Cleanup(func() { _ = st.Close() })
	d := &door{t: t, now: time.Date(2026, 7, 11, 10, 0, 0, 0, time.UTC)}
	d.Service = New(st, func() time.Time { return d.now })
	return d
}

func (d *door) add(login, role string) Person {
	p, err := d.Add(context.Background(), Person{}, NewPerson{Login: login, Name: login, Role: role, Password: "right-" + login})
	require.NoError(d.t, err)
	return p
}

func (d *door) try(login, password, from string) error {
	_, err := d.SignIn(context.Background(), login, password, from)
	return err
}

func TestAStrangerShutsNobodyOut(t *testing.T) {
	d := opened(t)
	d.add("odile", Coordinator)
	require.NoError(t, d.try("odile", "right-odile", "10.0.0.2"))
	for range 5 {
		assert.ErrorIs(t, d.try("odile", "wrong", "10.0.0.9"), ErrSignIn)
	}
	var w Wait
	require.ErrorAs(t, d.try("odile", "right-odile", "10.0.0.9"), &w, "that name from that address waits")
	assert.InDelta(t, 15, w.For.Seconds(), 1)
	require.NoError(t, d.try("odile", "right-odile", "10.0.0.2"), "the desk's own machine does not")

	for i := range 70 {
		_ = d.try(fmt.Sprintf("name-%d", i), "spring-2026", "10.0.0.2")
	}
	require.ErrorAs(t, d.try("somebody", "x", "10.0.0.2"), &w, "one password over many names is held up too")
	require.NoError(t, d.try("odile", "right-odile", "10.0.0.2"), "who signed in from there before still can")
	d.now = d.now.Add(10 * time.Second)
	assert.ErrorIs(t, d.try("somebody", "x", "10.0.0.2"), ErrSignIn, "and it eases by itself")
}

func TestASignInOfOnesOwnDoesNotForgiveGuessing(t *testing.T) {
	d := opened(t)
	d.add("ansel", Advisor)
	wrong := 0
	for i := range 76 {
		if errors.Is(d.try(fmt.Sprintf("name-%d", i), "one-password", "10.0.0.7"), ErrSignIn) {
			wrong++
		}
		_ = d.try("ansel", "right-ansel", "10.0.0.7")
	}
	assert.LessOrEqual(t, wrong, addressBurst)
}

func TestManyGuessesAtOnceCountTooAndFewAreHashed(t *testing.T) {
	d := opened(t)
	d.add("ansel", Advisor)
	var refused, wrong, busy, right atomic.Int64
	var wg sync.WaitGroup
	for i := range 60 {
		wg.Go(func() {
			password := "guess"
			if i == 59 {
				password = "right-ansel"
			}
			var w Wait
			switch err := d.try("ansel", password, "10.0.0.7"); {
			case err == nil:
				right.Add(1)
			case errors.Is(err, ErrSignIn):
				wrong.Add(1)
			case errors.Is(err, ErrBusy):
				busy.Add(1)
			case assert.ErrorAs(t, err, &w):
				refused.Add(1)
			}
		})
	}
	wg.Wait()
	assert.LessOrEqual(t, wrong.Load()+right.Load()+busy.Load(), int64(2*freeTries), "the right one in between takes the tries before it back")
	assert.GreaterOrEqual(t, refused.Load(), int64(60-2*freeTries))
}

func TestAFloodOfSignInsWaitsInsteadOfTakingAllMemory(t *testing.T) {
	g := newGate()
	var at, most atomic.Int64
	hold := make(chan struct{})
	var wg sync.WaitGroup
	var busy atomic.Int64
	started := make(chan struct{}, 200)
	for range 160 {
		wg.Go(func() {
			err := g.hash(context.Background(), func() error {
				n := at.Add(1)
				for m := most.Load(); n > m && !most.CompareAndSwap(m, n); m = most.Load() {
				}
				<-hold
				at.Add(-1)
				return nil
			})
			if errors.Is(err, ErrBusy) {
				busy.Add(1)
				started <- struct{}{}
			}
		})
	}
	for range 160 - hashWaiting {
		<-started
	}
	close(hold)
	wg.Wait()
	assert.LessOrEqual(t, most.Load(), int64(hashAtOnce))
	assert.EqualValues(t, 160-hashWaiting, busy.Load())
	ctx, cancel := context.WithCancel(context.Background())
	g.hashing <- struct{}{}
	g.hashing <- struct{}{}
	cancel()
	assert.ErrorIs(t, g.hash(ctx, func() error { return nil }), context.Canceled, "who went away waits no longer")
}

func TestAClockThatJumpsLocksNobody(t *testing.T) {
	d := opened(t)
	d.add("ansel", Advisor)
	start := d.now
	d.now = start.AddDate(5, 0, 0)
	for range 6 {
		_ = d.try("ansel", "wrong", "a")
	}
	x, err := d.SignIn(context.Background(), "ansel", "right-ansel", "b")
	require.NoError(t, err)
	d.now = start
	require.NoError(t, d.try("ansel", "right-ansel", "a"), "a lock of five years hence is none")
	_, _, err = d.Session(context.Background(), x.Token)
	assert.ErrorIs(t, err, ErrSignIn, "nor is a session of then good for five years")
}

func TestSessionsEndWhenIdleOrSpent(t *testing.T) {
	d := opened(t)
	d.add("ansel", Advisor)
	ctx := context.Background()
	in := func() SignedIn {
		x, err := d.SignIn(ctx, "ansel", "right-ansel", "a")
		require.NoError(t, err)
		return x
	}
	idle, used := in(), in()
	for range 16 {
		d.now = d.now.Add(6 * time.Hour)
		_, _, err := d.Session(ctx, used.Token)
		require.NoError(t, err)
	}
	_, _, err := d.Session(ctx, idle.Token)
	assert.ErrorIs(t, err, ErrSignIn)
	d.now = d.now.Add(25 * time.Hour)
	_, _, err = d.Session(ctx, used.Token)
	assert.ErrorIs(t, err, ErrSignIn, "a week is the most")
}

func TestAPersonIsSwitchedOffAndPasswordsChange(t *testing.T) {
	d := opened(t)
	ctx := context.Background()
	odile, ansel := d.add("odile", Coordinator), d.add("ansel", Advisor)
	here, err := d.SignIn(ctx, "ansel", "right-ansel", "a")
	require.NoError(t, err)
	there, err := d.SignIn(ctx, "ansel", "right-ansel", "b")
	require.NoError(t, err)

	assert.ErrorContains(t, d.SetPassword(ctx, ansel, here.Token, "a", "guess", "a-new-password"), "old")
	require.NoError(t, d.SetPassword(ctx, ansel, here.Token, "a", "right-ansel", "a-new-password"))
	_, _, err = d.Session(ctx, here.Token)
	require.NoError(t, err)
	_, _, err = d.Session(ctx, there.Token)
	require.ErrorIs(t, err, ErrSignIn, "every other session ended")
	require.ErrorIs(t, d.try("ansel", "right-ansel", "c"), ErrSignIn)

	no, yes, trainee, short := false, true, Trainee, "short"
	_, err = d.Set(ctx, ansel, odile.ID, Change{Active: &no})
	require.ErrorIs(t, err, ErrForbidden)
	_, err = d.Set(ctx, odile, ansel.ID, Change{Password: &short})
	require.True(t, fault.Is(err))
	a, err := d.Set(ctx, odile, ansel.ID, Change{Active: &no})
	require.NoError(t, err)
	assert.False(t, a.Active)
	_, _, err = d.Session(ctx, here.Token)
	require.ErrorIs(t, err, ErrSignIn, "signed out at once")
	require.ErrorIs(t, d.try("ansel", "a-new-password", "a"), ErrSignIn)
	_, err = d.Set(ctx, odile, ansel.ID, Change{Active: &yes, Role: &trainee})
	require.NoError(t, err)
	require.NoError(t, d.try("ansel", "a-new-password", "d"))

	_, err = d.Set(ctx, odile, odile.ID, Change{Active: &no})
	require.ErrorContains(t, err, "only coordinator")
	_, err = d.Set(ctx, odile, odile.ID, Change{Role: &trainee})
	require.ErrorContains(t, err, "only coordinator")
	_, err = d.Set(ctx, odile, "nobody", Change{Active: &no})
	require.ErrorIs(t, err, store.ErrNotFound)
}

func TestAnAccountIsHeldToWhatTheSignInTakes(t *testing.T) {
	d := opened(t)
	for field, p := range map[string]NewPerson{
		"login":    {Login: "<b>x", Name: "x", Role: Advisor, Password: "long-enough"},
		"name":     {Login: "xx", Name: "\u200b\u3164", Role: Advisor, Password: "long-enough"},
		"role":     {Login: "xx", Name: "x", Role: "owner", Password: "long-enough"},
		"password": {Login: "xx", Name: "x", Role: Advisor, Password: "short"},
	} {
		_, err := d.Add(context.Background(), Person{}, p)
		require.Error(t, err)
		assert.Equal(t, field, fault.From(err)[0].Field)
	}
	for _, login := range []string{"../x", "Odile", string(make([]byte, 41)), "x"} {
		_, err := d.Add(context.Background(), Person{}, NewPerson{Login: login, Name: "x", Role: Advisor, Password: "long-enough"})
		assert.True(t, fault.Is(err), "%q", login)
	}
}

// Somebody new is asked in: an address good once and for three days, by which they alone know
// their password. What is done about people is told.
func TestSomebodyNewIsAskedIn(t *testing.T) {
	ctx := context.Background()
	d := opened(t)
	odile, ansel := d.add("odile", Coordinator), d.add("ansel", Advisor)
	_, err := d.Invite(ctx, ansel, NewInvite{Login: "petra", Name: "Petra", Role: Trainee})
	require.ErrorIs(t, err, ErrForbidden)
	_, err = d.Invite(ctx, odile, NewInvite{Login: "ansel", Name: "Petra", Role: Trainee})
	require.ErrorContains(t, err, "login")
	i, err := d.Invite(ctx, odile, NewInvite{Login: "petra", Name: "Petra", Role: Trainee})
	require.NoError(t, err)
	token := i.Path[len("/join/"):]
	who, err := d.Invited(ctx, token)
	require.NoError(t, err)
	assert.Equal(t, "Petra", who.Name)
	_, err = d.Join(ctx, token, "short")
	require.ErrorContains(t, err, "password")
	_, err = d.Join(ctx, "another", "long-enough")
	require.ErrorIs(t, err, store.ErrNotFound)
	_, err = d.Join(ctx, token, "long-enough")
	require.NoError(t, err)
	require.NoError(t, d.try("petra", "long-enough", "10.0.0.2"))
	_, err = d.Join(ctx, token, "another-one")
	require.ErrorIs(t, err, store.ErrNotFound, "once")
	require.NoError(t, d.try("petra", "long-enough", "10.0.0.2"))

	again, err := d.InviteAgain(ctx, odile, who.ID)
	require.NoError(t, err)
	d.now = d.now.Add(73 * time.Hour)
	_, err = d.Invited(ctx, again.Path[len("/join/"):])
	require.ErrorIs(t, err, store.ErrNotFound, "three days")
	off := false
	_, err = d.Set(ctx, odile, who.ID, Change{Active: &off})
	require.NoError(t, err)
	_, err = d.InviteAgain(ctx, odile, who.ID)
	require.ErrorIs(t, err, store.ErrNotFound, "who is switched off is not asked in")

	_, err = d.Trace(ctx, ansel)
	require.ErrorIs(t, err, ErrForbidden)
	trace, err := d.Trace(ctx, odile)
	require.NoError(t, err)
	said := []string{}
	for _, x := range trace {
		said = append(said, x.Who+": "+x.Text)
	}
	assert.Equal(t, []string{"odile: switched Petra off", "odile: gave Petra an address to choose a password", "Petra: came in and chose a password", "odile: let Petra in as trainee", "the command line: let ansel in as advisor", "the command line: let odile in as coordinator"}, said)
}

// Where somebody is signed in is seen by themselves and the coordinator, and ended there.
func TestSessionsAreSeenAndEnded(t *testing.T) {
	ctx := context.Background()
	d := opened(t)
	odile, ansel, brann := d.add("odile", Coordinator), d.add("ansel", Advisor), d.add("brann", Advisor)
	here, err := d.SignIn(ctx, "ansel", "right-ansel", "10.0.0.2")
	require.NoError(t, err)
	d.now = d.now.Add(time.Hour)
	there, err := d.SignIn(ctx, "ansel", "right-ansel", "10.0.0.3")
	require.NoError(t, err)
	_, err = d.Sessions(ctx, brann, ansel.ID, "")
	require.ErrorIs(t, err, ErrForbidden)
	seen, err := d.Sessions(ctx, ansel, ansel.ID, here.Token)
	require.NoError(t, err)
	require.Len(t, seen, 2)
	assert.Equal(t, []bool{false, true}, []bool{seen[0].Here, seen[1].Here}, "the last used first")
	require.ErrorIs(t, d.EndSession(ctx, brann, ansel.ID, seen[0].ID), ErrForbidden)
	require.ErrorIs(t, d.EndSession(ctx, odile, brann.ID, seen[0].ID), store.ErrNotFound, "not hers")
	require.NoError(t, d.EndSession(ctx, odile, ansel.ID, seen[0].ID))
	_, _, err = d.Session(ctx, there.Token)
	require.ErrorIs(t, err, ErrSignIn)
	_, _, err = d.Session(ctx, here.Token)
	require.NoError(t, err)
}
