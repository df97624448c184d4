package footwork

import (
	"context"
	"math"
	"slices"

	"hodometer/core/sport/feed"
)

// Tempo is what a gap between balls makes of each task of a sequence.
type Tempo struct {
	Gap      float64   `json:"gap" description:"Seconds between two releases"`
	Verdicts []Verdict `json:"verdicts" description:"Of each task in the pattern, the hardest in the turn; meant ones too"`
	Worst    Verdict   `json:"worst" description:"The hardest that is not meant"`
}

// The gaps that are tried, in seconds.
const (
	shortestGap = 0.5
	longestGap  = 8.0
	gapStep     = 0.1
)

// at is the timing at another gap. Gaps of single tasks change by the same share.
func (t Timing) at(gap float64) Timing {
	share := gap / t.Pattern.Gap
	t.Pattern.Gap = gap
	tasks := slices.Clone(t.Pattern.Tasks)
	for i := range tasks {
		tasks[i].Gap *= share
	}
	t.Pattern.Tasks = tasks
	return t
}

// tempo runs the first two sequences of a turn at a gap, and more where no sequence is like another.
func (t Timing) tempo(ctx context.Context, gap float64) (Tempo, error) {
	t = t.at(gap)
	t.Pattern.Sequences = min(2, t.Pattern.Sequences)
	if t.Pattern.Varies() {
		const several = 8
		t.Pattern.Sequences = max(1, min(several, feed.MaxReleases/len(t.Pattern.Listed())))
	}
	t.Pattern.Ends = ""
	plan, err := t.Pattern.PlanTurn(ctx, 0)
	if err != nil {
		return Tempo{}, err
	}
	line, err := t.run(ctx, plan, bare)
	if err != nil {
		return Tempo{}, err
	}
	tempo := Tempo{Gap: gap, Worst: line.Worst, Verdicts: make([]Verdict, len(t.Pattern.Tasks))}
	for i := range tempo.Verdicts {
		tempo.Verdicts[i] = Easy
	}
	for _, m := range line.Interceptions {
		if m.Verdict.Worse(tempo.Verdicts[m.Task]) {
			tempo.Verdicts[m.Task] = m.Verdict
		}
	}
	return tempo, nil
}

// Tempos works the pattern out at every gap from half a second to eight, a tenth apart; none for a rally, and none
// where one ball is played on and on: the strokes make its tempo.
func (t Timing) Tempos(ctx context.Context) ([]Tempo, error) {
	if t.Pattern.Rally != nil || t.Pattern.OneBall() {
		return []Tempo{}, nil
	}
	var list []Tempo
	for i := 0; ; i++ {
		gap := math.Round((shortestGap+float64(i)*gapStep)*100) / 100
		if gap > longestGap+1e-9 {
			return list, nil
		}
		tempo, err := t.tempo(ctx, gap)
		if err != nil {
			return nil, err
		}
		list = append(list, tempo)
	}
}
