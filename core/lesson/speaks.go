package lesson

import (
	"slices"

	"hodometer/core/drill/rotation"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// In is the block in the words of a sport: the roles and calls of a ball warm-up that are as they come, in those of the
// first sport, are changed; what a coach wrote stays.
func (b Block) In(sport court.Sport) Block {
	own, usual := sports.Of(sport).WarmUp, warmUp()
	if b.Kind != Ball || len(own.Calls) == 0 || sport == sports.All()[0].Name {
		return b
	}
	b.Calls = slices.Clone(b.Calls)
	for i := range b.Calls {
		if k := slices.Index(usual.Calls, b.Calls[i].Text); k >= 0 {
			b.Calls[i].Text = own.Calls[k]
		}
	}
	if b.Rotation != nil {
		form := *b.Rotation
		form.Spots = slices.Clone(form.Spots)
		for i := range form.Spots {
			switch form.Spots[i].Name {
			case usual.Near:
				form.Spots[i].Name = own.Near
			case usual.Far:
				form.Spots[i].Name = own.Far
			}
		}
		b.Rotation = &form
	}
	return b
}

// NetAndBack is how two warm up with the ball, in the words of the first sport: one at the net, one feeding, changed
// every minute. Common practice, no source.
func NetAndBack() rotation.Form {
	words := warmUp()
	return rotation.Form{
		Kind:  rotation.Roles,
		Every: 1,
		Spots: []rotation.Spot{{Name: words.Near}, {Name: words.Far, Feeds: true}},
	}
}

// warmUpCalls are called one every two minutes, as many as there is time for.
func warmUpCalls(minutes float64) []Call {
	calls := []Call{}
	for i, text := range warmUp().Calls {
		if at := float64(2 * i); at < minutes {
			calls = append(calls, Call{Minute: at, Text: text})
		}
	}
	return calls
}

// warmUp are the words in which a warm-up comes.
func warmUp() sports.WarmUp { return sports.All()[0].WarmUp }
