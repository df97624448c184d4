package device_test

import (
	"fmt"

	"hodometer/core/live/device"
)

func ExampleAnswer() {
	fmt.Println(string(device.Answer([]byte(`{}`))))
	// Output:
	// {"error":"nothing is asked"}
}
