package library_test

import (
	"fmt"

	"hodometer/core/drill/library"
)

func ExampleAll() {
	for _, stored := range library.All()[:3] {
		fmt.Println(stored.Document.Name, "–", stored.Document.Sport)
	}
	// Output:
	// Coin in the Corner – tennis
	// Last Stretch – tennis
	// In, Up and Over – tennis
}
