package odds

import (
	"context"
	"math"
	"slices"
	"sort"
)

// mixture is how many attempts something takes somebody whose rate is not known for sure: one waiting time for each
// rate that it may be, with the limit at that rate and how likely it is.
type mixture []wait

type wait struct {
	waiting
	limit int
	share float64
}

// each are the questions for all that the rates may be, with how likely each is: whoever makes more of what comes
// before makes more of the goal. Where the rate is known it is the question itself.
func (q Question) each(give func(q Question, share float64) error) error {
	if len(q.Likely) == 0 {
		return give(q, 1)
	}
	if q.machine == nil && !q.Goal.Timed() { // the same at all rates
		goals, _ := q.course()
		q.machine = goals.Machine()
	}
	for i, l := range q.Likely {
		at := q
		at.Likely, at.Rate = nil, l.Rate
		if q.Partner == q.Rate {
			at.Partner = l.Rate
		}
		at.Before = slices.Clone(q.Before)
		for k, leg := range at.Before {
			if len(leg.Likely) == len(q.Likely) {
				at.Before[k].Rate = leg.Likely[i].Rate
			}
		}
		if err := give(at, l.Share); err != nil {
			return err
		}
	}
	return nil
}

// mostTogether is how many attempts are followed one by one of what is not known for sure: what takes longer is told as
// more than a thousand.
const mostTogether = Thousand

// waits follows all that the rate may be side by side, until so much of it all is over, and up to each limit.
func (q Question) waits(ctx context.Context, until float64) (mixture, error) {
	var all mixture
	var walks []*walk
	least := 0
	_ = q.each(func(at Question, share float64) error { // which fails with what it calls only
		limit, _ := at.limit()
		least = max(least, limit)
		walks = append(walks, at.process().walk(0))
		all = append(all, wait{limit: limit, share: share})
		return nil
	})
	const atOnce = 16 // attempts, before it is asked how much is over
	for n := 0; n < mostTogether || n < least; n += atOnce {
		if ctx.Err() != nil {
			return nil, ctx.Err()
		}
		over, ended := true, 0.0
		for i, k := range walks {
			for range atOnce {
				if !k.over {
					k.step()
				}
			}
			over = over && k.over
			ended += all[i].share * k.within(n+atOnce)
		}
		if over || n+atOnce >= least && ended >= until {
			break
		}
	}
	for i, k := range walks {
		all[i].waiting = k.waiting
	}
	return all, nil
}

// within is the chance to be finished within so many attempts.
func (m mixture) within(attempts int) (sum float64) {
	for _, each := range m {
		sum += each.share * each.within(attempts)
	}
	return sum
}

// chance is that to be finished within the limit.
func (m mixture) chance() (sum float64) {
	for _, each := range m {
		sum += each.share * each.within(each.limit)
	}
	return sum
}

// met is the chance to end well.
func (m mixture) met() (sum float64) {
	for _, each := range m {
		sum += each.share * each.met
	}
	return sum
}

// quantile is the smallest number of attempts with at least so much chance to be finished, and whether it is exact.
func (m mixture) quantile(share float64) (attempts float64, exact bool) {
	if len(m) == 1 {
		return m[0].quantile(share)
	}
	exact = true
	low, high := math.Inf(1), 0.0
	for _, each := range m {
		one, sure := each.quantile(share)
		low, high, exact = math.Min(low, one), math.Max(high, one), exact && sure
	}
	if high = math.Min(high, forever); low >= high {
		return high, exact
	}
	from := int(low)
	return low + float64(sort.Search(int(high)-from, func(n int) bool { return m.within(from+n) >= share })), exact
}

// mean is the mean of something over all that the rate may be.
func (q Question) mean(of func(Question) (float64, error)) (sum float64, err error) {
	err = q.each(func(at Question, share float64) error {
		value, err := of(at)
		sum += share * value
		return err
	})
	return sum, err
}
