package drill

import (
	"context"
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
)

// contactTask is the task whose contact a handle names: pattern.tasks.1.contact.
func (d Document) contactTask(handle string) (int, bool) {
	middle, ok := strings.CutPrefix(handle, "pattern.tasks.")
	if !ok {
		return 0, false
	}
	middle, ok = strings.CutSuffix(middle, ".contact")
	n, err := strconv.Atoi(middle)
	return n, ok && err == nil && n >= 0 && n < len(d.Pattern.Tasks)
}

// contactMoved has a ball met where its way passes nearest to a place: out of the air, rising, at the top,
// or falling at the height it has there.
func (d Document) contactMoved(task int, move Move, s coach.Settings) (Document, error) {
	resolved, err := d.Resolved(s)
	if err != nil {
		return d, err
	}
	moment, height, err := resolved.MomentNear(context.Background(), task, move.To)
	if err != nil {
		return d, invalid.Fields{{Path: move.Handle, Message: err.Error()}}
	}
	changed := d.Clone()
	t := &changed.Pattern.Tasks[task]
	t.Contact, t.At = moment, 0
	if moment == feed.AtHeight {
		t.At = height
	}
	return changed, nil
}
