package offer_test

import (
	"context"
	"fmt"

	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/offer"
	"hodometer/core/people/coach"
)

func ExampleFind() {
	var drills []catalogue.Entry
	for _, stored := range library.All() {
		drills = append(drills, catalogue.New(stored.ID, true, false, stored.Document, 0, stored.Levels))
	}
	offers, err := offer.Find(context.Background(), offer.Asked{Text: "water", Drills: drills, Settings: coach.Default()})
	if err != nil {
		panic(err)
	}
	fmt.Println(offers[0].Kind, offers[0].Title)
	// Output:
	// block Water
}
