package skill_test

import (
	"context"
	"fmt"

	"hodometer/core/people/skill"
)

// Somebody who makes twenty of thirty of a ball that their level makes half of makes more of a harder one, too.
func ExampleFit() {
	s, err := skill.Fit(context.Background(), []skill.Count{
		{Day: 1, Stroke: "forehand", Drill: "coin", Attempt: skill.Of(0.5), Made: 20, Tried: 30},
	}, nil)
	if err != nil {
		panic(err)
	}
	for _, drill := range []string{"coin", "a drill never played"} {
		chance := skill.Belief{Better: s.At("forehand", drill, 2, false), Attempt: skill.Of(0.3)}.Chance()
		fmt.Printf("%s: %.2f, likely %.2f to %.2f\n", drill, chance.Mean, chance.Low, chance.High)
	}
	// Output:
	// coin: 0.43, likely 0.27 to 0.59
	// a drill never played: 0.41, likely 0.22 to 0.61
}
