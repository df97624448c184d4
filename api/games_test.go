package api_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"net/url"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/api/courtside"
	"hodometer/api/desk"
	"hodometer/api/repository"
	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/offer"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/scoreboard"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
)

func readyGame(t *testing.T, name string) library.StoredGame {
	for _, stored := range library.Games() {
		if stored.Document.Name == name {
			return stored
		}
	}
	t.Fatal("no game ", name)
	return library.StoredGame{}
}

func asked(d game.Document) map[string]any {
	return map[string]any{"document": d, "chances": game.Even(), "rallies": 14, "minutes": 8, "seed": 1}
}

func TestGamesAreKept(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	list := read[[]desk.Game](t, c.ask("GET", "/api/games", nil))
	require.Len(t, list, len(library.Games()))
	for _, g := range list {
		require.NotNil(t, g.Length, g.Document.Name)
		require.NotEmpty(t, g.Sentences)
	}
	squash := read[[]desk.Game](t, c.ask("GET", "/api/games?sport=squash", nil))
	require.Less(t, len(squash), len(list))

	ready := readyGame(t, "Three Openings")
	id := newID()
	own := read[desk.Game](t, c.ask("POST", "/api/games/"+ready.ID+"/duplicate", map[string]any{"id": id}))
	require.Equal(t, "Three Openings (my version)", own.Document.Name)
	own.Document.Rules.Mini.Swept = 3
	saved := read[desk.Game](t, c.ask("PUT", "/api/games/"+id, own.Document, "If-Match", `"1"`))
	require.EqualValues(t, 2, saved.Revision)
	require.Equal(t, 3, read[desk.Game](t, c.ask("GET", "/api/games/"+id, nil)).Document.Rules.Mini.Swept)
	readProblem(t, c.ask("PUT", "/api/games/"+ready.ID, own.Document, "If-Match", `"1"`), http.StatusForbidden)

	own.Document.Rules.End = game.End{}
	problem := readProblem(
		t,
		c.ask("PUT", "/api/games/"+id, own.Document, "If-Match", `"2"`),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "rules.end", problem.Fields[0].Path)
	require.Contains(t, problem.Fields[0].Message, "never ends")

	read[desk.Game](t, c.ask("PUT", "/api/games/"+id+"/archived", map[string]any{"archived": true}))
	require.Len(t, read[[]desk.Game](t, c.ask("GET", "/api/games", nil)), len(library.Games()))

	begun := read[game.Document](t, c.ask("POST", "/api/games/begin", map[string]any{"court": "pickleball"}))
	require.NoError(t, begun.Check())
}

// What the desk shows of a game is what core works out, once.
func TestAGameIsWorkedOut(t *testing.T) {
	t.Parallel()
	c := newClub(t, func(o *api.Options) { o.Search = time.Minute }) // however slow the machine is
	for _, stored := range library.Games() {
		d := stored.Document
		w := read[desk.WorkedGame](t, c.ask("POST", "/api/games/preview", asked(d)))
		f, err := d.Rules.WithMinutes(t.Context(), game.Even(), sports.Of(d.Sport).Tempo)
		require.NoError(t, err)
		require.InDelta(t, f.Near, w.Near, 1e-12)
		require.InDelta(t, f.Rallies, w.Length.Rallies, 1e-12)
		require.Equal(t, f.Duration(sports.Of(d.Sport).Tempo), w.Length.Minutes)
		require.InDelta(t, 1, w.Near+w.Far+w.Nobody, 1e-6)
		require.Equal(t, d.Rules.Sentences(), w.Sentences)
		last := w.Steps[len(w.Steps)-1]
		require.True(t, last.State.Over, d.Name)
		require.Contains(t, last.Next, "Over")
		if d.Rules.Score == "" && len(d.Rules.Spots) > 1 {
			require.NotEmpty(t, w.Fair, d.Name)
			require.InDelta(t, 0.5, w.Fair[0].Wins, 0.2, d.Name)
		}
		if d.Rules.End.Near > 0 {
			require.Positive(t, w.ToNear, d.Name)
		}
	}
	duel := readyGame(t, "Ten for Five").Document
	wrong := asked(duel)
	wrong["chances"] = map[string]any{"nearFeeds": 1, "farFeeds": 1}
	w := read[desk.WorkedGame](t, c.ask("POST", "/api/games/preview", wrong))
	require.Empty(t, w.Fair)
	require.Contains(t, w.FairWhy, "no fair score")
}

