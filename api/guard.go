package api

import (
	"net"
	"net/http"
	"slices"
	"strings"
)

// Guard refuses requests that a page from elsewhere made: those that cross origins, and those that came
// under a name which is not this program's (a name that an attacker lets point here). A request may name
// this machine, the very address that it came in at, or one of hosts.
func Guard(next http.Handler, hosts []string) http.Handler {
	protected := http.NewCrossOriginProtection().Handler(next)
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if !ours(r, hosts) {
			http.Error(w, "Hodometer does not answer under this name. Use its address, or start it with --host and the name.", http.StatusMisdirectedRequest)
			return
		}
		protected.ServeHTTP(w, r)
	})
}

// ours says whether a request names this machine, the address that it came in at, or one of hosts.
func ours(r *http.Request, hosts []string) bool {
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
