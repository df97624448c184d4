package score

import (
	"cmp"
	"math"
)

// Form is what a kind of goal looks like while it is put together.
type Form struct {
	Kind    Kind        `json:"kind"`
	Unit    Unit        `json:"unit" description:"What is counted one after the other"`
	Units   []Unit      `json:"units" description:"What it can be counted in"`
	Label   string      `json:"label" description:"What the kind is called"`
	Counted string      `json:"counted" description:"What its number counts; empty where it has none"`
	First   Goal        `json:"first" description:"A goal of this kind to begin with"`
	Least   int         `json:"least" description:"The number that was there before is kept from here on"`
	Most    int         `json:"most" description:"and up to here"`
	Misses  []AfterMiss `json:"misses" description:"What a miss can do; none where it takes nothing back"`
}

// Forms lists the form of every kind of goal. The numbers to begin with are common practice, no source.
func Forms() []Form {
	schools := []AfterMiss{BackToZero, CarriesOn}
	number := "How many"
	forms := []Form{
		{Label: "made in all", Counted: number, First: Goal{Kind: Total, Count: 10}, Least: 1, Most: MaxCount},
		{Counted: number, First: Goal{Kind: Streak, Count: 5}, Least: 1, Most: 10, Misses: schools},
		{
			First:  Goal{Kind: Stages, Count: 1, Stages: []Stage{{Count: 5}, {Count: 5}}},
			Least:  1,
			Most:   1,
			Misses: []AfterMiss{BackToZero, BackToStage, CarriesOn},
		},
		{
			Counted: "Made for each part",
			First:   Goal{Kind: Routine, Count: 10, Then: 5, Sets: 1},
			Least:   1,
			Most:    MaxCount,
			Misses:  schools,
		},
		{Counted: number, First: Goal{Kind: Together, Count: 25}, Least: 1, Most: MaxCount},
		{Counted: "Hoping for", First: Goal{Kind: AsManyAsPossible, Count: 10, Minutes: 3}, Least: 1, Most: MaxCount},
		{Counted: "Points to win", First: Goal{Kind: FirstTo, Count: 11}, Least: 5, Most: maxRace},
		{Counted: number, First: Goal{Kind: Rallies, Count: 5, From: 4, To: 8}, Least: 1, Most: 5},
		{Counted: "Sets", First: Goal{Kind: SetsInRallies, Count: 10, Of: 2}, Least: 1, Most: 100},
		{Counted: "Balls", First: Goal{Kind: FewMisses, Count: 20, Misses: 4}, Least: 5, Most: 100},
		{Counted: "Tries", First: Goal{Kind: WithinATime, Count: 3, Seconds: 40}, Least: 1, Most: 10},
	}
	for i := range forms {
		f := &forms[i]
		f.Kind, f.Unit, f.Units = f.First.Kind, f.First.Unit(), f.First.units()
		f.Label = cmp.Or(f.Label, string(f.Kind))
		if f.Misses == nil {
			f.Misses = []AfterMiss{}
		}
	}
	return forms
}

// units are those that a kind of goal can be counted in; as many as possible also in sets within rallies.
func (g Goal) units() []Unit {
	list := []Unit{}
	for _, u := range []Unit{Ball, Sequence, Repetition, Rally, Point, Time} {
		if u.Takes(g) || g.Kind == AsManyAsPossible && u == Rally {
			list = append(list, u)
		}
	}
	return list
}

// Slider is the most that a slider over the goal's number goes to: well beyond where it is. It is 0 where a goal
// has more than one number.
func (g Goal) Slider() int {
	usual := 60
	switch g.Kind {
	case Stages:
		return 0
	case Streak, Rallies, FirstTo:
		usual = 30
	}
	return max(usual, int(math.Ceil(1.5*float64(g.Count))))
}
