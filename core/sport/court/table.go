package court

import (
	"slices"

	"hodometer/core/basics/units"
)

const (
	ft   = units.Foot
	inch = units.Inch
)

// courts holds the dimensions. Run-offs are common practice where a source gives none.
var courts = []Court{
	tennis(size{
		id: "tennis", name: "Tennis, full court", length: 78 * ft, singles: 27 * ft, width: 36 * ft, service: 21 * ft, centre: 36 * inch, post: 42 * inch,
		runOff: RunOff{Back: 6.4, Side: 3.66}, source: "ITF Rules of Tennis, Rules 1 and 2; run-off: recommended for club play, from memory",
	}),
	tennis(size{
		id: "tennis-orange", name: "Tennis, orange stage", length: 18, singles: 6.5, width: 6.5, service: 4.9, centre: 0.80, post: 0.80,
		runOff: RunOff{Back: 4, Side: 3}, source: "ITF Rules of Tennis, 10-and-under appendix, within its ranges (from memory); service line and run-off: common practice, no source",
	}),
	tennis(size{
		id: "tennis-red", name: "Tennis, red stage", length: 36 * ft, singles: 18 * ft, width: 18 * ft, service: 3.2, centre: 0.80, post: 0.80,
		runOff: RunOff{Back: 3, Side: 2}, source: "ITF Rules of Tennis, 10-and-under appendix, within its ranges (from memory); service line and run-off: common practice, no source",
	}),
	pickleball(),
	badminton(),
	squash(),
	tableTennis(),
}

// size is what one tennis court differs in from another.
type size struct {
	id                                            ID
	name                                          string
	length, singles, width, service, centre, post float64
	runOff                                        RunOff
	source                                        string
}

func tennis(s size) Court {
	lines := slices.Concat(
		across(NearBaseline, FarBaseline, s.length/2, s.width/2),
		across(NearService, FarService, s.service, s.singles/2),
		sides(LeftSide, RightSide, s.width/2, s.length/2),
		centre(0, s.service),
	)
	w := s.singles / 2
	boxes := slices.Concat(
		bothEnds("deuce-service-box", "deuce service box", 0, w, 0, s.service),
		bothEnds("ad-service-box", "ad service box", -w, 0, 0, s.service),
		bothEnds("deuce-back-court", "deuce back court", 0, w, s.service, s.length/2),
		bothEnds("ad-back-court", "ad back court", -w, 0, s.service, s.length/2),
		halves(s.singles, s.length),
	)
	if s.singles < s.width {
		lines = append(lines, sides(LeftSingles, RightSingles, w, s.length/2)...)
		boxes = slices.Concat(boxes,
			bothEnds("deuce-alley", "deuce alley", w, s.width/2, 0, s.length/2),
			bothEnds("ad-alley", "ad alley", -s.width/2, -w, 0, s.length/2))
	}
	post := s.width/2 + 3*ft
	return Court{
		ID: s.id, Name: s.name, Sport: Tennis, Length: s.length, Width: s.width, Singles: s.singles,
		Lines: append(lines, net(post)...), Boxes: sized(boxes), RunOff: s.runOff, Source: s.source, Walls: []WallLine{},
		Net: Net{Centre: s.centre, Post: s.post, HalfUp: post}, Surfaces: []string{"hard", "clay", "grass", "carpet"},
	}
}

func pickleball() Court {
	const half, length, kitchen = 10 * ft, 22 * ft, 7 * ft
	return Court{
		ID: "pickleball", Name: "Pickleball", Sport: Pickleball, Length: 2 * length, Width: 2 * half, Singles: 2 * half,
		Net: Net{Centre: 34 * inch, Post: 36 * inch, HalfUp: half}, RunOff: RunOff{Back: 3.05, Side: 2.13},
		Source: "USA Pickleball rulebook, section 2 (from memory); run-off: common practice, no source", Walls: []WallLine{}, Surfaces: []string{"hard", "sports hall floor"},
		Lines: slices.Concat(
			across(NearBaseline, FarBaseline, length, half), across(NearKitchen, FarKitchen, kitchen, half),
			sides(LeftSide, RightSide, half, length), centre(kitchen, length), net(half),
		),
		Boxes: sized(
			bothEnds("no-volley-zone", "no-volley zone", -half, half, 0, kitchen),
			bothEnds("right-service-court", "right service court", 0, half, kitchen, length),
			bothEnds("left-service-court", "left service court", -half, 0, kitchen, length),
			halves(2*half, 2*length),
		),
	}
}

