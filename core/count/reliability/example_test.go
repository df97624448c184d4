package reliability_test

import (
	"fmt"

	"hodometer/core/count/reliability"
)

func ExampleOf() {
	fmt.Println(reliability.Of(some(0.8, 40, 22)).Sentence)
	// Output:
	// Of 40 goals 22 were met; about 32 would have been, by what was told: the program was too hopeful.
}
