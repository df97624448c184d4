package desk

import (
	"context"
	"errors"
	"slices"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/anticipate"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/angles"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// ofSport is the parameter of what belongs to a sport.
type ofSport struct {
	Sport court.Sport `query:"sport"`
}

// Situations are those of a sport.
type Situations struct {
	Situations []Situated `json:"situations"`
	Replies    []string   `json:"replies" description:"What can be played in the sport"`
}

// Situated is a situation as the coach has it.
type Situated struct {
	Situation sports.Situation `json:"situation" description:"With the coach's own chances, where there are any"`
	Usual     []sports.Likely  `json:"usual" description:"The chances as common practice has them"`
	Seen      []int            `json:"seen" description:"How often each reply was seen"`
	Own       bool             `json:"own" description:"The chances are the coach's own"`
}

// StandAsked is where to wait for what an opponent may play.
type StandAsked struct {
	Court     court.ID         `json:"court" maxLength:"40"`
	Situation sports.Situation `json:"situation"`
	Seen      []int            `json:"seen,omitempty" maxItems:"12" description:"How often each reply was seen"`
	At        *court.Point     `json:"at,omitempty" description:"Where the opponent hits from instead"`
	Level     student.Level    `json:"level" description:"The player's"`
	Opponent  student.Level    `json:"opponent" description:"The opponent's level"`
	Hand      student.Hand     `json:"hand"`
	TheirHand student.Hand     `json:"theirHand"`
	Student   string           `json:"student,omitempty" format:"uuid" description:"Instead of somebody of the level"`
}

// StandReckoned is where to wait, in figures and in words.
type StandReckoned struct {
	Situation sports.Situation    `json:"situation" description:"As it was worked out, sharpened by what was seen"`
	Answer    anticipate.Answer   `json:"answer"`
	Said      []string            `json:"said" description:"Each stand in words"`
	Cost      string              `json:"cost" description:"What going back to the middle by rote costs"`
	Worked    []metric.Derivation `json:"worked" description:"How what is held came about, of each stand"`
}

// AnglesAsked is how wide a ball can be played from one place or two.
type AnglesAsked struct {
	Court  court.ID        `json:"court" maxLength:"40"`
	Places []StruckAt      `json:"places" minItems:"1" maxItems:"2"`
	Pace   sports.Pace     `json:"pace"`
	Spin   sports.SpinKind `json:"spin,omitempty"`
	Over   float64         `json:"over" minimum:"0" maximum:"10" description:"Metres over the net at least"`
	Inside float64         `json:"inside" minimum:"0" maximum:"10" description:"Metres inside the lines at least"`
}

// StruckAt is a place from which a ball is struck.
type StruckAt struct {
	Name string      `json:"name" maxLength:"40"`
	At   court.Point `json:"at"`
	High float64     `json:"high" minimum:"-0.76" maximum:"5" description:"Metres above the court"`
}

// AnglesReckoned are the sectors, and what the second place changes.
type AnglesReckoned struct {
	Sectors []angles.Sector `json:"sectors"`
	Said    []string        `json:"said" description:"Each sector in words"`
	Change  string          `json:"change" description:"What the second place changes; empty where there is one"`
}

// ReadingAsked is a situation to be made a drill.
type ReadingAsked struct {
	Court     court.ID         `json:"court" maxLength:"40"`
	Situation sports.Situation `json:"situation"`
	Level     student.Level    `json:"level"`
}

func (s *Desk) anticipateRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/situations", "listSituations", "What opponents may play, by situation", s.situations),
		request.Make(
			"POST",
			"/api/reckoner/stand",
			"reckonStand",
			"Where to wait for what an opponent may play",
			s.reckonStand,
		),
		request.Make(
			"POST",
			"/api/reckoner/angles",
			"reckonAngles",
			"How wide a ball can be played from a place",
			s.reckonAngles,
		),
		request.Make(
			"POST",
			"/api/situations/drill",
			"makeReading",
			"A drill in which the feeder chooses from the likely replies",
			func(ctx context.Context, _ request.None, body ReadingAsked) (drill.Document, error) {
				return library.Reading(ctx, body.Court, body.Situation, body.Level)
			},
		),
	}
}

