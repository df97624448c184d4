package catalogue_test

import (
	"fmt"

	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
)

func ExampleSearch() {
	var all []catalogue.Entry
	for _, stored := range library.All() {
		all = append(all, catalogue.New(stored.ID, true, false, stored.Document, 0, stored.Levels))
	}
	for _, found := range catalogue.Search(all, catalogue.Query{Text: "bollards"}, catalogue.ByName, catalogue.Known{}) {
		fmt.Println(found.Document.Name)
	}
	// Output:
	// Bollards and a Volley
	// Bollards, Your Choice
	// Round the Bollards
}
