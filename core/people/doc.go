// Package people holds who plays and who coaches: what is known of a student, what a coach chose for everything, how a
// player of a level runs and waits, and where a student stands on the ladder. In flow profiles and patterns; out flow
// routes, positions and advice.
package people
