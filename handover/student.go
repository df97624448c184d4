package handover

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"time"

	"hodometer/sheets"
	"hodometer/store"
)

const aboutStudents = `This is everything that Hodometer holds about %s.

profile.json       what is kept about them, private notes included
attendance.csv     lessons they were in, or were to be in
results.csv        what was counted, in short
counts.csv         what was counted, tap by tap
remarks.csv        how lessons felt, and what was remarked
rungs.csv          rungs of the ladders that they came to
games.csv          rounds of games that they played; others are not named

Nothing in it is about anybody else. Titles of lessons are as the coach wrote them: look before you pass it on.
`

// OneStudent is everything that is held about one student, as a .zip that a person can read. The error wraps
// store.ErrNotFound.
func OneStudent(ctx context.Context, from *store.Store, id string) ([]byte, error) {
	record, err := from.Students.Get(ctx, id)
	if err != nil {
		return nil, err
	}
	profile, err := json.MarshalIndent(record.Document, "", "  ")
	if err != nil {
		return nil, err
	}
	files := []Packed{
		{Name: "README.txt", Data: fmt.Appendf(nil, aboutStudents, record.Document.Name)},
		{Name: "profile.json", Data: profile},
	}
	all, err := Tables(ctx, from, always(id))
	if err != nil {
		return nil, err
	}
	for _, sheet := range append(all[1:], remarksOf(ctx, from, id), rungsOf(ctx, from, id), gamesOf(ctx, from, id)) {
		var out bytes.Buffer
		if err := sheets.WriteCSV(&out, sheet); err != nil {
			return nil, err
		}
		files = append(files, Packed{Name: File(sheet) + ".csv", Data: out.Bytes()})
	}
	return Pack(files)
}

func remarksOf(ctx context.Context, from *store.Store, id string) sheets.Sheet {
	return sheets.Sheet{
		Name: "Remarks",
		Columns: []sheets.Column{
			{Title: "Date"},
			{Title: "Lesson"},
			{Title: "Engagement"},
			{Title: "Effort"},
			{Title: "Remark"},
		},
		Rows: func(give func(...any) error) error {
			remarks, err := from.RemarksOfStudent(ctx, id)
			if err != nil {
				return err
			}
			for _, r := range remarks {
				lesson, err := from.Lessons.Get(ctx, r.Lesson)
				if err != nil {
					return err
				}
				var engagement, effort any
				if r.Engagement > 0 {
					engagement = r.Engagement
				}
				if r.Effort != nil {
					effort = *r.Effort
				}
				if err := give(lesson.Document.Date, lesson.Document.Title, engagement, effort, r.Remark); err != nil {
					return err
				}
			}
			return nil
		},
	}
}

func rungsOf(ctx context.Context, from *store.Store, id string) sheets.Sheet {
	return sheets.Sheet{
		Name: "Rungs", Columns: []sheets.Column{{Title: "Date"}, {Title: "Stroke"}, {Title: "Rung"}},
		Rows: func(give func(...any) error) error {
			positions, err := from.LadderPositions(ctx, id)
			if err != nil {
				return err
			}
			for _, p := range positions {
				if err := give(p.At.Local().Format(time.DateOnly), string(p.Stroke), string(p.Rung)); err != nil {
					return err
				}
			}
			return nil
		},
	}
}

func gamesOf(ctx context.Context, from *store.Store, id string) sheets.Sheet {
	return sheets.Sheet{
		Name: "Games",
		Columns: []sheets.Column{
			{Title: "Date"},
			{Title: "Game"},
			{Title: "Sport"},
			{Title: "Own side"},
			{Title: "Other side"},
			{Title: "Own points"},
			{Title: "Other points"},
		},
		Rows: func(give func(...any) error) error {
			const most = 1 << 20
			played, _, err := from.PlayedOf(ctx, id, 0, most)
			if err != nil {
				return err
			}
			for _, r := range slices.Backward(played) {
				m := r.Document
				for _, round := range m.Rounds() {
					own, other, made, lost := round.Near, round.Far, round.NearPoints, round.FarPoints
					if slices.Contains(round.Far, id) {
						own, other, made, lost = other, own, lost, made
					}
					if !slices.Contains(own, id) {
						continue
					}
					if err := give(m.Date, m.Title, string(m.Sport), players(own), players(other), made, lost); err != nil {
						return err
					}
				}
			}
			return nil
		},
	}
}

// players says how many are on a side, without naming them.
func players(side []string) string {
	if len(side) == 1 {
		return "1 player"
	}
	return fmt.Sprintf("%d players", len(side))
}
