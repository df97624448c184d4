package skill

import "hodometer/core/basics/say"

// lately is how many days of a history count most, as it is said. A stroke changes in them by 0.14.
const lately = 21

// RestsOn says what a chance of attempts at a drill rests on: what was counted at it, at the stroke elsewhere, at other
// strokes, or nothing.
func (s *Skill) RestsOn(stroke, drill string, chance Interval) say.Sentence {
	here, all, elsewhere, days := s.tried[drill], 0, 0, 0
	for other, c := range s.strokes {
		if other == stroke {
			all, days = c.tried, c.days[len(c.days)-1]-c.days[0]
		} else {
			elsewhere += c.tried
		}
	}
	from := say.Of("skill.nothing")
	switch {
	case here > 0 && all > here:
		from = say.Of("skill.here and there", here, all-here)
	case here > 0:
		from = say.Of("skill.here", here)
	case all > 0:
		from = say.Of("skill.there", all)
	case elsewhere > 0:
		from = say.Of("skill.elsewhere", elsewhere)
	}
	if days > lately {
		from = say.Of("skill.lately", from)
	}
	return say.Of("skill.chance", 10*chance.Mean, 10*chance.Low, 10*chance.High, from)
}
