package student

import (
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
)

// Part is a part of the body.
type Part string

// The parts, from head to foot.
const (
	Neck     Part = "neck"
	Shoulder Part = "shoulder"
	Elbow    Part = "elbow"
	Wrist    Part = "wrist"
	Fingers  Part = "hand"
	Back     Part = "back"
	Hip      Part = "hip or groin"
	Thigh    Part = "thigh"
	Knee     Part = "knee"
	Calf     Part = "calf"
	Ankle    Part = "ankle"
	Foot     Part = "foot"
	Other    Part = "somewhere else"
)

// Side is which side of the body.
type Side string

// The sides. empty: not said, or in the middle.
const (
	LeftSide  Side = "left"
	RightSide Side = "right"
	BothSides Side = "both"
)

// Strain is something in practice that a sore part is spared.
type Strain string

// What can be spared.
const (
	ServesAndOverheads Strain = "serves and overheads"
	Backhands          Strain = "backhand"
	WideRunning        Strain = "wide running"
	Lunges             Strain = "lunges"
	FullPace           Strain = "full pace"
	Jumps              Strain = "jumps"
)

// Sore is something that hurts, and what it is spared.
type Sore struct {
	Part  Part     `json:"part"`
	Side  Side     `json:"side,omitempty"`
	Words string   `json:"words" maxLength:"200" description:"In the coach’s words; private"`
	Since string   `json:"since,omitempty" format:"date" description:"Since when, where that is known"`
	Rests []Strain `json:"rests" maxItems:"6" description:"What it is spared, as the coach ticked it"`
}

// Proposed is what is usually spared where a part hurts, for a coach to change. Common practice, no source; no medical
// advice.
func (p Part) Proposed() []Strain {
	switch p {
	case Neck:
		return []Strain{ServesAndOverheads}
	case Shoulder:
		return []Strain{ServesAndOverheads, FullPace}
	case Elbow, Wrist, Fingers:
		return []Strain{ServesAndOverheads, Backhands, FullPace}
	case Back:
		return []Strain{ServesAndOverheads, Lunges, FullPace}
	case Hip:
		return []Strain{WideRunning, Lunges}
	case Thigh:
		return []Strain{WideRunning, Lunges, Jumps}
	case Knee:
		return []Strain{WideRunning, Lunges, Jumps}
	case Calf, Ankle, Foot:
		return []Strain{WideRunning, Jumps}
	}
	return []Strain{}
}

// Rests is all that a student is spared, each once, in the order in which it is offered.
func (p Profile) Rests() []Strain {
	list := []Strain{}
	for _, each := range Strain("").Enum() {
		strain := each.(Strain)
		if slices.ContainsFunc(p.Sore, func(s Sore) bool { return slices.Contains(s.Rests, strain) }) {
			list = append(list, strain)
		}
	}
	return list
}

// Spared is which of some strains a student is spared.
func (p Profile) Spared(of []Strain) []Strain {
	return slices.DeleteFunc(p.Rests(), func(s Strain) bool { return !slices.Contains(of, s) })
}

// asking are beginnings of words by which a call or a cue asks for something that may have to be spared.
var asking = map[Strain][]string{
	ServesAndOverheads: {"serve", "serving", "overhead", "smash"},
	Backhands:          {"backhand"},
	WideRunning:        {"run", "sprint", "shuttle run"},
	Lunges:             {"lunge"},
	FullPace:           {"full pace", "game pace", "flat out"},
	Jumps:              {"jump", "hop", "leap", "skip"},
}

// Mentioned is what a line of words asks for that may have to be spared.
func Mentioned(line string) []Strain {
	list := []Strain{}
	words := " " + strings.ToLower(line)
	for _, each := range Strain("").Enum() {
		strain := each.(Strain)
		if slices.ContainsFunc(asking[strain], func(word string) bool { return strings.Contains(words, " "+word) }) {
			list = append(list, strain)
		}
	}
	return list
}

// Joined is strains in a row of words: serves and overheads, backhand.
func Joined(strains []Strain) string {
	words := make([]string, len(strains))
	for i, s := range strains {
		words[i] = string(s)
	}
	return strings.Join(words, ", ")
}

// PrivatelyHurts says whether something hurts, in whatever words.
func (p Profile) PrivatelyHurts() bool { return p.Hurts != "" || len(p.Sore) > 0 }

// InWords is what hurts in one line for the coach alone: left shoulder, tight after serving.
func (s Sore) InWords() string {
	where := string(s.Part)
	if s.Side != "" && s.Part != Other {
		where = string(s.Side) + " " + where
	}
	if s.Part == Other {
		where = ""
	}
	words := strings.TrimSpace(s.Words)
	if where == "" || words == "" {
		return where + words
	}
	return where + ", " + words
}

// HurtsInWords is all that hurts in one line for the coach alone; empty where nothing does.
func (p Profile) HurtsInWords() string {
	var list []string
	if p.Hurts != "" {
		list = append(list, p.Hurts)
	}
	for _, s := range p.Sore {
		if words := s.InWords(); words != "" {
			list = append(list, words)
		}
	}
	return strings.Join(list, "; ")
}

// checkSore says what is wrong with what hurts.
func (p Profile) checkSore() error {
	var wrong invalid.Fields
	for i, s := range p.Sore {
		if s.Part == Other && strings.TrimSpace(s.Words) == "" {
			wrong.Add(invalid.Join("sore", i, "words"), "say where it hurts")
		}
		for k, strain := range s.Rests {
			if slices.Index(s.Rests, strain) < k {
				wrong.Add(invalid.Join("sore", i, "rests", k), "this is ticked already")
			}
		}
	}
	return wrong.Err()
}
