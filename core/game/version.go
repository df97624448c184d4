package game

import (
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Version is a game that is played otherwise: on another court with the ball that goes with it, on half of the court,
// from one side of the middle, or to other points.
type Version struct {
	Name  string   `json:"name" minLength:"1" maxLength:"60"`
	Court court.ID `json:"court,omitempty" maxLength:"40" description:"Of the same sport; empty: as it is written"`
	Half  bool     `json:"half,omitempty" description:"Only on half of the court"`
	Box   Box      `json:"box,omitempty" description:"Every rally from this side of the middle; empty: as it is written"`
	Near  int      `json:"near,omitempty" minimum:"0" maximum:"100" description:"Points that the near side needs; 0: as they are written"`
	Far   int      `json:"far,omitempty" minimum:"0" maximum:"100" description:"Points that the far side needs; 0: as they are written"`
}

// VersionNames lists the versions of a game by their names, the game as it is written first; none where it has no
// other.
func (d Document) VersionNames() []string {
	if len(d.Versions) == 0 {
		return []string{}
	}
	names := []string{coach.AsWritten}
	for _, v := range d.Versions {
		names = append(names, v.Name)
	}
	return names
}

// Version returns one of the versions of a game by its name: the game as it is written where that is empty or
// coach.AsWritten. It returns invalid.Fields, and the game as it is written, where there is none of that name or it
// makes no sense any more.
func (d Document) Version(name string) (Document, error) {
	if name == "" || name == coach.AsWritten {
		return d, nil
	}
	i := slices.IndexFunc(d.Versions, func(v Version) bool { return v.Name == name })
	if i < 0 {
		return d, invalid.Fields{{Path: "version", Message: "the game has no version “" + name + "” any more"}}
	}
	played, err := d.as(d.Versions[i])
	if err != nil {
		var wrong invalid.Fields
		wrong.Under("version", err)
		return d, wrong.Err()
	}
	return played, nil
}

// as is the game as a version of it is played.
func (d Document) as(v Version) (Document, error) {
	d = d.Clone()
	d.Versions = nil
	if v.Court != "" && v.Court != d.Court {
		var err error
		if d, err = d.OnCourt(v.Court); err != nil {
			return d, err
		}
	}
	r := &d.Rules
	onHalf := func(each Restriction) bool { return each.Kind == HalfCourt }
	if v.Half && !slices.ContainsFunc(r.Restrictions, onHalf) {
		r.Restrictions = append(r.Restrictions, Restriction{Kind: HalfCourt})
	}
	if v.Box != "" {
		r.Feed.Box, r.Feed.BoxFor = v.Box, 0
	}
	if v.Near > 0 {
		r.End.Near = v.Near
	}
	if v.Far > 0 {
		r.End.Far = v.Far
	}
	if r.End.Near != r.End.Far {
		r.End.WinBy, r.End.Cap = 0, 0
	}
	return d, nil
}

// InLesson returns a version of a game as a lesson plays it: on the lesson's court, where that is one of its sport.
// Where there is no such version, it is the game as it is written, with the error of Version.
func (d Document) InLesson(version string, on court.ID) (Document, error) {
	played, err := d.Version(version)
	to, elsewhere := sports.Court(on)
	if elsewhere != nil || to.Sport != played.Sport || to.ID == played.Court {
		return played, err
	}
	if there, impossible := played.OnCourt(on); impossible == nil {
		return there, err
	}
	return played, err
}

// UsualVersions are those that a game can have of which nobody has said anything: on each other court of its sport, on
// half of the court, from either side of the middle.
func (d Document) UsualVersions() []Version {
	list := []Version{}
	for _, c := range sports.Courts() {
		if c.Sport == d.Sport && c.ID != d.Court {
			list = append(list, Version{Name: c.Name, Court: c.ID})
		}
	}
	list = append(list, Version{Name: "half court", Half: true})
	halves := sports.Of(d.Sport).Halves
	list = append(list, Version{Name: halves[0], Box: RightBox}, Version{Name: halves[1], Box: LeftBox})
	return slices.DeleteFunc(list, func(v Version) bool { return !d.differs(v) })
}

// differs says whether a version changes anything.
func (d Document) differs(v Version) bool {
	played, err := d.as(v)
	r, as := d.Rules, played.Rules
	return err == nil &&
		(played.Court != d.Court || len(as.Restrictions) != len(r.Restrictions) || as.Feed != r.Feed || as.End != r.End)
}

func (d Document) checkVersions(wrong *invalid.Fields) {
	for i, v := range d.Versions {
		path := invalid.Join("versions", i)
		switch taken := slices.IndexFunc(d.Versions, func(other Version) bool { return other.Name == v.Name }); {
		case strings.TrimSpace(v.Name) == "":
			wrong.Add(path+".name", "give the version a name")
		case v.Name == coach.AsWritten:
			wrong.Add(path+".name", "the game itself has that name")
		case taken < i:
			wrong.Add(path+".name", "two versions have the same name")
		}
		if v.Court != "" {
			c, err := sports.Court(v.Court)
			if wrong.Under(path+".court", err); err == nil && c.Sport != d.Sport {
				wrong.Add(path+".court", "%s is a court for %s, and this is a game for %s", c.Name, c.Sport, d.Sport)
			}
			if err != nil || c.Sport != d.Sport {
				continue
			}
		}
		played, err := d.as(v)
		if err == nil {
			err = played.Check()
		}
		if wrong.Under(path, err); err == nil && !d.differs(v) {
			wrong.Add(path, "this version changes nothing")
		}
	}
}
