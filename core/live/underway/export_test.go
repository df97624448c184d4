package underway

import (
	"slices"

	"hodometer/core/lesson/schedule"
)

// What tests of this package look at from outside.
var Named = derivedID

// Copy is a kit with which something can be done that leaves the first one as it is.
func (k Kit) Copy() Kit {
	k.Counted, k.Done = slices.Clone(k.Counted), slices.Clip(k.Done)
	for i, c := range k.Counted {
		k.Counted[i].Runs = slices.Clone(c.Runs)
		for j, run := range c.Runs {
			k.Counted[i].Runs[j].Entries = slices.Clip(run.Entries)
		}
	}
	return k
}

// RatesIn are the rates of a kit as a plan has them.
func (k *Kit) RatesIn() map[string]map[string]schedule.Rated {
	all := map[string]map[string]schedule.Rated{}
	for _, r := range k.Rates {
		all[r.Block] = k.rates(r.Block)
	}
	return all
}
