package api_test

import (
	"fmt"
	"net"
	"net/http"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/core/lesson"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/throwing"
	"hodometer/core/live/underway"
	"hodometer/core/sport/court"
	"hodometer/equipment"
)

// said waits for what devices say after an event, until one is of a kind.
func (c *club) said(after int, kind throwing.EventKind) (found equipment.SaidEvent) {
	c.t.Helper()
	for range 40 {
		list := read[equipment.SaidEvents](
			c.t,
			c.ask("GET", fmt.Sprintf("/api/equipment/events?after=%d", after), nil),
		).Events
		for _, e := range list {
			after = e.Seq
			if e.Event.Event == kind {
				return e
			}
		}
	}
	require.Fail(c.t, "nobody said "+string(kind))
	return found
}

func (c *club) tell(command throwing.Command) equipment.Equipment {
	c.t.Helper()
	return read[equipment.Equipment](
		c.t,
		c.ask("POST", "/api/equipment/machine/told", courtside.Telling{Command: command}),
	)
}

// clockIs sets the clock of a lesson, as a device does.
func (c *club) clockIs(lesson string, clock underway.ClockChange) {
	c.t.Helper()
	now := c.now
	acts := courtside.Acts{Sent: now, Acts: []underway.Act{{ID: newID(), At: now, Clock: &clock}}}
	require.Empty(c.t, read[underway.Answered](c.t, c.ask("POST", "/api/lessons/"+lesson+"/acts", acts)).Refused)
}

// A simulated machine feeds the drill of a block, an eye sees where its balls are played to, and both are let go.
func TestAMachineFeedsTheDrillOfABlock(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student, block, id := c.student(ada()), newID(), newID()
	kept := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	require.Equal(t, equipment.Equipment{}, read[equipment.Equipment](t, c.ask("GET", "/api/equipment", nil)))
	at := slices.IndexFunc(kept.Document.Blocks, func(b lesson.Block) bool { return b.ID == block })
	inIt := kept.Plan.Blocks[at].Start + 1
	on := throwing.On{Lesson: id, Block: block, Played: "as written", Running: true}
	aim := &court.Shape{Kind: court.Circle, Centre: court.Point{X: 1, Y: 9}, Radius: 30, Corners: []court.Point{}}
	starting := courtside.Starting{
		Watcher: "page", On: on, Block: kept.Document.Blocks[at], Drill: "The drill", Planned: 3, One: true,
		Players: []throwing.Player{{Student: student, Party: student, Measure: 1, Aim: aim}},
	}
	readProblem(t, c.ask("POST", "/api/equipment/machine/started", starting), http.StatusConflict)

	for _, kind := range []string{"machine", "eye"} {
		read[equipment.Equipment](t, c.ask("POST", "/api/equipment/"+kind+"/simulated", courtside.Simulating{Lesson: id}))
	}
	joined := read[equipment.Equipment](t, c.ask("GET", "/api/equipment", nil))
	require.Equal(t, "Simulated ball machine", joined.Machine.Name)
	require.Equal(t, id, joined.Machine.Lesson)
	require.Empty(t, joined.Eye.Lost)

	other := starting
	other.Block.ID = newID()
	wrong := readProblem(t, c.ask("POST", "/api/equipment/machine/started", other), http.StatusUnprocessableEntity)
	require.Equal(t, "block", wrong.Fields[0].Path)
	held := starting
	held.On.Running = false
	require.Contains(
		t,
		readProblem(t, c.ask("POST", "/api/equipment/machine/started", held), http.StatusConflict).Detail,
		"the lesson is held",
	)
	for _, do := range []throwing.CommandKind{throwing.Start, throwing.One, throwing.Load, throwing.Alive} {
		readProblem(
			t,
			c.ask("POST", "/api/equipment/machine/told", courtside.Telling{Command: throwing.Command{Do: do}}),
			http.StatusUnprocessableEntity,
		)
	}

	one := read[equipment.Equipment](t, c.ask("POST", "/api/equipment/machine/started", starting))
	require.Positive(t, one.Machine.Rate)
	ball := c.said(0, throwing.Thrown)
	require.Equal(t, equipment.Machine, ball.By)
	require.Equal(t, 1, ball.Event.N)
	require.Equal(
		t,
		throwing.To{
			Lesson:  id,
			Block:   block,
			Drill:   "The drill",
			Watcher: "page",
			Student: student,
			Party:   student,
			Measure: 1,
			Turn:    1,
			Ball:    1,
		},
		*ball.To,
	)
	landed := c.said(ball.Seq, throwing.Landed)
	require.Equal(t, ball.To, landed.To)
	require.True(t, landed.In)
	require.Equal(
		t,
		throwing.Tally{Block: block, Thrown: 1, Seen: 1},
		read[equipment.Equipment](t, c.ask("GET", "/api/equipment", nil)).Tally,
	)

	slow := c.tell(throwing.Command{Do: throwing.Gap, Times: 2})
	require.Eventually(t, func() bool {
		slow = c.tell(throwing.Command{Do: throwing.State})
		return slow.Machine.Stands.Times == 2
	}, 10*time.Second, 5*time.Millisecond)
	require.InDelta(t, one.Machine.Rate/2, slow.Machine.Rate, 1e-9, "half as fast")

	// It is started; held on another device, which the program hears by its acts, it stands.
	c.clockIs(id, underway.ClockChange{Second: inIt, Running: true, Finished: false})
	starting.One = false
	require.Equal(
		t,
		"page",
		read[equipment.Equipment](t, c.ask("POST", "/api/equipment/machine/started", starting)).Machine.Watcher,
	)
	watched := read[equipment.Equipment](
		t,
		c.ask("POST", "/api/equipment/machine/watched", courtside.Watching{Watcher: "page", On: on}),
	)
	require.Equal(t, "page", watched.Machine.Watcher)
	c.clockIs(id, underway.ClockChange{Second: inIt + 5, Running: false, Finished: false})
	stands := read[equipment.Equipment](t, c.ask("GET", "/api/equipment", nil)).Machine
	require.Empty(t, stands.Watcher)
	require.Equal(t, "the lesson was held", stands.Stopped)

	// At the end of the lesson both are let go.
	c.clockIs(id, underway.ClockChange{Second: inIt + 9, Running: false, Finished: true})
	left := read[equipment.Equipment](t, c.ask("GET", "/api/equipment", nil))
	require.Nil(t, left.Machine)
	require.Nil(t, left.Eye)
}