// A game that a device began where there was no network is stored with what happened in it, however often it is sent.
func TestAGameIsBegunWithoutTheNetwork(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	one, two := ada(), ada()
	two.Name = "Ben"
	a, b := c.student(one), c.student(two)
	ready := readyGame(t, "Ten for Five")
	match := game.Match{
		FormatVersion: 1,
		Game:          ready.ID,
		Title:         ready.Document.Name,
		Sport:         "tennis",
		Date:          "2026-03-10",
		Players:       []string{a, b},
		Rules:         &ready.Document.Rules,
	}
	var events []game.Event
	for rally := 1; rally <= 3; rally++ {
		events = append(
			events,
			game.Event{
				ID:    newID(),
				At:    c.now.Add(time.Duration(rally) * time.Second),
				Kind:  game.Won,
				Rally: rally,
				Side:  game.Far,
			},
		)
	}
	at := "/api/played/" + newID()
	readProblem(t, c.ask("POST", at+"/events", courtside.GameEvents{Events: events}), http.StatusNotFound)
	var before scoreboard.Scored
	for range 3 {
		before = read[scoreboard.Scored](t, c.ask("POST", at+"/events", courtside.GameEvents{Begin: &match, Events: events}))
		require.Equal(t, [2]int{0, 3}, before.State.Points)
		require.Empty(t, before.LeftOut)
	}

	// The same comes of it on the device.
	kit := read[scoreboard.Kit](t, c.ask("GET", at+"/kit", nil))
	want, err := json.Marshal(before.Played)
	require.NoError(t, err)
	got, err := json.Marshal(kit.View())
	require.NoError(t, err)
	require.JSONEq(t, string(want), string(got))
	kit.Document.Events = nil
	left, err := kit.Do(events)
	require.NoError(t, err)
	require.Empty(t, left)
	require.Equal(t, before.State.Points, kit.View().State.Points)

	match.Players = []string{a}
	wrong := readProblem(
		t,
		c.ask("POST", "/api/played/"+newID()+"/events", courtside.GameEvents{Begin: &match, Events: []game.Event{}}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "begin.players", wrong.Fields[0].Path)
}

func TestAGameIsPlayedFromTwoDevices(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	one, two := ada(), ada()
	two.Name = "Ben"
	a, b := c.student(one), c.student(two)
	ready := readyGame(t, "Ten for Five")
	id := newID()
	match := game.Match{
		FormatVersion: 1,
		Game:          ready.ID,
		Title:         ready.Document.Name,
		Sport:         "tennis",
		Date:          "2026-03-10",
		Players:       []string{a, b},
		Rules:         &ready.Document.Rules,
	}
	began := read[scoreboard.Played](t, c.ask("PUT", "/api/played/"+id, match, "If-None-Match", "*"))
	require.Equal(t, "Ben", began.Names[b])
	require.Contains(t, began.Next, "serves")
	n := 0
	tap := func(device string, rally int, side game.Side) map[string]any {
		n++
		return map[string]any{
			"id":    fmt.Sprintf("%s%03d", device, n),
			"at":    c.now.Add(time.Duration(n) * time.Second),
			"kind":  "won",
			"rally": rally,
			"side":  side,
		}
	}
	send := func(events ...map[string]any) map[string]any { return map[string]any{"events": events} }
	first := tap("phone", 1, game.Near)
	read[scoreboard.Played](t, c.ask("POST", "/api/played/"+id+"/events", send(first)))
	again := read[scoreboard.Played](t, c.ask("POST", "/api/played/"+id+"/events", send(first)))
	require.Equal(t, [2]int{1, 0}, again.State.Points, "what is sent twice counts once")

	twice, after := tap("tablet", 1, game.Far), tap("tablet", 2, game.Far)
	scored := read[scoreboard.Scored](t, c.ask("POST", "/api/played/"+id+"/events", send(twice, after)))
	require.Len(t, scored.LeftOut, 1)
	require.Equal(t, twice["id"], scored.LeftOut[0].ID)
	require.Contains(t, scored.LeftOut[0].Reason, "rally 1 has a winner already")
	require.Equal(t, [2]int{1, 1}, scored.State.Points, "what comes after it counts")
	undo := map[string]any{"id": "undo", "at": c.now.Add(time.Minute), "kind": "undo", "rally": 3}
	require.Empty(t, read[scoreboard.Scored](t, c.ask("POST", "/api/played/"+id+"/events", send(undo))).LeftOut)
	require.Len(
		t,
		read[scoreboard.Played](t, c.ask("GET", "/api/played/"+id, nil)).Document.Events,
		3,
		"what was left out is not recorded",
	)

	for rally := 2; rally <= 10; rally++ {
		read[scoreboard.Played](t, c.ask("POST", "/api/played/"+id+"/events", send(tap("tablet", rally, game.Near))))
	}
	over := read[scoreboard.Played](t, c.ask("GET", "/api/played/"+id, nil))
	require.True(t, over.State.Over)
	require.Equal(t, "Over: Ada won.", over.Next)
	require.Equal(t, []game.Round{{Near: []string{a}, Far: []string{b}, NearPoints: 10}}, over.Rounds)
	require.Len(
		t,
		read[scoreboard.Scored](t, c.ask("POST", "/api/played/"+id+"/events", send(tap("tablet", 11, game.Near)))).LeftOut,
		1,
	)

	// It is a result between two sides, and nobody's balls.
	page := read[courtside.PlayedPage](t, c.ask("GET", "/api/played?student="+b, nil))
	require.Equal(t, 1, page.Total)
	progress := read[repository.Progress](t, c.ask("GET", "/api/students/"+b+"/progress", nil))
	require.Empty(t, progress.Drills)

	ranked := read[courtside.Ranked](t, c.ask("GET", "/api/played/ranking?sport=tennis", nil))
	require.Equal(t, a, ranked.Standings[0].Player)
	require.Equal(t, "Ben", ranked.Names[b])
	require.Len(t, ranked.Singles, 1)
	uneven := read[courtside.Ranked](t, c.ask("GET", "/api/played/ranking?sport=tennis&by=games", nil))
	require.Equal(t, 1, uneven.LeftOut)
	// What they won against each other makes a fair score, for the stronger one more points.
	asked := map[string]any{"document": ready.Document, "near": a, "far": b, "rallies": 14}
	handicap := read[game.Handicap](t, c.ask("POST", "/api/games/handicap", asked))
	require.Greater(t, handicap.Near, handicap.Far)
	require.Equal(t, 10, handicap.Results)
	require.Greater(t, handicap.Won, 0.6)
	asked["near"], asked["far"] = b, a
	turned := read[game.Handicap](t, c.ask("POST", "/api/games/handicap", asked))
	require.InDelta(t, 1, handicap.Won+turned.Won, 1e-9, "the other way round")
	asked["far"] = b
	readProblem(t, c.ask("POST", "/api/games/handicap", asked), http.StatusUnprocessableEntity)

	read[scoreboard.Played](t, c.ask("PUT", "/api/played/"+id+"/archived", map[string]any{"archived": true}))
	require.Empty(t, read[courtside.Ranked](t, c.ask("GET", "/api/played/ranking?sport=tennis", nil)).Standings)
}

func TestARoundRobinIsEntered(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	var players []string
	for i := range 7 {
		p := ada()
		p.Name = fmt.Sprintf("Player %d", i)
		players = append(players, c.student(p))
	}
	id := newID()
	robin := game.Match{
		FormatVersion: 1,
		Title:         "Club evening",
		Sport:         "squash",
		Date:          "2026-03-10",
		Players:       players,
		Robin:         &game.Robin{Courts: 2, Minutes: 12},
	}
	p := read[scoreboard.Played](t, c.ask("PUT", "/api/played/"+id, robin, "If-None-Match", "*"))
	require.Len(t, p.Fixtures, 21)
	require.Len(t, p.Table, 7)
	for _, f := range p.Fixtures {
		robin.Entered = append(robin.Entered, game.Round{Near: f.Near, Far: f.Far, NearPoints: 11, FarPoints: 7})
	}
	p = read[scoreboard.Played](t, c.ask("PUT", "/api/played/"+id, robin, "If-Match", `"1"`))
	played := 0
	for _, line := range p.Table {
		played += line.Played
	}
	require.Equal(t, 42, played)
	ranked := read[courtside.Ranked](t, c.ask("GET", "/api/played/ranking?sport=squash&by=games", nil))
	require.Equal(t, 21, ranked.Games)
	require.Len(t, ranked.Standings, 7)
	require.Len(t, ranked.Singles, 3)
	require.Len(t, ranked.Waiting, 1)
	require.Len(t, ranked.Teams, 2)

	robin.Entered[0].NearPoints = -1
	readProblem(t, c.ask("PUT", "/api/played/"+id, robin, "If-Match", `"2"`), http.StatusUnprocessableEntity)
	robin.Players = players[:1]
	readProblem(t, c.ask("PUT", "/api/played/"+id, robin, "If-Match", `"2"`), http.StatusUnprocessableEntity)
}

// A version of a game is found, planned, swapped for the game as it is written, and gone.
func TestAVersionOfAGameInALesson(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	one, two := ada(), ada()
	two.Name = "Ben"
	students := []string{c.student(one), c.student(two)}
	offers := c.offers(url.Values{"students": {strings.Join(students, ",")}, "text": {"four and four"}})
	at := slices.IndexFunc(offers, func(o offer.Offer) bool { return o.Title == "Four and Four: orange court" })
	require.GreaterOrEqual(t, at, 0)
	block := *offers[at].Block
	require.Equal(t, "orange court", block.Version)
	d := lesson.Document{
		FormatVersion: 4,
		Title:         "Points",
		Date:          "2026-03-10",
		Start:         "16:00",
		Minutes:       60,
		Students:      students,
		Blocks:        []lesson.Block{block},
	}
	preview := func() plan.Plan { return read[plan.Plan](t, c.ask("POST", "/api/lessons/preview", d)) }
	small := preview().Blocks[0]
	require.Equal(t, "orange court", small.Version)
	require.Equal(t, "Four and Four: orange court", small.Title)
	require.Equal(t, []string{coach.AsWritten, "deuce side", "ad side", "orange court"}, small.Versions)
	require.Contains(t, small.Game.Rules, "To 7.")

	edit := map[string]any{
		"document": d,
		"edit":     map[string]any{"kind": "version", "block": block.ID, "text": coach.AsWritten},
	}
	edited := read[desk.EditedLesson](t, c.ask("POST", "/api/lessons/edit", edit))
	written := edited.Plan.Blocks[0]
	require.Empty(t, written.Version)
	require.Contains(t, written.Game.Rules, "To 11.")
	require.Greater(t, edited.Document.Blocks[0].Minutes, block.Minutes, "to 11 takes longer than to 7")

	// The lesson’s own court carries the game as it carries drills.
	d.Space.Court = "tennis-red"
	id := newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, d, "If-None-Match", "*"))
	sheet := read[desk.Sheet](t, c.ask("GET", "/api/lessons/"+id+"/sheet", nil))
	require.EqualValues(t, "tennis-red", sheet.Games[0].OnCourt.Court.ID)
	d.Blocks[0].Version = "never heard of"
	gone := preview()
	require.Empty(t, gone.Blocks[0].Version)
	require.True(t, slices.ContainsFunc(gone.Findings, func(f finding.Finding) bool {
		return strings.Contains(f.Reason, "no version “never heard of”") && len(f.Remedies) == 1
	}))
}

