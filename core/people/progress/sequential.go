package progress

import "math"

// Sequential is a sequential probability ratio test between two success rates per ball. It asks after
// every ball whether the evidence is strong enough to stop.
//
// The log likelihood ratio gains ln(High/Low) with a make and ln((1-High)/(1-Low)) with a miss. The
// test speaks for High at ln((1-Beta)/Alpha) and for Low at ln(Beta/(1-Alpha)). See Wald, Annals of
// Mathematical Statistics 16 (1945) 117.
type Sequential struct {
	Low, High   float64 // the two rates, 0 < Low < High < 1
	Alpha, Beta float64 // chances of speaking for High, or for Low, wrongly
}

// Verdict is what a sequential test says.
type Verdict int

// Open means that more balls are needed.
const (
	Open Verdict = iota
	ForHigh
	ForLow
)

// Ratio returns the log likelihood ratio of the counts.
func (s Sequential) Ratio(made, missed int) float64 {
	return float64(made)*math.Log(s.High/s.Low) + float64(missed)*math.Log((1-s.High)/(1-s.Low))
}

// Bounds returns the log likelihood ratios at which the test stops.
func (s Sequential) Bounds() (low, high float64) {
	return math.Log(s.Beta / (1 - s.Alpha)), math.Log((1 - s.Beta) / s.Alpha)
}

// Decide says what the counts amount to.
func (s Sequential) Decide(made, missed int) Verdict {
	low, high := s.Bounds()
	switch ratio := s.Ratio(made, missed); {
	case ratio >= high:
		return ForHigh
	case ratio <= low:
		return ForLow
	}
	return Open
}

// MakesToGo returns how many makes in a row would bring the test to speak for High.
func (s Sequential) MakesToGo(made, missed int) int {
	_, high := s.Bounds()
	gap := high - s.Ratio(made, missed)
	return max(0, int(math.Ceil(gap/math.Log(s.High/s.Low)-1e-9)))
}
