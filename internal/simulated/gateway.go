package simulated

import (
	"encoding/json"
	"net/http"
	"strings"
	"sync"

	"botanik/internal/messaging"
)

// Gateway is a message gateway that sends nothing anywhere. What becomes of a message is in
// its address: one with "bounce" bounces, with "fail" fails, with "refuse" is refused, with
// "busy" is taken only at the third try, with "answer" is answered; the others are delivered
// when they are asked about. It keeps what it took, each key once.
type Gateway struct {
	mu    sync.Mutex
	took  map[string]messaging.Message
	tries map[string]int
	mux   *http.ServeMux
}

// NewGateway makes one.
func NewGateway() *Gateway {
	g := &Gateway{took: map[string]messaging.Message{}, tries: map[string]int{}, mux: http.NewServeMux()}
	g.mux.HandleFunc("PUT /messages/{id}", g.put)
	g.mux.HandleFunc("GET /messages/{id}", g.get)
	return g
}

// ServeHTTP speaks the protocol of docs/messages.md.
func (g *Gateway) ServeHTTP(w http.ResponseWriter, r *http.Request) { g.mux.ServeHTTP(w, r) }

// Took are the messages it has taken, by key.
func (g *Gateway) Took() map[string]messaging.Message {
	g.mu.Lock()
	defer g.mu.Unlock()
	out := map[string]messaging.Message{}
	for k, m := range g.took {
		out[k] = m
	}
	return out
}

func (g *Gateway) put(w http.ResponseWriter, r *http.Request) {
	var m messaging.Message
	if err := json.NewDecoder(r.Body).Decode(&m); err != nil || m.To == "" || m.Text == "" {
		http.Error(w, "a message has to and text", http.StatusBadRequest)
		return
	}
	id := r.PathValue("id")
	g.mu.Lock()
	defer g.mu.Unlock()
	g.tries[id]++
	switch {
	case strings.Contains(m.To, "refuse"):
		http.Error(w, "no such address", http.StatusUnprocessableEntity)
		return
	case strings.Contains(m.To, "busy") && g.tries[id] < 3:
		http.Error(w, "try again", http.StatusServiceUnavailable)
		return
	}
	if _, had := g.took[id]; !had {
		g.took[id] = m
	}
	_ = json.NewEncoder(w).Encode(messaging.Receipt{State: "sent"})
}

func (g *Gateway) get(w http.ResponseWriter, r *http.Request) {
	g.mu.Lock()
	m, had := g.took[r.PathValue("id")]
	g.mu.Unlock()
	if !had {
		http.Error(w, "no such message", http.StatusNotFound)
		return
	}
	out := messaging.Receipt{State: "delivered"}
	switch {
	case strings.Contains(m.To, "bounce"):
		out = messaging.Receipt{State: "bounced", Said: "no mailbox of that name"}
	case strings.Contains(m.To, "fail"):
		out = messaging.Receipt{State: "failed", Said: "the network did not take it"}
	case strings.Contains(m.To, "answer"):
		out = messaging.Receipt{State: "answered", Said: "much better, thank you"}
	}
	_ = json.NewEncoder(w).Encode(out)
}
