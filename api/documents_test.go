package api_test

import (
	"encoding/json"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/santhosh-tekuri/jsonschema/v6"
	"github.com/stretchr/testify/require"

	"hodometer/api/exchange"
	"hodometer/api/repository"
	"hodometer/core/drill/library"
	"hodometer/core/exchange/sharing"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/progress"
	"hodometer/handover"
)

func (c *club) looked(file string) []exchange.Looked {
	return read[exchange.DocumentsLooked](c.t, c.ask("POST", "/api/documents/look", file)).Documents
}

func (c *club) out(path string) string {
	w := c.ask("GET", "/api/out/"+path, nil)
	require.Equal(c.t, http.StatusOK, w.Code, w.Body.String())
	return w.Body.String()
}

// Every drill and every game of the library goes out and comes in as the same document, and holds to the schema that is
// served.
func TestWhatGoesOutComesInTheSame(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	schema := func(name string) *jsonschema.Schema {
		compiler := jsonschema.NewCompiler()
		document, err := jsonschema.UnmarshalJSON(strings.NewReader(c.ask("GET", "/api/schemas/"+name, nil).Body.String()))
		require.NoError(t, err)
		require.Equal(t, "https://json-schema.org/draft/2020-12/schema", document.(map[string]any)["$schema"])
		require.NoError(t, compiler.AddResource(name, document))
		compiled, err := compiler.Compile(name)
		require.NoError(t, err)
		return compiled
	}
	drills, games := schema("drill.json"), schema("game.json")
	check := func(kind, id string, compiled *jsonschema.Schema) {
		text := c.out(kind + "/" + id + ".json")
		piece, err := sharing.Read([]byte(text))
		require.NoError(t, err)
		loose, err := jsonschema.UnmarshalJSON(strings.NewReader(string(piece.Document)))
		require.NoError(t, err)
		require.NoError(t, compiled.Validate(loose))
		looked := c.looked(text)
		require.Len(t, looked, 1)
		require.Empty(t, looked[0].Wrong)
		require.Equal(t, exchange.SameThere, looked[0].There)
		require.Contains(t, c.out(kind+"/"+id+".svg"), "<title>")
	}
	require.True(t, strings.HasPrefix(c.out("drill/"+library.All()[0].ID+".png"), "\x89PNG"))
	for _, d := range library.All() {
		check("drill", d.ID, drills)
	}
	for _, g := range library.Games() {
		check("game", g.ID, games)
	}
}

// A lesson goes to a colleague with the drill of the coach's own that it plays, without its people, and comes in for
// others.
func TestALessonGoesToAnotherMachineWithItsDrillsAndWithoutItsPeople(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student, id := c.student(ada()), newID()
	saved := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(newID(), student), fresh, "*"))
	own := newID()
	document := library.All()[0].Document
	document.Name = "My own corner"
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/drills/"+own, document, fresh, "*").Code)
	changed := saved.Document
	changed.Note = "Ada’s mother waits outside"
	for i, b := range changed.Blocks {
		if b.Drill != "" {
			changed.Blocks[i].Drill = own
		}
	}
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/lessons/"+id, changed, "If-Match", `"1"`).Code)
	zipped := c.out("lesson/" + id + ".zip")
	require.Equal(t, zipped, c.out("lesson/"+id+".zip"), "the same bytes")
	opened, err := handover.Open([]byte(zipped))
	require.NoError(t, err)
	for _, one := range opened {
		require.NotContains(t, string(one.Piece.Document), student)
		require.NotContains(t, string(one.Piece.Document), "mother")
	}

	other := newClub(t)
	ben := ada()
	ben.Name = "Ben"
	theirs := other.student(ben)
	looked := other.looked(zipped)
	require.Len(t, looked, 2)
	require.Equal(t, 1, looked[0].People)
	require.Empty(t, looked[0].Needs)
	coming := exchange.DocumentsComing{Students: []string{theirs}, Date: "2026-03-12"}
	for _, l := range looked {
		coming.Documents = append(coming.Documents, exchange.Coming{Passed: l.Passed, ID: l.ID, As: exchange.AsNew})
	}
	came := read[exchange.DocumentsCame](t, other.ask("POST", "/api/documents", coming))
	there := read[plan.Lesson](t, other.ask("GET", "/api/lessons/"+came.IDs[0], nil)).Document
	require.Equal(t, []string{theirs}, there.Students)
	require.Equal(t, "2026-03-12", there.Date)
	require.Equal(t, exchange.SameThere, other.looked(c.out("drill/" + own + ".json"))[0].There)

	// Without its drill it says what it needs; without students it does not come in, and neither does anything with it.
	third := newClub(t)
	alone := third.looked(c.out("lesson/" + id + ".json"))
	require.Len(t, alone[0].Needs, 1)
	readProblem(
		t,
		third.ask("POST", "/api/documents", exchange.DocumentsComing{Documents: coming.Documents}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, http.StatusNotFound, third.ask("GET", "/api/drills/"+own, nil).Code)
}

