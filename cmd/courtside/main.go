//go:build js && wasm

// Command courtside is core as it runs on a device without the network: one function, hodometerRun, that takes a
// question as JSON and answers it.
package main

import (
	"syscall/js"

	"hodometer/core/live/device"
)

func main() {
	js.Global().Set("hodometerRun", js.FuncOf(func(_ js.Value, args []js.Value) any {
		return string(device.Answer([]byte(args[0].String())))
	}))
	select {} // it is called from now on
}
