// Package sport holds what is given by a sport before anybody plays it: its court and the places on it, how its ball
// flies and bounces, how it is fed and struck, and how wide it can be played. In flow marks, areas and patterns as a
// coach puts them down; out flow points in metres, flights and balls with their times.
package sport
