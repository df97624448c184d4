package sports

import (
	"slices"

	"hodometer/core/sport/court"
)

func tennisFull() court.Court {
	return size{
		id: "tennis", name: "Tennis, full court", length: 78 * ft, singles: 27 * ft, width: 36 * ft, service: 21 * ft,
		centre: 36 * inch, post: 42 * inch, runOff: court.RunOff{Back: 6.4, Side: 3.66},
		source: "ITF Rules of Tennis, Rules 1 and 2; run-off: recommended for club play, from memory",
	}.court()
}

func tennisOrange() court.Court {
	return size{
		id: "tennis-orange", name: "Tennis, orange stage", length: 18, singles: 6.5, width: 6.5, service: 4.9,
		centre: 0.80, post: 0.80, runOff: court.RunOff{Back: 4, Side: 3}, source: underTen,
	}.court()
}

func tennisRed() court.Court {
	return size{
		id: "tennis-red", name: "Tennis, red stage", length: 36 * ft, singles: 18 * ft, width: 18 * ft, service: 3.2,
		centre: 0.80, post: 0.80, runOff: court.RunOff{Back: 3, Side: 2}, source: underTen,
	}.court()
}

const underTen = "ITF Rules of Tennis, 10-and-under appendix, within its ranges (from memory); " +
	"service line and run-off: common practice, no source"

// size is what one tennis court differs in from another.
type size struct {
	id                                            court.ID
	name                                          string
	length, singles, width, service, centre, post float64
	runOff                                        court.RunOff
	source                                        string
}

func (s size) court() court.Court {
	lines := slices.Concat(
		court.PairAcross(court.NearBaseline, court.FarBaseline, s.length/2, s.width/2),
		court.PairAcross(court.NearService, court.FarService, s.service, s.singles/2),
		court.PairAlong(court.LeftSide, court.RightSide, s.width/2, s.length/2),
		court.CentreLines(0, s.service),
	)
	w := s.singles / 2
	boxes := slices.Concat(
		court.BothEnds("deuce-service-box", "deuce service box", 0, w, 0, s.service),
		court.BothEnds("ad-service-box", "ad service box", -w, 0, 0, s.service),
		court.BothEnds("deuce-back-court", "deuce back court", 0, w, s.service, s.length/2),
		court.BothEnds("ad-back-court", "ad back court", -w, 0, s.service, s.length/2),
		court.Halves(s.singles, s.length),
	)
	if s.singles < s.width {
		lines = append(lines, court.PairAlong(court.LeftSingles, court.RightSingles, w, s.length/2)...)
		boxes = slices.Concat(boxes,
			court.BothEnds("deuce-alley", "deuce alley", w, s.width/2, 0, s.length/2),
			court.BothEnds("ad-alley", "ad alley", -s.width/2, -w, 0, s.length/2))
	}
	post := s.width/2 + 3*ft
	return court.Court{
		ID:      s.id,
		Name:    s.name,
		Sport:   court.Tennis,
		Length:  s.length,
		Width:   s.width,
		Singles: s.singles,
		Lines: append(
			lines,
			court.NetAcross(post)...),
		Boxes:    court.SmallerFirst(boxes),
		RunOff:   s.runOff,
		Source:   s.source,
		Walls:    []court.WallLine{},
		Net:      court.Net{Centre: s.centre, Post: s.post, HalfUp: post},
		Surfaces: []string{"hard", "clay", "grass", "carpet"},
	}
}

func tennisRegions() []court.Scheme {
	return []court.Scheme{
		{Name: "four depths", Court: "tennis", Depths: fourDepths()},
		{Name: "three depths", Court: "tennis", Depths: []court.Depth{
			{Name: "net", Purpose: "finish", Stop: court.Off(court.NearService, 0, court.Out)},
			{Name: "mid-court", Purpose: "set up", Stop: court.Off(court.NearBaseline, 1, court.In)},
			{Name: "back", Purpose: "rally and defend"},
		}},
		{Name: "five depths", Court: "tennis", Depths: []court.Depth{
			{Name: "on the net", Purpose: "finish", Stop: court.Between(court.NetLine, court.NearService, 0.4)},
			{Name: "first volley", Purpose: "set up", Stop: court.Off(court.NearService, 0, court.Out)},
			{Name: "transition", Purpose: "approach", Stop: court.Off(court.NearBaseline, 1.5, court.In)},
			{Name: "baseline", Purpose: "rally", Stop: court.Off(court.NearBaseline, 1, court.Out)},
			{Name: "behind", Purpose: "defend"},
		}},
	}
}

func fourDepths() []court.Depth {
	return []court.Depth{
		{Name: "close", Purpose: "finish", Stop: court.Between(court.NetLine, court.NearService, 0.6)},
		{Name: "service box", Purpose: "set up", Stop: court.Off(court.NearService, 0, court.Out)},
		{Name: "mid-court", Purpose: "rally", Stop: court.Between(court.NearService, court.NearBaseline, 0.7)},
		{Name: "deep", Purpose: "defend"},
	}
}
