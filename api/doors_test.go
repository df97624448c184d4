package api_test

import (
	"hodometer/internal/long"

	"encoding/json"
	"fmt"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/access"
	"hodometer/api"
	"hodometer/api/courtside"
	"hodometer/api/desk"
	"hodometer/api/door"
	"hodometer/api/exchange"
	"hodometer/api/request"
	"hodometer/equipment"
	"hodometer/store"
)

const secret = "seventeen herons under glass"

// browser comes to a door of a club, and keeps its cookies.
type browser struct {
	*club
	door    http.Handler
	cookies map[string]string
}

func (b *browser) ask(method, path string, body any, headers ...string) *httptest.ResponseRecorder {
	var list []string
	for name, value := range b.cookies {
		list = append(list, name+"="+value)
	}
	at := *b.club
	at.http = b.door
	w := at.ask(method, path, body, append(headers, "Cookie", strings.Join(list, "; "))...)
	for _, cookie := range w.Result().Cookies() {
		b.cookies[cookie.Name] = cookie.Value
		if cookie.MaxAge < 0 {
			delete(b.cookies, cookie.Name)
		}
	}
	return w
}

// house is a club with both doors, the network's one open or not.
func house(t *testing.T, open bool) (machine, network func() *browser, c *club) {
	s, err := store.Open(t.Context(), filepath.Join(t.TempDir(), "club.db"), nil)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	c = &club{t: t, store: s, now: time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)}
	o := api.Options{
		Store: s,
		Now:   func() time.Time { return c.now },
		Log:   slog.New(slog.NewTextHandler(&c.log, nil)),
		Pages: fstest.MapFS{"index.html": {Data: []byte("<title>Hodometer</title>")}, "assets/secret.js": {}},
	}
	if open {
		authority, err := access.OpenAuthority(t.TempDir(), time.Now())
		require.NoError(t, err)
		o.Network = &door.Network{
			Addresses: func() []string { return []string{"https://192.168.1.20:7443"} },
			Authority: authority,
		}
	}
	doors, err := api.New(o)
	require.NoError(t, err)
	t.Cleanup(doors.Closing)
	come := func(door http.Handler) func() *browser {
		return func() *browser { return &browser{club: c, door: door, cookies: map[string]string{}} }
	}
	return come(doors.Machine), come(doors.Network), c
}

// set sets a passphrase.
func (b *browser) set(old, secret string) door.Status {
	return read[door.Status](b.t, b.ask("PUT", "/api/passphrase", door.NewPassphrase{Old: old, New: secret}))
}

// paired lets a device in.
func paired(t *testing.T, coach, device *browser, name string) {
	t.Helper()
	code := read[door.PairingCode](t, coach.ask("POST", "/api/pairing", nil))
	state := read[door.Status](
		t,
		device.ask("POST", "/api/pairing/device", door.PairingAsked{Code: code.Code, Name: name}),
	)
	require.Equal(t, door.NeedsNothing, state.Needs)
}

// Every line of the route table, and everything beside it, is refused to who may not use it.
func TestEveryRouteIsForWhoItIs(t *testing.T) {
	t.Parallel()
	machine, network, _ := house(t, true)
	coach, phone := machine(), network()
	coach.set("", secret)
	paired(t, coach, phone, "my phone")
	type line struct{ method, path string }
	lines := map[line]string{}
	for _, r := range api.RouteTable() {
		lines[line{r.Method, strings.NewReplacer(":id", newID(), ":kind", "drills", ":name",
			"drill").Replace(r.Path)}] = map[request.Right]string{request.WhoIsIn: "who is in", request.Anybody: "anybody",
			request.CoachOnly: "the coach"}[r.Right()]
	}
	for _, path := range []string{"/api/openapi.json", "/api/notices", "/api/schemas/drill", "/api/lessons/" + newID() +
		"/sheet.pdf", "/api/stored/drill/" + newID(), "/api/nothing"} {
		lines[line{"GET", path}] = "who is in"
	}
	lines[line{"GET", "/api/authority.crt"}] = "anybody"
	require.Greater(t, len(lines), 60)
	open := 0
	for l, who := range lines {
		name := fmt.Sprint(l)
		at := func(b *browser) int {
			w := httptest.NewRecorder()
			r := httptest.NewRequestWithContext(t.Context(), l.method, "http://localhost:7420"+l.path, strings.NewReader("{"))
			r.Header.Set("Content-Type", "application/json")
			for cookie, value := range b.cookies {
				r.AddCookie(&http.Cookie{Name: cookie, Value: value})
			}
			b.door.ServeHTTP(w, r)
			return w.Code
		}
		refused := []int{http.StatusUnauthorized, http.StatusForbidden}
		stranger := map[string]int{"anybody": 0, "who is in": http.StatusUnauthorized,
			"the coach": http.StatusUnauthorized}[who]
		outside := map[string]int{"anybody": 0, "who is in": http.StatusUnauthorized, "the coach": http.StatusForbidden}[who]
		if who == "anybody" {
			open++
			continue
		}
		require.Equal(t, stranger, at(machine()), "%s at the machine, not let in", name)
		require.Equal(t, outside, at(network()), "%s from a device that is not paired", name)
		if who == "the coach" {
			require.Equal(t, http.StatusForbidden, at(phone), "%s from a paired device", name)
			continue
		}
		if l.method == http.MethodDelete && l.path == "/api/entry" || l.path == "/api/equipment/events" {
			continue // ends the session; waits for what comes
		}
		require.NotContains(t, refused, at(phone), "%s from a paired device", name)
		require.NotContains(t, refused, at(coach), "%s from the coach", name)
	}
	require.Equal(t, 4, open, "the door, entering, pairing, the certificate: nothing else is for anybody")
}

