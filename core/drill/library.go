package drill

import (
	"hodometer/core/court"
	"hodometer/core/feed"
	"hodometer/core/progress"
	"hodometer/core/units"
)

// Stored is a drill with its identifier.
type Stored struct {
	ID       string   `json:"id" format:"uuid"`
	Document Document `json:"document"`
}

const ft = units.Foot

// Library returns the built-in drills. Their counts and times are common practice, no source.
func Library() []Stored {
	return []Stored{
		{ID: "f239ec76-d0f1-5e8d-9d2a-d3df78c0ebd9", Document: coinInTheCorner()},
		{ID: "8c3975de-44f5-5271-adf5-a8a6d6ed0e74", Document: lastStretch()},
		{ID: "bcc4ce1b-cc92-57c9-ad07-5c71fc20bfa9", Document: inUpAndOver()},
		{ID: "8dbfe8e1-d999-5595-8fbc-8bb958543a44", Document: bothVerges()},
		{ID: "dd749052-2f01-5e96-8cc6-51964efb9677", Document: threeCornerRound()},
		{ID: "e73d76d7-2818-520a-bc3a-a9bfd8b206c7", Document: softLanding()},
	}
}

func at(kind PlaceKind, mark court.Mark) Place { return Place{Kind: kind, Mark: mark} }

func ball(stroke feed.Stroke, mark court.Mark) feed.Task {
	return feed.Task{Stroke: stroke, Landing: mark}
}

var (
	looseBalls = "Clear loose balls from under everybody's feet before each turn."
	turnAndRun = "For the overhead turn and cross over; nobody runs backwards facing the net."
)

// coinInTheCorner aims short balls 4.5 ft in from the sideline and 6.5 ft in from the baseline
// (common practice, no source).
func coinInTheCorner() Document {
	return Document{
		Version: Version, Name: "Coin in the Corner", Sport: court.Tennis, Court: "tennis",
		Summary: "A deep ball to push the player back, then a short one to step in on and place cross-court in the corner.",
		Stroke:  feed.Forehand, Rung: progress.Direction,
		Places: []Place{
			at(Start, court.From(court.Off(court.NearBaseline, 0.6, court.Out), court.Off(court.NearCentre, 0, court.Right))),
			at(Recovery, court.From(court.Off(court.NearBaseline, 0.6, court.Out), court.Off(court.NearCentre, 1.5, court.Right))),
			at(Feeder, court.From(court.Off(court.FarService, 1, court.Out), court.Off(court.FarCentre, 0.6, court.Left))),
		},
		Pattern: feed.Pattern{
			Way: feed.ByRacket, Gap: 3.5, Sequences: 3, Pause: 6,
			Tasks: []feed.Task{
				ball(feed.Forehand, court.From(court.Off(court.NearBaseline, 1.5, court.In), court.Off(court.RightSingles, 1.5, court.In))),
				ball(feed.Forehand, court.From(court.Off(court.NearService, 0.6, court.In), court.Off(court.RightSingles, 1.8, court.In))),
			},
		},
		Turns: 4, SetUp: 60, Effort: 6,
		Target:    court.Ring(4.5*ft, court.From(court.Off(court.FarBaseline, 6.5*ft, court.In), court.Off(court.LeftSingles, 4.5*ft, court.In))),
		Goal:      Goal{Kind: Total, Count: 10},
		Cues:      []string{"Small steps into the short ball", "Full swing: no pushing it in"},
		Cautions:  []string{looseBalls},
		Equipment: []string{"1 basket", "4 flat markers"},
	}
}

