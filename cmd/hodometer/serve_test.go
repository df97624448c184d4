package main

import (
	"bytes"
	"context"
	"io"
	"log/slog"
	"net"
	"net/http"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/keeping"
)

// console is what a running program printed.
type console struct {
	lock sync.Mutex
	text bytes.Buffer
}

func (c *console) Write(p []byte) (int, error) {
	c.lock.Lock()
	defer c.lock.Unlock()
	return c.text.Write(p)
}

func (c *console) String() string {
	c.lock.Lock()
	defer c.lock.Unlock()
	return c.text.String()
}

// start runs the program until the test ends, and returns the address that it prints.
func start(t *testing.T, change func(*service)) string {
	s := service{
		addr: "127.0.0.1:0", data: filepath.Join(t.TempDir(), "club.db"), now: time.Now, limits: usualLimits(),
		log: slog.New(slog.DiscardHandler), out: &console{},
	}
	change(&s)
	out, ok := s.out.(*console)
	require.True(t, ok)
	ctx, stop := context.WithCancel(context.Background())
	ended := make(chan error, 1)
	go func() { ended <- serve(ctx, s) }()
	t.Cleanup(func() {
		stop()
		require.NoError(t, <-ended)
	})
	var address string
	require.Eventually(t, func() bool {
		_, rest, found := strings.Cut(out.String(), "http://")
		address, _, _ = strings.Cut(rest, "\n")
		return found && address != ""
	}, 20*time.Second, 5*time.Millisecond)
	return address
}

// under asks for the list of students with a Host of the test's choice.
func under(t *testing.T, address, host string) int {
	r, err := http.NewRequestWithContext(t.Context(), http.MethodGet, "http://"+address+"/api/students", nil)
	require.NoError(t, err)
	r.Host = host
	answer, err := http.DefaultClient.Do(r)
	require.NoError(t, err)
	require.NoError(t, answer.Body.Close())
	return answer.StatusCode
}

func TestThePageIsForThisMachineOnly(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "club.db")
	for _, addr := range []string{"0.0.0.0:0", "[::]:0", ":0"} {
		err := run(t.Context(), []string{"--addr", addr, "--data", data}, nil, io.Discard)
		require.ErrorIs(t, err, errNetwork, addr)
		require.ErrorContains(t, err, "--lan")
	}
	for _, args := range [][]string{{"--lan-addr", ":1"}, {"--tls-cert", "a"}, {"--lan", "--tls-key", "a"}} {
		require.Error(t, run(t.Context(), append(args, "--data", data), nil, io.Discard))
	}
	require.NoFileExists(t, data, "nothing is opened before the address is known to be right")
}

func TestOnlyOwnNamesAreAnswered(t *testing.T) {
	t.Parallel()
	at := start(t, func(s *service) { s.hosts = []string{"clubhouse.local"} })
	_, port, err := net.SplitHostPort(at)
	require.NoError(t, err)
	for _, host := range []string{"localhost:" + port, "127.0.0.1:" + port, "[::1]:" + port, "clubhouse.local",
		"ClubHouse.Local:" + port} {
		require.Equal(t, http.StatusOK, under(t, at, host), host)
	}
	for _, host := range []string{"evil.example", "evil.example:" + port, "192.0.2.7:" + port, "localhost.evil.example",
		"clubhouse.local.evil.example"} {
		require.Equal(t, http.StatusMisdirectedRequest, under(t, at, host), host)
	}
}

func TestAStalledBodyIsGivenUp(t *testing.T) {
	t.Parallel()
	address := start(t, func(s *service) { s.limits.read = 100 * time.Millisecond })
	conn, err := (&net.Dialer{}).DialContext(t.Context(), "tcp", address)
	require.NoError(t, err)
	defer func() { require.NoError(t, conn.Close()) }()
	_, err = io.WriteString(
		conn,
		"PUT /api/settings HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nIf-Match: "+
			"\"0\"\r\nContent-Length: 100\r\n\r\n{",
	)
	require.NoError(t, err)
	require.NoError(t, conn.SetReadDeadline(time.Now().Add(20*time.Second)))
	answer, err := io.ReadAll(conn)
	require.NoError(t, err, "the connection is still open")
	require.Contains(t, string(answer), "408 Request Timeout")
}

func TestTheClockBeginsWhenItIsTold(t *testing.T) {
	t.Parallel()
	now, err := clock("2026-03-10T23:59:30")
	require.NoError(t, err)
	first := now()
	require.WithinDuration(t, time.Date(2026, 3, 10, 23, 59, 30, 0, time.Local), first, 5*time.Second)
	require.Eventually(t, func() bool { return now().After(first) }, 5*time.Second, time.Millisecond, "it goes on")
	_, err = clock("tea time")
	require.ErrorContains(t, err, "2006-01-02T15:04:05")
	_, err = clock("")
	require.NoError(t, err)
}

// A second program does not run with the same file, and says so; who only looks at it, or copies it, may.
func TestASecondProgramDoesNotRunWithTheFile(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "club.db")
	start(t, func(s *service) { s.data = data })
	for _, isDemo := range []bool{false, true} {
		err := serve(
			t.Context(),
			service{
				addr:   "127.0.0.1:0",
				data:   data,
				demo:   isDemo,
				now:    time.Now,
				limits: usualLimits(),
				log:    slog.New(slog.DiscardHandler),
				out:    io.Discard,
			},
		)
		require.ErrorIs(t, err, keeping.ErrRuns)
	}
	for _, args := range [][]string{{"check", "--data", data}, {"backup", filepath.Join(t.TempDir(), "c.db"), "--data",
		data}} {
		_, err := says(t, args...)
		require.NoError(t, err, args)
	}
}
