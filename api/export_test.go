package api

import "time"

// What tests of this package look at from outside.
var Unsound = unsound

// RouteTable is the route table.
func RouteTable() []Route { return (&server{}).routes() }

// For says who may use a route.
func (r Route) For() string {
	return map[right]string{whoIsIn: "who is in", anybody: "anybody", coachOnly: "the coach"}[r.right]
}

// Memory remembers answers; in tests of it an answer is a text.
type Memory struct{ m *memory }

// NewMemory is a memory that looks at these.
func NewMemory(writes func() uint64, now func() time.Time) Memory {
	return Memory{newMemory(writes, now)}
}

// Recall is what is remembered of a request, and what keeps an answer that is worked out from now on.
func (m Memory) Recall(request string) (text string, keep func(text string)) {
	known, at := m.m.recall(request)
	if known != nil {
		text = string(known.body)
	}
	return text, func(text string) { m.m.keep(request, at, &remembered{body: []byte(text)}) }
}
