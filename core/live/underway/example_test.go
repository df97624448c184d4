package underway_test

import (
	"context"
	"fmt"
	"time"

	"hodometer/core/live/underway"
	"hodometer/internal/sample"
)

func ExampleKit_Do() {
	d, in := sample.Hour()
	at := time.Date(2026, 3, 10, 16, 45, 0, 0, time.UTC)
	kit := underway.Kit{ID: "l", Document: d, Drills: in.Drills, People: in.People, Settings: in.Settings, At: at}
	act := underway.Act{ID: "a", At: at, Clock: &underway.ClockChange{Running: true}}
	if _, err := kit.Do(context.Background(), act); err != nil {
		panic(err)
	}
	fmt.Printf("a minute later it is at second %.0f\n", kit.Clock.At(at.Add(time.Minute)))
	// Output:
	// a minute later it is at second 60
}
