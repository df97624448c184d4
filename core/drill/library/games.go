package library

import (
	"slices"
	"sync"

	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// StoredGame is a game with its identifier.
type StoredGame struct {
	ID       string        `json:"id" format:"uuid"`
	Document game.Document `json:"document"`
}

// games makes the ready games once. Their points are common practice, no source.
var games = sync.OnceValue(func() []StoredGame {
	return slices.Concat([]StoredGame{
		{ID: "0e368ed0-929c-58d2-83e0-6120e84f67a2", Document: holdTheLine()},
		{ID: "cea5e842-8041-53f9-9366-b8f7bc3d9010", Document: tenForFive(court.Tennis, "tennis")},
		{ID: "266ce16a-0630-5f1d-bb58-2162fac3a350", Document: fourAndFour(court.Tennis, "tennis")},
		{ID: "20109bbb-4bfa-5f2d-ae8c-bb79036c10e3", Document: shortFeed()},
		{ID: "b4c21758-59ad-5985-beb7-57a063663eb3", Document: serveThenOne()},
		{ID: "e34b50b1-5e83-5ec3-bb77-0a20f674835a", Document: threeOpenings()},
		{ID: "e8891cfc-4c08-5532-ad33-29828302daeb", Document: bothFeetIn()},
		{ID: "88234747-bcb4-598f-ab8d-23d202882078", Document: softAndSharp()},
		{ID: "685a8e65-7f2d-5c41-8eec-b2908e76621b", Document: tenForFive(court.Pickleball, "pickleball")},
		{ID: "2ae443bb-09c3-5b60-b7b0-e469a0c90bb5", Document: fourAndFour(court.Pickleball, "pickleball")},
		{ID: "3905db24-9cd1-574a-afa5-6f20b8162efa", Document: thirdIsSoft()},
		{ID: "a515ef05-d98c-5e37-9412-131ad2939a14", Document: onlyForward()},
		{ID: "f52db076-e9fd-5bb6-9bc4-1bcd85bb42fc", Document: tenForFive(court.Badminton, "badminton")},
		{ID: "575a26bd-e737-5fcb-af72-b5d3175f4b38", Document: stayOn()},
		{ID: "9b1d3e08-391f-570c-ac8d-33b0aeded5c2", Document: straightLane()},
		{ID: "71c7645d-b3b5-50aa-841e-7feea71780e8", Document: tenForFive(court.Squash, "squash")},
		{ID: "0a978593-7a1f-5bea-a719-ae935761ffcb", Document: meAgainstTheDrill()},
		{ID: "f77d9c3c-5dc8-5ef7-b510-500fdd579f14", Document: underThenLong()},
		{ID: "880bca3b-4b3f-5db8-9887-07349316f0a3", Document: tenForFive(court.TableTennis, "table-tennis")},
	}, padelGames())
})

// Games returns the ready games, to be changed as the caller likes.
func Games() []StoredGame {
	list := slices.Clone(games())
	for i := range list {
		list[i].Document = list[i].Document.Clone()
	}
	return list
}

// FindGame returns a ready game; false where there is none of that identifier.
func FindGame(id string) (game.Document, bool) {
	i := slices.IndexFunc(games(), func(s StoredGame) bool { return s.ID == id })
	if i < 0 {
		return game.Document{}, false
	}
	return games()[i].Document.Clone(), true
}

// NewGame is the plainest game of two sides on a court: rallies to 11, one player on each side, who serves after a
// rally won it.
func NewGame(on court.ID) (game.Document, error) {
	c, err := sports.Court(on)
	if err != nil {
		return game.Document{}, err
	}
	d := points(c.Sport, on)
	d.Name, d.Rules.End = "New game", game.End{Near: 11, Far: 11}
	d.Rules.Feed.Changes = game.ToTheWinner
	d.Rules.Spots = facing(on, 1, 0.95)
	return d, d.Check()
}

// points is a game in which a rally is worth one point.
func points(sport court.Sport, on court.ID) game.Document {
	return game.Document{
		FormatVersion: game.FormatVersion, Sport: sport, Court: on, Rules: game.Rules{Rally: 1},
		Cues: []string{}, Cautions: []string{looseBalls}, Equipment: []string{},
	}
}

// facing are start places of so many players on each side of a court, a share of the half from the net, and in squash
// side by side behind each other's boxes: of one player the right-hand one, of several from left to right as each side
// sees it, in the order in which they move on.
func facing(on court.ID, each int, share float64) []game.Spot {
	c, err := sports.Court(on)
	if err != nil {
		return nil
	}
	across := func(i int) float64 {
		if each == 1 {
			return 0.15 * c.Singles
		}
		return (float64(i)/float64(each-1) - 0.5) * 0.7 * c.Singles
	}
	var spots []game.Spot
	for _, side := range []game.Side{game.Near, game.Far} {
		for i := range each {
			at := court.Point{X: across(i), Y: c.AtDepth(share)}
			if c.AtTable() {
				at.Y = -c.Length/2 - 0.6 // behind the table
			}
			if side == game.Far {
				at.X = -at.X
				if c.HasNet() {
					at.Y = -at.Y
				}
			}
			spots = append(spots, game.Spot{Side: side, Mark: c.Nearby(at)})
		}
	}
	return spots
}

// tenForFive is a duel in which the better player needs twice as many points. To 10 and 5 it is fair where two rallies
// of three are won.
func tenForFive(sport court.Sport, on court.ID) game.Document {
	d := points(sport, on)
	d.Name, d.Summary = "Ten for Five", "The stronger player needs 10 points, the other one 5. It is even where the "+
		"stronger one wins two rallies of three."
	d.Rules.Spots = facing(on, 1, 0.95)
	d.Rules.Feed = game.Feed{Changes: game.AfterRallies, Every: 2}
	d.Rules.End = game.End{Near: 10, Far: 5}
	d.Cautions = append(d.Cautions, sports.Of(sport).Cautions...)
	return d
}
