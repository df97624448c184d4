package invalid_test

import (
	"errors"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
)

func TestFields(t *testing.T) {
	inner := invalid.Fields{{Path: "mark", Message: "off the map"}}
	for _, c := range []struct {
		name string
		note func(*invalid.Fields)
		want string
	}{
		{"a field with its message", func(f *invalid.Fields) { f.Add("gap", "at least %g", 0.5) }, "gap: at least 0.5"},
		{"a plain error at its path", func(f *invalid.Fields) { f.Under("places.0", errors.New("gone")) }, "places.0: gone"},
		{"the fields of a part keep their finer path", func(f *invalid.Fields) { f.Under("places.0", inner) },
			"places.0.mark: off the map"},
		{"two fields in order", func(f *invalid.Fields) { f.Add("a", "one"); f.Add("b", "two") }, "a: one; b: two"},
	} {
		t.Run(c.name, func(t *testing.T) {
			var f invalid.Fields
			f.Under("nothing", nil)
			require.NoError(t, f.Err())
			c.note(&f)
			require.EqualError(t, f.Err(), c.want)
		})
	}
	require.Equal(t, "blocks.2.title", invalid.Join("blocks", 2, "", "title"))
}
