// Package exchange holds what comes in from others and goes out to them: tables of students, bookings of a club,
// patterns and rules as one line, single documents as files and codes, and words for those at home. In flow texts and
// cells as people have them; out flow documents, and what was not understood. Nothing else in core builds on it.
package exchange
