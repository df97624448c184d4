package lesson

import (
	"slices"

	"hodometer/core/drill/rotation"
	"hodometer/core/sport/court"
)

// warmUp is how a sport speaks of two who warm up with the ball: where each is, and what is called in turn.
type warmUp struct {
	near, far string
	calls     []string
}

// warmUps are the words of the sports. Common practice, no source.
var warmUps = map[court.Sport]warmUp{
	court.Tennis:      {"at the net", "feeds from the back", []string{"Forehand side, soft and clean", "Backhand side", "Alternate sides, always moving", "Your choice, no errors"}},
	court.Pickleball:  {"at the no-volley line", "feeds from the baseline", []string{"Dinks cross-court, soft and clean", "Dinks the other way", "Volleys, alternate sides", "Your choice, no errors"}},
	court.Badminton:   {"in the forecourt", "lifts from the rear court", []string{"Clears, high and easy", "Drops and lifts", "Drives, flat and always moving", "Your choice, no errors"}},
	court.Squash:      {"in front of the short line", "feeds from the service box", []string{"Straight drives, forehand side", "Straight drives, backhand side", "Boast and drive, back to the T", "Your choice, no errors"}},
	court.TableTennis: {"blocks at the table", "plays topspin", []string{"Forehand to forehand, soft and clean", "Backhand to backhand", "Two thirds of the table, always moving", "Your choice, no errors"}},
}

// In is the block in the words of a sport: the roles and calls of a ball warm-up that are as they come, in those of tennis, are
// changed; what a coach wrote stays.
func (b Block) In(sport court.Sport) Block {
	own, known := warmUps[sport]
	usual := warmUps[court.Tennis]
	if b.Kind != Ball || !known || sport == court.Tennis {
		return b
	}
	b.Calls = slices.Clone(b.Calls)
	for i := range b.Calls {
		if k := slices.Index(usual.calls, b.Calls[i].Text); k >= 0 {
			b.Calls[i].Text = own.calls[k]
		}
	}
	if b.Rotation != nil {
		form := *b.Rotation
		form.Spots = slices.Clone(form.Spots)
		for i := range form.Spots {
			switch form.Spots[i].Name {
			case usual.near:
				form.Spots[i].Name = own.near
			case usual.far:
				form.Spots[i].Name = own.far
			}
		}
		b.Rotation = &form
	}
	return b
}

// NetAndBack is how two warm up with the ball, in the words of tennis: one at the net, one feeding, changed every minute. Common
// practice, no source.
func NetAndBack() rotation.Form {
	words := warmUps[court.Tennis]
	return rotation.Form{Kind: rotation.Roles, Every: 1, Spots: []rotation.Spot{{Name: words.near}, {Name: words.far, Feeds: true}}}
}

// warmUpCalls are called one every two minutes.
func warmUpCalls() []Call {
	calls := []Call{}
	for i, text := range warmUps[court.Tennis].calls {
		calls = append(calls, Call{Minute: float64(2 * i), Text: text})
	}
	return calls
}