func TestWhatClashesIsShownAndComesInBesideOrInstead(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	id := newID()
	document := library.All()[0].Document
	document.Name = "Corner"
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/drills/"+id, document, fresh, "*").Code)
	text := c.out("drill/" + id + ".json")
	document.Name = "Corner, changed here"
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/drills/"+id, document, "If-Match", `"1"`).Code)
	l := c.looked(text)[0]
	require.Equal(t, exchange.OtherHere, l.There)
	require.Equal(t, "Corner, changed here", l.Mine.Drill.Name)
	require.Equal(t, "Corner", l.Drill.Name)

	coming := exchange.DocumentsComing{Documents: []exchange.Coming{{Passed: l.Passed, ID: l.ID, As: exchange.AsNew}}}
	readProblem(t, c.ask("POST", "/api/documents", coming), http.StatusConflict)
	coming.Documents[0].As = exchange.AsBoth
	beside := read[exchange.DocumentsCame](t, c.ask("POST", "/api/documents", coming)).IDs[0]
	require.NotEqual(t, id, beside)
	coming.Documents[0].As, coming.Documents[0].Revision = exchange.AsInstead, l.Revision
	require.Equal(t, []string{id}, read[exchange.DocumentsCame](t, c.ask("POST", "/api/documents", coming)).IDs)
	require.Equal(t, "Corner", read[repository.Drill](t, c.ask("GET", "/api/drills/"+id, nil)).Document.Name)
	readProblem(t, c.ask("POST", "/api/documents", coming), http.StatusPreconditionFailed)

	built := library.All()[0]
	coming.Documents[0] = exchange.Coming{
		Passed:   exchange.Passed{Drill: &built.Document},
		ID:       built.ID,
		As:       exchange.AsInstead,
		Revision: 1,
	}
	readProblem(t, c.ask("POST", "/api/documents", coming), http.StatusUnprocessableEntity)
}

func TestDocumentsOfEarlierFormatsAreBroughtUpAndOthersToldInWords(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	old := `{"version":1,"title":"Pair","date":"2026-03-10","start":"16:00","minutes":60,"students":["00000000-0000-4000-8000-000000000001"],"note":"n","blocks":[
		{"id":"00000000-0000-4000-8000-000000000002","kind":"ball warm-up","title":"Warm","minutes":8,"effort":4,"calls":[{"minute":0,"say":"Go"}],"roles":["net","back"],"swap":1.5}]}`
	l := c.looked(old)[0]
	require.Empty(t, l.Wrong)
	require.Equal(t, 1, l.Older)
	require.Equal(t, "Go", l.Lesson.Blocks[0].Calls[0].Text)
	for file, says := range map[string]string{
		`{"hodometer":"drill","id":"","document":{"version":99}}`: "written by a newer Hodometer",
		`{"hodometer":"cake","document":{}}`:                      "no drill, no game, no lesson and no ladder",
		`{"name":"x"}`:                                            "no drill, no game, no lesson and no ladder",
		`[1`:                                                      "cannot be read as JSON",
		"PK\x03\x04nonsense":                                      "this .zip is damaged",
	} {
		p := readProblem(t, c.ask("POST", "/api/documents/look", file), http.StatusUnprocessableEntity)
		require.Contains(t, p.Fields[0].Message, says)
	}
	require.Contains(
		t,
		c.looked(`{"hodometer":"drill","id":"","document":{"version":0}}`)[0].Wrong[0],
		"never a drill of format 0",
	)
	document, err := json.Marshal(library.All()[0].Document)
	require.NoError(t, err)
	require.Contains(
		t,
		c.looked(strings.Replace(string(document), `"name"`, `"title":"","name"`, 1))[0].Wrong[0],
		"there is no such field",
	)
}

