package handover

const aboutExports = `This is everything that was in Hodometer when it was exported.

documents/   each student, drill, game, lesson and game played as a file of its own (JSON),
             and your settings. A drill, a game or a lesson can be brought in by itself.
tables/      students, attendance and results, to be read by people and spreadsheet programs.
             They are made from the rest, and not read again.
data/        the tables of the file as they are (CSV), from which Hodometer makes it again.
             datapackage.json describes them, column by column (Frictionless Data Package).
             In them \N stands for nothing, \n for a new line, \\ for \, and a \ stands before what a
             spreadsheet program would take for a formula.
pictures/    the courts of your own drills.

To bring it in on another machine: on the page, Settings, Keeping it safe; or
  hodometer import FILE.zip

It holds all that is private: names, notes, what hurts. Passphrase, paired devices and addresses of
calendars that others read are not in it: they are set anew.
`

// abouts say what the tables are.
var abouts = map[string]string{
	"coach":           "The coach's settings",
	"student":         "Students",
	"drill":           "The coach's own drills",
	"game":            "The coach's own games",
	"lesson":          "Lessons",
	"played":          "Games that were played",
	"clock":           "How far lessons were run, and what was planned when they began",
	"closing":         "What the coach said of lessons at their end",
	"forecast":        "What was told of goals when lessons began, and what became of it",
	"remark":          "How engaged a student was in a lesson, and a remark",
	"ladder_position": "Rungs that students came to",
	"measure":         "What was counted of drills, as it was then",
	"attempt":         "Each time that a student was counted at a measure of a drill, with what was counted in short",
	"run":             "What one device counted of an attempt",
	"ball":            "Each tap of a run",
	"zone":            "Zones in which balls landed",
	"fault":           "Faults that were seen, by their words",
	"faulted":         "How often a fault was seen in an attempt",
	"act":             "What was done with lessons while they were run",
	"arrival":         "When something came in from a spreadsheet",
	"arrived":         "Students that came in together, and what they were before",
	"presence":        "Who was at lessons of before Hodometer",
	"calendar":        "Calendars whose bookings are read",
	"booking":         "Bookings of those calendars",
}

// aboutColumns say what columns are whose names do not.
var aboutColumns = map[string]string{
	"ball.key": "131072 times the key of its run, plus its number in it",
	"ball.at":  "Milliseconds since its run began",
	"ball.kind": "0 made, 1 missed, 2 a turn, 3 played again, 4 the one before taken back, 5 a rally, 6 a try on " +
		"the clock, 7 time was up, 8 a fault seen",
	"ball.choice": "0 right, 1 wrong",
	"ball.made": "Of a turn: made; of a miss: 0 net, 1 long, 2 wide; of a rally: strokes; of a try on the clock: " +
		"milliseconds; of a fault seen: its key",
	"ball.of":        "Of a turn: tried; of a rally: 1 where it was stopped",
	"ball.x":         "Where it landed: millimetres to the right of the middle of the court",
	"ball.y":         "Where it landed: millimetres from the middle of the court towards the far end",
	"attempt.at":     "Milliseconds since 1970 began, UTC",
	"attempt.last":   "When the last tap that stands was: milliseconds since 1970 began, UTC",
	"attempt.number": "Of the measure in its drill",
	"attempt.taps":   "That stand",
	"attempt.have":   "How far along the goal",
	"attempt.along":  "How far along the goal, in words",
	"attempt.unit":   "What made and missed count: 0 balls, 1 points, 2 sequences, 3 repetitions, 4 tries on the clock",
	"run.at":         "When it began: milliseconds since 1970 began, UTC",
	"clock.second":   "Of the lesson, where it was at the anchor",
	"clock.anchor":   "UTC",
	"clock.held":     "Seconds for which it stood still",
	"clock.planned":  "The lesson as it was when it began; JSON",
	"act.act":        "JSON",
	"arrived.before": "The student's document before; nothing for a new one",
}
