package odds

import (
	"fmt"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
)

// Done is how often something was made and missed.
type Done struct {
	Made   int `json:"made"`
	Missed int `json:"missed"`
}

// Balls is how often it was tried.
func (d Done) Balls() int { return d.Made + d.Missed }

// Add is both together.
func (d Done) Add(other Done) Done { return Done{d.Made + other.Made, d.Missed + other.Missed} }

// Transfer is how often somebody makes a stroke in drills beside how often they make it in games.
type Transfer struct {
	Drills     Done              `json:"drills"`
	Games      Done              `json:"games"`
	Between    Difference        `json:"between" description:"How much more is made in drills"`
	Fewer      float64           `json:"fewer" description:"Chance that less is made in games than in drills"`
	Sure       string            `json:"sure" description:"How sure that is, in words"`
	Derivation metric.Derivation `json:"derivation"`
}

// TransferOf sets drills against games; false where one of them is missing. The chance that less is made in games is
// that of one beta distribution below the other, each beginning with half a ball made and half a ball missed.
func TransferOf(drills, games Done) (Transfer, bool) {
	if drills.Balls() == 0 || games.Balls() == 0 {
		return Transfer{}, false
	}
	t := Transfer{
		Drills:  drills,
		Games:   games,
		Between: compare(drills, games, "games", "drills"),
		Fewer:   less(games, drills),
	}
	t.Sure = "less is made in games " + Times(t.Fewer)
	share := func(name string, d Done) metric.Sum {
		tried := metric.Counted("ball", "balls")
		return metric.Shared.Work(name, metric.OfTen,
			tried.Of("Made", float64(d.Made)), tried.Of("Tried", float64(d.Balls())))
	}
	inDrills, inGames := share("In drills", drills), share("In games", games)
	fewer := metric.Less.Work("Fewer in games", metric.OfTen, inDrills.Gives, inGames.Gives)
	t.Derivation = metric.Derivation{
		Figure: "From drills to games",
		Value:  t.Between.Sentence,
		Sums:   []metric.Sum{inDrills, inGames, fewer},
		Formula: "What is made in drills without what is made in games, with Newcombe’s interval for a difference; how " +
			"sure: two beta distributions, each from half a ball made and half a ball missed",
		Inputs: []metric.Input{
			{
				Name: "95 times in 100",
				Value: fmt.Sprintf(
					"between %s and %s of 10 fewer in games",
					units.Decimal(10*t.Between.Low, 1),
					units.Decimal(10*t.Between.High, 1),
				),
			},
			{Name: "How sure", Value: t.Sure},
		},
		Source: "Newcombe, Statistics in Medicine 17 (1998) 873, method 10; beta distributions from Jeffreys’ prior",
	}
	t.Derivation = t.Derivation.Settled()
	return t, true
}

// less is the chance that the rate behind a is below the one behind b.
func less(a, b Done) float64 {
	const steps = 400
	below := 0.0
	for i := range steps {
		rate := mathext.InvRegIncBeta(float64(b.Made)+0.5, float64(b.Missed)+0.5, (float64(i)+0.5)/steps)
		below += mathext.RegIncBeta(float64(a.Made)+0.5, float64(a.Missed)+0.5, rate) / steps
	}
	return below
}
