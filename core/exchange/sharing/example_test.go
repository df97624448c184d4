package sharing_test

import (
	"fmt"

	"hodometer/core/drill/library"
	"hodometer/core/exchange/sharing"
)

func ExampleWrite() {
	stored := library.All()[0]
	text, err := sharing.Write(sharing.Drill, stored.ID, stored.Document)
	if err != nil {
		panic(err)
	}
	piece, err := sharing.Read(text)
	if err != nil {
		panic(err)
	}
	fmt.Println(piece.Hodometer, piece.Name(), piece.Version())
	// Output:
	// drill Coin in the Corner 4
}
