// Package count holds the arithmetic of what is counted: taps added up, goals and how far along they are, how likely
// they are to be met, and players in order by their results. In flow counts and chances; out flow standings, odds and
// rankings. It knows no drill and no lesson.
package count
