package rotation_test

import (
	"fmt"

	"hodometer/core/drill/rotation"
)

func ExampleForm_Table() {
	// Four people on four spots for eight minutes, moved on every two.
	form := rotation.Form{
		Kind:  rotation.Spots,
		Every: 2,
		Spots: []rotation.Spot{{Name: "net"}, {Name: "left"}, {Name: "right"}, {Name: "feeds", Feeds: true}},
	}
	table := form.Table(4, 8*60, 0)
	fmt.Println(len(table.Rounds), "rounds.", table.Sentence)
	// Output:
	// 4 rounds. Everybody plays all of 8:00 min. 1 full cycle: everybody has every place equally often.
}
