package say_test

import (
	"encoding/json"
	"fmt"

	"hodometer/core/basics/say"
)

func ExampleOf() {
	for tries := range 3 {
		fmt.Println(say.Of("standing.tries", tries, tries))
	}
	text, err := json.Marshal(say.Of("standing.in a row", 7))
	fmt.Println(string(text), err)
	// Output:
	// 0 of 0 tries
	// 1 of 1 try
	// 2 of 2 tries
	// {"say":"standing.in a row","with":[7],"words":"7 in a row"} <nil>
}
