package finding_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/internal/sample"
)

// Over the whole library: a drill that asks somebody for what they are spared is told, for them alone, and each remedy
// ends it; the others keep theirs.
func TestWhatIsSparedIsToldWithARemedy(t *testing.T) {
	versions := 0
	for _, s := range library.All() {
		asks := s.Document.Strains()
		d, in := sample.Crowd(2)
		in.Drills[s.ID] = s.Document
		for i := range in.People {
			in.People[i].Profile.Sport, in.People[i].Profile.Age = s.Document.Sport, student.Adult
		}
		sore := &in.People[0].Profile
		sore.Sore = []student.Sore{{Part: student.Other, Words: "private words", Rests: asks}}
		d.Blocks = []lesson.Block{
			{
				ID:      "drill",
				Kind:    lesson.Drill,
				Title:   s.Document.Name,
				Minutes: 10,
				Effort:  4,
				Drill:   s.ID,
				Calls:   []lesson.Call{},
			},
		}
		d.Students = lesson.IDs(in.People)
		told, found := about(sample.Planned(t, d, in).Findings, "rests that")
		require.Equal(t, len(asks) > 0, found, s.Document.Name)
		if !found {
			continue
		}
		require.Equal(t, finding.Warning, told.Severity)
		require.Contains(t, told.Reason, student.Joined(asks))
		require.NotContains(t, told.Reason, "private words")
		require.NotEmpty(t, told.Remedies)
		for _, remedy := range told.Remedies {
			edited, err := editing.Apply(t.Context(), d, remedy.Edit, []string{"f1", "f2"}, in)
			require.NoError(t, err, remedy.Label)
			_, still := about(sample.Planned(t, edited.Document, in).Findings, "rests that")
			require.False(t, still, "%s: %s", s.Document.Name, remedy.Label)
			if remedy.Edit.Variant != nil {
				versions++
				require.Equal(t, in.People[0].ID, remedy.Edit.Variant.Student, "for them alone")
				require.Empty(t, edited.Document.Blocks[0].Version)
			}
		}
	}
	t.Logf("%d drills have a version that spares", versions)
}

// A harder version that asks for what somebody in the block is spared is not proposed; the others are.
func TestAHarderVersionIsNotProposed(t *testing.T) {
	full := 0
	for _, s := range library.All() {
		d, in := sample.Crowd(2)
		in.Drills[s.ID] = s.Document
		in.People[1].Profile.Sore = []student.Sore{{Part: student.Shoulder, Rests: []student.Strain{student.FullPace}}}
		d.Blocks = []lesson.Block{
			{
				ID:      "drill",
				Kind:    lesson.Drill,
				Title:   s.Document.Name,
				Minutes: 10,
				Effort:  4,
				Drill:   s.ID,
				Calls:   []lesson.Call{},
			},
		}
		d.Students = lesson.IDs(in.People)
		p, _, err := schedule.Make(t.Context(), d, in)
		require.NoError(t, err)
		for _, name := range p.Blocks[0].Versions {
			own, err := s.Document.Version(name)
			require.NoError(t, err)
			if at := own.Strains(); len(in.People[1].Profile.Spared(at)) > 0 {
				require.Contains(t, p.Blocks[0].Unsafe, name)
				full++
			} else {
				require.NotContains(t, p.Blocks[0].Unsafe, name)
			}
		}
	}
	require.Positive(t, full)
}

// A sore knee is spared the quick runs of a warm-up: that is told, and said in the call.
func TestACallThatIsSparedIsTold(t *testing.T) {
	d, in := sample.Hour()
	in.People[0].Profile.Sore = []student.Sore{{Part: student.Knee, Rests: student.Knee.Proposed()}}
	d.Blocks[0].Calls = []lesson.Call{{Minute: 1, Text: "Three short runs, each a little quicker."}}
	told, found := about(sample.Planned(t, d, in).Findings, "rests that")
	require.True(t, found)
	edited, err := editing.Apply(t.Context(), d, told.Remedies[0].Edit, nil, in)
	require.NoError(t, err)
	require.Contains(t, edited.Document.Blocks[0].Calls[0].Text, "quicker; not ")
	list := sample.Planned(t, edited.Document, in).Findings
	for _, f := range list {
		require.False(t, f.Block == d.Blocks[0].ID && f.Severity == finding.Warning && f.About == told.About, f.Reason)
	}
}
