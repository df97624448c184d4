package underway_test

import (
	"bytes"
	"encoding/json"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"

	"hodometer/internal/long"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/lesson/schedule"
	"hodometer/core/live/device"
	"hodometer/core/live/scoreboard"
	"hodometer/core/live/underway"
)

type scheduled = schedule.ScheduledBlock

// An identifier made of another one is the same as the program's own library makes it.
func TestNamesAreTheSameEverywhere(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		space, name := rapid.SampledFrom([]uuid.UUID{uuid.NameSpaceDNS, uuid.NameSpaceOID, uuid.MustParse(idOf(1, 2))}).
			Draw(t, "space"),
			rapid.String().
				Draw(t, "name")
		got, err := underway.Named(space.String(), name)
		require.NoError(t, err)
		require.Equal(t, uuid.NewSHA1(space, []byte(name)).String(), got)
	})
	_, err := underway.Named("nobody", "x")
	require.Error(t, err)
}

// The same five hundred questions have the same answers, byte for byte, from core in the program and on a device.
func TestADeviceAnswersLikeTheProgram(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	node, err := exec.LookPath("node")
	require.NoError(t, err)
	folder := t.TempDir()
	wasm := filepath.Join(folder, "core.wasm")
	build := exec.CommandContext(
		t.Context(),
		"go",
		"build",
		"-trimpath",
		"-ldflags=-s -w",
		"-o",
		wasm,
		"hodometer/cmd/courtside",
	)
	build.Env = append(os.Environ(), "GOOS=js", "GOARCH=wasm")
	out, err := build.CombinedOutput()
	require.NoError(t, err, string(out))
	root, err := exec.CommandContext(t.Context(), "go", "env", "GOROOT").Output()
	require.NoError(t, err)

	questions := rapid.Custom(func(t *rapid.T) string {
		k := drawKit(t)
		acts := drawActs(t, k, 0, 30)
		before := rapid.IntRange(0, len(acts)).Draw(t, "before")
		do(t, &k, acts[:before]...)
		return toJSON(
			t,
			device.Question{
				Lesson: &device.LessonAsked{
					Kit:  k,
					Acts: acts[before:],
					Now:  after(float64(rapid.IntRange(0, 3000).Draw(t, "now"))),
				},
			},
		)
	})
	const asked = 500
	games := library.Games()
	var in bytes.Buffer
	want := make([]string, asked)
	for i := range want {
		question := questions.Example(i)
		if i%10 == 0 { // a game that begins
			d := games[i/10%len(games)].Document
			match := game.Match{FormatVersion: game.MatchVersion, Title: d.Name, Sport: d.Sport, Court: d.Court, Rules: &d.Rules}
			for n := range d.Rules.Players() {
				match.Players = append(match.Players, idOf(3, n))
			}
			won := game.Event{ID: "1", At: after(1), Kind: game.Won, Side: game.Near, Rally: 1}
			question = toJSON(
				t,
				device.Question{Game: &device.GameAsked{Kit: scoreboard.Kit{Document: match}, Events: []game.Event{won}}},
			)
		}
		in.WriteString(question + "\n")
		want[i] = string(device.Answer([]byte(question)))
		require.NotContains(t, want[i], `"error"`)
	}
	in.WriteString("no question\n")
	asks, answers := filepath.Join(folder, "questions"), filepath.Join(folder, "answers")
	require.NoError(t, os.WriteFile(asks, in.Bytes(), 0o600))
	out, err = exec.CommandContext(t.Context(), node, "testdata/device.mjs",
		filepath.Join(strings.TrimSpace(string(root)), "lib/wasm/wasm_exec.js"), wasm, asks, answers).
		CombinedOutput()
	require.NoError(t, err, string(out))
	text, err := os.ReadFile(answers)
	require.NoError(t, err)
	got := strings.Split(string(text), "\n")
	require.Len(t, got, asked+1)
	for i := range want {
		same(t, want[i], got[i])
	}
	var refused struct{ Error string }
	require.NoError(t, json.Unmarshal([]byte(got[asked]), &refused))
	require.NotEmpty(t, refused.Error, "what is no question is told, and the next one is answered")
}

// same fails where two answers differ, and shows where.
func same(t *testing.T, want, got string) {
	t.Helper()
	if want == got {
		return
	}
	i := 0
	for i < min(len(want), len(got)) && want[i] == got[i] {
		i++
	}
	around := func(s string) string { return s[max(0, min(i, len(s))-120):min(len(s), i+60)] }
	require.Equal(t, around(want), around(got))
}
