package template_test

import (
	"fmt"

	"hodometer/core/lesson/template"
	"hodometer/core/sport/court"
)

func ExampleTemplates() {
	t, _ := template.Suiting(6, 75, court.Tennis)
	fmt.Println(t.Name + ": " + t.For)
	// Output:
	// Group of six: Five to eight with one coach
}
