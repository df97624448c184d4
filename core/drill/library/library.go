// Package library is the built-in drills, and the barest drill that there is for a target.
package library

import (
	_ "embed"
	"encoding/json"
	"slices"
	"strings"
	"sync"

	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Stored is a drill with its identifier.
type Stored struct {
	ID       string
	Document drill.Document
	Levels   []student.Level // that it suits
}

// Offered are the levels that a drill is offered to.
func (s Stored) Offered() []student.Level { return s.Document.Offered(s.Levels) }

// suits are the levels that the built-in drills suit, by name, as playerfit.Suits works them out; its test writes them
// anew.
//
//go:embed levels.json
var suits []byte

const ft = units.Foot

// library makes the built-in drills once. Their counts and times are common practice, no source.
var library = sync.OnceValue(func() []Stored {
	list := slices.Concat([]Stored{
		{ID: "f239ec76-d0f1-5e8d-9d2a-d3df78c0ebd9", Document: coinInTheCorner()},
		{ID: "8c3975de-44f5-5271-adf5-a8a6d6ed0e74", Document: lastStretch()},
		{ID: "bcc4ce1b-cc92-57c9-ad07-5c71fc20bfa9", Document: inUpAndOver()},
		{ID: "8dbfe8e1-d999-5595-8fbc-8bb958543a44", Document: bothVerges()},
		{ID: "dd749052-2f01-5e96-8cc6-51964efb9677", Document: threeCornerRound()},
		{ID: "e73d76d7-2818-520a-bc3a-a9bfd8b206c7", Document: softLanding()},
		{ID: "3a561424-7e88-56b4-8975-43a917dcb379", Document: toeTheChalk()},
		{ID: "b595cf54-b472-525f-a035-ed6baa6da509", Document: netAlphabet()},
		{ID: "41c627a2-92ad-5e0e-9fdf-87d4dc522c97", Document: firstAnswer()},
		{ID: "764b318c-4699-535b-a28f-6f6e98448665", Document: fourRungsIn()},
		{ID: "039f7149-f865-5092-b766-3d0bfc2b5e1d", Document: twoAndAway()},
		{ID: "86a669ae-c752-57bb-89d4-e4336f478932", Document: crossroads()},
		{ID: "2a18db57-d753-5946-884d-4bbb9e05099d", Document: threeDoorsIn()},
		{ID: "7261f896-b29f-5de2-be44-a44c5a34343e", Document: metronome()},
		{ID: "63c8dfee-8fcc-5246-89dc-4eeb7d993dc2", Document: underTheBar()},
		{ID: "d4900b02-3860-5ca7-8f91-2be15ff64799", Document: closingTheDoor()},
		{ID: "9a2f5763-3a50-5ef5-b46c-ca3dddd7f0ea", Document: roundTheBollards()},
		{ID: "751409c2-5414-5f3a-9711-c7ba636b9e54", Document: bollardsAndAVolley()},
		{ID: "c1513f30-00c1-5bab-9849-ffaea3881089", Document: shadowSix()},
		{ID: "3ede6cee-1303-503a-8d82-b6f38125cfd2", Document: cornerCatch()},
		{ID: "4ea552a5-592f-5eea-9b07-c0f06bb3cee3", Document: twoHopsBeyond()},
		{ID: "258f5af2-7d65-5e8d-b32d-4482d4b87792", Document: pairAgainstOne()},
		{ID: "ba8f74b8-f2a3-5004-b4c1-b187de4b3072", Document: fortyAndFour()},
		{ID: "d21f0d90-b84b-5a8a-b3dd-6abdd5e0edf4", Document: safeLane()},
		{ID: "e298cd06-921a-5727-b658-bcb9ce95c3a8", Document: tenPast()},
		{ID: "2767325f-8529-5f7a-8f34-0946f986f827", Document: hundredIn()},
		{ID: "656d0ec4-1484-5370-ae6e-affbffe8095a", Document: oneTwoAgain()},
		{ID: "ab42c0ea-0d70-5080-b0bd-07690659ed42", Document: fourAndOut()},
		{ID: "8faefd13-600e-51e6-9924-d65e66ca9cd8", Document: regionTour()},
		{ID: "45722c15-1fbf-5fad-9229-80ad50f39f08", Document: longArm()},
		{ID: "9272bac5-7f55-544c-aea0-ca1ea370cf92", Document: lastLight()},
		{ID: "d06a9d44-3e79-52b1-9d5c-a59b2da11ed5", Document: bollardsYourChoice()},
		{ID: "bbb34622-1b4c-551f-be0b-dabb7bdef06b", Document: twoShadows()},
		{ID: "35b70b02-304e-556c-9118-bc1f63672d20", Document: fastFeetThenGo()},
		{ID: "6f6872cd-05ed-5e64-a31b-7280271247b8", Document: roundThePosts()},
		{ID: "a83840a9-c973-5a03-9420-75f2ce9f3349", Document: shuttleRain()},
		{ID: "49608cbd-4051-5979-9439-797d0f187646", Document: conesOnTheLine()},
		{ID: "9906e47b-bde8-5d62-8c52-c3efe48f539c", Document: softOneIn()},
		{ID: "4071d089-0302-542c-9c6d-1e664a7a7d4a", Document: halfStepCloser()},
		{ID: "ddfd4d30-a212-580e-b335-17e309bb9f40", Document: diagonalForehand()},
		{ID: "aa450a40-aa08-5b89-b07d-613665a9e38a", Document: diagonalBackhand()},
		{ID: "702c6545-eaf8-5568-85f0-b8a42576ab1b", Document: twoAndOne()},
		{ID: "c661429b-0552-57dd-88cc-f5d1166648e0", Document: shortOrHigh()},
		{ID: "e108de0b-bf9d-5b30-9bab-bf5bd680dd67", Document: keeperOfTheNet()},
		{ID: "0107a2b7-344e-5535-b4d5-0af2747a6e7c", Document: fourThreeTwo()},
		{ID: "66fe8423-4175-5b5d-b80c-b9963b5d2655", Document: fourCorners()},
		{ID: "7d0c6b0e-5a3f-5c1b-8c55-5d5a2b6f4a10", Document: readFromTheCorner()},
		{ID: "0b9b7f8a-8b0d-5d8c-9a1e-2f6e1c7d3b42", Document: threeOfFour()},
		{ID: "c5a1de37-61f4-5f0b-9a6c-0e4b7f2d8c93", Document: smashAndClose()},
	}, padelDrills())
	levels := map[string][]student.Level{}
	if err := json.Unmarshal(suits, &levels); err != nil {
		panic(err) // it ships with the program
	}
	for i := range list {
		list[i].Levels = levels[list[i].Document.Name]
	}
	return list
})

// All returns the built-in drills, to be changed as the caller likes.
func All() []Stored {
	list := slices.Clone(library())
	for i := range list {
		list[i].Document, list[i].Levels = list[i].Document.Clone(), slices.Clone(list[i].Levels)
	}
	return list
}

// Find returns a drill of the library; false where there is none of that identifier.
func Find(id string) (drill.Document, bool) {
	list := library()
	i := slices.IndexFunc(list, func(s Stored) bool { return s.ID == id })
	if i < 0 {
		return drill.Document{}, false
	}
	return list[i].Document.Clone(), true
}

func at(kind drill.PlaceKind, mark court.Mark) drill.Place {
	return drill.Place{Kind: kind, Mark: mark}
}

func ball(stroke sports.Stroke, mark court.Mark) feed.Task {
	return feed.Task{Stroke: stroke, Landing: mark}
}

// paced is a ball that comes at a pace.
func paced(pace sports.Pace, stroke sports.Stroke, mark court.Mark) feed.Task {
	return feed.Task{Stroke: stroke, Landing: mark, Pace: pace}
}

// lobbed is a ball with its highest point at a height.
func lobbed(height float64, stroke sports.Stroke, mark court.Mark) feed.Task {
	return feed.Task{Stroke: stroke, Landing: mark, By: flight.ByApex, Value: height}
}

// off is a mark from a line across the court, and so far to a side of the centre line.
func off(line court.LineID, distance float64, toward court.Toward, across float64) court.Mark {
	side := court.Right
	if across < 0 {
		side, across = court.Left, -across
	}
	centre := court.NearCentre
	if strings.HasPrefix(string(line), "far-") {
		centre = court.FarCentre
	}
	return court.From(court.Off(line, distance, toward), court.Off(centre, across, side))
}

func easier(name string, steps ...feed.Transformation) drill.Variation {
	return drill.Variation{Name: name, Difficulty: drill.Easier, Steps: steps}
}

func harder(name string, steps ...feed.Transformation) drill.Variation {
	return drill.Variation{Name: name, Difficulty: drill.Harder, Steps: steps}
}

var (
	looseBalls = "Clear loose balls from under everybody's feet before each turn."
	eyes       = "Wear eye protection for close-range volleys."
	turnAndRun = "For the overhead turn and cross over; nobody runs backwards facing the net."
)
