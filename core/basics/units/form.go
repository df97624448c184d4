package units

import (
	"regexp"
	"sync"
)

// Form is how a text is written, as a regular expression that is read when the first text is held against it: a program
// that reads no texts carries nothing of it.
type Form struct {
	Expression string

	once sync.Once
	read *regexp.Regexp
}

// Match finds the parts of a text that is written so, the whole of it first; nil where it is not.
func (f *Form) Match(text string) []string {
	f.once.Do(func() { f.read = regexp.MustCompile(f.Expression) })
	return f.read.FindStringSubmatch(text)
}
