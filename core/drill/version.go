package drill

import (
	"slices"

	"hodometer/core/court"
	"hodometer/core/invalid"
)

// AsWritten names the drill itself among its versions.
const AsWritten = "as written"

// Versions lists the versions of a drill from the easiest to the hardest: the easier ones, the drill as it is written, and the harder
// ones, each in the order in which they stand.
func (d Document) Versions() []Variation {
	var easier, harder []Variation
	for _, v := range d.Variations {
		if v.Difficulty == Easier {
			easier = append(easier, v)
		} else {
			harder = append(harder, v)
		}
	}
	return slices.Concat(easier, []Variation{{Name: AsWritten}}, harder)
}

// Version returns one of the versions of a drill by its name: the drill as it is written where that is empty or AsWritten. It may
// be asked for of another version, too: versions are always of the drill as it is written. It returns invalid.Fields, and the drill
// as it is written, where there is no such version or its steps are no longer possible.
func (d Document) Version(name string) (Document, error) {
	written := d
	if d.written != nil {
		written = *d.written
	}
	if name == "" || name == AsWritten {
		return written, nil
	}
	fail := func(err error) (Document, error) {
		var wrong invalid.Fields
		wrong.Under("version", err)
		return written, wrong.Err()
	}
	i := slices.IndexFunc(written.Variations, func(v Variation) bool { return v.Name == name })
	if i < 0 {
		return written, invalid.Fields{{Path: "version", Message: "the drill has no version “" + name + "” any more"}}
	}
	c, err := court.Find(written.Court)
	if err != nil {
		return fail(err)
	}
	made, _, err := written.stepped(written.Variations[i].Steps, c)
	if err != nil {
		return fail(err)
	}
	if own := written.Variations[i].Measures; len(own) > 0 {
		made.Measures = cloneMeasures(own)
	}
	if err := made.Check(); err != nil {
		return fail(err)
	}
	made.written, made.version = &written, name
	return made, nil
}

// VersionName is which version of the drill this is; empty for the drill as it is written.
func (d Document) VersionName() string { return d.version }

// CountsAs says whether two versions have the same measures by number, so that they can be played and counted side by side.
func (d Document) CountsAs(other Document) bool {
	return slices.EqualFunc(d.Measures, other.Measures, func(a, b Measure) bool { return a.Number == b.Number })
}
