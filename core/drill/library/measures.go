package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// one is the only measure of a drill: every ball counts, into one target.
func one(target court.Target, goals ...score.Goal) []drill.Measure {
	return []drill.Measure{{Number: 1, What: goals[0].Unit(), Target: &target, Goals: goals}}
}

// wanting is a drill that was just made and asks for so many at its first goal.
func wanting(d drill.Document, count int) drill.Document {
	d.Measures[0].Goals[0].Count = count
	return d
}

// repeated is the only measure of a drill in which tasks are done right or not, wherever a ball goes: it counts for the
// feet.
func repeated(goals ...score.Goal) []drill.Measure {
	return []drill.Measure{
		{
			Number: 1,
			What:   score.Repetition,
			Stroke: sports.Footwork,
			Counts: drill.Counts{By: drill.ByMovement},
			Goals:  goals,
		},
	}
}

// counted has measures count in their own way.
func counted(by drill.Counts, measures []drill.Measure) []drill.Measure {
	for i := range measures {
		measures[i].Counts = by
	}
	return measures
}

// numbered numbers measures in their order.
func numbered(measures ...drill.Measure) []drill.Measure {
	for i := range measures {
		measures[i].Number = i + 1
	}
	return measures
}

// target is a target to be pointed at.
func target(t court.Target) *court.Target { return &t }

// farHalf is the whole other half.
func farHalf() court.Target { return court.Target{Kind: court.BoxTarget, Box: "far-half"} }
