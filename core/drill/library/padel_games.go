package library

import (
	"slices"

	"hodometer/core/game"
	"hodometer/core/sport/court"
)

// padelGames are those of padel.
func padelGames() []StoredGame {
	return []StoredGame{
		{ID: "8c4f2f6a-1d0e-5b9b-8a57-2e9a6d3b5c01", Document: tenForFive(court.Padel, "padel")},
		{ID: "8c4f2f6a-1d0e-5b9b-8a57-2e9a6d3b5c02", Document: whoHoldsTheNet()},
		{ID: "8c4f2f6a-1d0e-5b9b-8a57-2e9a6d3b5c03", Document: fromTheGlass()},
		{ID: "8c4f2f6a-1d0e-5b9b-8a57-2e9a6d3b5c04", Document: crossCourtPairs()},
	}
}

func whoHoldsTheNet() game.Document {
	d := points(court.Padel, "padel")
	d.Name, d.Summary = "Who Holds the Net", "Two against two, one pair at the net, one at the glass. A rally won at "+
		"the net is 1, a rally won from the glass takes the net and is 2."
	d.Rules.Spots = slices.Concat(facing("padel", 2, 0.35)[:2], facing("padel", 2, 0.8)[2:])
	d.Rules.Feed = game.Feed{Kind: game.CoachFeeds}
	d.Rules.After = game.After{Net: game.Near}
	d.Rules.Awards = []game.Award{{ID: "glass", Name: "won from the glass", Points: 2, Ends: game.WinsRally}}
	d.Rules.End = game.End{Near: 11, Far: 11}
	d.Cautions = append(d.Cautions, eyes, mindTheGlass)
	return d
}

func fromTheGlass() game.Document {
	d := points(court.Padel, "padel")
	d.Name, d.Summary = "Glass Counts Double", "Two against two, with a serve. A rally in which the winners played a "+
		"ball off the glass is 2, any other one 1."
	d.Rules.Spots = facing("padel", 2, 0.8)
	d.Rules.Feed = game.Feed{Changes: game.AfterRallies, Every: 4, Second: true}
	d.Rules.Awards = []game.Award{{ID: "glass", Name: "won after the glass", Points: 2, Ends: game.WinsRally}}
	d.Rules.End = game.End{Near: 15, Far: 15}
	d.Cautions = append(d.Cautions, mindTheGlass)
	return d
}

func crossCourtPairs() game.Document {
	d := points(court.Padel, "padel")
	d.Name, d.Summary = "Half a Court Each", "One against one on the diagonal, two pairs on one court. Who lobs may "+
		"come in; who is lobbed goes back."
	d.Rules.Spots = facing("padel", 1, 0.85)
	d.Rules.Feed = game.Feed{Kind: game.PlayerFeeds, Changes: game.AfterRallies, Every: 2}
	d.Rules.Restrictions = []game.Restriction{{Kind: game.CrossCourtOnly}, {Kind: game.NotOnTheFeed}}
	d.Rules.End = game.End{Near: 9, Far: 9}
	d.Cautions = append(d.Cautions, mindTheGlass)
	return d
}
