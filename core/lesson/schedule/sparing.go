package schedule

import (
	"slices"
	"strings"

	"hodometer/core/lesson"
	"hodometer/core/people/student"
)

// NotFor is what stands in a call that is not for somebody.
func NotFor(p lesson.Person) string { return "not " + p.Short }

// Asks is what a block asks of somebody that a sore body may have to be spared: by the drill as they play it, by its
// kind, or by what is called.
func (l Prepared) Asks(p lesson.Person) []student.Strain {
	var asked []student.Strain
	switch {
	case l.Drilled:
		return l.Block.DrillFor(l.Document, p).Strains()
	case l.Block.Kind == lesson.Serving:
		asked = []student.Strain{student.ServesAndOverheads}
	case l.Block.Kind.Rests():
		return nil
	}
	for _, call := range l.Block.Calls {
		asked = append(asked, CallAsks(call, p)...)
	}
	return asked
}

// CallAsks is what a call asks of somebody; nothing where it says that it is not for them.
func CallAsks(call lesson.Call, p lesson.Person) []student.Strain {
	if strings.Contains(call.Text, NotFor(p)) {
		return nil
	}
	return student.Mentioned(call.Text)
}

// Sparing is the version of the block's drill that asks somebody for nothing that they are spared, and counts as that
// of the others does: the nearest one in the order from easy to hard; ok is false where there is none.
func (l Prepared) Sparing(p lesson.Person) (version string, ok bool) {
	if !l.Drilled {
		return "", false
	}
	names := l.Document.VersionNames()
	slices.Reverse(names) // the hardest one that spares
	for _, name := range names {
		own, err := l.Document.Version(name)
		if err == nil && own.CountsAs(l.Document) && len(p.Profile.Spared(own.Strains())) == 0 {
			return name, true
		}
	}
	return "", false
}

// unsafe are the versions of a block's drill that ask somebody in it for something that they are spared.
func (l Prepared) unsafe() []string {
	list := []string{}
	rests := func(p lesson.Person) bool { return len(p.Profile.Sore) > 0 }
	if !l.Drilled || !slices.ContainsFunc(l.People, rests) {
		return list
	}
	for _, name := range l.Document.VersionNames() {
		own, err := l.Document.Version(name)
		if err != nil {
			continue
		}
		asks := own.Strains()
		if slices.ContainsFunc(l.People, func(p lesson.Person) bool { return len(p.Profile.Spared(asks)) > 0 }) {
			list = append(list, name)
		}
	}
	return list
}
