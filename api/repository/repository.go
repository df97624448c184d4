// Package repository reads what is stored as core needs it – a lesson with its people and their rates, a student's way,
// a drill as one player plays it – and saves what came in. All rooms of the desk, of courtside and of the exchange
// stand on it.
package repository

import (
	"time"

	"hodometer/store"
)

// Repository is what is stored, and what is remembered of it.
type Repository struct {
	Store *store.Store
	Now   func() time.Time // the clock on the wall, in the coach's zone

	practice practice
	known    known
	fitted   fitted
	index    drillIndex
}

// New reads and saves what is in a store.
func New(from *store.Store, now func() time.Time) *Repository {
	return &Repository{Store: from, Now: now}
}

// Today is the day it is, year-month-day.
func (s *Repository) Today() string { return s.Now().Format(time.DateOnly) }
