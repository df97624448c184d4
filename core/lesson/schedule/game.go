package schedule

import (
	"context"
	"fmt"
	"math"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
)

// GameInBlock is the game of a block: its rules, how long it takes those for whom it is made, and how a group plays it.
type GameInBlock struct {
	ID      string        `json:"id"`
	Name    string        `json:"name"`
	Rules   []string      `json:"rules" description:"In words"`
	Minutes game.Duration `json:"minutes" description:"Of one game"`
	Between string        `json:"between" description:"Whose game that is: between equals, or of those for whom it is made"`
	Games   int           `json:"games" description:"That are over in the minutes there are, four times of five; one after the other"`
	AtOnce  int           `json:"atOnce" description:"Games that are played at once, each on a court"`
	Waiting int           `json:"waiting" description:"Who wait"`
	Missing int           `json:"missing" description:"Players that are missing for one game"`
	ToNear  int           `json:"toNear" description:"What it can be played to in the minutes there are; 0 where it is not played to points"`
	ToFar   int           `json:"toFar"`
}

// ForGame returns a block that holds a game once, four times of five, in whole minutes.
func ForGame(ctx context.Context, id string, d game.Document, s coach.Settings) (lesson.Block, error) {
	const effort = 6 // out of ten; common practice, no source
	tempo := sports.Of(d.Sport).Tempo
	_, f, err := d.Rules.Usual(ctx, tempo)
	if err != nil {
		return lesson.Block{}, err
	}
	minutes := math.Max(1, math.Ceil(s.ChangeOver/60+f.Duration(tempo).High80))
	return lesson.Block{
		Kind:    lesson.Game,
		Title:   d.Name,
		Minutes: minutes,
		Effort:  effort,
		Game:    id,
		Calls:   []lesson.Call{},
	}, nil
}

// game works out the game of a block; nil where it has none, or none that makes sense.
func (l Prepared) game(ctx context.Context, work float64) (*GameInBlock, error) {
	if l.Game == nil || l.Game.Check() != nil {
		return nil, nil
	}
	rules, tempo := l.Game.Rules, sports.Of(l.Game.Sport).Tempo
	of, f, err := rules.Usual(ctx, tempo)
	if err != nil {
		return nil, err
	}
	g := &GameInBlock{
		ID: l.Block.Game, Name: l.Game.Name, Rules: rules.Sentences(), Minutes: f.Duration(tempo), Between: of.Between(),
	}
	places, people := rules.Players(), len(l.People)
	least := places
	if rules.Coach {
		least--
	}
	g.Missing = max(0, least-people)
	g.AtOnce = 1
	if rules.Rotation.Every == 0 {
		g.AtOnce = max(1, min(people/max(1, places), max(1, l.space.Courts)))
	}
	g.Waiting = max(0, people-g.AtOnce*places)
	minutes := work / 60
	for n := 1; n <= 30 && f.Times(n).OverIn(tempo, minutes) >= 0.8; n++ {
		g.Games = n
	}
	if g.Games == 0 {
		g.ToNear, g.ToFar, err = rules.PointsFor(ctx, minutes, of, tempo)
	}
	return g, err
}

// fits says what fits of a game.
func (g GameInBlock) fits(work float64) string {
	phrase := units.Clock(work) + " min of it to play: "
	switch {
	case g.Games > 1:
		phrase += fmt.Sprintf("%d games one after the other", g.Games)
	case g.Games == 1:
		phrase += "one game"
	case g.ToNear > 0 && g.ToNear == g.ToFar:
		phrase += fmt.Sprintf("not one game in four of five; to %d it would be", g.ToNear)
	case g.ToNear > 0:
		phrase += fmt.Sprintf("not one game in four of five; to %d against %d it would be", g.ToNear, g.ToFar)
	default:
		phrase += "not one game in four of five"
	}
	return phrase
}

// group says how a group plays it.
func (g GameInBlock) group() string {
	switch {
	case g.Missing > 0:
		return units.Count(g.Missing, "player is", "players are") + " missing"
	case g.AtOnce > 1 && g.Waiting > 0:
		return fmt.Sprintf("%d games at once on %d courts, %s", g.AtOnce, g.AtOnce, units.Count(g.Waiting, "waits", "wait"))
	case g.AtOnce > 1:
		return fmt.Sprintf("%d games at once on %d courts", g.AtOnce, g.AtOnce)
	case g.Waiting > 0:
		return units.Count(g.Waiting, "waits", "wait")
	}
	return ""
}

// time explains how long a game takes.
func (g GameInBlock) time(l Prepared, has, work float64) metric.Derivation {
	minutes := func(v float64) string { return units.Decimal(v, 1) + " min" }
	w := l.taken(has, nil, metric.Clock.Of("To play", work))
	w.Formula = "games, each as long as its rallies and the pauses between them"
	w.Inputs = []metric.Input{
		{Name: "One game on average", Value: minutes(g.Minutes.Mean)},
		{Name: "Half of them", Value: minutes(g.Minutes.Low50) + " to " + minutes(g.Minutes.High50)},
		{Name: "Four of five", Value: minutes(g.Minutes.Low80) + " to " + minutes(g.Minutes.High80)},
	}
	w.Source = units.Title(g.Between) + "; strokes and pauses: " + metric.Practice
	return w
}
