package request

import (
	"net/http"
	"strconv"
	"strings"
)

// Accepts says whether whoever asks takes an answer in a content coding, as gzip: it is named with a weight above 0, or
// anything is (RFC 9110, 12.5.3).
func Accepts(h http.Header, coding string) bool {
	anything := false
	for each := range strings.SplitSeq(strings.Join(h.Values("Accept-Encoding"), ","), ",") {
		name, parameters, _ := strings.Cut(each, ";")
		name = strings.ToLower(strings.TrimSpace(name))
		if name != coding && name != "*" {
			continue
		}
		takes := true
		if weight, is := strings.CutPrefix(strings.ToLower(strings.TrimSpace(parameters)), "q="); is {
			q, err := strconv.ParseFloat(strings.TrimSpace(weight), 64)
			takes = err == nil && q > 0
		}
		if name == coding {
			return takes
		}
		anything = takes
	}
	return anything
}
