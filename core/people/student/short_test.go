package student_test

import (
	"reflect"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/long"
)

func TestShortNames(t *testing.T) {
	for _, c := range []struct {
		name        string
		given, want []string
	}{
		{"first names", []string{"Ada Fenn", "Ben Okoro"}, []string{"Ada", "Ben"}},
		{"two share the first", []string{"Ada Fenn", "Ada Marsh", "Ben"}, []string{"Ada F.", "Ada M.", "Ben"}},
		{"and the letter", []string{"Ada Fenn", "Ada Frost"}, []string{"Ada Fenn", "Ada Frost"}},
		{"one has no other", []string{"Ada", "Ada Frost"}, []string{"Ada", "Ada F."}},
		{"three words", []string{"Ada van Dorn", "Ada Fenn"}, []string{"Ada D.", "Ada F."}},
		{"the very same", []string{"Ada Fenn", "Ada Fenn"}, []string{"Ada Fenn", "Ada Fenn"}},
		{"nobody", []string{}, []string{}},
		{"nothing but room", []string{"  "}, []string{"  "}},
	} {
		t.Run(c.name, func(t *testing.T) { require.Equal(t, c.want, student.ShortNames(c.given)) })
	}
}

func TestNobodyIsCalledAsSomebodyElse(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		names := rapid.SliceOfN(rapid.StringMatching(`(Ada|Ben|Éva)( (Fenn|Frost|Fo|F\.|Ødegård))?`), 0, 8).Draw(t, "names")
		short := student.ShortNames(names)
		require.Len(t, short, len(names))
		for i := range names {
			for j := range names {
				if names[i] != names[j] {
					require.NotEqual(t, short[i], short[j], "%q and %q", names[i], names[j])
				}
			}
			require.LessOrEqual(t, len(short[i]), len(names[i])+2)
		}
	})
}

func TestEverySportHasLevelsThatItsProfilesMayHave(t *testing.T) {
	for _, value := range court.Sport("").Enum() {
		sport, _ := value.(court.Sport)
		for _, each := range student.Level("").Enum() {
			level, _ := each.(student.Level)
			p := student.Profile{Name: "Ada", Sport: sport, Level: level}
			require.Equal(t, slices.Contains(student.LevelsFor(sport), level), p.Check() == nil, "%s in %s", level, sport)
		}
	}
}

// A device has of a student only what it needs: a field that is new is private until it is named.
func TestADeviceHasOnlyWhatItNeeds(t *testing.T) {
	var all student.Profile
	fill(reflect.ValueOf(&all).Elem())
	all.Sore[0].Rests = []student.Strain{student.Jumps}
	there, known := reflect.ValueOf(all.OnCourt()), []string{}
	for i := range there.NumField() {
		if !there.Field(i).IsZero() {
			known = append(known, there.Type().Field(i).Name)
		}
	}
	want := []string{"Name", "Age", "Hand", "Backhand", "Sport", "Level", "Sore", "Limit", "Watch", "Timed"}
	require.Equal(t, want, known)
	require.Equal(t, student.Other, all.OnCourt().Sore[0].Part, "not where it hurts")
	require.Empty(t, all.OnCourt().Sore[0].Words, "and not why")
}

// fill puts something into every field.
func fill(v reflect.Value) {
	switch v.Kind() {
	case reflect.String:
		v.SetString("knee")
	case reflect.Int:
		v.SetInt(1)
	case reflect.Float64:
		v.SetFloat(1)
	case reflect.Pointer:
		v.Set(reflect.New(v.Type().Elem()))
		fill(v.Elem())
	case reflect.Slice:
		v.Set(reflect.MakeSlice(v.Type(), 1, 1))
		fill(v.Index(0))
	case reflect.Struct:
		for i := range v.NumField() {
			fill(v.Field(i))
		}
	}
}
