package throwing

// How long a machine may throw unwatched, in seconds.
const (
	// WatchedFor is how long a page that watches a machine counts as there after it was heard.
	WatchedFor = 3.0
	// AloneFor is how long a machine that is told nothing throws by itself.
	AloneFor = 5.0
)

// On is what is on in a lesson, as somebody sees it.
type On struct {
	Lesson  string `json:"lesson" maxLength:"40"`
	Block   string `json:"block" maxLength:"40" description:"Identifier of the block that is on; empty: the lesson is over, or has not begun"`
	Played  string `json:"played" maxLength:"8000" description:"What is played in it, and who is where: any text that is another one as soon as that changes"`
	Running bool   `json:"running" description:"The clock of the lesson goes on"`
}

// differs says why a machine that was started for one thing must not throw in what is on now; empty where it may.
func (o On) differs(now On) string {
	switch {
	case now.Block == "":
		return "the lesson ended"
	case o.Lesson != now.Lesson:
		return "another lesson came on"
	case o.Block != now.Block:
		return "another block came on"
	case !now.Running:
		return "the lesson was held"
	case o.Played != now.Played:
		return "something else was played, or others came on court"
	}
	return ""
}

// Guard decides whether a ball machine may throw: only in what it was started for, and only while the page that started
// it is heard. Times are seconds of any clock that goes on. The zero Guard lets nothing be thrown. It is for one user
// at a time.
type Guard struct {
	on      On // as the page that watches sees it
	watcher string
	heard   float64
	known   *On // what the program's own clock of the lesson says is on, once both have agreed
	open    bool
	why     string // why it stands
}

// Start lets balls be thrown in what is on, watched by a page. It returns why not; empty where they are.
func (g *Guard) Start(on On, watcher string, now float64) string {
	switch {
	case watcher == "":
		return "no courtside page watches it"
	case on.Block == "":
		return "no block is on"
	case !on.Running:
		return "the lesson is held: go on first"
	}
	*g = Guard{on: on, watcher: watcher, heard: now, open: true}
	return ""
}

// Heard takes in what a page says is on. Only the page that started the machine is heard.
func (g *Guard) Heard(watcher string, on On, now float64) {
	if !g.open || watcher != g.watcher {
		return
	}
	g.Pass(now)
	g.heard = now
	if why := g.on.differs(on); why != "" {
		g.Stop(why)
	}
}

// Known takes in what the program's own clock of a lesson says is on. It may lag behind the page, which tells later
// what was done: it counts from when both have agreed on the block.
func (g *Guard) Known(on On) {
	switch {
	case !g.open || on.Lesson != g.on.Lesson:
	case g.known != nil:
		if why := g.known.differs(on); why != "" {
			g.Stop(why)
		}
	case on.Block == g.on.Block && on.Running:
		g.known = &on
	}
}

// Pass has the time go on.
func (g *Guard) Pass(now float64) {
	if g.open && now-g.heard > WatchedFor {
		g.Stop("the page that watches it was not heard for 3 s")
	}
}

// Stop lets nothing be thrown any more, for a reason; the first one is kept.
func (g *Guard) Stop(why string) {
	if g.open {
		g.open, g.why = false, why
	}
}

// Open says whether balls may be thrown, and where they may not any more, why.
func (g *Guard) Open() (open bool, why string) { return g.open, g.why }

// For is what the machine was started for, and the page that watches it.
func (g *Guard) For() (on On, watcher string) { return g.on, g.watcher }
