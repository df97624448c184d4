package request

import (
	"encoding/json"
	"net"
	"net/http"
	"slices"
	"strings"
)

// Guard refuses requests that a page from elsewhere made: those that cross origins, and those that came
// under a name which is not this program's (a name that an attacker lets point here). A request may name
// this machine, the very address that it came in at, or one of hosts.
func Guard(next http.Handler, hosts []string) http.Handler {
	protection := http.NewCrossOriginProtection()
	protection.SetDenyHandler(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		Refuse(w, http.StatusForbidden, "A page from elsewhere asked for this.")
	}))
	protected := protection.Handler(next)
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if !Ours(r, hosts) {
			Refuse(
				w,
				http.StatusMisdirectedRequest,
				"Hodometer does not answer under this name. Use its address, or start it with --host and the name.",
			)
			return
		}
		protected.ServeHTTP(w, r)
	})
}

// Refuse answers with a problem before a request comes to the routes.
func Refuse(w http.ResponseWriter, status int, why string) {
	text, err := json.Marshal(Refusal(status, why))
	if err != nil {
		text = nil // a problem is always JSON
	}
	w.Header().Set("Content-Type", ProblemType)
	w.Header().Set("X-Content-Type-Options", "nosniff")
	w.WriteHeader(status)
	_, _ = w.Write(text)
}

// Ours says whether a request names this machine, the address that it came in at, or one of hosts.
func Ours(r *http.Request, hosts []string) bool {
	host, _, err := net.SplitHostPort(r.Host)
	if err != nil {
		host = strings.Trim(r.Host, "[]")
	}
	if host == "localhost" || slices.ContainsFunc(hosts, func(name string) bool { return strings.EqualFold(name, host) }) {
		return true
	}
	ip := net.ParseIP(host)
	if ip == nil {
		return false
	}
	at, known := r.Context().Value(http.LocalAddrContextKey).(*net.TCPAddr)
	return ip.IsLoopback() || known && at.IP.Equal(ip)
}
