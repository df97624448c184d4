// Package people holds who plays and who coaches: what is known of a student, what a coach chose for everything, how a
// player of a level runs and waits, how good a player is at each stroke, and where a student stands on the ladder. In
// flow profiles, patterns and counts; out flow routes, positions, skill and advice.
package people
