package calendar_test

import (
	"net/http"
	"net/http/httptest"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/calendar"
)

// An address speaks to its own host and port only: a redirection to any other, open or closed, is told in the same
// words.
func TestACalendarLeadsNowhereElse(t *testing.T) {
	t.Parallel()
	asked := 0
	other := httptest.NewServer(http.HandlerFunc(func(http.ResponseWriter, *http.Request) { asked++ }))
	t.Cleanup(other.Close)
	to := ""
	at := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		switch r.URL.Path {
		case "/away":
			http.Redirect(w, r, to, http.StatusFound)
		case "/within":
			http.Redirect(w, r, "/calendar", http.StatusFound)
		default:
			_, _ = w.Write([]byte("BEGIN:VCALENDAR"))
		}
	}))
	t.Cleanup(at.Close)
	text, err := calendar.Fetch(t.Context(), at.URL+"/within")
	require.NoError(t, err)
	require.Equal(t, "BEGIN:VCALENDAR", string(text))
	for _, to = range []string{other.URL, "http://127.0.0.1:1/", "https://example.com/", "file:///etc/passwd"} {
		_, err := calendar.Fetch(t.Context(), at.URL+"/away")
		require.EqualError(t, err, "this address leads to another one: connect that", to)
	}
	require.Zero(t, asked)
	require.True(t, calendar.OnThisMachine(at.URL))
	require.False(t, calendar.OnThisMachine("https://club.example/calendar.ics"))
}
