// Package basics holds what every other room may use and what knows nothing of sport: how lengths and times are written
// and read, what is wrong with something that was typed, figures that carry how they came about, numbers from a seed,
// and a total shared out in steps. Nothing flows in; words, errors and derivations flow out.
package basics
