package api

import (
	"context"
	"errors"
	"slices"
	"strings"
	"unicode/utf8"

	"hodometer/api/request"
	"hodometer/store"
)

// longestTitle is how long the title of a block can be, in characters.
const longestTitle = 80

// saveNamed saves what blocks play; see retitled.
func saveNamed[T checked](ctx context.Context, s *server, c store.Collection[T], p request.Keep, body T, name func(T) string) (store.Record[T], error) {
	before, known := c.Get(ctx, p.ID)
	record, err := save(ctx, c, p, body)
	if err == nil && known == nil {
		err = s.retitled(ctx, p.ID, name(before.Document), name(body))
	}
	return record, err
}

// retitled has the blocks that play a drill or a game, in lessons from today on, be called like it once it has another name. What a coach called
// otherwise stays.
func (s *server) retitled(ctx context.Context, id, was, now string) error {
	if was == now {
		return nil
	}
	records, err := s.store.LessonsWith(ctx, id, s.today())
	for _, r := range records {
		blocks, changed := slices.Clone(r.Document.Blocks), false
		for i, b := range blocks {
			title, more := strings.CutPrefix(b.Title, was)
			if more && (b.Drill == id || b.Game == id) && (title == "" || strings.HasPrefix(title, ",")) {
				blocks[i].Title, changed = now+title, true
				if utf8.RuneCountInString(blocks[i].Title) > longestTitle {
					blocks[i].Title = now
				}
			}
		}
		if !changed {
			continue
		}
		r.Document.Blocks = blocks
		// Somebody who changes the lesson at this moment has it called as they see it.
		if _, err := s.store.Lessons.Replace(ctx, r.ID, r.Revision, r.Document); err != nil && !errors.Is(err, store.ErrStale) {
			return err
		}
	}
	return err
}
