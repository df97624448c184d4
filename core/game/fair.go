package game

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/basics/invalid"
)

// Pair is what both sides need in a game, with what comes of it.
type Pair struct {
	Near    int     `json:"near" description:"Points that the near side needs"`
	Far     int     `json:"far" description:"Points that the far side needs"`
	Wins    float64 `json:"wins" description:"Chance that the near side wins"`
	Rallies float64 `json:"rallies" description:"Mean number of rallies"`
}

// What bounds the search for fair points.
const (
	widest   = 5   // points to each side of where a fair score is looked for
	looked   = 360 // rallies of games that are worked out, all pairs together
	proposed = 3   // that are proposed
	apart    = 0.2 // share by which a game may be longer or shorter than wanted
)

// FairPairs are the points of both sides with which a game of about so many rallies is won by both as nearly equally
// often as there are any, the fairest first. The rules' own points are not looked at, and two ahead is for equal points
// alone. It returns invalid.Fields where there are none, told at "length", or ctx.Err() when cancelled.
func (r Rules) FairPairs(ctx context.Context, c Chances, length int) ([]Pair, error) {
	if length < 1 || length > 150 {
		return nil, invalid.Fields{{Path: "length", Message: "a game has between 1 and 150 rallies"}}
	}
	if r.Score != "" {
		return nil, invalid.Fields{{Path: "length", Message: "only a game of two sides has a fair score"}}
	}
	r.End = End{}
	worth := r.worth(c)
	if !(worth[0] > 0) || !(worth[1] > 0) {
		return nil, invalid.Fields{{Path: "length", Message: "somebody who wins every rally, or none, has no fair score"}}
	}
	type candidate struct {
		near, far int
		off       float64
	}
	var list []candidate
	around := func(side int) (from, to int) {
		middle := int(math.Round(worth[side] * float64(length)))
		return max(1, middle-widest), min(100, middle+widest)
	}
	from, to := around(0)
	low, high := around(1)
	for near := from; near <= to; near++ {
		for far := low; far <= high; far++ {
			// Rallies that either side would need alone, and how far they are from what is wanted.
			a, b := float64(near)/worth[0], float64(far)/worth[1]
			if math.Abs(math.Min(a, b)-float64(length)) <= math.Max(4.5, 2.5*apart*float64(length)) {
				list = append(list, candidate{near, far, math.Abs(r.roughly(c, near, far, a, b))})
			}
		}
	}
	slices.SortStableFunc(list, func(a, b candidate) int { return cmp.Compare(a.off, b.off) })
	pairs := []Pair{}
	for _, each := range list[:min(max(3, min(24, looked/length)), len(list))] {
		r.End = End{Near: each.near, Far: each.far}
		f, err := r.Forecast(ctx, c, 0)
		if err != nil {
			return nil, err
		}
		if math.Abs(f.Rallies-float64(length)) <= math.Max(1.5, apart*float64(length)) {
			pairs = append(pairs, Pair{each.near, each.far, f.Near, f.Rallies})
		}
	}
	if len(pairs) == 0 {
		return nil, invalid.Fields{{Path: "length", Message: "there is no fair score of about so many rallies; try more"}}
	}
	slices.SortStableFunc(pairs, func(a, b Pair) int { return cmp.Compare(math.Abs(a.Wins-0.5), math.Abs(b.Wins-0.5)) })
	return pairs[:min(proposed, len(pairs))], nil
}

// roughly is about how far a game is from being even: of rallies that are worth a point each, and that it does not
// matter who feeds, it is exact; else it is the difference of the rallies that both sides would need alone.
func (r Rules) roughly(c Chances, near, far int, a, b float64) float64 {
	if r.Rally == 1 && len(r.Awards) == 0 && r.Mini == nil && c.NearFeeds == c.FarFeeds {
		return mathext.RegIncBeta(float64(near), float64(far), c.NearFeeds) - 0.5
	}
	return a - b
}

