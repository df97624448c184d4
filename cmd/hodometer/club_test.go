package main

import (
	"context"
	"io"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/calendar"
)

func TestAClubsCalendarIsStartedAndChanges(t *testing.T) {
	t.Parallel()
	out := &console{}
	ctx, stop := context.WithCancel(context.Background())
	ended := make(chan error, 1)
	go func() { ended <- run(ctx, []string{"club", "--addr", "127.0.0.1:0"}, nil, out) }()
	require.Eventually(t, func() bool { return strings.Contains(out.String(), "\n") }, 20*time.Second, 5*time.Millisecond)
	_, at, _ := strings.Cut(strings.TrimSpace(out.String()), " are at ")
	first, err := calendar.Fetch(t.Context(), at)
	require.NoError(t, err)
	second, err := calendar.Fetch(t.Context(), at)
	require.NoError(t, err)
	require.NotContains(t, string(first), "CANCELLED")
	require.Contains(t, string(second), "CANCELLED")
	_, err = calendar.Fetch(t.Context(), at+"x")
	require.ErrorContains(t, err, "there is no calendar at this address")
	stop()
	require.NoError(t, <-ended)
	for _, wrong := range [][]string{{"--addr", "0.0.0.0:0"}, {"--now", "soon"}, {"--what"}} {
		require.Error(t, run(t.Context(), append([]string{"club"}, wrong...), nil, io.Discard))
	}
}
