package game

import (
	"context"
	"fmt"

	"hodometer/core/seeded"
)

// samples is how many games are played where they cannot be worked out.
const samples = 600

// sampled is a forecast from games that are played with seeded numbers: the same every time.
func (r Rules) sampled(ctx context.Context, c Chances, limit int) (Forecast, error) {
	var f Forecast
	for n := range samples {
		if err := ctx.Err(); err != nil {
			return f, err
		}
		states, err := r.playedThrough(c, uint64(n+1), limit)
		if err != nil {
			return f, err
		}
		rallies := len(states) - 1
		last := states[rallies]
		if !last.Over && rallies < limit {
			f.open += 1.0 / samples
			continue
		}
		for len(f.over) < rallies {
			f.over = append(f.over, 0)
		}
		f.over[rallies-1] += 1.0 / samples
		f.Rallies += float64(rallies) / samples
		for i, own := range last.Points {
			f.Points[i] += float64(own) / samples
		}
		f.Nobody += 1.0 / samples // it is won by players, not by a side
	}
	return f, nil
}

// playedThrough plays a game with players who are called 1, 2, 3 …, rally by rally, to its end or to a limit.
func (r Rules) playedThrough(c Chances, seed uint64, limit int) ([]State, error) {
	players := make([]string, r.Players())
	for i := range players {
		players[i] = fmt.Sprint(i + 1)
	}
	if r.Rotation.How == WinnersStay {
		players = append(players, fmt.Sprint(len(players)+1)) // somebody waits
	}
	s, err := r.Start(players)
	if err != nil {
		return nil, err
	}
	draw := seeded.From(seed)
	states := []State{s}
	for len(states) <= min(limit, longest) && !s.Over {
		list := r.results(s.at, c)
		one, at := list[len(list)-1].result, draw.Share()
		for _, each := range list {
			if at -= each.p; at < 0 {
				one = each.result
				break
			}
		}
		s = r.over(s, one, "")
		states = append(states, s)
	}
	return states, nil
}
