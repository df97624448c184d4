package odds

import "hodometer/core/count/tally"

// Kinds are the shares of the misses of each kind.
type Kinds struct {
	Net  float64 `json:"net"`
	Long float64 `json:"long"`
	Wide float64 `json:"wide"`
}

// kindBalls is what a third each is worth before any miss was marked. Common practice, no source.
const kindBalls = 6.0

// kindsOf are the shares of what somebody did, drawn together with a third each; older misses weigh less.
func kindsOf(own []Practised) Kinds {
	k := Kinds{kindBalls / 3, kindBalls / 3, kindBalls / 3}
	for _, p := range own {
		weight := p.weight()
		k.Net, k.Long, k.Wide = k.Net+weight*float64(p.Net), k.Long+weight*float64(p.Long), k.Wide+weight*float64(p.Wide)
	}
	all := k.Net + k.Long + k.Wide
	return Kinds{k.Net / all, k.Long / all, k.Wide / all}
}

// Of is the share of a kind; of no kind in particular all of them, and a third where nothing is known.
func (k Kinds) Of(kind tally.Miss) float64 {
	if k == (Kinds{}) {
		k = kindsOf(nil)
	}
	switch kind {
	case tally.IntoNet:
		return k.Net
	case tally.Long:
		return k.Long
	case tally.Wide:
		return k.Wide
	}
	return 1
}
