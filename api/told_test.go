package api_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/reliability"
	"hodometer/core/lesson/plan"
)

// What is told of a goal when a lesson begins is held against what became of it when it is over; a block that was cut
// short, and one of which the balls were not counted to the end, says nothing.
func TestForecastsAreHeldAgainstWhatHappened(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student := c.student(ada())
	run := func(made, missed int, until float64) {
		block, id := newID(), newID()
		read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
		c.clock(id, 0, true, false)
		c.count(id, block, student, 1, made, missed)
		c.clock(id, until, false, true)
	}
	account := func() reliability.Account {
		return read[reliability.Account](t, c.ask("GET", "/api/reliability", nil))
	}
	require.Contains(t, account().Sentence, "No goal was told")
	run(30, 0, 30*60)
	require.Equal(t, []int{1, 1}, []int{account().Told, account().Met})
	run(0, 60, 30*60)
	require.Equal(t, []int{2, 1}, []int{account().Told, account().Met})
	run(0, 2, 30*60)
	require.Equal(t, 2, account().Told, "two balls say nothing of a goal for all of them")
	run(30, 0, 8*60+30)
	require.Equal(t, 2, account().Told, "the block was cut short")
	require.Equal(t, reliability.TooFew, account().Verdict)
}