func badminton() Court {
	const half, singles, length, short, long = 3.05, 2.59, 6.70, 1.98, 6.70 - 0.76
	return Court{
		ID: "badminton", Name: "Badminton", Sport: Badminton, Length: 2 * length, Width: 2 * half, Singles: 2 * singles,
		Net: Net{Centre: 1.524, Post: 1.55, HalfUp: half}, RunOff: RunOff{Back: 2, Side: 2},
		Source: "BWF Laws of Badminton, Law 1; run-off: common practice, no source", Walls: []WallLine{}, Surfaces: []string{"court mat", "wood"},
		Lines: slices.Concat(
			across(NearBaseline, FarBaseline, length, half), across(NearLong, FarLong, long, half), across(NearService, FarService, short, half),
			sides(LeftSide, RightSide, half, length), sides(LeftSingles, RightSingles, singles, length), centre(short, length), net(half),
		),
		Boxes: sized(
			bothEnds("right-service-court", "right service court", 0, singles, short, length),
			bothEnds("left-service-court", "left service court", -singles, 0, short, length),
			bothEnds("forecourt", "forecourt", -singles, singles, 0, short),
			bothEnds("right-alley", "right alley", singles, half, 0, length),
			bothEnds("left-alley", "left alley", -half, -singles, 0, length),
			halves(2*singles, 2*length),
		),
	}
}

func squash() Court {
	const half, length, box = 3.20, 4.875, 1.60
	short := -length + 4.26
	line := func(id LineID, from, to Point) Line { return Line{ID: id, Name: nameOf(id), From: from, To: to} }
	part := func(id, name string, left, right, from, to float64) Box {
		return Box{ID: BoxID(id), Name: name, Min: Point{left, from}, Max: Point{right, to}}
	}
	return Court{
		ID: "squash", Name: "Squash", Sport: Squash, Length: 2 * length, Width: 2 * half, Singles: 2 * half,
		Source:   "WSF court specification (from memory)",
		Surfaces: []string{"sprung wood"},
		Lines: []Line{
			line(FrontWall, Point{-half, length}, Point{half, length}), line(BackWall, Point{-half, -length}, Point{half, -length}),
			line(LeftWall, Point{-half, -length}, Point{-half, length}), line(RightWall, Point{half, -length}, Point{half, length}),
			line(ShortLine, Point{-half, short}, Point{half, short}), line(HalfCourt, Point{0, -length}, Point{0, short}),
			line(LeftBox, Point{-half + box, short - box}, Point{-half + box, short}), line(RightBox, Point{half - box, short - box}, Point{half - box, short}),
			line(BoxBack, Point{-half, short - box}, Point{half, short - box}),
		},
		Walls: []WallLine{
			{Name: "board", Wall: FrontWall, From: 0.48, To: 0.48}, {Name: "service line", Wall: FrontWall, From: 1.78, To: 1.78},
			{Name: "front wall line", Wall: FrontWall, From: 4.57, To: 4.57}, {Name: "back wall line", Wall: BackWall, From: 2.13, To: 2.13},
			{Name: "left side wall line", Wall: LeftWall, From: 4.57, To: 2.13}, {Name: "right side wall line", Wall: RightWall, From: 4.57, To: 2.13},
		},
		Boxes: sized([]Box{
			part("left-service-box", "left service box", -half, -half+box, short-box, short),
			part("right-service-box", "right service box", half-box, half, short-box, short),
			part("front-left", "front left quarter", -half, 0, short, length), part("front-right", "front right quarter", 0, half, short, length),
			part("back-left", "back left quarter", -half, 0, -length, short), part("back-right", "back right quarter", 0, half, -length, short),
			part("front-half", "in front of the short line", -half, half, short, length), part("back-half", "behind the short line", -half, half, -length, short),
		}),
	}
}

func tableTennis() Court {
	const half, length = 1.525 / 2, 2.74 / 2
	lines := slices.Concat(across(NearEnd, FarEnd, length, half), sides(LeftSide, RightSide, half, length), centre(0, length), net(half+0.1525))
	return Court{
		ID: "table-tennis", Name: "Table tennis", Sport: TableTennis, Length: 2 * length, Width: 2 * half, Singles: 2 * half,
		Net: Net{Centre: 0.1525, Post: 0.1525, HalfUp: half + 0.1525}, RunOff: RunOff{Back: 2.5, Side: 1.5}, Above: 0.76,
		Source: "ITTF Laws 2.01 and 2.02; run-off: common practice, no source", Lines: lines, Walls: []WallLine{}, Surfaces: []string{"table"},
		Boxes: sized(
			bothEnds("right-half-court", "right half-court", 0, half, 0, length),
			bothEnds("left-half-court", "left half-court", -half, 0, 0, length),
			halves(2*half, 2*length),
		),
	}
}

func net(half float64) []Line {
	return []Line{{ID: NetLine, Name: nameOf(NetLine), From: Point{-half, 0}, To: Point{half, 0}}}
}
