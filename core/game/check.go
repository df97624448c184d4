package game

import (
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Check says what is wrong with the rules of a game on a court, by field: also that a game could never end.
func (r Rules) Check(c court.Court) error {
	var wrong invalid.Fields
	if len(r.Spots) == 0 {
		wrong.Add("spots", "a game has at least one start place")
		return wrong.Err()
	}
	for i, spot := range r.Spots {
		if spot.Side != Near && spot.Side != Far {
			wrong.Add(invalid.Join("spots", i, "side"), "a start place is on the near or on the far side")
		}
		_, err := c.Resolve(spot.Mark)
		wrong.Under(invalid.Join("spots", i, "mark"), err)
	}
	r.checkFeed(&wrong)
	for i, each := range r.Restrictions {
		path := invalid.Join("restrictions", i)
		if each.Kind == PlayedSo && strings.TrimSpace(each.Text) == "" {
			wrong.Add(path+".text", "say how it has to be played")
		}
		if each.Who == TheHolding && r.After.Net == "" {
			wrong.Add(path+".who", "nobody holds the net in this game")
		}
	}
	r.checkAwards(&wrong, c)
	r.checkMeasures(&wrong, c.Sport)
	r.checkMini(&wrong)
	r.checkEnd(&wrong)
	if r.After.Every > 1 && r.After.Restart == "" {
		wrong.Add("after.every", "every rally begins from the start places")
	}
	if r.Rotation.Every > 0 && r.Score == "" {
		wrong.Add("score", "players change sides after %d rallies: let each have their own score", r.Rotation.Every)
	}
	if r.Rotation.How == WinnersStay && r.Rotation.Every == 0 {
		wrong.Add("rotation.every", "say after how many rallies the losers change")
	}
	if r.Score == EachTheirOwn && (r.On(Near) == 0 || r.On(Far) == 0) {
		wrong.Add("score", "each player’s own score needs players on both sides")
	}
	return wrong.Err()
}

func (r Rules) checkFeed(wrong *invalid.Fields) {
	f := r.Feed
	if f.First != "" && r.On(f.First) == 0 && f.Kind != CoachFeeds {
		wrong.Add("feed.first", "nobody stands on the %s side", f.First)
	}
	if f.First == "" && r.On(Near) == 0 && f.Kind != CoachFeeds {
		wrong.Add("feed.first", "nobody stands on the near side")
	}
	if f.Changes == AfterRallies && f.Every < 1 {
		wrong.Add("feed.every", "say after how many rallies the feed passes on")
	}
	if f.Changes != "" && f.Kind != CoachFeeds && (r.On(Near) == 0 || r.On(Far) == 0) {
		wrong.Add("feed.changes", "there is no other side to feed")
	}
	if f.Second && f.Kind != "" {
		wrong.Add("feed.second", "only a serve has a second one")
	}
	if f.BoxFor > 0 && f.Box == "" {
		wrong.Add("feed.box", "say from which side of the middle the first rally begins")
	}
}

func (r Rules) checkAwards(wrong *invalid.Fields, c court.Court) {
	for i, a := range r.Awards {
		path := invalid.Join("awards", i)
		if strings.TrimSpace(a.Name) == "" {
			wrong.Add(path+".name", "give it the name that its button says")
		}
		if r.awarded(a.ID) < i {
			wrong.Add(path+".id", "two have the same identifier")
		}
		if a.By == TheHolding && r.After.Net == "" {
			wrong.Add(path+".by", "nobody holds the net in this game")
		}
		if a.NoBonus && a.Ends == "" {
			wrong.Add(path+".noBonus", "the rally goes on after it, so that more can count")
		}
		if a.NotOnSecond && !r.Feed.Second {
			wrong.Add(path+".notOnSecond", "there is no second serve in this game")
		}
		if r.Mini != nil && a.Ends == WinsRally && a.Points > 0 {
			wrong.Add(path+".points", "a rally of a little match is worth nothing by itself; let it be worth 0")
		}
		if a.Points < 0 && a.Ends != LosesIt {
			wrong.Add(path+".points", "only what loses a rally can cost points")
		}
		if a.Target != nil {
			_, err := c.Shape(*a.Target, "")
			wrong.Under(path+".target", err)
		}
	}
}

func (r Rules) checkMini(wrong *invalid.Fields) {
	if r.Mini == nil {
		return
	}
	if len(r.Mini.Balls)%2 == 0 {
		wrong.Add("mini.balls", "an odd number of rallies has a winner; %d can be shared", len(r.Mini.Balls))
	}
	for i, ball := range r.Mini.Balls {
		if strings.TrimSpace(ball) == "" {
			wrong.Add(invalid.Join("mini.balls", i), "say how the rally begins")
		}
	}
	if r.Rally != 0 {
		wrong.Add("rally", "in little matches a single rally is worth nothing; let it be worth 0")
	}
	if r.Mini.Swept < r.Mini.Won {
		wrong.Add("mini.swept", "winning all is worth at least as much as winning most: %d", r.Mini.Won)
	}
	if r.Score == EachTheirOwn {
		wrong.Add("mini", "little matches are scored by side")
	}
}

func (r Rules) checkEnd(wrong *invalid.Fields) {
	e := r.End
	if e.Near == 0 && e.Far == 0 && e.Rallies == 0 && e.Rounds == 0 && e.Minutes == 0 && !r.winsAtOnce() {
		wrong.Add("end", "the game never ends: let it be played to some points, for some rallies or minutes")
	}
	if e.Rounds > 0 && r.Rotation.Every == 0 {
		wrong.Add("end.rounds", "without changing places there are no rounds")
	}
	if e.ahead() > 1 && e.Near != e.Far {
		wrong.Add("end.winBy", "two ahead needs the same points for both sides")
	}
	if e.Cap > 0 && e.Cap < max(e.Near, e.Far) {
		wrong.Add("end.cap", "the last point is at least %d", max(e.Near, e.Far))
	}
	if r.Score == EachTheirOwn && e.Near != e.Far {
		wrong.Add("end.far", "where each player has their own score, all need the same")
	}
	if r.Score == EachTheirOwn && e.ahead() > 1 {
		wrong.Add("end.winBy", "two ahead is for two sides")
	}
	for _, s := range []Side{Near, Far} {
		if e.target(s) > 0 && !r.canScore(s) {
			wrong.Add("end."+string(s), "the %s side can never come to %d: nothing gives it points", s, e.target(s))
		}
	}
	if e.Minutes > 0 && e.Near == 0 && e.Far == 0 && e.Rallies == 0 && e.Rounds == 0 && !r.canScore(Near) &&
		!r.canScore(Far) {
		wrong.Add("rally", "nothing gives points")
	}
}

// winsAtOnce says whether something can be done that wins the game.
func (r Rules) winsAtOnce() bool {
	return slices.ContainsFunc(r.Awards, func(a Award) bool { return a.Ends == WinsGame })
}

// canScore says whether a side can ever get points.
func (r Rules) canScore(s Side) bool {
	if r.Rally > 0 || r.Mini != nil && r.Mini.Swept > 0 {
		return true
	}
	never := map[Whose]bool{TheNear: s == Far, TheFar: s == Near}
	return slices.ContainsFunc(r.Awards, func(a Award) bool { return a.Points > 0 && !never[a.By] })
}

// Document is a game as a coach keeps it.
type Document struct {
	FormatVersion int         `json:"version" minimum:"1" maximum:"1" description:"Of the format of this document"`
	Name          string      `json:"name" minLength:"1" maxLength:"80"`
	Summary       string      `json:"summary" maxLength:"500"`
	Sport         court.Sport `json:"sport"`
	Court         court.ID    `json:"court" maxLength:"40"`
	Rules         Rules       `json:"rules"`
	Cues          []string    `json:"cues" maxItems:"4" description:"One or two things to watch"`
	Cautions      []string    `json:"cautions" maxItems:"6"`
	Equipment     []string    `json:"equipment" maxItems:"12"`
	Versions      []Version   `json:"versions,omitempty" maxItems:"8" description:"How else it can be played"`
}

// FormatVersion is the version of the document's format that this code reads and writes.
const FormatVersion = 1

// Check says what is wrong with a game beyond its shape.
func (d Document) Check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(d.Name) == "" {
		wrong.Add("name", "give the game a name")
	}
	c, err := sports.Court(d.Court)
	if err != nil {
		wrong.Under("court", err)
		return wrong.Err()
	}
	if c.Sport != d.Sport {
		wrong.Add("court", "%s is a court for %s, and this is a game for %s", c.Name, c.Sport, d.Sport)
	}
	wrong.Under("rules", d.Rules.Check(c))
	if wrong.Err() == nil {
		wrong.Under("rules.end", d.Rules.ends())
	}
	if wrong.Err() == nil {
		d.checkVersions(&wrong)
	}
	return wrong.Err()
}

// Clone copies a game so that changing the copy leaves the first one alone.
func (d Document) Clone() Document {
	r := &d.Rules
	r.Spots, r.Restrictions = slices.Clone(r.Spots), slices.Clone(r.Restrictions)
	for i := range r.Spots {
		r.Spots[i].Mark = r.Spots[i].Mark.Clone()
	}
	r.Awards, r.Measures = slices.Clone(r.Awards), slices.Clone(r.Measures)
	for i := range r.Awards {
		if target := r.Awards[i].Target; target != nil {
			own := target.Clone()
			r.Awards[i].Target = &own
		}
	}
	if r.Mini != nil {
		mini := Mini{slices.Clone(r.Mini.Balls), r.Mini.Won, r.Mini.Swept}
		r.Mini = &mini
	}
	d.Cues, d.Cautions = slices.Clone(d.Cues), slices.Clone(d.Cautions)
	d.Equipment, d.Versions = slices.Clone(d.Equipment), slices.Clone(d.Versions)
	return d
}

// Copy is a coach's own version of a game, to be changed.
func (d Document) Copy() Document {
	d = d.Clone()
	d.Name = coach.OwnVersion(d.Name)
	return d
}
