package game

import (
	"context"
	"fmt"

	"hodometer/core/basics/units"
	"hodometer/core/sport/sports"
)

// MadeFor are the chances of the two sides that a game is made for: of equals, and where one side needs more points
// than the other, of those who win it equally often, to a hundredth of the rallies, whoever feeds. Equals, too, where
// nobody wins such a game equally often. It returns ctx.Err() when cancelled.
func (r Rules) MadeFor(ctx context.Context) (Chances, error) {
	if r.Score != "" || r.End.Near <= 0 || r.End.Far <= 0 || r.End.Near == r.End.Far {
		return Even(), nil
	}
	low, high := 1, 99 // hundredths of the rallies that the near side wins: fewer than half of the games, and more
	for low+1 < high {
		middle := (low + high) / 2
		f, err := r.Forecast(ctx, At(float64(middle)/100), 0)
		if err != nil {
			return Even(), err
		}
		if f.Near < f.Far {
			low = middle
		} else {
			high = middle
		}
	}
	if low == 1 || high == 99 {
		return Even(), nil
	}
	return At(float64(high) / 100), nil
}

// Usual is the forecast of a game at a tempo, with the end by the clock that the rules have, of those for whom it is
// made, and their chances. It returns ctx.Err() when cancelled.
func (r Rules) Usual(ctx context.Context, t sports.Tempo) (Chances, Forecast, error) {
	c, err := r.MadeFor(ctx)
	if err != nil {
		return c, Forecast{}, err
	}
	f, err := r.WithMinutes(ctx, c, t)
	return c, f, err
}

// Between says whose game it is that is made for such chances.
func (c Chances) Between() string {
	switch {
	case c.NearFeeds == 0.5 && c.FarFeeds == 0.5:
		return "between equals"
	case c.NearFeeds > 0.5:
		return fmt.Sprintf("where the near side wins %s of 10 rallies", units.Decimal(10*c.NearFeeds, 1))
	}
	return fmt.Sprintf("where the far side wins %s of 10 rallies", units.Decimal(10*(1-c.NearFeeds), 1))
}
