package invalid

import (
	"errors"
	"fmt"
)

// ErrUnreadable says that something which comes from elsewhere, a file or a code, cannot be read here.
var ErrUnreadable = errors.New("this cannot be read here")

// reason is why something cannot be read.
type reason string

func (r reason) Error() string { return string(r) }

// Is says that every reason is an ErrUnreadable.
func (reason) Is(
	target error,
) bool {
	return target == ErrUnreadable
} //nolint:errorlint // it is the one that is asked for

// Unreadable is an ErrUnreadable that says why, in a coach's words.
func Unreadable(format string, args ...any) error { return reason(fmt.Sprintf(format, args...)) }
