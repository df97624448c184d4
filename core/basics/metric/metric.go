// Package metric carries figures and how they came about, so that a coach can open any number and check it.
package metric

// Derivation is the arithmetic behind one figure.
type Derivation struct {
	Figure  string  `json:"figure" description:"What the figure is called"`
	Value   string  `json:"value" description:"The figure with its unit"`
	Formula string  `json:"formula" description:"The formula in words"`
	Inputs  []Input `json:"inputs" description:"The numbers put in, in order"`
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
	d.Figure, d.Value = name, text+" "+unit
	return Metric{Name: name, Value: value, Text: text, Unit: unit, Derivation: d}
}
