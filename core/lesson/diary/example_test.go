package diary_test

import (
	"fmt"

	"hodometer/core/lesson/diary"
)

func ExampleSlot_Clashes() {
	at := func(id, start string) diary.Slot {
		return diary.Slot{ID: id, Title: id, Date: "2026-03-10", Start: start, Minutes: 60, Students: []string{"ada"}}
	}
	fmt.Println(
		at("Pair", "16:00").Clashes([]diary.Slot{at("Squad", "16:30"), at("Late", "17:00")}, map[string]string{"ada": "Ada"}),
	)
	// Output:
	// [Overlaps with Squad, 16:30 to 17:30; Ada is in both.]
}
