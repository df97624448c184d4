package court

import (
	"slices"

	"hodometer/core/units"
)

const (
	ft   = units.Foot
	inch = units.Inch
)

// courts holds the dimensions. Run-offs are common practice where a source gives none.
var courts = []Court{
	tennis("tennis", "Tennis, full court", 78*ft, 27*ft, 36*ft, 21*ft, 36*inch, 42*inch,
		RunOff{Back: 6.4, Side: 3.66}, "ITF Rules of Tennis, Rules 1 and 2; run-off: ITF recommended for club play, from memory"),
	tennis("tennis-orange", "Tennis, orange stage", 18, 6.5, 6.5, 4.9, 0.80, 0.80,
		RunOff{Back: 4, Side: 3}, "ITF Rules of Tennis, 10-and-under appendix, within its ranges; service line and run-off: common practice, no source"),
	tennis("tennis-red", "Tennis, red stage", 36*ft, 18*ft, 18*ft, 3.2, 0.80, 0.80,
		RunOff{Back: 3, Side: 2}, "ITF Rules of Tennis, 10-and-under appendix, within its ranges; service line and run-off: common practice, no source"),
	{
		ID: "badminton", Name: "Badminton", Sport: Badminton, Length: 13.40, Width: 6.10, Singles: 5.18,
		Net: Net{Centre: 1.524, Post: 1.55, HalfUp: 3.05}, RunOff: RunOff{Back: 2, Side: 2},
		Source: "BWF Laws of Badminton, Law 1; run-off: common practice, no source",
		Lines: slices.Concat(
			across(NearBaseline, FarBaseline, 6.70, 3.05),
			across(NearLong, FarLong, 6.70-0.76, 3.05),
			across(NearService, FarService, 1.98, 3.05),
			sides(LeftSide, RightSide, 3.05, 6.70),
			sides(LeftSingles, RightSingles, 2.59, 6.70),
			centre(1.98, 6.70),
			net(3.05),
		),
	},
	{
		ID: "pickleball", Name: "Pickleball", Sport: Pickleball, Length: 44 * ft, Width: 20 * ft, Singles: 20 * ft,
		Net: Net{Centre: 34 * inch, Post: 36 * inch, HalfUp: 10 * ft}, RunOff: RunOff{Back: 3.05, Side: 2.13},
		Source: "USA Pickleball rulebook, section 2 (from memory); run-off: common practice, no source",
		Lines: slices.Concat(
			across(NearBaseline, FarBaseline, 22*ft, 10*ft),
			across(NearKitchen, FarKitchen, 7*ft, 10*ft),
			sides(LeftSide, RightSide, 10*ft, 22*ft),
			centre(7*ft, 22*ft),
			net(10*ft),
		),
	},
}

func tennis(id ID, name string, length, singles, width, service, netCentre, netPost float64, runOff RunOff, source string) Court {
	lines := slices.Concat(
		across(NearBaseline, FarBaseline, length/2, width/2),
		across(NearService, FarService, service, singles/2),
		sides(LeftSide, RightSide, width/2, length/2),
		centre(0, service),
	)
	if singles < width {
		lines = append(lines, sides(LeftSingles, RightSingles, singles/2, length/2)...)
	}
	return Court{
		ID: id, Name: name, Sport: Tennis, Length: length, Width: width, Singles: singles,
		Lines: append(lines, net(width/2+3*ft)...), RunOff: runOff, Source: source,
		Net: Net{Centre: netCentre, Post: netPost, HalfUp: width/2 + 3*ft},
	}
}

func net(half float64) []Line {
	return []Line{{ID: NetLine, Name: "net", From: Point{-half, 0}, To: Point{half, 0}}}
}