// worth is how many points both sides get in a rally on average, over both sides' feeds in equal shares; of a little
// match for each of its rallies.
func (r Rules) worth(c Chances) (sums [2]float64) {
	p := r.start()
	feeds := []int16{p.feed}
	if r.Feed.Changes != "" {
		feeds = []int16{0, 1}
	}
	for _, feed := range feeds {
		p.feed = feed
		for _, one := range r.results(p, c) {
			for side, n := range one.points {
				sums[side] += one.p * float64(n) / float64(len(feeds))
			}
		}
	}
	if r.Mini == nil {
		return sums
	}
	n := len(r.Mini.Balls)
	won := (c.NearFeeds + c.FarFeeds) / 2
	for side, p := range [2]float64{won, 1 - won} {
		swept := math.Pow(p, float64(n))
		most := mathext.RegIncBeta(float64(n/2+1), float64(n-n/2), p)
		sums[side] += (float64(r.Mini.Won)*(most-swept) + float64(r.Mini.Swept)*swept) / float64(n)
	}
	return sums
}

// Tally is how many points two sides have won against each other.
type Tally struct {
	Near int `json:"near" minimum:"0" maximum:"100000"`
	Far  int `json:"far" minimum:"0" maximum:"100000"`
}

// Strength is what is thought of the near side’s chance of a rally after some results.
type Strength struct {
	Won     float64 `json:"won" description:"Chance that the near side wins a rally"`
	Low     float64 `json:"low" description:"Four times of five it lies between these"`
	High    float64 `json:"high"`
	Results int     `json:"results" description:"Points against each other that it rests on"`
}

// guessed is how many rallies the first guess about two sides is worth. Common practice, no source.
const guessed = 10

// StrengthFrom is what is thought of two sides after the points between them: a beta distribution that begins at a
// guess of the near side's chance, one half where nothing is known of either; the guess lies between 0 and 1.
func StrengthFrom(t Tally, guess float64) Strength {
	a, b := float64(t.Near)+guessed*guess, float64(t.Far)+guessed*(1-guess)
	return Strength{
		Won:     a / (a + b),
		Low:     mathext.InvRegIncBeta(a, b, 0.1),
		High:    mathext.InvRegIncBeta(a, b, 0.9),
		Results: t.Near + t.Far,
	}
}

// Handicap is a fair score after some results, with how sure it is.
type Handicap struct {
	Strength
	Pair
	LowWins  float64 `json:"lowWins" description:"Chance that the near side wins, if it is as weak as it may be"`
	HighWins float64 `json:"highWins" description:"The same, if it is as strong as it may be"`
	Sentence string  `json:"sentence"`
}

// HandicapFrom proposes a fair score from what is thought of two sides, whoever feeds. It returns the errors of
// FairPairs.
func (r Rules) HandicapFrom(ctx context.Context, s Strength, length int) (Handicap, error) {
	h := Handicap{Strength: s}
	pairs, err := r.FairPairs(ctx, At(h.Won), length)
	if err != nil {
		return h, err
	}
	h.Pair = pairs[0]
	r.End = End{Near: h.Near, Far: h.Far}
	for won, wins := range map[float64]*float64{h.Low: &h.LowWins, h.High: &h.HighWins} {
		f, err := r.Forecast(ctx, At(won), 0)
		if err != nil {
			return h, err
		}
		*wins = f.Near
	}
	h.Sentence = fmt.Sprintf(
		"%d against %d: the near side wins %s of 10 rallies, between %s and %s, and with that between %s and %s of 10 games.",
		h.Near,
		h.Far,
		tenths(h.Won),
		tenths(h.Low),
		tenths(h.High),
		tenths(h.LowWins),
		tenths(h.HighWins),
	)
	return h, nil
}

// tenths is a share as so many of ten.
func tenths(share float64) string { return fmt.Sprintf("%.1f", 10*share) }
