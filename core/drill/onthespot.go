package drill

import (
	"hodometer/core/basics/invalid"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Sized is a measure with its target so many times as large; as it is where it has none, or that would be none.
func (m Measure) Sized(by float64) Measure {
	if m.Target != nil {
		if target, ok := m.Target.Scaled(by); ok {
			m.Target = &target
		}
	}
	return m
}

// OnTheSpot is the drill, in the version that it is, with some steps taken and its targets so many times as large; 0
// leaves these as they are. It returns invalid.Fields, and the drill as it was, where that is not possible or changes
// nothing.
func (d Document) OnTheSpot(steps []feed.Transformation, size float64) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	made, _, err := d.stepped(steps, c)
	if err != nil {
		return d, err
	}
	if size > 0 {
		some := false
		for i, m := range made.Measures {
			sized := m.Sized(size)
			some = some || sized.Target != m.Target
			made = made.With(i, sized)
		}
		if !some {
			return d, invalid.Fields{{Path: "size", Message: "there is no target here that can be that size"}}
		}
	}
	if err := made.Check(); err != nil {
		return d, err
	}
	return made, nil
}
