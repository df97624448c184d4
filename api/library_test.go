package api_test

import (
	"fmt"
	"net/http"
	"net/url"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/api/repository"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
)

// find looks for drills.
func (c *club) find(query url.Values) desk.Found {
	return read[desk.Found](c.t, c.ask("GET", "/api/drills?"+query.Encode(), nil))
}

func TestDrillsAreFoundSomeAtATime(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	all := c.find(url.Values{})
	require.Equal(t, len(library.All()), all.Total)
	require.Len(t, all.Drills, 24)
	rest := c.find(url.Values{"offset": {"24"}, "limit": {"60"}})
	require.Len(t, rest.Drills, all.Total-24)
	require.NotEqual(t, all.Drills[0].ID, rest.Drills[0].ID)
	require.Empty(t, c.find(url.Values{"offset": {"100000"}}).Drills)

	coin := c.find(url.Values{"text": {"coin cor"}})
	require.Equal(t, "Coin in the Corner", coin.Drills[0].Document.Name)
	require.NotNil(t, coin.Drills[0].Report)
	require.NotZero(t, coin.Drills[0].Minutes)
	require.Contains(t, coin.Drills[0].Versions, "as written")

	for _, asked := range []string{"limit=61", "offset=-1", "text=" + strings.Repeat("x", 101)} {
		readProblem(t, c.ask("GET", "/api/drills?"+asked, nil), http.StatusUnprocessableEntity)
	}

	// What is changed or added is found at once, and what is archived is not.
	id := newID()
	read[repository.Drill](t, c.ask("POST", "/api/drills/"+coin.Drills[0].ID+"/duplicate", map[string]any{"id": id}))
	own := c.find(url.Values{"text": {"coin my"}})
	require.Equal(t, 1, own.Total)
	document := own.Drills[0].Document
	document.Name = "Zigzag for Zoe"
	read[repository.Drill](t, c.ask("PUT", "/api/drills/"+id, document, "If-Match", `"1"`))
	require.Equal(t, 0, c.find(url.Values{"text": {"coin my"}}).Total)
	changed := c.find(url.Values{"text": {"zig"}}).Drills[0]
	require.Equal(t, []any{id, int64(2)}, []any{changed.ID, changed.Revision})
	require.Equal(t, id, c.find(url.Values{}).Drills[0].ID, "the coach's own come first")
	read[repository.Drill](t, c.ask("PUT", "/api/drills/"+id+"/archived", map[string]any{"archived": true}))
	require.Zero(t, c.find(url.Values{"text": {"zig"}}).Total)
	require.Equal(t, 1, c.find(url.Values{"text": {"zig"}, "archived": {"true"}}).Total)
}

func TestDrillsAreOrderedForAStudentAndByUse(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Sport, p.Hand = "tennis", "right"
	student := c.student(p)
	id, block, lesson := lessonWith(t, c, "Last Stretch", student)
	c.count(id, block, student, 1, 3, 7)
	served := c.find(url.Values{"students": {student}, "order": {"fits this student"}, "first": {"tennis"}})
	require.NotEmpty(t, served.Drills[0].Serves)
	require.Equal(t, "tennis", string(served.Drills[0].Document.Sport))
	used := c.find(url.Values{"order": {"not used lately"}, "limit": {"60"}})
	require.Empty(t, used.Drills[0].Used)
	last := c.find(url.Values{"order": {"not used lately"}, "offset": {fmt.Sprint(used.Total - 1)}}).Drills[0]
	require.Equal(t, []string{lesson.Document.Blocks[0].Drill, "2026-03-10"}, []string{last.ID, last.Used})
	require.NotEmpty(t, c.find(url.Values{"students": {newID()}}).Drills, "who was erased has no next step")
}

func TestACollectionIsTheCoachsOwn(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	settings := read[desk.Settings](t, c.ask("GET", "/api/settings", nil))
	all := library.All()
	settings.Settings.Collections = append(
		settings.Settings.Collections,
		coach.Collection{Name: "Rainy days", Drills: []string{all[2].ID, all[5].ID}},
	)
	read[desk.Settings](
		t,
		c.ask("PUT", "/api/settings", settings.Settings, "If-Match", fmt.Sprintf("%q", fmt.Sprint(settings.Revision))),
	)
	require.Equal(t, 2, c.find(url.Values{"collection": {"Rainy days"}}).Total)
	p := readProblem(t, c.ask("GET", "/api/drills?collection=Sunny", nil), http.StatusUnprocessableEntity)
	require.Contains(t, p.Fields[0].Message, "no such collection")
}

// A drill is offered to those who meet its goal two to nine times in ten, and says so; a coach's own as it stands.
func TestDrillsSayWhomTheySuit(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	coin := c.find(url.Values{"text": {"coin cor"}}).Drills[0]
	require.Equal(t, "club player", coin.Suits)
	of := func(level string) []string {
		var names []string
		for _, d := range c.find(url.Values{"level": {level}, "limit": {"60"}}).Drills {
			names = append(names, d.Document.Name)
		}
		return names
	}
	require.Contains(t, of("club player"), "Coin in the Corner")
	require.NotContains(t, of("tournament player"), "Coin in the Corner")
	require.Contains(t, of("club player"), "A Hundred In")

	// Who has to make two suits others than who has to make five.
	id := newID()
	own := read[repository.Drill](t, c.ask("POST", "/api/drills/"+coin.ID+"/duplicate", map[string]any{"id": id})).Document
	own.Measures[0].Goals[0].Count = 2
	read[repository.Drill](t, c.ask("PUT", "/api/drills/"+id, own, "If-Match", `"1"`))
	require.Contains(t, of("improver"), own.Name)
	require.NotContains(t, of("club player"), own.Name)
	suits := read[desk.Suiting](t, c.ask("POST", "/api/drills/suits", map[string]any{"document": own}))
	require.Equal(t, c.find(url.Values{"text": {"coin my"}}).Drills[0].Suits, suits.Levels)
	own.Measures[0].Goals[0].Count = 200
	require.Empty(t, read[desk.Suiting](t, c.ask("POST", "/api/drills/suits", map[string]any{"document": own})).Levels)
	own.Pattern.Gap = 0
	readProblem(t, c.ask("POST", "/api/drills/suits", map[string]any{"document": own}), http.StatusUnprocessableEntity)
}
