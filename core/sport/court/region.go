package court

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
)

// Numbering is the school by which depth regions are numbered.
type Numbering string

// The schools.
const (
	FromNet      Numbering = "from the net out"
	FromBaseline Numbering = "from the baseline in"
)

// Depth is one depth region of a scheme, on the near half; the far half has the same, turned half round.
type Depth struct {
	Name    string  `json:"name" minLength:"1" maxLength:"40"`
	Purpose string  `json:"purpose" maxLength:"60" description:"What is done from here: defend, rally, set up, finish"`
	Stop    Measure `json:"stop" description:"Where it ends, going out from the net; the next one starts there. Measured from a near line"`
}

// Scheme divides each half into depth regions, from the net out. It reaches as far behind and beside the
// court as the run-off.
type Scheme struct {
	Name   string  `json:"name" minLength:"1" maxLength:"60"`
	Court  ID      `json:"court" maxLength:"40"`
	Depths []Depth `json:"depths" minItems:"3" maxItems:"6"`
}

// Band is a depth region in metres.
type Band struct {
	Number  int     `json:"number" description:"From 1, by the coach's numbering"`
	Name    string  `json:"name"`
	Purpose string  `json:"purpose"`
	From    float64 `json:"from" description:"Distance from the net where it starts"`
	To      float64 `json:"to" description:"Distance from the net where it stops"`
}

// Region is where a place lies.
type Region struct {
	End   End    `json:"end"`
	Band  Band   `json:"band"`
	Third string `json:"third" description:"Left, middle or right third, as the player at that end has it"`
}

// Bands resolves a scheme on its court. The last band reaches to the end of the run-off; where bands end
// is measured on the near half. In squash the net is the front wall.
func (s Scheme) Bands(c Court, numbering Numbering) ([]Band, error) {
	var wrong invalid.Fields
	const fewest, most = 3, 6
	if len(s.Depths) < fewest || len(s.Depths) > most {
		wrong.Add("depths", "a scheme has three to six depth regions")
	}
	bands := make([]Band, len(s.Depths))
	from := 0.0
	for i, depth := range s.Depths {
		if strings.TrimSpace(depth.Name) == "" {
			wrong.Add(invalid.Join("depths", i, "name"), "give the region a name")
		}
		to := c.deepest()
		if i < len(s.Depths)-1 {
			value, isY, err := c.coordinate(depth.Stop)
			wrong.Under(invalid.Join("depths", i, "stop"), err)
			if err == nil && !isY {
				wrong.Add(invalid.Join("depths", i, "stop", "line"), "depth is measured from a line along the net")
			}
			to = c.front() - value
		}
		if wrong.Err() == nil && to <= from {
			wrong.Add(invalid.Join("depths", i, "stop"), "it would stop before it starts; go out from the net")
		}
		bands[i] = Band{Number: i + 1, Name: depth.Name, Purpose: depth.Purpose, From: from, To: to}
		if numbering == FromBaseline {
			bands[i].Number = len(s.Depths) - i
		}
		from = to
	}
	return bands, wrong.Err()
}

// front is the y from which depth is counted: the net, or the front wall in squash.
func (c Court) front() float64 {
	if !c.HasNet() {
		return c.Length / 2
	}
	return 0
}

// deepest is how far the last band reaches.
func (c Court) deepest() float64 {
	if !c.HasNet() {
		return c.Length
	}
	return c.Length/2 + c.RunOff.Back
}

// RegionOf says in which region of a scheme a place lies.
func (s Scheme) RegionOf(c Court, p Point, numbering Numbering) (Region, error) {
	bands, err := s.Bands(c, numbering)
	if err != nil {
		return Region{}, err
	}
	if !c.OnMap(p) {
		return Region{}, fmt.Errorf("this place is off the map")
	}
	r := Region{End: NearEndPlayer, Third: "middle"}
	depth, own := c.front()-p.Y, p.X
	if c.HasNet() && p.Y > 0 {
		r.End, depth, own = FarEndPlayer, p.Y, -p.X
	}
	if third := c.Singles / 6; own > third {
		r.Third = "right"
	} else if own < -third {
		r.Third = "left"
	}
	i := slices.IndexFunc(bands, func(b Band) bool { return depth <= b.To })
	if i < 0 {
		i = len(bands) - 1 // the last millimetre of the run-off
	}
	r.Band = bands[i]
	return r, nil
}
