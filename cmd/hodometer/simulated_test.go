package main

import (
	"context"
	"io"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/equipment"
)

func TestSimulatedDevicesAreStarted(t *testing.T) {
	t.Parallel()
	for command, kind := range map[string]equipment.Kind{"machine": equipment.Machine, "eye": equipment.Eye} {
		out := &console{}
		ctx, stop := context.WithCancel(context.Background())
		ended := make(chan error, 1)
		go func() { ended <- run(ctx, []string{command, "--addr", "127.0.0.1:0"}, nil, out) }()
		require.Eventually(t, func() bool { return strings.Contains(out.String(), "\n") }, 20*time.Second, 5*time.Millisecond)
		_, at, _ := strings.Cut(strings.TrimSpace(out.String()), " is at ")
		l, err := equipment.Dial(t.Context(), at)
		require.NoError(t, err)
		require.Equal(t, kind, l.Hello.Is)
		l.Close()
		stop()
		require.NoError(t, <-ended)
		for _, wrong := range [][]string{{"--addr", "0.0.0.0:0"}, {"--hopper", "-1"}, {"--jams", "2"}, {"--spread", "50"}} {
			require.Error(t, run(t.Context(), append([]string{command}, wrong...), nil, io.Discard))
		}
	}
}
