package repository

import (
	"context"
	"encoding/json"
	"hash/fnv"
	"slices"

	"hodometer/core/drill"
	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/store"
)

// atOnce is how many attempts are judged before they are kept: what is done is not done again after a break.
const atOnce = 200

// judge works out how hard the attempts of one of the students were for them where that is not kept.
func (s *Repository) judge(
	ctx context.Context,
	person lesson.Person,
	student int,
	stored []store.Practice,
	rows []playerfit.Practice,
) error {
	number, err := numberOf(person.Profile)
	if err != nil {
		return err
	}
	var old []int
	for i, p := range stored {
		if p.Student == student && p.Under != number {
			old = append(old, i)
		}
	}
	for some := range slices.Chunk(old, atOnce) {
		tried, err := s.judged(ctx, person, some, stored)
		if err != nil {
			return err
		}
		for _, i := range some {
			rows[i].Tried = tried[stored[i].Key]
		}
		// What cannot be kept is worked out again the next time.
		_ = s.Store.KeepTried(ctx, number, tried)
	}
	return ctx.Err()
}

// numberOf is the number under which it is kept how hard attempts were: that of the model and of what it goes by in a
// player.
func numberOf(p student.Profile) (int64, error) {
	text, err := json.Marshal([]any{playerfit.Model, p.Age, p.Level, p.Hand, p.Backhand})
	if err != nil {
		return 0, err
	}
	sum := fnv.New64a()
	_, _ = sum.Write(text)                // which never fails
	return int64(sum.Sum64()>>2) + 1, nil //nolint:gosec // it fits, and is never 0
}

// judged are attempts as hard as they were for somebody, by their keys: nil where that cannot be known, because the
// drill is gone or had other measures then.
func (s *Repository) judged(
	ctx context.Context,
	person lesson.Person,
	which []int,
	stored []store.Practice,
) (map[int64]*playerfit.Tried, error) {
	keys := make([]int64, len(which))
	at := make(map[int64]store.Practice, len(which))
	for k, i := range which {
		keys[k] = stored[i].Key
		at[stored[i].Key] = stored[i]
	}
	places, err := s.Store.Places(ctx, keys)
	if err != nil {
		return nil, err
	}
	from, err := s.placesOf(ctx, places, at)
	if err != nil {
		return nil, err
	}
	tried := make(map[int64]*playerfit.Tried, len(places))
	var list []drillForPlayer
	var of []int64
	var measures []int
	for _, place := range places {
		tried[place.Key] = nil
		p := at[place.Key]
		mine, there := from.played(p.Drill, place, person)
		k := slices.IndexFunc(mine.Measures, func(m drill.Measure) bool { return m.Number == place.Measure.Number })
		if !there || k < 0 {
			continue
		}
		mine = mine.With(k, place.Measure)
		player := footwork.Of(mine.Sport, person.Profile, person.Profile.Hand, p.At)
		list = append(list, drillForPlayer{mine, player, person.Profile.Level})
		of, measures = append(of, place.Key), append(measures, k)
	}
	known, err := s.known.all(ctx, list, from.settings)
	if err != nil {
		return nil, err
	}
	for i, key := range of {
		tried[key] = &known[i].Tried[measures[i]]
	}
	return tried, nil
}

// lessonsOf are the lessons in which attempts were made, as they are scheduled, and the drills that were played.
type lessonsOf struct {
	records  map[string]store.Record[lesson.Document]
	inputs   map[string]schedule.Inputs
	drills   map[string]drill.Document
	settings coach.Settings
}

func (s *Repository) placesOf(
	ctx context.Context,
	places []store.Place,
	at map[int64]store.Practice,
) (lessonsOf, error) {
	ids := make([]string, len(places))
	for i, place := range places {
		ids[i] = place.Lesson
	}
	slices.Sort(ids)
	records, err := s.Store.Lessons.Some(ctx, slices.Compact(ids))
	if err != nil {
		return lessonsOf{}, err
	}
	var bare lesson.Document // a drill that was taken out of its lesson since is there, too
	for _, p := range at {
		bare.Blocks = append(bare.Blocks, lesson.Block{Drill: p.Drill})
	}
	documents := []lesson.Document{bare}
	for _, record := range records {
		documents = append(documents, record.Document)
	}
	from, err := s.sources(ctx, documents...)
	if err != nil {
		return lessonsOf{}, err
	}
	inputs := make(map[string]schedule.Inputs, len(records))
	for id, record := range records {
		d := record.Document
		inputs[id] = schedule.Gather(d, from.drills, from.games, from.people(d.Students), from.settings)
	}
	return lessonsOf{records, inputs, from.drills, from.settings}, nil
}

// played is a drill as somebody played it at a place: as it is written where its block is gone or plays another one by
// now.
func (from lessonsOf) played(id string, place store.Place, person lesson.Person) (drill.Document, bool) {
	blocks := from.records[place.Lesson].Document.Blocks
	i := slices.IndexFunc(blocks, func(b lesson.Block) bool { return b.ID == place.Block && b.Drill == id })
	if i >= 0 {
		if document, there := from.inputs[place.Lesson].Drills[blocks[i].Plays()]; there {
			return blocks[i].DrillFor(document, person), true
		}
	}
	document, there := from.drills[id]
	return document.For(person.Profile.Hand), there
}
