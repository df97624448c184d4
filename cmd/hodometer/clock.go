package main

import (
	"fmt"
	"time"
)

// clockLayout is how --now is written: day and time of the wall clock where the program runs.
const clockLayout = "2006-01-02T15:04:05"

// clock returns the clock of the program: the wall clock, or, where start is not empty, a clock that
// stands at start now and goes on from there. It returns an error where start cannot be read.
func clock(start string) (func() time.Time, error) {
	if start == "" {
		return time.Now, nil
	}
	at, err := time.ParseInLocation(clockLayout, start, time.Local)
	if err != nil {
		return nil, fmt.Errorf("--now %q cannot be read; write it as %s", start, clockLayout)
	}
	began := time.Now()
	return func() time.Time { return at.Add(time.Since(began)) }, nil
}
