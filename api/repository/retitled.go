package repository

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

// SaveNamed saves what blocks play; see retitled.
func SaveNamed[T Checked](
	ctx context.Context,
	s *Repository,
	c store.Collection[T],
	p request.Keep,
	body T,
	name func(T) string,
) (store.Record[T], error) {
	before, known := c.Get(ctx, p.ID)
	record, err := Save(ctx, c, p, body)
	if err == nil && known == nil {
		err = s.retitled(ctx, p.ID, name(before.Document), name(body))
	}
	return record, err
}

// retitled has the blocks that play a drill or a game, in lessons from today on, be called like it once it has another
// name. What a coach called otherwise stays.
func (s *Repository) retitled(ctx context.Context, id, was, now string) error {
	if was == now {
		return nil
	}
	records, err := s.Store.LessonsWith(ctx, id, s.Today())
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
		if _, err := s.Store.Lessons.Replace(
			ctx,
			r.ID,
			r.Revision,
			r.Document,
		); err != nil &&
			!errors.Is(err, store.ErrStale) {
			return err
		}
	}
	return err
}
