package library_test

var sheets = []sheet{
	{"a duel of 10 against 5", "Ten for Five", "AB", `
		N -> 1-0, feeds near
		F -> 1-1, feeds far
		N -> 2-1, feeds far
		N -> 3-1, feeds near
		N -> 4-1
		F -> 4-2
		N -> 5-2
		F -> 5-3
		N -> 6-3
		N -> 7-3
		N -> 8-3
		F -> 8-4
		N -> 9-4, over no
		F -> 9-5, over far`},
	{"the net is taken and held, five rallies a round", "Hold the Line", "ABCDEF", `
		N -> 0-0, scored false, spots ABCDEF, net near
		N -> 0-0
		F -> 0-0, net far
		N -> 0-0
		N -> 0-0, scored true, spots FABCDE, net near, own 0 0 0 0 0 0
		N -> 1-0, own 1 1 0 0 0 1, net near
		F -> 1-1, own 1 1 1 1 1 1, net far
		F -> 1-2, own 1 1 2 2 2 1, net far
		N -> 2-2, own 2 2 2 2 2 2, net near
		N -> 3-2, own 3 3 2 2 2 3, spots EFABCD
		F -> 3-3, own 3 4 3 3 2 3
		F -> 3-4, own 3 5 4 4 2 3, net far
		time -> 3-4, over B`},
	{"four serves each, then from the other side of the middle", "Four and Four", "AB", `
		N -> 1-0, feeds near, box right
		fault -> 1-0
		N -> 2-0, feeds near
		fault -> 2-0
		fault -> 2-1, feeds near
		F -> 2-2, feeds far, box right, feeder B
		F -> 2-3
		F broke 0 -> 3-3
		N -> 4-3
		N -> 5-3, feeds near, box left
		N -> 6-3
		N -> 7-3
		again -> 7-3
		F -> 7-4
		N -> 8-4, feeds far, box left
		N -> 9-4
		N -> 10-4, over no
		N -> 11-4, over near`},
	{"a short feed that is fed again when it is deep", "Come and Get It", "AB", `
		again -> 0-0, feeds near
		N -> 1-0
		again -> 1-0
		again -> 1-0
		F -> 1-1
		N -> 2-1
		N -> 3-1, feeds far, feeder B
		F -> 3-2
		F -> 3-3
		F -> 3-4
		F -> 3-5, feeds near
		N -> 4-5
		N -> 5-5
		time -> 5-5, over `},
	{"serve and next shot, and the rally", "Serve, Then One More", "AB", `
		N two -> 0-0
		N -> 2-0, feeds near
		N two -> 2-0
		F -> 3-1, feeds far
		F ace -> 3-2
		F missed -> 4-2, feeds near, box left
		fault -> 4-2
		fault -> 4-3
		N missed -> 4-4, feeds far
		again -> 4-4
		F two -> 4-4
		again -> 4-4
		N -> 5-4, over near
		undo -> 4-4, over no
		undo -> 4-4
		F -> 4-6, over far
		undo -> 4-4
		redo -> 4-6, over far
		undo -> 4-4
		undo -> 4-4
		undo -> 4-4
		undo -> 4-3
		N two -> 4-3
		F -> 5-4, over near
		undo -> 4-3
		undo -> 4-3
		N broke 0 -> 4-4
		F -> 4-5, over far`},
	{"little matches of three, swept and not", "Three Openings", "AB", `
		N -> 0-0, ball volley, feeds near
		N -> 0-0, ball overhead
		N -> 2-0, ball second serve, feeds far
		F -> 2-0
		N -> 2-0
		F -> 2-1, feeds near
		N -> 2-1
		F -> 2-1
		N -> 3-1, feeds far
		F -> 3-1
		F -> 3-1
		F -> 3-3
		N -> 3-3
		N -> 3-3
		F -> 4-3, over no
		N -> 4-3
		F -> 4-3
		N -> 5-3, over near`},
	{"two against two, double with both in the box", "Both Feet In", "ABCD", `
		N -> 1-0, feeder A
		F in -> 1-2, feeder B
		N -> 2-2, feeder B
		F broke 0 -> 3-2, feeder C, feeds far
		again -> 3-2
		F -> 3-3, feeder C
		N -> 4-3, feeder D
		undo -> 3-3, feeder C
		F broke 0 -> 4-3, feeder D
		F -> 4-4
		undo -> 4-3
		undo -> 3-3
		undo -> 3-2
		N broke 0 -> 3-3
		F -> 3-4, feeder D
		N -> 4-4, feeder D
		F in -> 4-6, over far`},
	{"a soft game with cones worth three", "Soft and Sharp", "AB", `
		N -> 1-0, feeds far
		N -> 2-0, feeds far
		F cone -> 2-3, feeds near
		N broke 0 -> 2-4
		N cone -> 5-4, feeds far
		F -> 5-5, feeds near
		F cone -> 5-8
		N -> 6-8
		N -> 7-8
		N -> 8-8
		F -> 8-9
		N cone -> 11-9, over near`},
	{"the third stroke is worth one, two ahead up to 15", "The Third Is Soft", "ABCD", `
		N third -> 0-0
		N -> 2-0, feeds near, feeder A
		N third -> 2-0
		F -> 3-1, feeds far, feeder C
		F -> 3-2, feeder C
		F third -> 3-2
		F -> 3-4, feeder C
		N -> 4-4, feeds near, feeder B
		N third -> 4-4
		N -> 6-4
		N third -> 6-4
		N -> 8-4
		N third -> 8-4
		N -> 10-4, over no
		F -> 10-5
		F -> 10-6
		F -> 10-7
		F third -> 10-7
		F -> 10-9
		F -> 10-10
		F -> 10-11, over no
		F -> 10-12, over far`},
	{"nobody steps back, every third rally from where they stand", "Only Forward", "AB", `
		N -> 1-0, stand false
		N -> 2-0, stand true
		F broke 1 -> 3-0, stand false
		N broke 1 -> 3-1, stand false, feeds far
		F -> 3-2, stand true
		F -> 3-3, stand false
		N broke 0 -> 3-4
		N -> 4-4, stand true, feeds near
		N -> 5-4
		N -> 6-4
		N -> 7-4
		F -> 7-5
		N -> 8-5
		N -> 9-5, over near`},
	{"who loses makes room for who waits", "Stay On", "ABCD", `
		N -> 1-0, own 1 0 0 0
		F -> 1-1, own 1 1 0 0
		N -> 2-1, own 2 1 0 0, spots AC, waits DB
		F -> 2-2, own 2 1 1 0
		F -> 2-3
		N -> 3-3, own 3 1 2 0, spots DC, waits BA
		N -> 4-3, own 3 1 2 1
		N -> 5-3
		N -> 6-3, own 3 1 2 3, spots DB, waits AC
		F -> 6-4, own 3 2 2 3
		N -> 7-4
		time -> 7-4, own 3 2 2 4, over D`},
	{"an error of one’s own costs a point", "One Lane", "AB", `
		N -> 1-0
		F own -> 2-0
		F -> 2-1
		F own -> 3-0
		F own -> 4-0, feeds near
		N own -> 3-1, feeds far
		N -> 4-1
		F broke 0 -> 5-1
		N -> 6-1
		N -> 7-1
		N -> 8-1
		F -> 8-2
		F own -> 9-1, over near`},
	{"a drill as a match", "Me Against the Drill", "A", `
		N -> 1-0
		F -> 1-1
		N -> 2-1
		N -> 3-1
		F -> 3-2
		N -> 4-2
		N -> 5-2
		N -> 6-2
		N -> 7-2
		N -> 8-2
		N -> 9-2
		N -> 10-2
		N -> 11-2, over near`},
	{"a serve with backspin, a long push, then free", "Under, Then Long", "AB", `
		N -> 1-0, feeds near
		N broke 0 -> 1-1, feeds far
		N broke 1 -> 1-2
		F -> 1-3, feeds near
		F broke 1 -> 2-3
		N -> 3-3, feeds far
		F -> 3-4
		N -> 4-4
		N -> 5-4
		N -> 6-4
		N -> 7-4
		N -> 8-4
		N -> 9-4
		N -> 10-4
		F -> 10-5
		N -> 11-5, over near`},
}
