package exchange

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/google/uuid"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
	"hodometer/sheets"
	"hodometer/store"
)

// arrivalsShown is how long what came in together can be taken back from the page.
const arrivalsShown = 30 * 24 * time.Hour

// Arrived is what came in together from another place.
type Arrived struct {
	ID        string    `json:"id" format:"uuid"`
	At        time.Time `json:"at"`
	Added     int       `json:"added" description:"Students who are new"`
	Changed   int       `json:"changed" description:"Students who were changed"`
	Presences int       `json:"presences" description:"How often it says whether somebody was at a lesson"`
}

// TakenBack is what came of taking back.
type TakenBack struct {
	Stayed []string `json:"stayed" description:"Names of those who stay as they are: they were changed since, or are in a lesson or a game, or other attendance of them came in"`
}

func (s *Exchange) arrivalRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"POST",
			"/api/tables",
			"readTable",
			"Read a table from a spreadsheet's file, or from pasted cells",
			func(_ context.Context, _ request.None, body request.File) (sheets.Table, error) {
				table, err := sheets.Read(body)
				if errors.Is(err, sheets.ErrUnreadable) {
					return table, request.Refusal(
						http.StatusUnprocessableEntity,
						"This table cannot be read.",
						invalid.Field{Path: "table", Message: err.Error()},
					)
				}
				return table, err
			},
		),
		request.Make("POST", "/api/arrivals/students/look", "lookAtStudents", "Read students out of a table, and bring "+
			"nothing in", func(ctx context.Context, _ request.None, body roster.Asked) (roster.Reading, error) {
			reading, _, err := s.readStudents(ctx, body)
			return reading, err
		}).
			ForFiles(),
		request.Make("PUT", "/api/arrivals/:id/students", "bringInStudents", "Bring the students of a table in: all of "+
			"them, or none", func(ctx context.Context, p request.ByID, body roster.Asked) (Arrived, error) {
			return s.bringInStudents(ctx, p.ID, body)
		}).
			ForFiles(),
		request.Make("POST", "/api/arrivals/attendance/look", "lookAtAttendance", "Read out of a table who was there, "+
			"and bring nothing in", func(ctx context.Context, _ request.None,
			body roster.AttendanceAsked) (roster.AttendanceReading, error) {
			return s.readAttendance(ctx, body)
		}).
			ForFiles(),
		request.Make("PUT", "/api/arrivals/:id/attendance", "bringInAttendance", "Bring in who was there: all of a "+
			"table, or nothing", func(ctx context.Context, p request.ByID, body roster.AttendanceAsked) (Arrived, error) {
			return s.bringInAttendance(ctx, p.ID, body)
		}).
			ForFiles(),
		request.Make(
			"GET",
			"/api/arrivals",
			"listArrivals",
			"What came in of late and can be taken back",
			func(ctx context.Context, _ request.None, _ request.None) ([]Arrived, error) {
				list, err := s.Store.Arrivals(ctx, s.Now().Add(-arrivalsShown))
				answers := make([]Arrived, len(list))
				for i, a := range list {
					answers[i] = Arrived(a)
				}
				return answers, err
			},
		),
		request.Make(
			"DELETE",
			"/api/arrivals/:id",
			"takeArrivalBack",
			"Take back what came in together",
			func(ctx context.Context, p request.ByID, _ request.None) (TakenBack, error) {
				stayed, err := s.Store.TakeBack(ctx, p.ID)
				return TakenBack{Stayed: stayed}, err
			},
		),
	}
}

// knownStudents are all students, also those who are archived.
func (s *Exchange) knownStudents(
	ctx context.Context,
) ([]roster.Known, map[string]store.Record[student.Profile], error) {
	records, err := s.Store.Students.List(ctx, true)
	if err != nil {
		return nil, nil, err
	}
	known, byID := make([]roster.Known, len(records)), make(map[string]store.Record[student.Profile], len(records))
	for i, r := range records {
		known[i], byID[r.ID] = roster.Known{ID: r.ID, Archived: r.Archived, Profile: r.Document}, r
	}
	return known, byID, nil
}

func (s *Exchange) readStudents(
	ctx context.Context,
	asked roster.Asked,
) (roster.Reading, map[string]store.Record[student.Profile], error) {
	known, byID, err := s.knownStudents(ctx)
	if err != nil {
		return roster.Reading{}, nil, err
	}
	return roster.Read(asked, known, s.Now()), byID, nil
}

func (s *Exchange) bringInStudents(ctx context.Context, id string, asked roster.Asked) (Arrived, error) {
	if err := request.CheckID(id); err != nil {
		return Arrived{}, err
	}
	reading, there, err := s.readStudents(ctx, asked)
	if err != nil {
		return Arrived{}, err
	}
	arrival := store.Arrival{ID: id, At: s.Now()}
	var wrong invalid.Fields
	for _, row := range reading.Rows {
		if row.Do == roster.Leave {
			continue
		}
		for _, w := range row.Wrong {
			wrong.Add(invalid.Join("rows", row.Row-1, max(w.Column, 0)), "row %d: %s", row.Row, w.Message)
		}
		if row.Do == roster.Change {
			record := there[row.Double.Student]
			record.Document = row.Profile
			arrival.Changed = append(arrival.Changed, record)
			continue
		}
		added, err := uuid.NewV7()
		if err != nil {
			return Arrived{}, err
		}
		arrival.Added = append(arrival.Added, store.Record[student.Profile]{ID: added.String(), Document: row.Profile})
	}
	if wrong.Err() == nil && len(arrival.Added)+len(arrival.Changed) == 0 {
		wrong.Add("rows", "there is nobody to bring in")
	}
	if wrong.Err() != nil {
		return Arrived{}, wrong
	}
	return s.arrive(ctx, arrival)
}

// arrive brings an arrival in, and returns what came in under its identifier; where it came in before, that.
func (s *Exchange) arrive(ctx context.Context, arrival store.Arrival) (Arrived, error) {
	if err := s.Store.Arrive(ctx, arrival); err != nil {
		return Arrived{}, err
	}
	arrived, err := s.Store.Arrived(ctx, arrival.ID)
	return Arrived(arrived), err
}

func (s *Exchange) readAttendance(ctx context.Context, asked roster.AttendanceAsked) (roster.AttendanceReading, error) {
	known, _, err := s.knownStudents(ctx)
	if err != nil {
		return roster.AttendanceReading{}, err
	}
	rolls, err := s.Rolls(ctx)
	if err != nil {
		return roster.AttendanceReading{}, err
	}
	return roster.ReadAttendance(asked, known, rolls.Has, s.Now())
}

func (s *Exchange) bringInAttendance(ctx context.Context, id string, asked roster.AttendanceAsked) (Arrived, error) {
	if err := request.CheckID(id); err != nil {
		return Arrived{}, err
	}
	reading, err := s.readAttendance(ctx, asked)
	if err != nil {
		return Arrived{}, err
	}
	var wrong invalid.Fields
	for _, w := range reading.Wrong {
		wrong.Add(invalid.Join("rows", w.Row-1, w.Column), "row %d: %s", w.Row, w.Message)
	}
	for _, name := range reading.Strangers {
		wrong.Add("people", "say who “%s” is, or leave them out", name)
	}
	if wrong.Err() == nil && len(reading.Presences) == 0 {
		wrong.Add("rows", "there is nothing in it that is not kept already")
	}
	if wrong.Err() != nil {
		return Arrived{}, wrong
	}
	return s.arrive(ctx, store.Arrival{ID: id, At: s.Now(), Presences: reading.Presences})
}
