package paper

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/lesson/runsheet"
)

func TestACardSaysHowMuchMoreIsOnTheSheet(t *testing.T) {
	t.Parallel()
	section := runsheet.Section{}
	for _, after := range []string{"+0:00", "+2:00", "+4:00"} {
		section.Lines = append(
			section.Lines,
			runsheet.Line{
				After:   after,
				Text:    "Change",
				Entries: []runsheet.Entry{{Name: "net", Text: "Ada"}, {Name: "back", Text: "Bo"}},
			},
		)
	}
	all := strings.Join((&sheet{size: A4}).lines(section), "\n")
	require.Equal(
		t,
		"+0:00  Change: net: Ada; back: Bo\n+2:00  Change: net: Ada; back: Bo\n+4:00  Change: net: Ada; back: Bo",
		all,
	)
	require.Contains(t, (&sheet{size: A5}).lines(section)[1], "(+1 on A4)")
}
