// Package metric carries figures and how they came about, so that a coach can open any number and check it.
package metric

import "strings"

// Derivation is how one figure came about: by sums that anybody can do again, where it did, and what else went into it.
type Derivation struct {
	Figure  string  `json:"figure" description:"What the figure is called"`
	Value   string  `json:"value" description:"The figure with its unit"`
	Formula string  `json:"formula" description:"The rule in words; empty where the sums say it"`
	Sums    []Sum   `json:"sums,omitempty" description:"One after the other; the last gives the figure"`
	Inputs  []Input `json:"inputs" description:"What else went in, in order"`
	Source  string  `json:"source" description:"Where the rule comes from"`
}

// Input is one number that went into a figure.
type Input struct {
	Name  string `json:"name"`
	Value string `json:"value"`
}

// OwnArithmetic is the source of figures that are plain sums over the coach's own plan.
const OwnArithmetic = "Plain arithmetic over this plan"

// Practice is the source of figures that rest on a setting no federation or study fixes.
const Practice = "Common practice, no source; change it in the settings"

// Metric is a figure that stands in the strip at the foot of a view.
type Metric struct {
	Name       string     `json:"name" description:"What is counted: balls, minutes, baskets"`
	Value      float64    `json:"value" description:"The figure as a number, to tell that it changed"`
	Text       string     `json:"text" description:"The figure as it is shown"`
	Unit       string     `json:"unit"`
	Derivation Derivation `json:"derivation"`
}

// New makes a metric and fills the name and the value of its derivation from it.
func New(name string, value float64, text, unit string, d Derivation) Metric {
	d.Figure, d.Value = name, strings.TrimSpace(text+" "+unit)
	return Metric{Name: name, Value: value, Text: text, Unit: unit, Derivation: d}
}

// Worked is a metric that is what the last of the sums of its derivation gives.
func Worked(d Derivation) Metric {
	d = d.Settled()
	last := d.Sums[len(d.Sums)-1].Gives
	return New(last.Name, last.Number, last.Text, last.Unit, d)
}

// Settled is the derivation with its sums printed so that they come out one after the other.
func (d Derivation) Settled() Derivation {
	if len(d.Sums) > 0 {
		d.Sums = settled(d.Sums)
	}
	if d.Inputs == nil {
		d.Inputs = []Input{}
	}
	return d
}
