package runsheet_test

import (
	"context"
	"fmt"

	"hodometer/core/basics/units"
	"hodometer/core/lesson/runsheet"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

func ExampleCues() {
	d, in := sample.Hour()
	table, _, err := schedule.Make(context.Background(), d, in)
	if err != nil {
		panic(err)
	}
	for _, cue := range runsheet.Cues(d, table, in)[:3] {
		fmt.Println(units.TimeOfDay(d.Start, cue.Second), cue.Kind, cue.Text)
	}
	// Output:
	// 16:45 begin Body warm-up
	// 16:53 begin Ball warm-up
	// 16:53 say Forehand volleys
}
