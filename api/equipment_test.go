package api_test

import (
	"fmt"
	"net"
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/core/court"
	"hodometer/core/plan"
	"hodometer/core/throwing"
	"hodometer/equipment"
)

// said waits for what devices say after an event, until one is of a kind.
func (c *club) said(after int, kind throwing.Happened) (found api.SaidEvent) {
	c.t.Helper()
	for range 40 {
		list := read[api.SaidEvents](c.t, c.ask("GET", fmt.Sprintf("/api/equipment/events?after=%d", after), nil)).Events
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

func (c *club) tell(kind string, t api.Telling) api.Equipment {
	c.t.Helper()
	return read[api.Equipment](c.t, c.ask("POST", "/api/equipment/"+kind+"/told", t))
}

// A simulated machine feeds the drill of a block, an eye sees where its balls are played to, and both are let go.
func TestAMachineFeedsTheDrillOfABlock(t *testing.T) {
	c := newClub(t)
	student, block, id := c.student(ada()), newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	require.Equal(t, api.Equipment{}, read[api.Equipment](t, c.ask("GET", "/api/equipment", nil)))
	readProblem(t, c.ask("POST", "/api/equipment/machine/told", api.Telling{Command: throwing.Command{Do: throwing.Start}}), http.StatusConflict)

	read[api.Equipment](t, c.ask("POST", "/api/equipment/machine/simulated", nil))
	joined := read[api.Equipment](t, c.ask("POST", "/api/equipment/eye/simulated", nil))
	require.Equal(t, "Simulated ball machine", joined.Machine.Name)
	require.Empty(t, joined.Eye.Lost)

	wrong := readProblem(t, c.ask("POST", "/api/equipment/machine/told", api.Telling{Command: throwing.Command{Do: throwing.Load}, Lesson: id, Block: newID()}), http.StatusUnprocessableEntity)
	require.Equal(t, "block", wrong.Fields[0].Path)
	c.tell("machine", api.Telling{Command: throwing.Command{Do: throwing.Load}, Lesson: id, Block: block})
	c.tell("machine", api.Telling{Command: throwing.Command{Do: throwing.One}})
	ball := c.said(0, throwing.Thrown)
	require.Equal(t, equipment.Machine, ball.By)
	require.Equal(t, 1, ball.Event.N)
	require.Equal(t, 59, read[api.Equipment](t, c.ask("GET", "/api/equipment", nil)).Machine.Stands.Left)

	c.tell("eye", api.Telling{Command: throwing.Command{Do: throwing.Watch, Aim: &court.Point{X: 1, Y: 9}}})
	landed := c.said(ball.Seq, throwing.Landed)
	require.Less(t, landed.Event.At.Distance(court.Point{X: 1, Y: 9}), 6.0)

	c.tell("machine", api.Telling{Command: throwing.Command{Do: throwing.Fill}})
	c.tell("machine", api.Telling{Command: throwing.Command{Do: throwing.Start}})
	empty := c.said(landed.Seq, throwing.Empty)
	require.Equal(t, 1, empty.Event.N)

	c.ask("DELETE", "/api/equipment/eye", nil)
	left := read[api.Equipment](t, c.ask("DELETE", "/api/equipment/machine", nil))
	require.Nil(t, left.Machine)
	require.Nil(t, left.Eye)
}

// A device that goes away, or goes mad, is told; the program goes on.
func TestADeviceThatIsLostIsTold(t *testing.T) {
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
		_, _ = conn.Write([]byte("{\"is\":\"machine\",\"protocol\":1,\"name\":\"Old\"}\n{\"event\":\"state\",\"left\":7}\ngarbage\n"))
		<-gone
		_, _ = conn.Write([]byte("{\"event\":\"ball\","))
		_ = conn.Close()
	}()
	wrong := readProblem(t, c.ask("PUT", "/api/equipment/machine", api.Joining{Address: "192.168.1.9:7501"}), http.StatusUnprocessableEntity)
	require.Contains(t, wrong.Fields[0].Message, "on this machine only")
	joined := read[api.Equipment](t, c.ask("PUT", "/api/equipment/machine", api.Joining{Address: listener.Addr().String()}))
	require.Equal(t, "Old", joined.Machine.Name)
	require.Equal(t, 7, c.said(0, throwing.Stands).Event.Left)
	close(gone)
	require.Eventually(t, func() bool {
		return read[api.Equipment](t, c.ask("GET", "/api/equipment", nil)).Machine.Lost != ""
	}, 20*time.Second, 5*time.Millisecond)
	readProblem(t, c.ask("POST", "/api/equipment/machine/told", api.Telling{Command: throwing.Command{Do: throwing.Start}}), http.StatusConflict)

	eye := read[api.Equipment](t, c.ask("POST", "/api/equipment/eye/simulated", nil))
	wrong = readProblem(t, c.ask("PUT", "/api/equipment/machine", api.Joining{Address: eye.Eye.Address}), http.StatusUnprocessableEntity)
	require.NotEmpty(t, wrong.Fields[0].Message)
	c.ask("DELETE", "/api/equipment/eye", nil)
}

// Nobody waits for what devices say when the program ends.
func TestWhoWaitsIsLetGo(t *testing.T) {
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