// A game is put into a lesson from the one field, stands on its road with how long it takes, on its sheet with its
// rules and on paper.
func TestAGameInALesson(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	one, two := ada(), ada()
	one.Sport, two.Sport, two.Name = "tennis", "tennis", "Ben"
	students := []string{c.student(one), c.student(two)}
	var block map[string]any
	for _, o := range c.offers(url.Values{"students": {strings.Join(students, ",")}, "text": {"three openings"}}) {
		if o.Kind == offer.Game {
			require.Nil(t, block, "it is offered once")
			text, err := json.Marshal(o.Block)
			require.NoError(t, err)
			require.NoError(t, json.Unmarshal(text, &block))
		}
	}
	require.NotNil(t, block)
	for _, o := range c.offers(url.Values{"students": {students[0]}}) {
		if o.Kind == offer.Game {
			require.Contains(t, o.Detail, "tennis", "without words only games of the sport are offered")
		}
	}
	id := newID()
	lesson := map[string]any{
		"version":  4,
		"space":    map[string]any{},
		"title":    "Points",
		"date":     "2026-03-10",
		"start":    "16:00",
		"minutes":  60,
		"students": students,
		"note":     "",
		"blocks":   []any{block},
	}
	planned := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lesson, "If-None-Match", "*"))
	on := planned.Plan.Blocks[0]
	require.NotNil(t, on.Game)
	require.Equal(t, 1, on.Game.Games)
	ready := readyGame(t, "Three Openings")
	require.Equal(t, ready.Document.Rules.Sentences(), on.Game.Rules)
	listed := read[desk.Game](t, c.ask("GET", "/api/games/"+ready.ID, nil))
	require.Equal(t, listed.Length.Minutes, on.Game.Minutes, "it takes as long wherever it is told")

	sheet := read[desk.Sheet](t, c.ask("GET", "/api/lessons/"+id+"/sheet", nil))
	require.Len(t, sheet.Games, 1)
	require.Len(t, sheet.Games[0].OnCourt.Spots, 2)
	text, err := json.Marshal(sheet.Content)
	require.NoError(t, err)
	require.Contains(t, string(text), "A little match is 3 rallies")
	pdf := c.ask("GET", "/api/lessons/"+id+"/sheet.pdf", nil)
	require.Equal(t, http.StatusOK, pdf.Code)
	require.True(t, strings.HasPrefix(pdf.Body.String(), "%PDF"))

	// Too short a block is told, with what to do about it; so is a game that is gone.
	block["minutes"] = 3
	planned = read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lesson, "If-Match", `"1"`))
	findings := ""
	for _, f := range planned.Plan.Findings {
		if f.Block == block["id"] {
			findings += f.Reason + " "
			require.NotEmpty(t, f.Remedies)
		}
	}
	require.Contains(t, findings, "four times of five")
	block["game"] = newID()
	planned = read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lesson, "If-Match", `"2"`))
	require.True(
		t,
		slices.ContainsFunc(
			planned.Plan.Findings,
			func(f finding.Finding) bool { return strings.Contains(f.Reason, "no longer there") },
		),
	)
	block["kind"] = "break"
	readProblem(t, c.ask("PUT", "/api/lessons/"+id, lesson, "If-Match", `"3"`), http.StatusUnprocessableEntity)
}
