package shorthand_test

import (
	"fmt"

	"hodometer/core/exchange/shorthand"
	"hodometer/core/sport/sports"
)

func ExampleRead() {
	c, err := sports.Court("tennis")
	if err != nil {
		panic(err)
	}
	p, _, _, err := shorthand.Read("deep FH, short BH", c)
	if err != nil {
		panic(err)
	}
	fmt.Println(len(p.Tasks), "balls:", shorthand.Write(p))
	// Output:
	// 2 balls: FH [1.44 -9.51], BH [-1.44 -4.52]; by racket; 3.5 s; x1
}
