// Package game is points with a rule: scoring as data, an engine that plays any rule from its events, and what can be
// worked out about a rule before it is played.
package game

import "hodometer/core/sport/court"

// Side is one of the two sides of a game, by the end of the court from which it begins.
type Side string

// The sides.
const (
	Near Side = "near"
	Far  Side = "far"
)

// Other is the side across.
func (s Side) Other() Side {
	if s == Near {
		return Far
	}
	return Near
}

// index is the place of a side in a pair of figures.
func (s Side) index() int {
	if s == Far {
		return 1
	}
	return 0
}

func sideOf(index int) Side { return [2]Side{Near, Far}[index] }

// Whose says of which side something holds, or who can earn it.
type Whose string

// Whose it can be. The zero value is both sides.
const (
	TheFeeding   Whose = "the side that feeds"
	TheReceiving Whose = "the side that receives"
	TheHolding   Whose = "the side that holds the net"
	TheNear      Whose = "the near side"
	TheFar       Whose = "the far side"
)

// FeedKind is how a rally begins.
type FeedKind string

// The ways of beginning. The zero value is a serve.
const (
	PlayerFeeds FeedKind = "a player feeds"
	CoachFeeds  FeedKind = "the coach feeds"
)

// Changes is when something passes on.
type Changes string

// When it passes on. The zero value is never.
const (
	AfterRallies Changes = "every so many rallies"
	ToTheWinner  Changes = "to who won"
	ToTheLoser   Changes = "to who lost"
	ByRota       Changes = "to the next player in turn"
)

// Box is the side of the middle from which a rally begins, as the side that feeds has it.
type Box string

// The boxes. The zero value is anywhere.
const (
	RightBox Box = "right"
	LeftBox  Box = "left"
)

// Other is the box beside it.
func (b Box) Other() Box {
	switch b {
	case RightBox:
		return LeftBox
	case LeftBox:
		return RightBox
	}
	return ""
}

// Feed is how rallies begin, and who begins them.
type Feed struct {
	Kind    FeedKind `json:"kind,omitempty" description:"How a rally begins; empty: with a serve"`
	First   Side     `json:"first,omitempty" description:"Which side feeds first; empty: the near one"`
	Changes Changes  `json:"changes,omitempty" description:"When the other side feeds; empty: never"`
	Every   int      `json:"every,omitempty" minimum:"0" maximum:"50" description:"After how many rallies the feed passes on"`
	Second  bool     `json:"second,omitempty" description:"After a first serve that is out there is a second one"`
	Box     Box      `json:"box,omitempty" description:"From which side of the middle the first rally begins; empty: anywhere"`
	BoxFor  int      `json:"boxFor,omitempty" minimum:"0" maximum:"50" description:"After how many rallies the other side of the middle is on; 0: never"`
	Valid   string   `json:"valid,omitempty" maxLength:"120" description:"What a good feed is: any other one is fed again"`
}

// RestrictionKind is what may be played, and what may not.
type RestrictionKind string

// The restrictions.
const (
	CrossCourtOnly RestrictionKind = "cross-court only"
	HalfCourt      RestrictionKind = "on half of the court"
	MustComeIn     RestrictionKind = "has to come in"
	NoStepBack     RestrictionKind = "may not step back"
	LetItBounce    RestrictionKind = "has to let the ball bounce"
	NotBeforeShort RestrictionKind = "may not come in before a short ball"
	NotOnTheFeed   RestrictionKind = "may not come in on the feed"
	PlayedSo       RestrictionKind = "has to be played so"
)

// Restriction is one thing that has to be kept to: who does not loses the rally.
type Restriction struct {
	Kind RestrictionKind `json:"kind"`
	Who  Whose           `json:"who,omitempty" description:"Empty: both sides"`
	Shot int             `json:"shot,omitempty" minimum:"0" maximum:"9" description:"Of which stroke of the rally it holds, from 1 for the serve or the feed; 0: all"`
	Text string          `json:"text,omitempty" maxLength:"120" description:"What exactly, or how it is played"`
}

// Ends is what an award does to the rally.
type Ends string

// What it does. The zero value is nothing: the rally goes on.
const (
	WinsRally Ends = "wins the rally"
	LosesIt   Ends = "loses the rally"
	WinsGame  Ends = "wins the game"
)

// Award is something that the coach sees and taps, and what it is worth.
type Award struct {
	ID     string `json:"id" minLength:"1" maxLength:"24" description:"Stays, however it is called"`
	Name   string `json:"name" minLength:"1" maxLength:"60" description:"As its button says it"`
	By     Whose  `json:"by,omitempty" description:"Who can earn it; empty: both sides"`
	Points int    `json:"points" minimum:"-20" maximum:"20" description:"To the side that did it; of one that wins the rally instead of what a rally is worth, else beside it"`
	Ends   Ends   `json:"ends,omitempty" description:"Empty: the rally goes on"`
	Shot   int    `json:"shot,omitempty" minimum:"0" maximum:"9" description:"With which stroke of the rally, from 1 for the serve or the feed; 0: with any"`

	NotOnSecond bool `json:"notOnSecond,omitempty" description:"Not after a second serve"`
	NoBonus     bool `json:"noBonus,omitempty" description:"Of one that ends the rally: nothing else counts in that rally"`

	Target *court.Target `json:"target,omitempty" description:"What has to be hit, on the court"`
}

