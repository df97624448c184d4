package desk

import (
	"context"
	"errors"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// GoalAsked is a goal for somebody who makes so many.
type GoalAsked struct {
	Goal    score.Goal    `json:"goal"`
	Unit    score.Unit    `json:"unit,omitempty" description:"What is tried; empty: what the goal counts"`
	Rate    float64       `json:"rate" minimum:"-100" maximum:"100" description:"Chance to make a ball, or to win a point"`
	Partner float64       `json:"partner,omitempty" minimum:"-100" maximum:"100" description:"The other player's, of a goal that two count together"`
	Belief  *skill.Belief `json:"belief,omitempty" description:"What the rate comes from, where it is not known for sure"`
	Clock   odds.Clock    `json:"clock"`
	Minutes float64       `json:"minutes,omitempty" minimum:"0" maximum:"180" description:"How likely within so many, and what would suit them"`
	Length  int           `json:"length,omitempty" minimum:"0" maximum:"150" description:"Of points: about so many in all; 0: no fair score is looked for"`
}

// GoalReckoned is what a goal takes, and the goal that suits the minutes.
type GoalReckoned struct {
	Answer       odds.Answer `json:"answer"`
	Slider       int         `json:"slider" description:"The most that a slider over the goal goes to; 0: it has no single number"`
	Fitted       *score.Goal `json:"fitted" description:"Met 4 times in 5 within the minutes; null where none was asked for or none is"`
	Fair         *score.Goal `json:"fair" description:"The race of about the wanted length that both win as nearly equally often as there is one; null where none was asked for"`
	FairSentence string      `json:"fairSentence" description:"The same in words; empty where none was asked for"`
	Sentence     string      `json:"sentence" description:"How likely it is within the minutes, and which goal suits them; empty where none were asked for"`
}

// TargetAsked is a circle round a mark for somebody of a level.
type TargetAsked struct {
	Court  court.ID      `json:"court" maxLength:"40"`
	Format court.Format  `json:"format,omitempty"`
	Level  student.Level `json:"level"`
	Back   float64       `json:"back" minimum:"0" maximum:"14" description:"Metres inside the far end of the court"`
	Side   float64       `json:"side" minimum:"0" maximum:"10" description:"Metres inside the right sideline"`
	Radius float64       `json:"radius" minimum:"0" maximum:"10"`
	Errors float64       `json:"errors" minimum:"-100" maximum:"100" description:"Share of balls out or in the net that is allowed"`
	Hit    float64       `json:"hit" minimum:"-100" maximum:"100" description:"Share of balls that is to hit the target"`
}

// TargetReckoned is what becomes of balls aimed at the mark, and what would suit.
type TargetReckoned struct {
	Document  drill.Document `json:"document" description:"The least drill with this target"`
	Report    report.Report  `json:"report"`
	PlayerFit playerfit.Fit  `json:"playerFit"`
	Aim       say.Sentence   `json:"aim" description:"Where to aim so that errors stay under the share, in words"`
	Size      say.Sentence   `json:"size" description:"How large the target has to be for the wanted share, in words"`
}

// RallyAsked is two players who are to rally as fast as they can.
type RallyAsked struct {
	Court   court.ID    `json:"court" maxLength:"40"`
	Near    float64     `json:"near" minimum:"0" maximum:"30" description:"Metres from the net at which one player meets the ball"`
	Far     float64     `json:"far" minimum:"0" maximum:"30"`
	Height  float64     `json:"height" minimum:"0" maximum:"12" description:"Metres over the net"`
	Pace    sports.Pace `json:"pace" description:"The quickest they play"`
	Volleys bool        `json:"volleys,omitempty" description:"Out of the air"`
	Rate    float64     `json:"rate" minimum:"-100" maximum:"100" description:"Chance to keep each ball in play"`
	Seconds float64     `json:"seconds" minimum:"1" maximum:"3600"`
	Wanted  int         `json:"wanted" minimum:"1" maximum:"1000" description:"Balls wanted in that time"`
	Sets    int         `json:"sets" minimum:"1" maximum:"20" description:"Balls in one set"`
	Restart float64     `json:"restart" minimum:"0" maximum:"60" description:"Seconds from a miss to the next ball"`
}

func (s *Desk) reckonerRoutes() []request.Route {
	return []request.Route{
		request.Make("POST", "/api/reckoner/goal", "reckonGoal", "How many balls and minutes a goal takes", reckonGoal),
		request.Make("POST", "/api/reckoner/target", "reckonTarget", "What becomes of balls aimed at a mark", s.reckonTarget),
		request.Make("POST", "/api/reckoner/rally", "reckonRally", "How fast two players can rally", s.reckonRally),
	}
}

func reckonGoal(ctx context.Context, _ request.None, body GoalAsked) (GoalReckoned, error) {
	q := odds.Question{
		Goal:    body.Goal,
		Unit:    body.Unit,
		Rate:    body.Rate,
		Partner: body.Partner,
		Clock:   body.Clock,
		Seconds: 60 * body.Minutes,
	}
	if body.Belief != nil {
		q.Likely = body.Belief.Likely()
	}
	r := GoalReckoned{Slider: body.Goal.Slider()}
	var err error
	if body.Length > 0 {
		fair, sentence, err := odds.FairRace(ctx, body.Rate, body.Length)
		if err != nil {
			return r, err
		}
		r.Fair, r.FairSentence = &fair, sentence
	}
	if r.Answer, err = q.Answer(ctx); err != nil || body.Minutes == 0 {
		return r, err
	}
	r.Fitted, r.Sentence, err = q.Suggest(ctx, r.Answer)
	return r, err
}

func (s *Desk) reckonTarget(ctx context.Context, _ request.None, body TargetAsked) (TargetReckoned, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return TargetReckoned{}, err
	}
	var wrong invalid.Fields
	for path, share := range map[string]float64{"errors": body.Errors, "hit": body.Hit} {
		if !(share > 0) || share >= 1 {
			wrong.Add(path, "between 0 and 10 of 10, and neither none nor all")
		}
	}
	if wrong.Err() != nil {
		return TargetReckoned{}, wrong.Err()
	}
	var r TargetReckoned
	if r.Document, err = library.Bare(body.Court, body.Level, body.Back, body.Side, body.Radius); err != nil {
		return r, err
	}
	r.Document.Format = body.Format
	if r.Report, err = report.Of(r.Document, 1, settings); err != nil {
		return r, err
	}
	player, evidence := r.Document.PlayerFor(body.Level, student.RightHand), repository.OfLevel(body.Level, r.Document)
	simulation, err := simulation.Run(ctx, r.Document, player, settings)
	if err != nil {
		return r, err
	}
	if r.PlayerFit, err = playerfit.For(ctx, r.Document, simulation, evidence, 1, settings); err != nil {
		return r, err
	}
	if _, r.Aim, err = playerfit.Adapt(
		ctx,
		r.Document,
		playerfit.AdaptRequest{Errors: body.Errors},
		evidence,
		player,
		1,
		settings,
	); err != nil {
		return r, err
	}
	_, r.Size, err = playerfit.Adapt(ctx, r.Document, playerfit.AdaptRequest{Hit: body.Hit}, evidence, player, 1, settings)
	var none invalid.Fields
	if errors.As(err, &none) {
		r.Size, err = say.Words(none[0].Message), nil // no size will do, which is an answer too
	}
	return r, err
}

func (s *Desk) reckonRally(ctx context.Context, _ request.None, body RallyAsked) (odds.Rallied, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return odds.Rallied{}, err
	}
	c, err := sports.Court(body.Court)
	if err != nil {
		return odds.Rallied{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	world := sports.World(c, "")
	world.Air = settings.Flown()
	return odds.Exchange{
		World:   world,
		Near:    body.Near,
		Far:     body.Far,
		Height:  body.Height,
		Pace:    body.Pace,
		Volleys: body.Volleys,
		Rate:    body.Rate,
		Seconds: body.Seconds,
		Wanted:  body.Wanted,
		Sets:    body.Sets,
		Restart: body.Restart,
	}.Answer(ctx)
}
