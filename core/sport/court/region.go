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
func (s Scheme) Bands(numbering Numbering) ([]Band, error) {
	c, err := Find(s.Court)
	if err != nil {
		return nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
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
func (s Scheme) RegionOf(p Point, numbering Numbering) (Region, error) {
	bands, err := s.Bands(numbering)
	if err != nil {
		return Region{}, err
	}
	c, err := Find(s.Court)
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

// JuniorNet is how far from the net the border between the first and the second region is: for nine- and
// ten-year-olds that is "the net" (common practice, no source).
func (s Scheme) JuniorNet() (float64, error) {
	bands, err := s.Bands(FromNet)
	if err != nil {
		return 0, err
	}
	return bands[0].To, nil
}

// Schemes returns the built-in schemes, at least one for each court. Names, purposes and borders are
// common practice, no source.
func Schemes() []Scheme {
	close4 := func(service LineID) []Depth {
		return []Depth{
			{Name: "close", Purpose: "finish", Stop: Between(NetLine, service, 0.6)},
			{Name: "service box", Purpose: "set up", Stop: Off(service, 0, Out)},
			{Name: "mid-court", Purpose: "rally", Stop: Between(service, NearBaseline, 0.7)},
			{Name: "deep", Purpose: "defend"},
		}
	}
	three := []Depth{
		{Name: "net", Purpose: "finish", Stop: Off(NearService, 0, Out)},
		{Name: "mid-court", Purpose: "set up", Stop: Off(NearBaseline, 1, In)},
		{Name: "back", Purpose: "rally and defend"},
	}
	five := []Depth{
		{Name: "on the net", Purpose: "finish", Stop: Between(NetLine, NearService, 0.4)},
		{Name: "first volley", Purpose: "set up", Stop: Off(NearService, 0, Out)},
		{Name: "transition", Purpose: "approach", Stop: Off(NearBaseline, 1.5, In)},
		{Name: "baseline", Purpose: "rally", Stop: Off(NearBaseline, 1, Out)},
		{Name: "behind", Purpose: "defend"},
	}
	return []Scheme{
		{Name: "four depths", Court: "tennis", Depths: close4(NearService)},
		{Name: "three depths", Court: "tennis", Depths: three},
		{Name: "five depths", Court: "tennis", Depths: five},
		{Name: "four depths, orange", Court: "tennis-orange", Depths: close4(NearService)},
		{Name: "four depths, red", Court: "tennis-red", Depths: close4(NearService)},
		{Name: "three depths, pickleball", Court: "pickleball", Depths: []Depth{
			{Name: "no-volley zone", Purpose: "soft game", Stop: Off(NearKitchen, 0, Out)},
			{Name: "transition", Purpose: "reset", Stop: Off(NearBaseline, 1.2, In)},
			{Name: "baseline", Purpose: "drive and drop"},
		}},
		{Name: "three depths, badminton", Court: "badminton", Depths: []Depth{
			{Name: "forecourt", Purpose: "net play", Stop: Off(NearService, 0.3, Out)},
			{Name: "mid-court", Purpose: "drive and smash", Stop: Off(NearLong, 0.8, In)},
			{Name: "rear court", Purpose: "clear and drop"},
		}},
		{Name: "three depths, squash", Court: "squash", Depths: []Depth{
			{Name: "front", Purpose: "finish and retrieve", Stop: Off(ShortLine, 1, Far)},
			{Name: "middle", Purpose: "control", Stop: Off(BoxBack, 0, Near)},
			{Name: "back", Purpose: "length"},
		}},
		{Name: "three depths, table", Court: "table-tennis", Depths: []Depth{
			{Name: "at the table", Purpose: "attack early", Stop: Off(NearEnd, 0.7, Out)},
			{Name: "half distance", Purpose: "topspin", Stop: Off(NearEnd, 1.6, Out)},
			{Name: "away", Purpose: "defend"},
		}},
	}
}