func (s *Desk) situations(ctx context.Context, p ofSport, _ request.None) (Situations, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return Situations{}, err
	}
	answer := Situations{Situations: []Situated{}, Replies: anticipate.Replies(p.Sport)}
	for _, situation := range anticipate.Situations(p.Sport) {
		each := Situated{Situation: situation, Usual: situation.Likely, Seen: make([]int, len(situation.Likely))}
		if i := slices.IndexFunc(
			settings.Likely,
			func(own coach.Likely) bool { return own.Situation == situation.ID },
		); i >= 0 {
			each.Own, each.Situation.Likely, each.Seen = true, nil, nil
			for _, reply := range settings.Likely[i].Replies {
				each.Situation.Likely = append(each.Situation.Likely, sports.Likely{Reply: reply.Reply, Chance: reply.Chance})
				each.Seen = append(each.Seen, reply.Seen)
			}
		}
		answer.Situations = append(answer.Situations, each)
	}
	if len(answer.Situations) == 0 {
		return answer, invalid.Fields{{Path: "sport", Message: "there is no such sport"}}
	}
	return answer, nil
}

// worldOn is the world of a court in the coach's air, with the coach's settings.
func (s *Desk) worldOn(ctx context.Context, id court.ID) (flight.World, coach.Settings, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return flight.World{}, settings, err
	}
	c, err := sports.Court(id)
	if err != nil {
		return flight.World{}, settings, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	world := sports.World(c, "")
	world.Air = settings.Flown()
	return world, settings, nil
}

func (s *Desk) reckonStand(ctx context.Context, _ request.None, body StandAsked) (StandReckoned, error) {
	world, settings, err := s.worldOn(ctx, body.Court)
	if err != nil {
		return StandReckoned{}, err
	}
	q := anticipate.Question{
		World:     world,
		Situation: body.Situation,
		Opponent:  body.TheirHand,
		Power: footwork.For(
			world.Court.Sport,
			footwork.Usual(body.Opponent),
			body.Opponent,
			body.TheirHand,
			student.TwoHanded,
		).Power,
		Player: footwork.For(world.Court.Sport, footwork.Usual(body.Level), body.Level, body.Hand, student.TwoHanded),
	}
	if body.Student != "" {
		record, err := s.Store.Students.Get(ctx, body.Student)
		if err != nil {
			return StandReckoned{}, err
		}
		q.Player = footwork.Of(world.Court.Sport, record.Document, body.Hand, s.Now())
	}
	if body.At != nil {
		q.Situation = anticipate.From(q.Situation, world.Court, *body.At, body.TheirHand)
	}
	if err := anticipate.Check(q.Situation, world.Court); err != nil {
		return StandReckoned{}, err
	}
	q.Situation.Likely = anticipate.Sharpened(q.Situation.Likely, body.Seen)
	r := StandReckoned{Situation: q.Situation}
	if r.Answer, err = q.Answer(ctx); err != nil {
		return r, err
	}
	for _, stand := range r.Answer.Stands {
		r.Said = append(r.Said, r.Answer.Say(stand, settings.WalkTape()))
		r.Worked = append(r.Worked, r.Answer.Derivation(stand))
	}
	r.Cost = r.Answer.Cost()
	return r, nil
}

func (s *Desk) reckonAngles(ctx context.Context, _ request.None, body AnglesAsked) (AnglesReckoned, error) {
	world, settings, err := s.worldOn(ctx, body.Court)
	if err != nil {
		return AnglesReckoned{}, err
	}
	var r AnglesReckoned
	for i, place := range body.Places {
		k := angles.Strike{
			World:  world,
			From:   flight.Above(place.At, place.High),
			Pace:   body.Pace.Speed(world.Court),
			Spin:   feed.Task{Spin: body.Spin}.SpinOf(world.Court.Sport),
			Over:   body.Over,
			Inside: body.Inside,
			Name:   place.Name,
		}
		const behind = 0.05 // of the court: how far behind the baseline the other one waits
		sector, err := k.Sector(ctx, behind*world.Court.Length/2)
		if err != nil {
			return r, ofPlace(i, err)
		}
		r.Sectors, r.Said = append(r.Sectors, sector), append(r.Said, sector.Say(settings.Tape()))
	}
	if len(r.Sectors) == 2 {
		r.Change = angles.Compare(r.Sectors[0], r.Sectors[1])
	}
	return r, nil
}

// ofPlace puts what is wrong with a place under it; the rest is of all places.
func ofPlace(i int, err error) error {
	var wrong invalid.Fields
	if !errors.As(err, &wrong) {
		return err
	}
	for k, field := range wrong {
		if field.Path == "at" || field.Path == "high" {
			wrong[k].Path = invalid.Join("places", i, field.Path)
		}
	}
	return wrong
}
