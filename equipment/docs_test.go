package equipment_test

import (
	"encoding/json"
	"os"
	"regexp"
	"strings"
	"testing"

	"github.com/santhosh-tekuri/jsonschema/v6"
	"github.com/stretchr/testify/require"

	"hodometer/core/live/throwing"
	"hodometer/core/sport/court"
)

// docs/devices.md is true: its examples are taken, and all that the simulated devices say is of the shape of its
// schema.
func TestThePageAboutDevicesIsTrue(t *testing.T) {
	page, err := os.ReadFile("../docs/devices.md")
	require.NoError(t, err)
	text, err := jsonschema.UnmarshalJSON(strings.NewReader(fenced(t, string(page), "jsonschema")[0]))
	require.NoError(t, err)
	compiler := jsonschema.NewCompiler()
	require.NoError(t, compiler.AddResource("line.json", text))
	schema, err := compiler.Compile("line.json")
	require.NoError(t, err)
	is := func(line string) {
		t.Helper()
		value, err := jsonschema.UnmarshalJSON(strings.NewReader(line))
		require.NoError(t, err)
		require.NoError(t, schema.Validate(value), line)
	}

	m, eye := throwing.NewSimulatedMachine(throwing.Make{Hopper: 100}), throwing.NewSimulatedEye(1, 1)
	told, said := 0, 0
	say := func(events []throwing.Event) {
		for _, e := range events {
			line, err := json.Marshal(e)
			require.NoError(t, err)
			is(string(line))
			said++
		}
	}
	for _, block := range fenced(t, string(page), "json") {
		for _, line := range strings.Split(strings.TrimSpace(block), "\n") {
			switch {
			case strings.Contains(line, `"event"`):
				is(line)
			case strings.Contains(line, `"do"`):
				var c throwing.Command
				decoder := json.NewDecoder(strings.NewReader(line))
				decoder.DisallowUnknownFields()
				require.NoError(t, decoder.Decode(&c), line)
				answer := m.Do(c, float64(told))
				if c.Do == throwing.Watch {
					answer = eye.Do(c)
				}
				require.Equal(t, c.Do == throwing.Alive, len(answer) == 0, line)
				for _, e := range answer {
					require.NotEqual(t, throwing.Refused, e.Event, line)
				}
				say(answer)
				told++
			}
		}
	}
	require.Equal(t, 6, told)
	say(m.Pass(60))
	for range 100 {
		say(m.Do(throwing.Command{Do: throwing.One}, 1000+float64(said)))
		say(eye.Do(throwing.Command{Do: throwing.Watch, Aim: &court.Point{Y: 9}}))
	}
	say(m.Do(throwing.Command{Do: "fly"}, 1e6))
	require.Greater(t, said, 200)
}

// fenced are the blocks of a kind on a page.
func fenced(t *testing.T, page, kind string) (list []string) {
	t.Helper()
	for _, found := range regexp.MustCompile("(?s)```"+kind+"\n(.*?)```").FindAllStringSubmatch(page, -1) {
		list = append(list, found[1])
	}
	require.NotEmpty(t, list)
	return list
}
