package keeping

import (
	"errors"
	"fmt"

	"github.com/gofrs/flock"
)

// ErrRuns says that a program runs with a file already.
var ErrRuns = errors.New("Hodometer runs with this file already") //nolint:staticcheck // a name

// Claim has a data file for the program that runs with it alone, until release is called or the program ends, however
// it does: its error wraps ErrRuns where another one has it. Who only reads the file, or copies it, claims nothing.
func Claim(data string) (release func(), err error) {
	lock := flock.New(data + "-runs")
	got, err := lock.TryLock()
	switch {
	case err != nil:
		return nil, fmt.Errorf("%s cannot be made sure of: %w", data, err)
	case !got:
		return nil, fmt.Errorf("%s: %w; open its page, stop it first, or choose another file with --data", data, ErrRuns)
	}
	return func() { _ = lock.Close() }, nil // what is left of it claims nothing
}
