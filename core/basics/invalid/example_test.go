package invalid_test

import (
	"fmt"

	"hodometer/core/basics/invalid"
)

func ExampleFields() {
	var wrong invalid.Fields
	wrong.Add("minutes", "a lesson lasts between %d and %d minutes", 5, 600)
	wrong.Under("students", invalid.Fields{{Path: "0", Message: "nobody has that name"}})
	fmt.Println(wrong.Err())
	// Output:
	// minutes: a lesson lasts between 5 and 600 minutes; students.0: nobody has that name
}
