package game

import (
	"context"

	"hodometer/core/basics/invalid"
)

// Forecast is what a game comes to by its chances.
type Forecast struct {
	Near    float64 // chance that the near side wins
	Far     float64
	Nobody  float64 // that neither does
	Rallies float64 // mean, with the unscored ones
	Points  [2]float64

	over []float64 // chance that the game ends with the n-th rally, from 0
	open float64   // that it is not over after the longest that was looked at
}

// longest is how many rallies of a game are looked at.
const longest = 2000

// What bounds the work: the share of games that is not followed any further, and how many positions are looked at in
// all.
const (
	nearly = 1e-12
	most   = 1_500_000
)

// Forecast works out a game by its chances, from the beginning, with the very rules that the engine plays by. After so
// many rallies it is over in any case; 0 for no limit. Where it ends by players' own points, games are sampled, always
// the same ones. It returns ctx.Err() when cancelled.
func (r Rules) Forecast(ctx context.Context, c Chances, limit int) (Forecast, error) {
	var f Forecast
	if limit <= 0 || limit > longest {
		limit = longest + 1
	}
	if r.Score == EachTheirOwn && r.End.Near > 0 {
		return r.sampled(ctx, c, limit)
	}
	type kind struct{ feed, net int16 }
	known := map[kind][]likely{}
	now, next, index, seen := []weighted{{r.start(), 1}}, []weighted{}, map[position]int{}, 0
	for n := 1; len(now) > 0; n++ {
		if err := ctx.Err(); err != nil {
			return f, err
		}
		if seen += len(now); n > longest || seen > most {
			for _, each := range now {
				f.open += each.p
			}
			break
		}
		next = next[:0]
		ended := 0.0
		clear(index)
		for _, each := range now {
			if each.p < nearly {
				continue
			}
			at := kind{each.feed, each.net}
			list, ok := known[at]
			if !ok {
				list = r.results(each.position, c)
				known[at] = list
			}
			for _, one := range list {
				to, _ := r.after(each.position, one.result)
				if n >= limit && !to.over {
					to.over, to.winner = true, r.leader(to)
				}
				if to.over {
					ended += each.p * one.p
					f.end(to, each.p*one.p)
					continue
				}
				i, there := index[to]
				if !there {
					i = len(next)
					index[to], next = i, append(next, weighted{position: to})
				}
				next[i].p += each.p * one.p
			}
		}
		f.over = append(f.over, ended)
		f.Rallies += float64(n) * ended
		now, next = next, now
	}
	return f, nil
}

// weighted is a position with its chance.
type weighted struct {
	position
	p float64
}

// end adds a game that is over.
func (f *Forecast) end(p position, chance float64) {
	switch p.winner {
	case 0:
		f.Near += chance
	case 1:
		f.Far += chance
	default:
		f.Nobody += chance
	}
	for i, n := range p.points {
		f.Points[i] += chance * float64(n)
	}
}

// Within is how many rallies a share of the games stay under; false where more than were looked at.
func (f Forecast) Within(share float64) (int, bool) {
	sum := 0.0
	for i, p := range f.over {
		if sum += p; sum >= share-1e-9 {
			return i + 1, true
		}
	}
	return 0, false
}

// Times is the forecast of so many games one after the other, each like the first: only how many rallies they have.
func (f Forecast) Times(n int) Forecast {
	all := Forecast{Rallies: f.Rallies * float64(n), over: f.over}
	for range n - 1 {
		sum := make([]float64, len(all.over)+len(f.over))
		for i, a := range all.over {
			for k, b := range f.over {
				sum[i+k+1] += a * b
			}
		}
		all.over = sum
	}
	return all
}

// almost is the share of games that is meant by how long a game can get.
const almost = 0.999

// ends says what is wrong with rules that make sense by themselves where a game between equals goes on and on.
func (r Rules) ends() error {
	if r.End.Minutes > 0 {
		return nil
	}
	if r.Score == EachTheirOwn && r.End.Near > 0 {
		if r.Rally == 0 || r.BelowZero {
			return invalid.Fields{
				{
					Path:    "near",
					Message: "players may never come to their points; let rallies be worth some, or play for some minutes",
				},
			}
		}
		return nil
	}
	f, err := r.Forecast(context.Background(), Even(), 0)
	if err != nil {
		return err
	}
	if _, ok := f.Within(almost); !ok {
		return invalid.Fields{
			{Message: "a game by these rules can go on for more than 2000 rallies: let it end after some rallies or minutes"},
		}
	}
	return nil
}