// A device that goes away, or goes mad, is told; the program goes on.
func TestADeviceThatIsLostIsTold(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	listener, err := (&net.ListenConfig{}).Listen(t.Context(), "tcp", "127.0.0.1:0")
	require.NoError(t, err)
	t.Cleanup(func() { _ = listener.Close() })
	gone := make(chan struct{})
	go func() {
		conn, err := listener.Accept()
		if err != nil {
			return
		}
		_, _ = conn.Write(
			[]byte("{\"is\":\"machine\",\"protocol\":2,\"name\":\"Old\"}\n{\"event\":\"state\",\"left\":7}\ngarbage\n"),
		)
		<-gone
		_, _ = conn.Write([]byte("{\"event\":\"ball\","))
		_ = conn.Close()
	}()
	wrong := readProblem(
		t,
		c.ask("PUT", "/api/equipment/machine", courtside.Joining{Address: "192.168.1.9:7501"}),
		http.StatusUnprocessableEntity,
	)
	require.Contains(t, wrong.Fields[0].Message, "on this machine only")
	joined := read[equipment.Equipment](
		t,
		c.ask("PUT", "/api/equipment/machine", courtside.Joining{Address: listener.Addr().String()}),
	)
	require.Equal(t, "Old", joined.Machine.Name)
	require.Equal(t, 7, c.said(0, throwing.Reported).Event.Left)
	close(gone)
	require.Eventually(t, func() bool {
		return read[equipment.Equipment](t, c.ask("GET", "/api/equipment", nil)).Machine.Lost != ""
	}, 20*time.Second, 5*time.Millisecond)
	readProblem(
		t,
		c.ask("POST", "/api/equipment/machine/told", courtside.Telling{Command: throwing.Command{Do: throwing.State}}),
		http.StatusConflict,
	)

	eye := read[equipment.Equipment](t, c.ask("POST", "/api/equipment/eye/simulated", courtside.Simulating{}))
	wrong = readProblem(
		t,
		c.ask("PUT", "/api/equipment/machine", courtside.Joining{Address: eye.Eye.Address}),
		http.StatusUnprocessableEntity,
	)
	require.NotEmpty(t, wrong.Fields[0].Message)
	c.ask("DELETE", "/api/equipment/eye", nil)
}

// Nobody waits for what devices say when the program ends.
func TestWhoWaitsIsLetGo(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	waits := make(chan int, 1)
	go func() { waits <- c.ask("GET", "/api/equipment/events?after=0", nil).Code }()
	time.Sleep(50 * time.Millisecond) // it may wait by now; either way it is let go
	began := time.Now()
	c.doors.Closing()
	c.doors.Closing()
	require.Equal(t, http.StatusOK, <-waits)
	require.Less(t, time.Since(began), 7*time.Second)
}
