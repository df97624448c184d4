package drill

import (
	"context"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
)

// Versions lists the versions of a drill from the easiest to the hardest: the easier ones, the drill as it is written,
// and the harder ones, each in the order in which they stand.
func (d Document) Versions() []Variation {
	var easier, harder []Variation
	for _, v := range d.Variations {
		if v.Difficulty == Easier {
			easier = append(easier, v)
		} else {
			harder = append(harder, v)
		}
	}
	return slices.Concat(easier, []Variation{{Name: coach.AsWritten}}, harder)
}

// VersionNames lists the versions of a drill by their names, in their order; none where it has only one.
func (d Document) VersionNames() []string {
	names := []string{}
	if len(d.Variations) > 0 {
		for _, v := range d.Versions() {
			names = append(names, v.Name)
		}
	}
	return names
}

// Version returns one of the versions of a drill by its name: the drill as it is written where that is empty or
// coach.AsWritten. It may be asked for of another version, too: versions are always of the drill as it is written. It
// returns invalid.Fields, and the drill as it is written, where there is no such version or its steps are no longer
// possible.
func (d Document) Version(name string) (Document, error) {
	written, i, err := d.variation(name)
	if err != nil || i < 0 {
		return written, err
	}
	c, err := sports.Court(written.Court)
	if err == nil {
		var made Document
		if made, _, err = written.stepped(written.Variations[i].Steps, c); err == nil {
			return written.as(made, i)
		}
	}
	var wrong invalid.Fields
	wrong.Under("version", err)
	return written, wrong.Err()
}

// ToldVersion returns a version as Version does, with what each of its steps changes in a sentence. It refuses one
// whose steps make a feed impossible, too.
func (d Document) ToldVersion(ctx context.Context, name string, s coach.Settings) (Document, []string, error) {
	written, i, err := d.variation(name)
	if err != nil || i < 0 {
		return written, []string{}, err
	}
	made, sentences, err := written.Transformed(ctx, written.Variations[i].Steps, s)
	if err != nil {
		return written, nil, err
	}
	made, err = written.as(made, i)
	return made, sentences, err
}

// variation is the drill as it is written, and where a version of a name stands among its variations; -1 for the drill
// itself.
func (d Document) variation(name string) (written Document, i int, err error) {
	written = d
	if d.written != nil {
		written = *d.written
	}
	if name == "" || name == coach.AsWritten {
		return written, -1, nil
	}
	i = slices.IndexFunc(written.Variations, func(v Variation) bool { return v.Name == name })
	if i < 0 {
		return written, i, invalid.Fields{{Path: "version", Message: "the drill has no version “" + name + "” any more"}}
	}
	return written, i, nil
}

// as makes what steps made of a drill one of its versions, with the measures that it has of its own.
func (d Document) as(made Document, i int) (Document, error) {
	if own := d.Variations[i].Measures; len(own) > 0 {
		made.Measures = cloneMeasures(own)
	}
	if err := made.Check(); err != nil {
		var wrong invalid.Fields
		wrong.Under("version", err)
		return d, wrong.Err()
	}
	made.written, made.version = &d, d.Variations[i].Name
	return made, nil
}

// VersionName is which version of the drill this is; empty for the drill as it is written.
func (d Document) VersionName() string { return d.version }

// CountsAs says whether two versions have the same measures by number, so that they can be played and counted side by
// side.
func (d Document) CountsAs(other Document) bool {
	return slices.EqualFunc(d.Measures, other.Measures, func(a, b Measure) bool { return a.Number == b.Number })
}
