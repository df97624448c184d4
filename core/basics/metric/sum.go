package metric

import (
	"math"
	"strconv"
	"strings"

	"hodometer/core/basics/units"
)

// Join is how the parts of a sum come together.
type Join string

// The ways in which parts come together.
const (
	Added   Join = "added"
	Less    Join = "less"    // the first without all others
	Times   Join = "times"   // all of them, one by the other
	Shared  Join = "shared"  // the first ÷ all others
	Filled  Join = "filled"  // the same, rounded up: how many are needed to hold it
	Largest Join = "largest" // one of them; 0 of none
)

// Sum is one step of the arithmetic behind a figure: numbers as they are printed, how they come together, and what
// they give. What it gives is worked out from what is printed, so that anybody can do it again with a pencil.
type Sum struct {
	Join  Join   `json:"join"`
	Parts []Part `json:"parts" description:"In order; the first is what is shared, or what the others are taken from"`
	Gives Part   `json:"gives"`
}

// Part is one number as it is printed.
type Part struct {
	Name   string  `json:"name"`
	Number float64 `json:"number" description:"The number that is printed: seconds of a clock, a share of 1"`
	Text   string  `json:"text" description:"The number as it is printed"`
	Unit   string  `json:"unit" description:"What follows it; empty where it is a count of something that its name says"`

	exact float64
	print Print
}

// Print is how a number is printed.
type Print struct {
	unit, one string
	places    int     // decimals at the least
	per       float64 // what is printed is the number times this
	fixed     bool    // never with more decimals: what is counted, and clocks
	clock     bool
	before    string // what stands before it: 1:
}

// Clock prints seconds as minutes and seconds.
var Clock = Print{unit: "min", one: "min", per: 1, fixed: true, clock: true}

// OfTen prints a rate as coaches say it.
var OfTen = Print{unit: "of 10", one: "of 10", places: 1, per: 10}

// OfHundred prints a share as so many of 100.
var OfHundred = Print{unit: "of 100", one: "of 100", per: 100}

// Ratio prints how many come to one: 1:3.2.
var Ratio = Print{places: 1, per: 1, before: "1:"}

// Counted prints whole numbers of something.
func Counted(one, many string) Print { return Print{unit: many, one: one, per: 1, fixed: true} }

// Decimal prints numbers with so many decimals: more where a sum comes out only with more.
func Decimal(places int, unit string) Print {
	return Print{unit: unit, one: unit, places: places, per: 1}
}

// Length prints metres with so many decimals in the coach's units.
func Length(system units.System, places int) Print {
	if system == units.Feet {
		return Print{unit: "ft", one: "ft", places: places, per: 1 / units.Foot}
	}
	return Decimal(places, "m")
}

// Fixed is the same, never with more decimals than it has.
func (p Print) Fixed() Print {
	p.fixed = true
	return p
}

// Of is a number to be printed so.
func (p Print) Of(name string, number float64) Part {
	return Part{Name: name, exact: number, print: p}.printed(0)
}

// printed is the part with so many decimals more than at the least, where it may have them.
func (p Part) printed(more int) Part {
	if p.print.clock {
		p.Text, p.Number, p.Unit = units.Clock(p.exact), units.Round(p.exact), p.print.unit
		return p
	}
	places := p.print.places
	if !p.print.fixed {
		places += more
	}
	ten := math.Pow10(places)
	p.Text = units.Decimal(units.Round(p.exact*p.print.per*ten)/ten, places)
	p.Number = read(p.Text) / p.print.per
	p.Unit = p.print.unit
	if p.Text == "1" {
		p.Unit = p.print.one
	}
	p.Text = p.print.before + p.Text
	return p
}

// read is the number that a printed decimal says.
func read(text string) float64 {
	number, err := strconv.ParseFloat(strings.Replace(text, "−", "-", 1), 64)
	if err != nil {
		return math.NaN()
	}
	return number
}

// Worded is the part as it is read: 2:05 min.
func (p Part) Worded() string { return strings.TrimSpace(p.Text + " " + p.Unit) }

// mostMore is how many decimals a number gets beyond those it is usually printed with.
const mostMore = 4

// Work puts parts together. Where numbers with the usual decimals do not give what the exact ones give, to the last
// digit printed, they are printed with more. What is counted, and a clock, is taken as it is printed by what is worked
// out with it.
func (j Join) Work(name string, as Print, parts ...Part) Sum {
	exact := make([]float64, len(parts))
	for i, p := range parts {
		exact[i] = p.exact
	}
	s := Sum{Join: j, Parts: parts, Gives: Part{Name: name, print: as, exact: j.of(exact)}}.printed(0, 0, nil)
	if as.fixed {
		s.Gives.exact = s.Gives.Number
	}
	return s
}

// printed is a sum with so many decimals more at least in its parts, and in what it gives. Parts that were given by a
// sum before are printed as that gives them.
func (s Sum) printed(more, given int, before map[string]Part) Sum {
	wanted := s.Gives.printed(given)
	numbers := make([]float64, len(s.Parts))
	for ; ; more++ {
		parts := make([]Part, len(s.Parts))
		for i, p := range s.Parts {
			parts[i] = p.printed(more)
			if known, ok := before[p.Name]; ok && known.exact == p.exact {
				parts[i] = known
			}
			numbers[i] = parts[i].Number
		}
		gives := Part{Name: s.Gives.Name, exact: s.Join.of(numbers), print: s.Gives.print}.printed(given)
		gives.exact = s.Gives.exact
		if gives.Text == wanted.Text || more >= mostMore {
			return Sum{Join: s.Join, Parts: parts, Gives: gives}
		}
	}
}

// settled are sums one after the other of which the last one comes out as with exact numbers, to its last digit; those
// before it are printed with as many decimals as that takes.
func settled(sums []Sum) []Sum {
	last := len(sums) - 1
	wanted := sums[last].Gives.printed(0).Text
	for more := 0; ; more++ {
		list, before := make([]Sum, len(sums)), map[string]Part{}
		for i, s := range sums {
			given := more
			if i == last {
				given = 0
			}
			list[i] = s.printed(more, given, before)
			before[s.Gives.Name] = list[i].Gives
		}
		if list[last].Gives.Text == wanted || more == mostMore {
			return list
		}
	}
}

// of is what numbers give.
func (j Join) of(numbers []float64) float64 {
	if len(numbers) == 0 {
		return 0
	}
	all := numbers[0]
	for _, n := range numbers[1:] {
		switch j {
		case Added:
			all += n
		case Less:
			all -= n
		case Times:
			all *= n
		case Shared, Filled:
			all /= n
		case Largest:
			all = math.Max(all, n)
		}
	}
	if j == Filled {
		return math.Ceil(all - 1e-9)
	}
	return all
}
