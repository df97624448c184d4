package court

import "strings"

// LineID names a line of a court; the list is open. Near, far, left and right in a name are the near player's.
type LineID string

// The lines that courts share. Not every court has each of them.
const (
	NetLine      LineID = "net"
	NearBaseline LineID = "near-baseline"
	FarBaseline  LineID = "far-baseline"
	NearService  LineID = "near-service-line"
	FarService   LineID = "far-service-line"
	NearLong     LineID = "near-long-service-line"
	FarLong      LineID = "far-long-service-line"
	NearKitchen  LineID = "near-no-volley-line"
	FarKitchen   LineID = "far-no-volley-line"
	LeftSide     LineID = "left-sideline"
	RightSide    LineID = "right-sideline"
	LeftSingles  LineID = "left-singles-sideline"
	RightSingles LineID = "right-singles-sideline"
	NearCentre   LineID = "near-centre-line"
	FarCentre    LineID = "far-centre-line"
	FrontWall    LineID = "front-wall"
	BackWall     LineID = "back-wall"
	LeftWall     LineID = "left-side-wall"
	RightWall    LineID = "right-side-wall"
	ShortLine    LineID = "short-line"
	HalfCourt    LineID = "half-court-line"
	LeftBox      LineID = "left-service-box-line"
	RightBox     LineID = "right-service-box-line"
	BoxBack      LineID = "service-box-back-line"
	NearEnd      LineID = "near-end-line"
	FarEnd       LineID = "far-end-line"
)

// Mirrored is the line on the other side.
func (id LineID) Mirrored() LineID { return LineID(mirroredName(string(id))) }

// mirrored swaps left and right, and deuce and ad.
func (id BoxID) mirrored() BoxID { return BoxID(mirroredName(string(id))) }

// mirroredName swaps the words for the sides in a name.
func mirroredName(name string) string {
	phrases := strings.Split(name, "-")
	other := map[string]string{"left": "right", "right": "left", "deuce": "ad", "ad": "deuce"}
	for i, word := range phrases {
		if swapped, is := other[word]; is {
			phrases[i] = swapped
		}
	}
	return strings.Join(phrases, "-")
}
