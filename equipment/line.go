// Package equipment speaks with ball machines and eyes for landings: one JSON object a line, over TCP on this machine.
// docs/devices.md describes it.
package equipment

import (
	"bufio"
	"encoding/json"
	"errors"
	"fmt"
	"io"

	"hodometer/core/live/throwing"
)

// Kind is what a device is.
type Kind string

// The kinds.
const (
	Machine Kind = "machine"
	Eye     Kind = "eye"
)

// Protocol is the version of what is spoken.
const Protocol = 2

// Hello is the first line that a device says.
type Hello struct {
	Is       Kind   `json:"is"`
	Protocol int    `json:"protocol"`
	Name     string `json:"name"`
}

// longestLine is how long a line may be: a program of 400 balls has about 40 KB.
const longestLine = 64 << 10

// errTooLong says that a line does not end.
var errTooLong = fmt.Errorf("a line of more than %d bytes", longestLine)

// lines reads a stream line by line.
type lines struct{ from *bufio.Reader }

func linesOf(r io.Reader) lines { return lines{bufio.NewReaderSize(r, longestLine)} }

// next is the next line that is not empty, without its end. A line that was cut off by the end of the stream is none.
func (l lines) next() ([]byte, error) {
	for {
		line, err := l.from.ReadSlice('\n')
		if errors.Is(err, bufio.ErrBufferFull) {
			return nil, errTooLong
		}
		if err != nil {
			return nil, err
		}
		if n := len(line) - 1; n > 0 && (n > 1 || line[0] != '\r') {
			return line[:n], nil
		}
	}
}

// event reads a line that a device said.
func event(line []byte) (e throwing.Event, err error) {
	if err := json.Unmarshal(line, &e); err != nil {
		return e, err
	}
	switch e.Event {
	case throwing.Reported, throwing.Thrown, throwing.Empty, throwing.Jam, throwing.Refused:
	case throwing.Landed:
		if e.At == nil {
			return e, errors.New("a landing without a place")
		}
	default:
		return e, fmt.Errorf("no event that is known: %.40q", string(e.Event))
	}
	if p := e.At; p != nil && !(p.X >= -100 && p.X <= 100 && p.Y >= -100 && p.Y <= 100) {
		return e, errors.New("a place further off than 100 m")
	}
	return e, nil
}

// write writes a value as a line.
func write(w io.Writer, v any) error {
	text, err := json.Marshal(v)
	if err != nil {
		return err
	}
	_, err = w.Write(append(text, '\n'))
	return err
}
