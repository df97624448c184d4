package roster_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/exchange/roster"
	"hodometer/internal/golden"
)

// TestWhatIsReadOfTables: clubs' tables of students and of who was there, in many hands and with many mistakes.
func TestWhatIsReadOfTables(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for _, rows := range [][][]string{
		table("Name|DOB|Sport|Level|Hand|Backhand|Goal|Note|Hurts", "Ada Fenn|14/05/2016|tennis|green|L|2|serve|shy|knee",
			"Ben Okoro|2014-11-02|Badminton|club|right|one|||", "cleo MARSH|31.02.2012|curling|expert|both|3|x|y|z", "|||||||||",
			"Dov|11.03.2026|squash|beginner|lefty|two-handed|||", "Eli|09.03.1890||||||", "Ada Fenn|14/05/2016|||||||"),
		table("Surname|First name|Age group|Born", "Fenn|Ada|U10|05/14/2016", "Okoro|Ben|adult|13/02/1999",
			"Marsh|Cleo|60+|1/2/1955"),
		table("First|Last|Year", "Ada|Fenn|2016", "Ben||14", "|Marsh|1800"),
		table("Name", "Ada", "Ben", "Ada"),
		table("a|b|c", "1|2|3"),
		table(strings.Repeat("x", 300)+"|Age", "Ada|"+strings.Repeat("9", 200)),
		{},
	} {
		for _, heading := range []roster.Heading{"", roster.HasHeading, roster.NoHeading} {
			got := roster.Read(roster.Asked{Rows: rows, First: heading}, here, today)
			fmt.Fprintln(&b, golden.Line(t, got, 1))
		}
	}
	for _, rows := range [][][]string{
		table("Name|3.3.2026|10.3.2026|17.3.2026|1.1.1999", "Ada Fenn|x|late|x|x", "okoro, ben|-|✓||",
			"Cleo||sick|e|", "Ben Okoro|x|x|x|"),
		table("Name|Date|Lesson|Came", "Ada Fenn|2026-03-03|Juniors|yes",
			"Ben Okoro|03.03.2026|"+strings.Repeat("ä", 90)+"|no",
			"Ada Fenn|2026-03-11|Juniors|yes", "Ada Fenn|2026-03-10|Juniors|maybe", "|2026-03-10|Juniors|yes",
			"Zoe|2026-03-10||l"),
		table("Name|Date", "Ada Fenn|2026-03-03", "Ben Okoro|soon", "Ada Fenn|2026-03-03"),
		table("First name|Last name|2026-03-02|2026-03-09", "Ada|Fenn|1|0", "Ben|Okoro|was there|absent", "Ben|Okoro|ok|n"),
		table("Name|x|y", "Ada|1|2"), {},
	} {
		for _, order := range append([]any{roster.DayOrder("")}, roster.DayOrder("").Enum()...) {
			got, err := roster.ReadAttendance(roster.AttendanceAsked{Rows: rows, Dates: order.(roster.DayOrder)}, here,
				func(p roster.Presence) bool { return p.Day == "2026-03-02" }, today)
			fmt.Fprintln(&b, golden.Line(t, got, 1), err)
		}
	}
	for _, text := range []string{"Ästhetik", "  O’Brien-Smith ", "ŁÓDŹ", "straße", "Señor  Ñ", "ⅷ", "x\u0301"} {
		fmt.Fprintf(&b, "%q %q\n", text, roster.Fold(text))
	}
	golden.Same(t, "tables.txt", b.String())
}
