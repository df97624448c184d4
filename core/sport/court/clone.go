package court

import "slices"

// Clone is a mark that shares nothing with the first one.
func (m Mark) Clone() Mark {
	m.Measures = slices.Clone(m.Measures)
	for i := range m.Measures {
		m.Measures[i].Fraction = copied(m.Measures[i].Fraction)
	}
	m.Along, m.Place = copied(m.Along), copied(m.Place)
	return m
}

// copied points at a copy; at none where there is none.
func copied[T any](of *T) *T {
	if of == nil {
		return nil
	}
	own := *of
	return &own
}

// Clone copies a target so that changing the copy leaves the first one alone.
func (t Target) Clone() Target {
	t.Points = slices.Clone(t.Points)
	for i := range t.Points {
		t.Points[i] = t.Points[i].Clone()
	}
	CloneMarks(&t.Mark, &t.Other)
	return t
}

// CloneMarks copies marks in their places, so that changing them leaves what they were copied from alone; none stays
// none.
func CloneMarks(marks ...**Mark) {
	for _, mark := range marks {
		if *mark != nil {
			own := (*mark).Clone()
			*mark = &own
		}
	}
}