func TestWithoutAPassphraseTheMachineIsOpenAndTheNetworkIsNot(t *testing.T) {
	t.Parallel()
	machine, network, _ := house(t, true)
	coach, phone := machine(), network()
	require.Equal(t, door.Status{Coach: true, Network: true}, read[door.Status](t, coach.ask("GET", "/api/door", nil)))
	read[[]desk.Student](t, coach.ask("GET", "/api/students", nil))
	require.Equal(t, door.NeedsPairing, read[door.Status](t, phone.ask("GET", "/api/door", nil)).Needs)
	readProblem(t, phone.ask("GET", "/api/students", nil), http.StatusUnauthorized)
	refused := readProblem(t, coach.ask("POST", "/api/pairing", nil), http.StatusConflict)
	require.Contains(t, refused.Detail, "Set a passphrase first")

	alone, _, _ := house(t, false)
	coach = alone()
	coach.set("", secret)
	refused = readProblem(t, coach.ask("POST", "/api/pairing", nil), http.StatusConflict)
	require.Contains(t, refused.Detail, "--lan")
	require.False(t, coach.set(secret, "").Passphrase, "without other devices it can be taken away")
	readProblem(t, coach.ask("GET", "/api/authority.crt", nil), http.StatusNotFound)
}

func TestThePassphraseLetsTheCoachIn(t *testing.T) {
	t.Parallel()
	machine, _, c := house(t, true)
	coach, other := machine(), machine()
	wrong := readProblem(
		t,
		coach.ask("PUT", "/api/passphrase", door.NewPassphrase{New: "too short"}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "new", wrong.Fields[0].Path)
	state := coach.set("", secret)
	require.Equal(t, door.Status{Coach: true, Passphrase: true, Network: true}, state)

	readProblem(t, other.ask("GET", "/api/students", nil), http.StatusUnauthorized)
	wrong = readProblem(
		t,
		other.ask("POST", "/api/entry", door.Entering{Passphrase: "something else entirely"}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "passphrase", wrong.Fields[0].Path)
	other.cookies["hodometer"] = "planted"
	require.Equal(
		t,
		door.NeedsNothing,
		read[door.Status](t, other.ask("POST", "/api/entry", door.Entering{Passphrase: secret})).Needs,
	)
	require.NotEqual(t, "planted", other.cookies["hodometer"], "a new token for whoever comes in")
	read[[]desk.Student](t, other.ask("GET", "/api/students", nil))

	// A new one ends all other sessions, and the old one is asked for.
	wrong = readProblem(
		t,
		other.ask("PUT", "/api/passphrase", door.NewPassphrase{Old: "not this", New: "another good passphrase"}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "old", wrong.Fields[0].Path)
	c.now = c.now.Add(time.Minute)
	coach.set(secret, "another good passphrase")
	read[[]desk.Student](t, coach.ask("GET", "/api/students", nil))
	readProblem(t, other.ask("GET", "/api/students", nil), http.StatusUnauthorized)
	wrong = readProblem(
		t,
		coach.ask("PUT", "/api/passphrase", door.NewPassphrase{Old: "another good passphrase"}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "new", wrong.Fields[0].Path, "with other devices one is needed")

	// Leaving ends the session itself, not only the cookie.
	kept := map[string]string{"hodometer": coach.cookies["hodometer"]}
	require.Equal(t, door.NeedsPassphrase, read[door.Status](t, coach.ask("DELETE", "/api/entry", nil)).Needs)
	coach.cookies = kept
	readProblem(t, coach.ask("GET", "/api/students", nil), http.StatusUnauthorized)
}

func TestSessionsEnd(t *testing.T) {
	t.Parallel()
	machine, network, c := house(t, true)
	coach, phone := machine(), network()
	coach.set("", secret)
	paired(t, coach, phone, "my phone")
	in := func(b *browser) bool {
		return read[door.Status](t, b.ask("GET", "/api/door", nil)).Needs == door.NeedsNothing
	}
	// As long as somebody is there they stay in, up to a limit.
	for day := 0.0; day < 29.5; day += 0.4 {
		require.True(t, in(coach), "after %g days", day)
		require.True(t, in(phone), "after %g days", day)
		c.now = c.now.Add(9*time.Hour + 36*time.Minute)
	}
	c.now = c.now.Add(12 * time.Hour)
	require.False(t, in(coach), "thirty days are over")
	require.True(t, in(phone))
	read[door.Status](t, coach.ask("POST", "/api/entry", door.Entering{Passphrase: secret}))
	c.now = c.now.Add(12*time.Hour - time.Second)
	require.True(t, in(coach))
	c.now = c.now.Add(12 * time.Hour)
	require.False(t, in(coach), "nobody was there for half a day")
	c.now = c.now.Add(29*24*time.Hour + 12*time.Hour)
	require.False(t, in(phone), "it was away for thirty days")

	read[door.Status](t, coach.ask("POST", "/api/entry", door.Entering{Passphrase: secret}))
	other := network()
	paired(t, coach, other, "the other one")
	for range 9 {
		require.True(t, in(other))
		c.now = c.now.Add(20 * 24 * time.Hour)
	}
	require.False(t, in(other), "half a year is over")
}

func TestDevicesAreNamedAndTakenOut(t *testing.T) {
	t.Parallel()
	machine, network, c := house(t, true)
	coach, first, second := machine(), network(), network()
	coach.set("", secret)
	paired(t, coach, first, "my phone")
	c.now = c.now.Add(10 * time.Minute)
	paired(t, coach, second, "the club’s tablet")
	c.now = c.now.Add(10 * time.Minute)
	read[[]desk.Student](t, first.ask("GET", "/api/students", nil))
	list := read[door.Devices](t, coach.ask("GET", "/api/devices", nil))
	require.Len(t, list.Devices, 2)
	require.Equal(t, "the club’s tablet", list.Devices[0].Name)
	require.Equal(t, c.now, list.Devices[1].Seen)
	require.Len(t, list.Fingerprint, 95)

	coach.ask("DELETE", "/api/devices/"+list.Devices[1].ID, nil)
	readProblem(t, first.ask("GET", "/api/students", nil), http.StatusUnauthorized)
	read[[]desk.Student](t, second.ask("GET", "/api/students", nil))
	readProblem(t, coach.ask("DELETE", "/api/devices/"+list.Devices[1].ID, nil), http.StatusNotFound)

	// With a new passphrase all of them can be put out at once.
	read[door.Status](
		t,
		coach.ask("PUT", "/api/passphrase", door.NewPassphrase{Old: secret, New: "another good passphrase", Devices: true}),
	)
	readProblem(t, second.ask("GET", "/api/students", nil), http.StatusUnauthorized)
	require.Empty(t, read[door.Devices](t, coach.ask("GET", "/api/devices", nil)).Devices)
}

func TestACodeForPairingIsGuessedByNobody(t *testing.T) {
	t.Parallel()
	machine, network, c := house(t, true)
	coach := machine()
	coach.set("", secret)
	code := read[door.PairingCode](t, coach.ask("POST", "/api/pairing", nil))
	require.Equal(t, "https://192.168.1.20:7443", code.Addresses[0].Address)
	seen := read[door.Devices](t, coach.ask("GET", "/api/devices", nil))
	require.True(t, seen.Until.Equal(code.Until), "that it goes is seen")
	require.Zero(t, seen.Unheard)
	feed := read[exchange.Feed](t, coach.ask("POST", "/api/feeds", exchange.FeedAsked{Name: "my phone"}))
	require.Equal(t, []string{"https://192.168.1.20:7443" + feed.Path}, feed.Ways, "an address that a phone reaches")
	for _, row := range code.Addresses[0].QR {
		require.Len(t, row, len(code.Addresses[0].QR))
	}
	nameless := readProblem(
		t,
		network().ask("POST", "/api/pairing/device", door.PairingAsked{Code: code.Code, Name: " "}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "name", nameless.Fields[0].Path)
	statuses := map[int]int{}
	for range 40 {
		statuses[network().ask("POST", "/api/pairing/device", door.PairingAsked{Code: "22222-22222", Name: "x"}).Code]++
	}
	require.Equal(t, map[int]int{http.StatusUnprocessableEntity: 10, http.StatusTooManyRequests: 30}, statuses)
	require.Equal(
		t,
		1,
		read[door.Devices](t, coach.ask("GET", "/api/devices", nil)).Unheard,
		"a code that is dead for a phone is told",
	)
	// the coach comes in all the same
	read[door.Status](t, machine().ask("POST", "/api/entry", door.Entering{Passphrase: secret}))
	c.now = c.now.Add(time.Minute)
	late := readProblem(
		t,
		network().ask("POST", "/api/pairing/device", door.PairingAsked{Code: code.Code, Name: "x"}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "code", late.Fields[0].Path, "after ten wrong ones that address is heard no more")

	code = read[door.PairingCode](t, coach.ask("POST", "/api/pairing", nil))
	c.now = c.now.Add(access.CodeLasts)
	readProblem(
		t,
		network().ask("POST", "/api/pairing/device", door.PairingAsked{Code: code.Code, Name: "x"}),
		http.StatusUnprocessableEntity,
	)
	code = read[door.PairingCode](t, coach.ask("POST", "/api/pairing", nil))
	coach.ask("DELETE", "/api/pairing", nil)
	readProblem(
		t,
		network().ask("POST", "/api/pairing/device", door.PairingAsked{Code: code.Code, Name: "x"}),
		http.StatusUnprocessableEntity,
	)
}

func TestCookiesAreForNobodyElse(t *testing.T) {
	t.Parallel()
	machine, network, c := house(t, true)
	coach := machine()
	w := coach.ask("PUT", "/api/passphrase", door.NewPassphrase{New: secret})
	code := read[door.PairingCode](t, coach.ask("POST", "/api/pairing", nil))
	p := network().ask("POST", "/api/pairing/device", door.PairingAsked{Code: code.Code, Name: "my phone"})
	for _, each := range []struct {
		answer *httptest.ResponseRecorder
		name   string
		secure bool
	}{{w, "hodometer", false}, {p, "__Host-hodometer", true}} {
		cookies := each.answer.Result().Cookies()
		require.Len(t, cookies, 1)
		cookie := cookies[0]
		require.Equal(t, each.name, cookie.Name)
		require.True(t, cookie.HttpOnly)
		require.Equal(t, each.secure, cookie.Secure)
		require.Equal(t, http.SameSiteStrictMode, cookie.SameSite)
		require.Equal(t, "/", cookie.Path)
		require.Empty(t, cookie.Domain)
		require.GreaterOrEqual(t, len(cookie.Value), 43, "32 bytes of chance")
		for _, kind := range []string{"machine", "network"} {
			_, found, err := store.Sessions{Store: c.store, Kind: kind}.FindCtx(t.Context(), cookie.Value)
			require.NoError(t, err)
			require.False(t, found, "the file has only a hash of it")
		}
	}
	require.NotContains(t, c.log.String(), secret)
	require.NotContains(t, c.log.String(), code.Code)
}

func TestNothingIsToldToStrangers(t *testing.T) {
	t.Parallel()
	_, network, _ := house(t, true)
	ask := func(method, path string) *httptest.ResponseRecorder {
		w := httptest.NewRecorder()
		network().door.ServeHTTP(w, httptest.NewRequestWithContext(t.Context(), method, "http://localhost:7420"+path, nil))
		return w
	}
	for _, path := range []string{"/assets", "/assets/", "/.git/config", "/../index.html"} {
		w := ask("GET", path)
		require.NotEqual(t, http.StatusOK, w.Code, path)
		require.NotContains(t, w.Body.String(), "secret.js", path)
	}
	require.NotEqual(t, http.StatusOK, ask("TRACE", "/").Code)
	for _, path := range []string{"/api/about", "/api/notices", "/api/openapi.json"} {
		require.Equal(t, http.StatusUnauthorized, ask("GET", path).Code, path)
	}
	page := ask("GET", "/")
	require.Equal(t, http.StatusOK, page.Code)
	require.Contains(t, page.Header().Get("Content-Security-Policy"), "default-src 'self'")
	require.Equal(t, "nosniff", page.Header().Get("X-Content-Type-Options"))
	require.Equal(t, "no-referrer", page.Header().Get("Referrer-Policy"))
	require.Empty(t, page.Header().Get("Server"))
}

// A device's token is no key to the machine's door, nor the coach's to the network's: one kind of session is never the
// other, also once it was taken out.
func TestATokenOpensItsOwnDoorOnly(t *testing.T) {
	t.Parallel()
	machine, network, _ := house(t, true)
	coach, phone := machine(), network()
	coach.set("", secret)
	paired(t, coach, phone, "my phone")
	thief, turned := machine(), network()
	thief.cookies["hodometer"] = phone.cookies["__Host-hodometer"]
	turned.cookies["__Host-hodometer"] = coach.cookies["hodometer"]
	for _, path := range []string{"/api/students", "/api/devices"} {
		readProblem(t, thief.ask("GET", path, nil), http.StatusUnauthorized)
	}
	readProblem(t, turned.ask("GET", "/api/students", nil), http.StatusUnauthorized)
	read[[]desk.Student](t, coach.ask("GET", "/api/students", nil))
	read[[]desk.Student](t, phone.ask("GET", "/api/students", nil))
	list := read[door.Devices](t, coach.ask("GET", "/api/devices", nil)).Devices
	stolen := phone.cookies["__Host-hodometer"]
	coach.ask("DELETE", "/api/devices/"+list[0].ID, nil)
	thief.cookies["hodometer"] = stolen
	readProblem(t, thief.ask("GET", "/api/students", nil), http.StatusUnauthorized)
}

// The clock of the machine is set back by a year: the right passphrase lets in, and keeps in; changing it ends all
// other sessions.
func TestAClockThatIsSetBackShutsNobodyOut(t *testing.T) {
	t.Parallel()
	machine, _, c := house(t, true)
	coach, other := machine(), machine()
	coach.set("", secret)
	c.now = c.now.AddDate(-1, 0, 0)
	read[door.Status](t, other.ask("POST", "/api/entry", door.Entering{Passphrase: secret}))
	read[[]desk.Student](t, other.ask("GET", "/api/students", nil))
	c.now = c.now.AddDate(0, 0, -1)
	other.set(secret, "another good passphrase")
	read[[]desk.Student](t, other.ask("GET", "/api/students", nil))
	readProblem(t, coach.ask("GET", "/api/students", nil), http.StatusUnauthorized)
}

// A device that is taken out while it waits for what devices say hears nothing more.
func TestWhoIsTakenOutHearsNothingMore(t *testing.T) {
	t.Parallel()
	machine, network, _ := house(t, true)
	coach, phone := machine(), network()
	coach.set("", secret)
	paired(t, coach, phone, "my phone")
	seq := read[equipment.Equipment](t, coach.ask("POST", "/api/equipment/machine/simulated", courtside.Simulating{})).Seq
	waits := make(chan *httptest.ResponseRecorder)
	go func() { waits <- phone.ask("GET", fmt.Sprintf("/api/equipment/events?after=%d", seq+100), nil) }()
	time.Sleep(50 * time.Millisecond) // it may wait by now; either way it is told nothing
	<-waits
	go func() { waits <- phone.ask("GET", "/api/equipment/events?after=-1", nil) }()
	time.Sleep(50 * time.Millisecond)
	list := read[door.Devices](t, coach.ask("GET", "/api/devices", nil)).Devices
	coach.ask("DELETE", "/api/devices/"+list[0].ID, nil)
	coach.ask("DELETE", "/api/equipment/machine", nil)
	readProblem(t, <-waits, http.StatusUnauthorized)
}

// What is private is for this page only, and whatever is refused, wherever, is refused as a problem.
func TestEveryRefusalIsAProblem(t *testing.T) {
	t.Parallel()
	machine, network, _ := house(t, true)
	machine().set("", secret)
	for name, w := range map[string]*httptest.ResponseRecorder{
		"not let in":          network().ask("GET", "/api/students", nil),
		"a page of elsewhere": machine().ask("POST", "/api/entry", door.Entering{}, "Origin", "https://evil.example"),
		"no such page":        network().ask("GET", "/api/nothing", nil),
		"a long story": network().ask("POST", "/api/pairing/device",
			door.PairingAsked{Code: strings.Repeat("x", 5000)}),
	} {
		require.GreaterOrEqual(t, w.Code, 400, name)
		require.Equal(t, "application/problem+json", w.Header().Get("Content-Type"), name)
		require.True(t, json.Valid(w.Body.Bytes()), name)
	}
	w := httptest.NewRecorder()
	r := httptest.NewRequestWithContext(t.Context(), "GET", "http://evil.example/api/students", nil)
	machine().door.ServeHTTP(w, r)
	require.Equal(t, http.StatusMisdirectedRequest, w.Code)
	require.Equal(t, "application/problem+json", w.Header().Get("Content-Type"))
	require.Equal(t, "same-origin", machine().ask("GET", "/api/door", nil).Header().Get("Cross-Origin-Resource-Policy"))
}

// Another device finds out nothing of the ports of the machine: it joins what is usual, or what was joined at the
// machine.
func TestADeviceFindsNoPorts(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	machine, network, _ := house(t, true)
	coach, phone := machine(), network()
	coach.set("", secret)
	paired(t, coach, phone, "my phone")
	open := httptest.NewServer(http.NotFoundHandler())
	t.Cleanup(open.Close)
	at := strings.TrimPrefix(open.URL, "http://")
	told := map[string]bool{}
	for _, address := range []string{at, "127.0.0.1:1"} {
		told[readProblem(t, phone.ask("PUT", "/api/equipment/machine", courtside.Joining{Address: address}),
			http.StatusUnprocessableEntity).Fields[0].Message] = true
		told[readProblem(t, phone.ask("POST", "/api/calendars", exchange.CalendarAt{Address: "http://" + address}),
			http.StatusUnprocessableEntity).Fields[0].Message] = true
	}
	require.Len(t, told, 2, "open and closed are the same")
	require.Contains(
		t,
		readProblem(t, coach.ask("PUT", "/api/equipment/machine", courtside.Joining{Address: at}),
			http.StatusUnprocessableEntity).Fields[0].Message,
		"it says nothing that can be understood",
	)
	require.Contains(
		t,
		readProblem(t, phone.ask("PUT", "/api/equipment/machine", courtside.Joining{Address: at}),
			http.StatusUnprocessableEntity).Fields[0].Message,
		"it says nothing that can be understood",
	)
}

func TestAPageFromElsewhereIsRefused(t *testing.T) {
	t.Parallel()
	machine, _, _ := house(t, false)
	coach := machine()
	for _, header := range [][2]string{{"Sec-Fetch-Site", "cross-site"}, {"Sec-Fetch-Site", "same-site"},
		{"Origin", "https://evil.example"}} {
		w := coach.ask("PUT", "/api/passphrase", door.NewPassphrase{New: secret}, header[0], header[1])
		require.Equal(t, http.StatusForbidden, w.Code, header)
	}
	require.False(t, read[door.Status](t, coach.ask("GET", "/api/door", nil)).Passphrase)
}

// docs/security.md names the test that shows each point: all of them are there.
func TestTheTestsThatShowItAreThere(t *testing.T) {
	t.Parallel()
	page, err := os.ReadFile("../docs/security.md")
	require.NoError(t, err)
	var tests strings.Builder
	for _, folder := range []string{".", "../access", "../calendar", "../cmd/hodometer", "../store", "../handover",
		"../keeping"} {
		files, err := filepath.Glob(filepath.Join(folder, "*_test.go"))
		require.NoError(t, err)
		for _, file := range files {
			text, err := os.ReadFile(file)
			require.NoError(t, err)
			tests.Write(text)
		}
	}
	named := regexp.MustCompile("`(Test\\w+)`").FindAllStringSubmatch(string(page), -1)
	require.Greater(t, len(named), 25)
	for _, each := range named {
		require.True(t, strings.Contains(tests.String(), "func "+each[1]+"("), each[1])
	}
	for _, each := range regexp.MustCompile("`(e2e/[a-z.]+)`").FindAllStringSubmatch(string(page), -1) {
		require.FileExists(t, "../"+each[1])
	}
}
