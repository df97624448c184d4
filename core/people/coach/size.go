package coach

import (
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
)

// Typed is a length or a place typed in words.
type Typed struct {
	Path string `json:"path" maxLength:"60" description:"A measure, measures.0.target.mark.measures.0, or a size, measures.0.target.radius or places.3.size"`
	Text string `json:"text" maxLength:"120"`
}

// Size is a length that can be typed.
type Size struct {
	Path  string `json:"path"`
	Label string `json:"label"`
	Text  string `json:"text" description:"Exactly, to be typed again"`
}

// Sizes lists the sizes of a target as they are typed; path is where it stands.
func (s Settings) Sizes(t court.Target, path string) []Size {
	var list []Size
	values := t.Sizes()
	for _, name := range []string{"radius", "width", "depth", "low", "high"} {
		value, ok := values[name]
		if !ok {
			continue
		}
		size := Size{Path: path + "." + name, Label: name, Text: s.Units.Write(*value)}
		if name == "radius" && s.Within == Diameter {
			size.Label, size.Text = "across", s.Units.Write(2**value)
		}
		list = append(list, size)
	}
	return list
}

// SetSize reads a size of a target from words; what is meant by a circle of so much is the coach's own setting. False
// where the target has no such size. It returns what is wrong with the text, or with the target on its court then.
func (s Settings) SetSize(t *court.Target, name, text string, c court.Court, format court.Format) (bool, error) {
	size, ok := t.Sizes()[name]
	if !ok {
		return false, nil
	}
	length, err := units.Read(text, s.Step)
	if err != nil {
		return true, err
	}
	if name == "radius" && s.Within == Diameter {
		length /= 2
	}
	*size = length
	_, err = c.Shape(*t, format)
	return true, err
}
