package sharing_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/say"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/exchange/sharing"
	"hodometer/core/lesson"
	"hodometer/core/sport/sports"
)

// Over the whole library: a drill is the same after its file and after its code, and every cut of its code is told.
func TestADrillFitsInACode(t *testing.T) {
	for _, d := range library.All() {
		text, err := sharing.Write(sharing.Drill, d.ID, d.Document)
		require.NoError(t, err)
		piece, err := sharing.Read(text)
		require.NoError(t, err)
		require.Equal(t, d.Document.Name, piece.Name())
		code, err := sharing.Code(piece)
		require.NoError(t, err)
		require.True(t, sharing.IsCode(code))
		// ISO/IEC 18004: a QR code of version 25 has room for 1 853 such characters at level L; from memory.
		require.Less(t, len(code), 1853, d.Document.Name)
		back, err := sharing.Decode(" " + code + "\n")
		require.NoError(t, err)
		require.Equal(t, d.ID, back.ID)
		require.JSONEq(t, string(piece.Document), string(back.Document))
		for cut := len("HODOMETER:DRILL1:"); cut < len(code)-2; cut += 7 {
			_, err := sharing.Decode(code[:cut])
			require.Error(t, err, "cut at %d", cut)
		}
	}
	_, err := sharing.Decode("HODOMETER:DRILL2:AA")
	require.ErrorContains(t, err, "newer")
	_, err = sharing.Code(sharing.Piece{Hodometer: sharing.Lesson})
	require.ErrorContains(t, err, "too large")
	_, err = sharing.Decode("HODOMETER:DRILL1:" + strings.Repeat("A", 9000))
	require.ErrorContains(t, err, "damaged")
}

func id(n int) string { return fmt.Sprintf("00000000-0000-4000-8000-%012d", n) }

func TestALessonIsCastWithOthers(t *testing.T) {
	d := lesson.Document{
		Students: []string{"ada", "ben", "cleo"}, Note: "Ada’s mother waits outside",
		Blocks: []lesson.Block{
			{
				ID:       "1",
				People:   []string{"cleo", "ada"},
				Drill:    "d",
				Variants: []lesson.Variant{{Student: "ben", Why: say.Words("his knee")}, {Student: "cleo"}},
			},
			{ID: "2", People: []string{"cleo"}, Game: "g"},
			{ID: "3", Drill: "d"},
		},
	}
	nameless := sharing.Nameless(d, id)
	text, err := json.Marshal(nameless)
	require.NoError(t, err)
	for _, private := range []string{"ada", "ben", "cleo", "mother", "knee"} {
		require.NotContains(t, string(text), private)
	}
	require.Equal(t, []string{id(0), id(1), id(2)}, nameless.Students)
	require.Equal(t, []string{id(2), id(0)}, nameless.Blocks[0].People)

	two := sharing.Cast(nameless, []string{"dov", "esme"})
	require.Equal(t, []string{"dov", "esme"}, two.Students)
	require.Equal(t, []string{"dov"}, two.Blocks[0].People)
	require.Equal(t, "esme", two.Blocks[0].Variants[0].Student)
	require.Len(t, two.Blocks[0].Variants, 1)
	require.Empty(t, two.Blocks[1].People, "for all again")
	require.Equal(t, "ada", d.Blocks[0].People[1], "what was handed out stays as it is")

	drills, games := sharing.Needs(d)
	require.Equal(t, []string{"d"}, drills)
	require.Equal(t, []string{"g"}, games)
	require.Equal(t, "other", sharing.Renamed(d, map[string]string{"d": "other"}).Blocks[2].Drill)
}

func FuzzDecode(f *testing.F) {
	for _, d := range library.All()[:3] {
		text, err := sharing.Write(sharing.Drill, d.ID, d.Document)
		require.NoError(f, err)
		piece, err := sharing.Read(text)
		require.NoError(f, err)
		code, err := sharing.Code(piece)
		require.NoError(f, err)
		f.Add(code)
	}
	f.Fuzz(func(t *testing.T, text string) {
		if piece, err := sharing.Decode(text); err == nil {
			require.NotZero(t, piece.Hodometer.Current())
		}
	})
}

// A drill of a sport that came later is handed on in a format that a program of before refuses in words, as a file, a
// code and by itself; here it is what it was. One of the first sports stays as everybody reads it.
func TestALaterSportHasAFormatOfItsOwn(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document
		written, err := sharing.Write(sharing.Drill, stored.ID, d)
		require.NoError(t, err)
		version := drill.FormatVersion + sports.Of(d.Sport).Later
		require.Contains(t, string(written), fmt.Sprintf(`"version": %d,`, version), d.Name)
		want, err := json.Marshal(d)
		require.NoError(t, err)
		piece, err := sharing.Read(written)
		require.NoError(t, err)
		require.JSONEq(t, string(want), string(piece.Document), d.Name)
		code, err := sharing.Code(piece)
		require.NoError(t, err)
		decoded, err := sharing.Decode(code)
		require.NoError(t, err)
		require.JSONEq(t, string(want), string(decoded.Document), d.Name)
		var whole struct{ Document json.RawMessage }
		require.NoError(t, json.Unmarshal(written, &whole))
		alone, err := sharing.Read(whole.Document)
		require.NoError(t, err)
		require.JSONEq(t, string(want), string(alone.Document), d.Name)
	}
	// What a program of before did, and this one does with the sport after next: it goes by the number.
	_, err := sharing.Read([]byte(`{"hodometer":"drill","id":"","document":{"version":6,"sport":"padel"}}`))
	require.ErrorContains(t, err, "written by a newer Hodometer (format 6; this one reads up to 4)")
	lesson, err := sharing.Write(
		sharing.Lesson,
		"",
		lesson.Document{FormatVersion: lesson.FormatVersion, Space: load.Space{Court: "padel"}},
	)
	require.NoError(t, err)
	require.Contains(t, string(lesson), fmt.Sprintf(`"version": %d,`, 5))
}
