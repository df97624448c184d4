package repository

import (
	"context"
	"maps"
	"runtime"
	"slices"
	"sync"

	lru "github.com/hashicorp/golang-lru/v2"
	"golang.org/x/sync/errgroup"

	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson"
	"hodometer/core/people/skill"
)

// skills reads how the attempts of some students went, and works out how good each is by what was counted until then.
func (s *Repository) skills(
	ctx context.Context,
	students []string,
	until playerfit.Until,
) ([]playerfit.Practice, []skilled, error) {
	rows, err := s.practised(ctx, students)
	if err != nil {
		return nil, nil, err
	}
	found := make([]skilled, len(students))
	work, ctx := errgroup.WithContext(ctx)
	work.SetLimit(runtime.GOMAXPROCS(0))
	for i, id := range students {
		work.Go(func() (err error) {
			counts, unknown := playerfit.Counts(rows, i, until)
			found[i].unknown = unknown
			found[i].skill, err = s.fitted.of(ctx, id, counts)
			return err
		})
	}
	return rows, found, work.Wait()
}

// skilled is how good a student is, and how many attempts are not in it.
type skilled struct {
	skill   *skill.Skill
	unknown int
}

// practised reads how the attempts of some students went, each with how hard it was for them. Where that is not kept,
// or was judged by an older model or for another level, it is worked out, and kept.
func (s *Repository) practised(ctx context.Context, students []string) ([]playerfit.Practice, error) {
	writes := s.Store.Writes()
	if rows, known := s.practice.of(writes, students); known {
		return rows, nil
	}
	rows, err := s.readPractised(ctx, students)
	if err == nil {
		s.practice.keep(writes, students, rows)
	}
	return rows, err
}

func (s *Repository) readPractised(ctx context.Context, students []string) ([]playerfit.Practice, error) {
	stored, err := s.Store.Practised(ctx, students)
	if err != nil || len(stored) == 0 {
		return []playerfit.Practice{}, err
	}
	profiles, err := s.Store.Students.Some(ctx, students)
	if err != nil {
		return nil, err
	}
	rows := make([]playerfit.Practice, len(stored))
	for i, p := range stored {
		rows[i] = p.Practice
	}
	for i, id := range students {
		if record, there := profiles[id]; there {
			if err := s.judge(ctx, lesson.Person{ID: id, Profile: record.Document}, i, stored, rows); err != nil {
				return nil, err
			}
		}
	}
	return rows, nil
}

// Begin works out in the background how hard all attempts were that no lesson asked for yet, one student after the
// other: after the model became another one, or much came in. Closing ends it, and waits for that.
func (s *Repository) Begin() (closing func()) {
	ctx, stop := context.WithCancel(context.Background())
	ended := make(chan struct{})
	go func() {
		defer close(ended)
		all, err := s.Store.Students.Revisions(ctx)
		if err != nil {
			return // whoever asks for a student's figures is told
		}
		for _, id := range slices.Sorted(maps.Keys(all)) {
			if _, err := s.readPractised(ctx, []string{id}); ctx.Err() != nil || err != nil {
				return
			}
		}
	}()
	return func() { stop(); <-ended }
}

// practice remembers what was read for the last lesson until anything is stored: while a lesson is being shaped, it is
// asked for again and again.
type practice struct {
	mu       sync.Mutex
	writes   uint64
	students []string
	rows     []playerfit.Practice
}

func (p *practice) of(writes uint64, students []string) ([]playerfit.Practice, bool) {
	p.mu.Lock()
	defer p.mu.Unlock()
	return p.rows, p.rows != nil && p.writes == writes && slices.Equal(p.students, students)
}

func (p *practice) keep(writes uint64, students []string, rows []playerfit.Practice) {
	p.mu.Lock()
	defer p.mu.Unlock()
	p.writes, p.students, p.rows = writes, students, rows
}

// maxFitted is how many skills are remembered: those of a club's students.
const maxFitted = 400

// fitted remembers how good students are by what was counted of them: it is worked out anew where that is something
// else.
type fitted struct {
	once sync.Once
	list *lru.Cache[fittedBy, fittedTo]
}

// fittedBy is whose skill it is, and how many counts it rests on: that of a lesson in the past rests on fewer.
type fittedBy struct {
	student string
	counts  int
}

type fittedTo struct {
	counts []skill.Count
	skill  *skill.Skill
}

func (f *fitted) of(ctx context.Context, id string, counts []skill.Count) (*skill.Skill, error) {
	f.once.Do(func() { f.list, _ = lru.New[fittedBy, fittedTo](maxFitted) }) // fails for a size below 1 only
	by := fittedBy{id, len(counts)}
	before, there := f.list.Get(by)
	if there && slices.EqualFunc(before.counts, counts, skill.Count.Equal) {
		return before.skill, nil
	}
	for less := 1; !there && less <= 8; less++ { // that of a little less
		before, there = f.list.Peek(fittedBy{id, len(counts) - less})
	}
	found, err := skill.Fit(ctx, counts, before.skill)
	if err == nil {
		f.list.Add(by, fittedTo{counts, found})
	}
	return found, err
}
