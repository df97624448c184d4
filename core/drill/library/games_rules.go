package library

import (
	"hodometer/core/basics/units"
	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// holdTheLine is a team game about the net for six, in which everybody keeps their own score.
func holdTheLine() game.Document {
	d := points(court.Tennis, "tennis")
	d.Name, d.Summary = "Hold the Line", "Three against three. Who wins a rally takes the net or keeps it. After five "+
		"rallies everybody moves on by one place; each player keeps what their side won."
	d.Rules.Spots = facing("tennis", 3, 0.8)
	d.Rules.Score = game.EachTheirOwn
	d.Rules.Feed = game.Feed{Kind: game.CoachFeeds}
	d.Rules.After = game.After{Net: game.Near}
	d.Rules.Rotation = game.Rotation{Every: 5}
	d.Rules.Unscored = 1
	d.Rules.End = game.End{Rounds: 6}
	d.Cues = []string{"Come in behind a deep ball", "Who waits keeps their feet moving"}
	d.Cautions = append(d.Cautions, turnAndRun)
	d.Equipment = []string{"1 basket"}
	return d
}

// fourAndFour is rallies on one diagonal, with the serve in turns of four.
func fourAndFour(sport court.Sport, on court.ID) game.Document {
	d := points(sport, on)
	d.Name, d.Summary = "Four and Four", "On the diagonal. Four serves each, then from the other side of the middle."
	d.Rules.Spots = facing(on, 1, 1.02)
	d.Rules.Feed = game.Feed{
		Changes: game.AfterRallies,
		Every:   4,
		Box:     game.RightBox,
		BoxFor:  8,
		Second:  sports.Of(sport).Second.There,
	}
	d.Rules.Restrictions = []game.Restriction{{Kind: game.CrossCourtOnly}}
	if sport == court.Tennis {
		d.Versions = []game.Version{
			{Name: "deuce side", Box: game.RightBox},
			{Name: "ad side", Box: game.LeftBox},
			{Name: "orange court", Court: "tennis-orange", Near: 7, Far: 7},
		}
	}
	d.Rules.Measures = []game.Measure{
		{ID: "return", Name: "return", Stroke: sports.Return, By: game.TheReceiving, Shot: 2},
	}
	d.Rules.End = game.End{Near: 11, Far: 11}
	return d
}

// shortFeed begins with a short ball that one of the two has to play.
func shortFeed() game.Document {
	d := points(court.Tennis, "tennis")
	d.Name, d.Summary = "Come and Get It", "A short feed, and the rally is on. A feed that is too deep is fed again; "+
		"after four rallies the other one feeds."
	d.Rules.Spots = facing("tennis", 1, 0.98)
	d.Versions = []game.Version{{Name: "half court", Half: true}, {Name: "orange court", Court: "tennis-orange"}}
	d.Rules.Feed = game.Feed{
		Kind:    game.PlayerFeeds,
		Changes: game.AfterRallies,
		Every:   4,
		Valid:   "it lands in front of the service line",
	}
	d.Rules.End = game.End{Near: 11, Far: 11}
	return d
}

// serveThenOne pays for the serve and the stroke after it.
func serveThenOne() game.Document {
	d := points(court.Tennis, "tennis")
	d.Name, d.Summary = "Serve, Then One More", "On the diagonal, and the server comes in. Serve and next shot made "+
		"is 1, whatever becomes of the rally; the rally is 1."
	d.Rules.Spots = facing("tennis", 1, 1.02)
	d.Rules.Feed = game.Feed{Changes: game.AfterRallies, Every: 2, Second: true, Box: game.RightBox, BoxFor: 4}
	d.Rules.Restrictions = []game.Restriction{{Kind: game.CrossCourtOnly}, {Kind: game.MustComeIn, Who: game.TheFeeding}}
	d.Rules.Awards = []game.Award{
		{ID: "two", Name: "serve and next shot made", By: game.TheFeeding, Points: 1, Shot: 3},
		{ID: "ace", Name: "serve not returned", By: game.TheFeeding, Points: 1, Ends: game.WinsRally, NoBonus: true},
		{ID: "missed", Name: "serve or next shot missed", By: game.TheFeeding, Ends: game.LosesIt, NoBonus: true},
	}
	d.Rules.End = game.End{Near: 5, Far: 5}
	d.Cautions = append(d.Cautions, turnAndRun)
	return d
}

// threeOpenings is little matches of three balls that begin in three ways.
func threeOpenings() game.Document {
	d := points(court.Tennis, "tennis")
	d.Name, d.Summary = "Three Openings", "A little match of three rallies: a second serve, a ball to volley, a ball "+
		"to smash. Two of them are 1 point, all three are 2."
	d.Rules.Spots = facing("tennis", 1, 0.98)
	d.Rules.Rally, d.Rules.Mini = 0, &game.Mini{Balls: []string{"second serve", "volley", "overhead"}, Won: 1, Swept: 2}
	d.Rules.Feed = game.Feed{Changes: game.AfterRallies, Every: 1}
	d.Rules.End = game.End{Near: 5, Far: 5}
	d.Cautions = append(d.Cautions, turnAndRun)
	return d
}

// bothFeetIn pays double for a rally that is won close to the net.
func bothFeetIn() game.Document {
	d := points(court.Tennis, "tennis")
	d.Name, d.Summary = "Both Feet In", "Two against two. A rally that is won with both players' feet in the service "+
		"box is 2, any other one 1. Nobody comes in on the feed."
	d.Rules.Spots = facing("tennis", 2, 0.98)
	d.Rules.Feed = game.Feed{Kind: game.PlayerFeeds, Changes: game.ByRota, Every: 2}
	d.Rules.Restrictions = []game.Restriction{{Kind: game.NotOnTheFeed}}
	d.Rules.Awards = []game.Award{{ID: "in", Name: "won with all feet in the box", Points: 2, Ends: game.WinsRally}}
	d.Rules.End = game.End{Near: 5, Far: 5}
	d.Cautions = append(d.Cautions, eyes)
	return d
}

// softAndSharp is a soft game with cones that are worth three.
func softAndSharp() game.Document {
	c, _ := sports.Court("pickleball")
	d := points(court.Pickleball, "pickleball")
	d.Name, d.Summary = "Soft and Sharp", "Only soft balls into the no-volley zone. A cone that is hit is 3. What is "+
		"out of reach in front has to bounce."
	d.Rules.Spots = facing("pickleball", 1, 0.36)
	d.Rules.Feed = game.Feed{Kind: game.PlayerFeeds, Changes: game.ToTheLoser}
	d.Rules.Restrictions = []game.Restriction{{Kind: game.LetItBounce, Text: "what is out of reach in front"}}
	cone := court.Ring(0.15, c.Nearby(court.Point{X: 0.3 * c.Singles, Y: 2.13 - 6*units.Inch}))
	d.Rules.Awards = []game.Award{{ID: "cone", Name: "cone hit", Points: 3, Ends: game.WinsRally, Target: &cone}}
	d.Rules.End = game.End{Near: 11, Far: 11}
	d.Cautions = append(d.Cautions, eyes)
	d.Equipment = []string{"4 cones"}
	return d
}

// thirdIsSoft pays for the third stroke of a rally.
func thirdIsSoft() game.Document {
	c, _ := sports.Court("pickleball")
	d := points(court.Pickleball, "pickleball")
	d.Name, d.Summary = "The Third Is Soft", "Two against two. A third stroke that lands in the no-volley zone is 1, "+
		"whatever becomes of the rally."
	d.Rules.Spots = facing("pickleball", 2, 1)
	d.Rules.Feed = game.Feed{Changes: game.ToTheWinner}
	zone := court.Ring(0.9, c.Nearby(court.Point{Y: 1.1}))
	d.Rules.Awards = []game.Award{
		{ID: "third", Name: "third stroke soft and in", By: game.TheFeeding, Points: 1, Shot: 3, Target: &zone},
	}
	d.Rules.Measures = []game.Measure{
		{ID: "third", Name: "third stroke", Stroke: sports.Drop, By: game.TheFeeding, Shot: 3, Award: "third"},
	}
	d.Rules.End = game.End{Near: 11, Far: 11, WinBy: 2, Cap: 15}
	d.Cautions = append(d.Cautions, eyes)
	return d
}

// onlyForward is a duel in which nobody steps back.
func onlyForward() game.Document {
	d := points(court.Badminton, "badminton")
	d.Name, d.Summary = "Only Forward", "Both move forward; who steps back loses the rally. Every third rally begins "+
		"from where they stand."
	d.Rules.Spots = facing("badminton", 1, 0.6)
	d.Rules.Feed = game.Feed{Changes: game.ToTheWinner}
	d.Versions = []game.Version{{Name: "half court", Half: true}}
	d.Rules.Restrictions = []game.Restriction{{Kind: game.MustComeIn}, {Kind: game.NoStepBack}}
	d.Rules.After = game.After{Restart: game.WhereTheyStand, Every: 3}
	d.Rules.End = game.End{Near: 9, Far: 9}
	d.Cautions = append(d.Cautions, eyes)
	return d
}

// stayOn is for three or more on one court: who wins stays.
func stayOn() game.Document {
	d := points(court.Badminton, "badminton")
	d.Name, d.Summary = "Stay On", "Three rallies, then the loser makes room for who waits. Everybody keeps their own "+
		"points; the first one with 12 has won."
	d.Rules.Spots = facing("badminton", 1, 0.5)
	d.Rules.Score = game.EachTheirOwn
	d.Rules.Feed = game.Feed{Changes: game.ToTheWinner}
	d.Rules.Rotation = game.Rotation{Every: 3, How: game.WinnersStay}
	d.Rules.End = game.End{Near: 12, Far: 12}
	d.Cues = []string{"Who waits shadows the corners"}
	return d
}

// straightLane is a game along one wall in which an own error costs a point.
func straightLane() game.Document {
	d := points(court.Squash, "squash")
	d.Name, d.Summary = "One Lane", "Only along the right wall. A winner is 1; an error of one's own costs a point as "+
		"well."
	d.Rules.Spots = facing("squash", 1, 0.7)
	d.Rules.Feed = game.Feed{Changes: game.ToTheWinner}
	d.Rules.Restrictions = []game.Restriction{{Kind: game.HalfCourt, Text: "the right half"}}
	d.Rules.Awards = []game.Award{{ID: "own", Name: "error of one's own", Points: -1, Ends: game.LosesIt}}
	d.Rules.End = game.End{Near: 9, Far: 9}
	d.Cautions = append(d.Cautions, eyes)
	return d
}

// meAgainstTheDrill is a drill as a match: what is made is a point, what is missed is one for the drill.
func meAgainstTheDrill() game.Document {
	d := points(court.Squash, "squash")
	d.Name, d.Summary = "Me Against the Drill", "The drill at game pace, as a match: a ball that is made is a point, "+
		"a ball that is missed is one for the drill."
	d.Rules.Spots = facing("squash", 1, 0.7)[:1]
	d.Rules.Feed = game.Feed{Kind: game.CoachFeeds}
	d.Rules.End = game.End{Near: 11, Far: 11, WinBy: 2, Cap: 15}
	return d
}

// underThenLong is a game at the table with a first serve and an answer to it that are given.
func underThenLong() game.Document {
	d := points(court.TableTennis, "table-tennis")
	d.Name, d.Summary = "Under, Then Long", "Every rally begins with a serve with backspin and a long push to the "+
		"forehand; then it is free."
	d.Rules.Spots = facing("table-tennis", 1, 1)
	d.Rules.Feed = game.Feed{Changes: game.AfterRallies, Every: 2}
	d.Rules.Restrictions = []game.Restriction{
		{Kind: game.PlayedSo, Who: game.TheFeeding, Shot: 1, Text: "with backspin"},
		{Kind: game.PlayedSo, Who: game.TheReceiving, Shot: 2, Text: "a long push to the forehand"},
	}
	d.Rules.Measures = []game.Measure{{ID: "push", Name: "long push", Stroke: sports.Push, By: game.TheReceiving, Shot: 2}}
	d.Rules.End = game.End{Near: 11, Far: 11, WinBy: 2}
	return d
}
