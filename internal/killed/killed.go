// Package killed tests what is left where a program is killed in the middle of its work.
package killed

import (
	"context"
	"os"
	"os/exec"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// Times is how often a program is killed.
const Times = 20

// task is the variable that tells a test's own program what to do instead of the tests.
const task = "HODOMETER_TASK"

// Task is what this program is to do instead of its tests; empty where it is to run them. A TestMain asks for it.
func Task() string { return os.Getenv(task) }

// Off runs the test's own program with a task, on what prepare has made ready, once to its end and then kills it so
// many times, later and later in its work, and looks each time at what is left.
func Off(t *testing.T, name string, args []string, prepare func(), left func(ended bool)) {
	t.Helper()
	run := func(limit time.Duration) (time.Duration, bool) {
		prepare()
		ctx, stop := context.WithTimeout(t.Context(), limit)
		defer stop()
		program := exec.CommandContext(ctx, os.Args[0], args...) //nolint:gosec // itself; its end is SIGKILL
		program.Env = append(os.Environ(), task+"="+name)
		began := time.Now()
		out, err := program.CombinedOutput()
		ended := ctx.Err() == nil
		if ended {
			require.NoError(t, err, string(out))
		}
		took := time.Since(began)
		left(ended)
		return took, ended
	}
	whole, ended := run(time.Minute)
	require.True(t, ended)
	runs := 1
	for killed := 0; killed < Times; runs++ {
		require.Less(t, runs, 10*Times, "it is done before it can be killed")
		took, ended := run(whole * time.Duration(killed+1) / (Times + 1))
		if ended { // it is quicker than it was: the machine had something else to do
			whole = min(whole, took)
			continue
		}
		killed++
	}
	t.Logf("%s takes %v; killed %d times in %d runs", name, whole.Round(time.Millisecond), Times, runs)
}
