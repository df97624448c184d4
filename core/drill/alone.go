package drill

import (
	"slices"

	"hodometer/core/sport/feed"
)

// Alone says whether one player can do a drill without anybody else: every ball of it is dropped, served or comes off a
// wall, or there is none.
func (d Document) Alone() bool {
	return d.Starts() <= 1 && !slices.ContainsFunc(d.Pattern.Tasks, func(t feed.Task) bool {
		method := d.Pattern.MethodOf(t)
		return t.Kind.Flies() && method != feed.SelfDrop && method != feed.OffWall
	})
}
