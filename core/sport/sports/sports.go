// Package sports is what each sport is: one value a sport, from which every room reads. A sport is added by its name in
// package court, a file here and its line in All; TestEverySportIsComplete says what is missing.
//
// Units are SI unless said otherwise; places and axes are those of package court. Figures without a source are common
// practice.
package sports

import (
	"slices"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Sport is one sport.
type Sport struct {
	Name   court.Sport
	Later  int      // by how many steps it came after the first ones; see core/exchange/sharing
	Also   []string // other names in a list, written together and small
	Courts []Played // the usual one first
	Green  *flight.Ball
	Stages bool // children begin on small courts with slow balls

	One, Many string // what is fed, in words
	Carried   Carrier
	Cautions  []string // that go with every drill and game of it

	// How a ball is fed, met and reached: lengths in metres above the court, speeds in m/s.
	Speeds  map[Pace]float64 // mean speed over the ground from release to landing
	Over    map[Pace]float64 // over the net at most, of a ball that is struck in play; none where only its speed matters
	Topspin float64          // turns a minute of plain topspin; 0 where a ball does not spin so
	ByHand  float64          // height at which a ball leaves that is fed by hand
	Dropped float64          // that is dropped for oneself
	OffWall float64          // that comes off a wall
	Struck  float64          // that is fed in any other way
	Lob     float64          // highest point of a ball fed for a stroke above the head; 0 where none is
	Rally   float64          // height at which a ball of a rally is met
	Reach   float64          // of an adult, in comfort
	Lunge   float64          // of an adult, in a lunge
	High    float64          // at which an adult meets a ball above the head
	Circle  float64          // radius of a first target on the first court, for somebody of club level, metres

	// What is struck.
	Strokes   []Stroke // in the order in which they are offered
	Spins     []SpinKind
	AboveHead []Stroke // met above the head: they load the shoulder
	Answers   []Stroke // with which a ball may be met, whichever it is
	ByDepth   *ByDepth // where every ball is met out of the air
	Volleys   bool     // who stands in the front half volleys
	Lunges    bool     // a ball close to the net, or to the front wall, is met in a lunge
	Straight  bool     // what goes down the line is said to go straight
	Striking  Striking

	// The serve.
	Serving  Serving
	ServedTo [2]court.BoxID // the box into which a serve goes from the left and from the right of the middle
	Second   Second         // what is said of a second one; zero where there is none

	// The rest of a lesson.
	WarmUp WarmUp
	Tempo  Tempo
	Halves [2]string // the two sides of the middle, for who plays there: the right and the left one
	Room   float64   // metres run each way in a timed course, where the court is no floor to run on; 0 else

	Replies    []Reply
	Situations []Situation
}

// Played is a court of a sport with what belongs on it.
type Played struct {
	Court   court.Court
	Ball    flight.Ball
	Regions []court.Scheme // at least one way of dividing it by depth
}

// ByDepth are the strokes with which a ball is met that is always met out of the air, by how deep it comes.
type ByDepth struct {
	Short, Middle, Deep Stroke
	Lifted              Stroke // one that comes high to the middle
}

// Carrier is what balls are carried in.
type Carrier string

// The carriers.
const (
	Baskets Carrier = "basket"
	Tubes   Carrier = "tube"
	Boxes   Carrier = "box"
)

// WarmUp is how a sport speaks of two who warm up with the ball: where each is, and what is called in turn.
type WarmUp struct {
	Near, Far string
	Calls     []string
}

// Second is the second serve of a sport.
type Second struct {
	There bool     // there is one
	Spin  SpinKind // that it has where nothing is said
}

// fromEitherSide is what the two sides of the middle are called where they have no names of their own.
var fromEitherSide = [2]string{"from the right", "from the left"}

// all is every sport, in the order in which they are offered.
var all = []*Sport{tennis(), pickleball(), badminton(), squash(), tableTennis(), padel()}

// All lists the sports in the order in which they are offered. They are not the caller's to change.
func All() []*Sport { return all }

// Of is a sport by name, not the caller's to change; the zero value for one that is not known.
func Of(name court.Sport) *Sport {
	for _, s := range all {
		if s.Name == name {
			return s
		}
	}
	return &Sport{}
}

// Bounces says whether the ball of a sport comes up again.
func (s *Sport) Bounces() bool { return len(s.Courts) > 0 && s.Courts[0].Ball.Bounces() }

// Overhead says whether a stroke is met above the head.
func (s *Sport) Overhead(stroke Stroke) bool { return slices.Contains(s.AboveHead, stroke) }

// Ladders are what a student can stand on a rung of: the strokes of the sport, and what is worked on without one.
func (s *Sport) Ladders() []Stroke { return append(slices.Clone(s.Strokes), Footwork, Technique) }
