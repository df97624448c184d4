package roster_test

import (
	"fmt"
	"time"

	"hodometer/core/exchange/roster"
)

func ExampleRead() {
	rows := [][]string{{"Name", "Birthday", "Racket hand"}, {"Okoro, Ben", "14.11.2009", "L"}}
	read := roster.Read(roster.Asked{Rows: rows}, nil, time.Date(2026, 3, 10, 0, 0, 0, 0, time.UTC))
	p := read.Rows[0].Profile
	fmt.Println(p.Name, p.Age, p.Hand)
	// Output:
	// Ben Okoro 14 to 17 left
}