// lastStretch asks for depth in a strip 4.5 ft inside the baseline, 25 balls (common practice, no
// source).
func lastStretch() Document {
	return Document{
		Version: Version, Name: "Last Stretch", Sport: court.Tennis, Court: "tennis",
		Summary: "Alternate a ball to the backhand corner and one to the middle; every reply is to land in the last stretch before the baseline.",
		Stroke:  feed.Backhand, Rung: progress.Depth,
		Places: []Place{
			at(Start, court.From(court.Off(court.NearBaseline, 0.9, court.Out), court.Off(court.NearCentre, 0.6, court.Left))),
			at(Recovery, court.From(court.Off(court.NearBaseline, 0.9, court.Out), court.Off(court.NearCentre, 1, court.Right))),
			at(Feeder, court.From(court.Between(court.FarService, court.FarBaseline, 0.5), court.Off(court.FarCentre, 0, court.Right))),
		},
		Pattern: feed.Pattern{
			Way: feed.ByRacket, Gap: 3, Sequences: 4, Pause: 4,
			Tasks: []feed.Task{
				ball(feed.Backhand, court.From(court.Off(court.NearBaseline, 2, court.In), court.Off(court.LeftSingles, 1.2, court.In))),
				ball(feed.Backhand, court.From(court.Off(court.NearBaseline, 2.2, court.In), court.Off(court.NearCentre, 0.8, court.Left))),
			},
		},
		Turns: 4, SetUp: 60, Effort: 6,
		Target:    court.StripAlong(court.FarBaseline, 4.5*ft),
		Goal:      Goal{Kind: Total, Count: 25},
		Cues:      []string{"Height over the net gives depth", "Finish the swing high"},
		Cautions:  []string{looseBalls},
		Equipment: []string{"1 basket", "1 rope or 6 flat markers"},
	}
}

func inUpAndOver() Document {
	return Document{
		Version: Version, Name: "In, Up and Over", Sport: court.Tennis, Court: "tennis",
		Summary: "Approach, volley, overhead: three balls on the way to the net, the last one played going back.",
		Stroke:  feed.ForehandVolley, Rung: progress.Consistency,
		Places: []Place{
			at(Start, court.From(court.Off(court.NearService, 2, court.Out), court.Off(court.NearCentre, 0, court.Right))),
			at(Recovery, court.From(court.Between(court.NetLine, court.NearService, 0.6), court.Off(court.NearCentre, 0, court.Right))),
			at(Feeder, court.From(court.Off(court.FarBaseline, 2.5, court.In), court.Off(court.FarCentre, 1, court.Right))),
		},
		Pattern: feed.Pattern{
			Way: feed.ByRacket, Gap: 3, Sequences: 2, Pause: 8,
			Tasks: []feed.Task{
				ball(feed.Approach, court.From(court.Off(court.NearService, 0.8, court.Out), court.Off(court.RightSingles, 2, court.In))),
				ball(feed.ForehandVolley, court.From(court.Between(court.NetLine, court.NearService, 0.7), court.Off(court.NearCentre, 1.4, court.Right))),
				ball(feed.Overhead, court.From(court.Off(court.NearService, 0.3, court.Out), court.Off(court.NearCentre, 0.4, court.Left))),
			},
		},
		Turns: 3, SetUp: 75, Effort: 8,
		Target:    court.StripAlong(court.FarBaseline, 3),
		Goal:      Goal{Kind: Streak, Count: 5},
		Cues:      []string{"Split step as the feeder strikes", "Racket head above the wrist"},
		Cautions:  []string{turnAndRun, looseBalls, "Count overheads for growing shoulders; pain means stop."},
		Equipment: []string{"1 basket"},
	}
}

func bothVerges() Document {
	return Document{
		Version: Version, Name: "Both Verges", Sport: court.Tennis, Court: "tennis",
		Summary: "Wide to one side, wide to the other, then one to the middle: play high cross-court and get back each time.",
		Stroke:  feed.Forehand, Rung: progress.Consistency,
		Places: []Place{
			at(Start, court.From(court.Off(court.NearBaseline, 0.9, court.Out), court.Off(court.NearCentre, 0, court.Right))),
			at(Feeder, court.From(court.Off(court.FarService, 0.5, court.In), court.Off(court.FarCentre, 0, court.Right))),
		},
		Pattern: feed.Pattern{
			Way: feed.ByHand, Gap: 4, Sequences: 2, Pause: 10,
			Tasks: []feed.Task{
				ball(feed.Forehand, court.From(court.Off(court.NearBaseline, 3, court.In), court.Off(court.RightSingles, 0.9, court.In))),
				ball(feed.Backhand, court.From(court.Off(court.NearBaseline, 3, court.In), court.Off(court.LeftSingles, 0.9, court.In))),
				ball(feed.Forehand, court.From(court.Off(court.NearBaseline, 2.5, court.In), court.Off(court.NearCentre, 0.9, court.Right))),
			},
		},
		Turns: 4, SetUp: 45, Effort: 7,
		Target:    court.Ring(1.8, court.From(court.Between(court.FarService, court.FarBaseline, 0.5), court.Off(court.LeftSingles, 2, court.In))),
		Goal:      Goal{Kind: Streak, Count: 10},
		Cues:      []string{"Outside foot plants, then push back", "High and cross-court buys time"},
		Cautions:  []string{looseBalls, "Watch the fences and the next court when running wide."},
		Equipment: []string{"1 basket", "2 flat markers"},
	}
}

