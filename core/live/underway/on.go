package underway

import (
	"encoding/json"
	"time"

	"hodometer/core/lesson"
	"hodometer/core/live/throwing"
)

// On is what is on in a lesson at an instant by its clock, for whatever throws beside it. A clock of nil is that of a
// lesson that was not begun.
func On(id string, d lesson.Document, clock *lesson.Clock, finished bool, now time.Time) throwing.On {
	on := throwing.On{Lesson: id}
	if clock == nil || finished {
		return on
	}
	second, planned := clock.At(now), 0.0
	for _, b := range d.Blocks {
		planned += b.Seconds()
	}
	at, _ := d.At(second)
	if at < 0 || second >= planned {
		return on
	}
	block := d.Blocks[at]
	on.Block, on.Running, on.Played = block.ID, clock.Running, played(block)
	return on
}

// played is what a block plays and with whom, without how long it is.
func played(b lesson.Block) string {
	b.Minutes, b.Wanted, b.Min, b.Max, b.Weight, b.Effort, b.Pinned, b.Calls = 0, 0, 0, 0, 0, 0, false, nil
	text, err := json.Marshal(b)
	if err != nil {
		return b.ID // a block is always JSON
	}
	return string(text)
}
