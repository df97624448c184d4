//go:build js && wasm

// Command courtside is core as it runs on a device without the network: one function, hodometerRun, that takes a kit and acts as JSON and
// answers what a coach sees then.
package main

import (
	"syscall/js"

	"hodometer/core/underway"
)

func main() {
	js.Global().Set("hodometerRun", js.FuncOf(func(_ js.Value, args []js.Value) any {
		return string(underway.Answer([]byte(args[0].String())))
	}))
	select {} // it is called from now on
}