func threeCornerRound() Document {
	return Document{
		Version: Version, Name: "Three-Corner Round", Sport: court.Badminton, Court: "badminton",
		Summary: "Front forehand, round-the-middle rear, front backhand: back to the base between shuttles.",
		Stroke:  feed.Clear, Rung: progress.Depth,
		Places: []Place{
			at(Start, court.From(court.Between(court.NearService, court.NearBaseline, 0.45), court.Off(court.NearCentre, 0, court.Right))),
			at(Feeder, court.From(court.Between(court.FarService, court.FarBaseline, 0.4), court.Off(court.FarCentre, 0, court.Right))),
		},
		Pattern: feed.Pattern{
			Way: feed.ByRacket, Gap: 2.6, Sequences: 3, Pause: 8,
			Tasks: []feed.Task{
				ball(feed.Lift, court.From(court.Off(court.NearService, 0.5, court.In), court.Off(court.RightSingles, 0.6, court.In))),
				ball(feed.Clear, court.From(court.Off(court.NearBaseline, 0.7, court.In), court.Off(court.NearCentre, 0.6, court.Right))),
				ball(feed.Lift, court.From(court.Off(court.NearService, 0.5, court.In), court.Off(court.LeftSingles, 0.6, court.In))),
			},
		},
		Turns: 4, SetUp: 45, Effort: 8,
		Target:    court.StripAlong(court.FarBaseline, 0.9),
		Goal:      Goal{Kind: Total, Count: 20},
		Cues:      []string{"Chassé back to the base", "Strike in front of the body"},
		Cautions:  []string{"Sweep shuttles off the floor between turns.", "Overhead strokes add up for growing shoulders; pain means stop."},
		Equipment: []string{"1 box of shuttles"},
	}
}

func softLanding() Document {
	return Document{
		Version: Version, Name: "Soft Landing", Sport: court.Pickleball, Court: "pickleball",
		Summary: "One ball to the forehand, one to the backhand, both low: dink each cross-court so that it dies inside the no-volley zone.",
		Stroke:  feed.Dink, Rung: progress.Consistency,
		Places: []Place{
			at(Start, court.From(court.Off(court.NearKitchen, 0.3, court.Out), court.Off(court.NearCentre, 1.2, court.Right))),
			at(Feeder, court.From(court.Off(court.FarKitchen, 0.3, court.Out), court.Off(court.FarCentre, 1.2, court.Left))),
		},
		Pattern: feed.Pattern{
			Way: feed.ByHand, Gap: 3, Sequences: 5, Pause: 4,
			Tasks: []feed.Task{
				ball(feed.Dink, court.From(court.Off(court.NearKitchen, 0.6, court.In), court.Off(court.RightSide, 0.9, court.In))),
				ball(feed.Dink, court.From(court.Off(court.NearKitchen, 0.6, court.In), court.Off(court.NearCentre, 0.6, court.Right))),
			},
		},
		Turns: 3, SetUp: 30, Effort: 4,
		Target:    court.Ring(0.9, court.From(court.Off(court.NetLine, 1.1, court.Far), court.Off(court.LeftSide, 1.2, court.In))),
		Goal:      Goal{Kind: Streak, Count: 10},
		Cues:      []string{"Lift from the legs, quiet wrist", "Let it bounce when it is out of reach in front"},
		Cautions:  []string{"Wear eye protection for close-range volleys.", looseBalls},
		Equipment: []string{"1 basket", "2 cones"},
	}
}