// Over the whole library: a drill as a line is read as the drill with that pattern, and as a code as the very same
// drill.
func TestADrillIsPassedOnAsALineAndAsACode(t *testing.T) {
	t.Parallel()
	c, lines := newClub(t), 0
	for _, d := range library.All() {
		passed := read[exchange.DrillCode](t, c.ask("GET", "/api/drills/"+d.ID+"/code", nil))
		require.Equal(t, exchange.SameThere, c.looked(passed.Text)[0].There)
		require.Len(t, passed.QR, len(passed.QR[0]), "it is square")
		require.LessOrEqual(t, len(passed.QR), 125, "%s: so large that no camera reads it from a card", d.Document.Name)
		if passed.Line == "" {
			continue
		}
		lines++
		require.NotContains(t, passed.Line, "\n")
		l := c.looked(passed.Line)[0]
		require.Empty(t, l.Wrong, passed.Line)
		require.Equal(t, d.Document.Name, l.Drill.Name)
		require.Equal(t, d.Document.Court, l.Drill.Court)
		require.Equal(t, d.Document.Pattern.Tasks, l.Drill.Pattern.Tasks, passed.Line)
		require.Equal(t, exchange.NotThere, l.There)
	}
	require.Greater(t, 4*lines, 3*len(library.All()), "most drills fit in a line")
	for text, says := range map[string]string{
		"moon | Corner | 3x { FH [deep] }": "a court that is not known here",
		"tennis | Corner | 3x { wobble }":  "was not understood",
		"HODOMETER:DRILL1:AAAA":            "damaged",
		"HODOMETER:DRILL9:AAAA":            "newer",
	} {
		p := readProblem(t, c.ask("POST", "/api/documents/look", text), http.StatusUnprocessableEntity)
		require.Contains(t, p.Fields[0].Message, says)
	}
}

// The rungs that a student came to go to another coach without a name, hold to the schema that is served, and are those
// of whom the coach says.
func TestLaddersGoToAnotherCoach(t *testing.T) {
	t.Parallel()
	c, other := newClub(t), newClub(t)
	id := c.student(ada())
	require.Equal(t, http.StatusNotFound, c.ask("GET", "/api/out/ladder/"+id+".json", nil).Code, "nothing is known yet")
	for _, rung := range []string{"consistency", "direction", "depth"} {
		read[repository.Progress](
			t,
			c.ask("POST", "/api/students/"+id+"/ladder-position", map[string]any{"stroke": "forehand", "rung": rung}),
		)
		c.now = c.now.Add(time.Hour)
	}
	text := c.out("ladder/" + id + ".json")
	require.NotContains(t, text, ada().Name)
	piece, err := sharing.Read([]byte(text))
	require.NoError(t, err)
	require.Equal(t, sharing.Ladder, piece.Hodometer)
	compiler := jsonschema.NewCompiler()
	document, err := jsonschema.UnmarshalJSON(
		strings.NewReader(c.ask("GET", "/api/schemas/ladder.json", nil).Body.String()),
	)
	require.NoError(t, err)
	require.NoError(t, compiler.AddResource("ladder.json", document))
	schema, err := compiler.Compile("ladder.json")
	require.NoError(t, err)
	loose, err := jsonschema.UnmarshalJSON(strings.NewReader(string(piece.Document)))
	require.NoError(t, err)
	require.NoError(t, schema.Validate(loose))

	looked := other.looked(text)
	require.Len(t, looked, 1)
	require.Empty(t, looked[0].Wrong)
	coming := exchange.DocumentsComing{Documents: []exchange.Coming{{Passed: looked[0].Passed, As: exchange.AsNew}}}
	wrong := readProblem(t, other.ask("POST", "/api/documents", coming), http.StatusUnprocessableEntity)
	require.Contains(t, wrong.Fields[0].Message, "whose ladders")
	coming.Students = []string{other.student(ada())}
	for range 2 { // sent again it changes nothing
		require.Equal(t, coming.Students, read[exchange.DocumentsCame](t, other.ask("POST", "/api/documents", coming)).IDs)
	}
	strokes := func(c *club, id string) []progress.OnStroke {
		return read[repository.Progress](t, c.ask("GET", "/api/students/"+id+"/progress", nil)).Strokes
	}
	require.Equal(t, strokes(c, id), strokes(other, coming.Students[0]))
	require.Len(t, strokes(c, id)[0].Milestones, 2)

	for _, spoiled := range []string{strings.ReplaceAll(text, "forehand", "dink"),
		strings.ReplaceAll(text, `"depth"`, `"height"`), strings.ReplaceAll(text, `"reached"`, `"reach"`)} {
		require.NotEmpty(t, other.looked(spoiled)[0].Wrong)
	}
}
