package request_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/request"
)

// The rules are those of RFC 9110, 12.5.3.
func TestAContentCodingIsTakenWhereItIsWanted(t *testing.T) {
	for header, wanted := range map[string]bool{
		"":                           false,
		"gzip":                       true,
		"GZIP, br":                   true,
		"br;q=1.0, gzip;q=0.5":       true,
		"gzip;q=0":                   false,
		"gzip; q=0.000, *":           false,
		"*":                          true,
		"*;q=0":                      false,
		"*;q=0, gzip":                true,
		"identity, x-gzip":           false,
		"gzip;q=nothing":             false,
		"deflate, gzip;q=1.0, *;q=0": true,
	} {
		require.Equal(t, wanted, request.Accepts(http.Header{"Accept-Encoding": {header}}, "gzip"), header)
	}
	require.True(t, request.Accepts(http.Header{"Accept-Encoding": {"br", "gzip"}}, "gzip"))
}
