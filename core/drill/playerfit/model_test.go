package playerfit_test

import (
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/internal/golden"
)

// How hard attempts were is kept under the number of the model: whoever changes what it makes of the library raises the
// number with it, or what was kept would stand beside what is asked now.
func TestAnotherModelHasAnotherNumber(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	fmt.Fprintln(&b, "model", playerfit.Model)
	for _, stored := range library.All() {
		d := stored.Document
		known, err := playerfit.Know(
			t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), d.Written(), coach.Default(),
		)
		require.NoError(t, err)
		for i, tried := range known.Tried {
			fmt.Fprintf(&b, "%s %d: %s %.2f\n", d.Name, i+1, tried.Stroke, tried.OfLevel())
		}
	}
	kept, err := os.ReadFile("testdata/model.txt")
	if number, _, _ := strings.Cut(b.String(), "\n"); err == nil && strings.HasPrefix(string(kept), number+"\n") {
		require.Equal(t, string(kept), b.String(), "what the model makes changed: raise playerfit.Model")
	}
	golden.Same(t, "model.txt", b.String())
}
