package throwing

import "hodometer/core/sport/court"

// aliveEvery is how often a machine that may throw is told that somebody watches, in seconds.
const aliveEvery = 1.0

// Order is what a machine is started for.
type Order struct {
	On      On
	Watcher string // the page that watches
	Feed    Feed
	Program Program
	Planned int  // balls planned in the block; 0: not known, it goes on until it is told to stop
	One     bool // one ball only
}

// Station is a ball machine beside a lesson: what it is told, when it is stopped, and to whom its balls are thrown.
// Whatever is done returns what the machine is to be told. Times are seconds of any clock that goes on. It is for one
// user at a time.
type Station struct {
	Guard   Guard
	Booking Booking
	running bool    // the machine was told to throw one ball after the other
	began   bool    // and said that it does
	ones    int     // single balls that it was told to throw and has not
	alive   float64 // when it was told last that somebody watches
	program Program // that is loaded
	on      On      // for which
}

// load has a turn begin at its first ball.
func (s *Station) load() Command { return Command{Do: Load, Program: &s.program} }

// Start begins to throw in what is on; it returns why not, empty where it does.
func (s *Station) Start(start Order, now float64) (told []Command, why string) {
	start.Feed.To.Lesson, start.Feed.To.Block, start.Feed.To.Watcher = start.On.Lesson, start.On.Block, start.Watcher
	before := s.Booking.Tally
	left := start.Planned
	if before.Block == start.On.Block {
		left -= before.Thrown
	}
	if start.Planned > 0 && left <= 0 && !start.One {
		left = start.Planned // the planned ones are thrown: as many again are wanted
	}
	guard := s.Guard
	if why := guard.Start(start.On, start.Watcher, now); why != "" {
		return nil, why
	}
	if !start.One {
		s.Guard = guard
	}
	goesOn := s.Booking.Start(start.Feed)
	s.alive = now
	if !goesOn || s.on != start.On {
		s.program, s.on = start.Program, start.On
		told = append(told, s.load())
	}
	if start.One {
		s.ones++
		return append(told, Command{Do: One}), ""
	}
	s.running, s.began = true, false
	return append(told, Command{Do: Start, Balls: max(0, left)}), ""
}

// Heard takes in what a page says is on, and whose turn it made it; empty: as it was.
func (s *Station) Heard(watcher string, on On, next string, now float64) []Command {
	s.Guard.Heard(watcher, on, now)
	told := s.Pass(now)
	if _, mine := s.Guard.For(); mine == watcher && next != "" && s.Booking.Next(next) {
		told = append(told, s.load())
	}
	return told
}

// Known takes in what the program's own clock of a lesson says is on.
func (s *Station) Known(on On, now float64) []Command {
	s.Guard.Known(on)
	return s.Pass(now)
}

// Stop has nothing thrown any more, for a reason.
func (s *Station) Stop(why string, now float64) []Command {
	s.Guard.Stop(why)
	return s.Pass(now)
}

// Pass has the time go on.
func (s *Station) Pass(now float64) []Command {
	s.Guard.Pass(now)
	open, _ := s.Guard.Open()
	switch {
	case !open && s.running:
		s.running = false
		return []Command{{Do: Pause}}
	case open && s.running && now-s.alive >= aliveEvery:
		s.alive = now
		return []Command{{Do: Alive}}
	}
	return nil
}

// Said takes in what the machine says. It returns to whom a ball was thrown, nil for all else, and what the machine and
// an eye are to be told.
func (s *Station) Said(e Event, now float64) (to *To, machine, eye []Command) {
	switch e.Event {
	case Reported:
		s.began = s.began || e.Running
		if s.began && !e.Running {
			s.ended(e.Why)
		}
	case Empty:
		s.ended("the hopper is empty")
	case Jam:
		s.ones = 0
		s.ended("a ball is jammed")
	case Refused:
		s.ones = 0
		s.ended(e.Why)
	case Thrown:
		booked, aim := s.Booking.Thrown(e.N, now)
		to = &booked
		if aim != nil {
			eye = []Command{{Do: Watch, Ball: e.N, Aim: &court.Point{X: aim.Centre.X, Y: aim.Centre.Y}}}
		}
		if s.ones > 0 {
			s.ones--
			return to, nil, eye
		}
	}
	if open, _ := s.Guard.Open(); !open && (e.Event == Thrown || e.Event == Reported && e.Running) {
		machine = []Command{{Do: Pause}} // it throws though it must not
	}
	return to, machine, eye
}

// ended takes in that the machine stopped by itself.
func (s *Station) ended(why string) {
	if s.running {
		s.running = false
		s.Guard.Stop(why)
	}
}
