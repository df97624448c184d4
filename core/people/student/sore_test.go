package student_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
)

func TestWhatHurtsIsSparedAndStaysPrivate(t *testing.T) {
	p := student.Profile{Name: "Ines", Hurts: "", Sore: []student.Sore{
		{
			Part:  student.Shoulder,
			Side:  student.LeftSide,
			Words: "tight after serving",
			Since: "2026-03-01",
			Rests: []student.Strain{student.FullPace, student.ServesAndOverheads},
		},
		{Part: student.Knee, Rests: []student.Strain{student.Lunges, student.FullPace}},
		{Part: student.Other, Words: "a cold", Rests: []student.Strain{}},
	}}
	require.Equal(
		t,
		[]student.Strain{student.ServesAndOverheads, student.Lunges, student.FullPace},
		p.Rests(),
		"each once, in their order",
	)
	require.Equal(t, []student.Strain{student.Lunges}, p.Spared([]student.Strain{student.Jumps, student.Lunges}))
	require.Equal(t, "left shoulder, tight after serving; knee; a cold", p.HurtsInWords())

	court := p.OnCourt()
	require.Equal(t, p.Rests(), court.Rests(), "what is spared is known on court")
	require.NotContains(t, court.HurtsInWords(), "shoulder")
	require.Empty(t, court.HurtsInWords(), "where and why is not")

	free := student.Profile{Hurts: "left knee; no deep lunges"}
	require.Empty(t, free.Rests(), "free text has nothing ticked")
	require.Equal(t, "left knee; no deep lunges", free.HurtsInWords())
}

// Whatever hurts, what is proposed to be spared is among what can be ticked, each once; above the waist no running is
// spared, below it no serves.
func TestWhatIsProposedBySoreParts(t *testing.T) {
	all := student.Strain("").Enum()
	above := []student.Part{student.Neck, student.Shoulder, student.Elbow, student.Wrist, student.Fingers}
	below := []student.Part{student.Hip, student.Thigh, student.Knee, student.Calf, student.Ankle, student.Foot}
	for _, each := range student.Part("").Enum() {
		part := each.(student.Part)
		p := student.Profile{Name: "Ines", Sore: []student.Sore{{Part: part, Words: "sore", Rests: part.Proposed()}}}
		require.Len(t, p.Rests(), len(part.Proposed()), part)
		for _, strain := range part.Proposed() {
			require.Contains(t, all, strain)
		}
	}
	for _, part := range above {
		require.Contains(t, part.Proposed(), student.ServesAndOverheads, part)
		require.NotContains(t, part.Proposed(), student.WideRunning, part)
	}
	for _, part := range below {
		require.Contains(t, part.Proposed(), student.WideRunning, part)
		require.NotContains(t, part.Proposed(), student.ServesAndOverheads, part)
	}
}

func TestWhatALineAsksFor(t *testing.T) {
	for line, want := range map[string][]student.Strain{
		"Three short runs, each a little quicker":   {student.WideRunning},
		"Serve and return":                          {student.ServesAndOverheads},
		"Overheads, then backhand volleys":          {student.ServesAndOverheads, student.Backhands},
		"Leg swings, arm circles, trunk turns":      {},
		"Food, water, sleep: agree on all three":    {},
		"One thing that worked, one thing for next": {},
		"Jumps and lunges at full pace":             {student.Lunges, student.FullPace, student.Jumps},
	} {
		require.Equal(t, want, student.Mentioned(line), line)
	}
}

func TestWhatHurtsIsChecked(t *testing.T) {
	wrong := student.Profile{
		Name: "Ines",
		Sore: []student.Sore{
			{Part: student.Other},
			{Part: student.Knee, Rests: []student.Strain{student.Jumps, student.Jumps}},
		},
	}
	err := wrong.Check()
	require.ErrorContains(t, err, "say where it hurts")
	require.ErrorContains(t, err, "ticked already")
}