// Mini is a little match of a few rallies that is scored as one.
type Mini struct {
	Balls []string `json:"balls" minItems:"3" maxItems:"9" description:"How each of its rallies begins; an odd number"`
	Won   int      `json:"won" minimum:"0" maximum:"20" description:"Points for winning most of them"`
	Swept int      `json:"swept" minimum:"0" maximum:"20" description:"Points for winning all of them"`
}

// Keeping is whose points are kept.
type Keeping string

// The ways of keeping score. The zero value is by side.
const (
	EachTheirOwn Keeping = "each player’s own" // who is on a side that scores has what it scores
)

// End is when a game is over: when the first of its conditions is met.
type End struct {
	Near    int     `json:"near,omitempty" minimum:"0" maximum:"100" description:"Points that the near side needs; 0: none"`
	Far     int     `json:"far,omitempty" minimum:"0" maximum:"100" description:"Points that the far side needs; 0: none"`
	WinBy   int     `json:"winBy,omitempty" minimum:"0" maximum:"2" description:"Points that the winner has to be ahead; 0: one"`
	Cap     int     `json:"cap,omitempty" minimum:"0" maximum:"120" description:"Points at which being one ahead is enough; 0: none"`
	Rallies int     `json:"rallies,omitempty" minimum:"0" maximum:"200" description:"Over after so many scored rallies; 0: not so"`
	Rounds  int     `json:"rounds,omitempty" minimum:"0" maximum:"24" description:"Over after so many scored rounds; 0: not so"`
	Minutes float64 `json:"minutes,omitempty" minimum:"0" maximum:"90" description:"Over when the time is up; 0: not so"`
}

// Restart is from where the next rally begins.
type Restart string

// From where. The zero value is from the start places.
const (
	WhereTheyStand Restart = "from where they stand"
)

// After is what follows a rally.
type After struct {
	Restart Restart `json:"restart,omitempty" description:"Empty: from the start places"`
	Every   int     `json:"every,omitempty" minimum:"0" maximum:"50" description:"Only every so many rallies begin from where they stand; 0: all"`
	Net     Side    `json:"net,omitempty" description:"Which side holds the net at the start of each round; the winner of a rally takes it or keeps it. Empty: nobody"`
}

// Turning is how places are changed after a round.
type Turning string

// The ways of changing places. The zero value is one place on to the right, with everybody who waits.
const (
	OnToTheLeft Turning = "one place on to the left"
	WinnersStay Turning = "winners stay, losers change with who waits"
)

// Rotation is how places are changed.
type Rotation struct {
	Every int     `json:"every,omitempty" minimum:"0" maximum:"50" description:"Rallies of a round, after which places are changed; 0: never"`
	How   Turning `json:"how,omitempty" description:"Empty: one place on to the right, with everybody who waits"`
}

// Spot is one start place.
type Spot struct {
	Side Side       `json:"side"`
	Mark court.Mark `json:"mark"`
}

// Rules are everything that decides about a game.
type Rules struct {
	Spots        []Spot        `json:"spots" minItems:"1" maxItems:"12" description:"Start places, in the order in which players move on; a side without any is played for by the drill"`
	Score        Keeping       `json:"score,omitempty" description:"Empty: by side"`
	Coach        bool          `json:"coach,omitempty" description:"The coach fills the last place where a player is missing"`
	Rally        int           `json:"rally" minimum:"0" maximum:"20" description:"Points for a rally that is won"`
	Feed         Feed          `json:"feed"`
	Restrictions []Restriction `json:"restrictions,omitempty" maxItems:"8" description:"What has to be kept to"`
	Awards       []Award       `json:"awards,omitempty" maxItems:"12" description:"What else is worth points"`
	Measures     []Measure     `json:"measures,omitempty" maxItems:"4" description:"Strokes that are counted beside the score"`
	Mini         *Mini         `json:"mini,omitempty" description:"Rallies are grouped into little matches"`
	End          End           `json:"end"`
	After        After         `json:"after"`
	Rotation     Rotation      `json:"rotation"`
	Unscored     int           `json:"unscored,omitempty" minimum:"0" maximum:"12" description:"Rounds, or rallies without rotation, that are played first and do not count"`
	BelowZero    bool          `json:"belowZero,omitempty" description:"Points can fall below zero"`
}

// Players is how many players stand on court.
func (r Rules) Players() int { return len(r.Spots) }

// On is how many start places a side has.
func (r Rules) On(s Side) (n int) {
	for _, spot := range r.Spots {
		if spot.Side == s {
			n++
		}
	}
	return n
}

// round is how many rallies a round has; 1 where places are never changed.
func (r *Rules) round() int { return max(1, r.Rotation.Every) }

// target is how many points a side needs; 0 for none.
func (e End) target(s Side) int { return [2]int{e.Near, e.Far}[s.index()] }

// ahead is how many points the winner has to be ahead.
func (e End) ahead() int { return max(1, e.WinBy) }
