package access_test

import (
	"context"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/access"
)

func TestPassphrases(t *testing.T) {
	for _, bad := range []string{
		"", "short", "eleven char", "password1234", "PassWord-2026", "aaaaaaaaaaaaaa", "abcabcabcabcabc", "qwertyuiopasdf",
		"123456789012", "tennis coach 1", "Table Tennis 2026", strings.Repeat("far too long ", 10), "not\xfftext at all",
		"            ",
	} {
		require.Error(t, access.CheckPassphrase("passphrase", bad), bad)
	}
	for _, good := range []string{"four words of no sense", "ÆØÅ 球 kočka strop", strings.Repeat("long but fine ", 9),
		"no digits at all", "17 herons under glass"} {
		require.NoError(t, access.CheckPassphrase("passphrase", good), good)
	}
}

func TestAPassphraseIsFoundAgainAndNoOther(t *testing.T) {
	const own = "seventeen herons under glass"
	stored, err := access.Hash(t.Context(), own)
	require.NoError(t, err)
	require.True(t, strings.HasPrefix(stored, "$argon2id$v=19$m=65536,t=3,p=4$"), stored)
	require.NotContains(t, stored, "heron")
	again, err := access.Hash(t.Context(), own)
	require.NoError(t, err)
	require.NotEqual(t, stored, again, "a salt of its own each time")
	ok, err := access.Matches(t.Context(), stored, own)
	require.NoError(t, err)
	require.True(t, ok)
	for _, other := range []string{"", own + " ", strings.ToUpper(own), "seventeen herons under glas"} {
		ok, err := access.Matches(t.Context(), stored, other)
		require.NoError(t, err)
		require.False(t, ok, other)
	}
	for _, broken := range []string{"", "plain", strings.Replace(stored, "argon2id", "argon2i", 1),
		strings.Replace(stored, "t=3", "t=0", 1), strings.Replace(stored, "m=65536", "m=99999999", 1),
		stored[:len(stored)-4]} {
		_, err := access.Matches(t.Context(), broken, own)
		require.Error(t, err, broken)
	}
	cancelled, cancel := context.WithCancel(t.Context())
	cancel()
	// Whoever gave up waits for no turn; a turn that is free may be taken all the same.
	if ok, err := access.Matches(cancelled, stored, own); err != nil {
		require.ErrorIs(t, err, context.Canceled)
		require.False(t, ok)
	}
}

// What is stored with parameters of another program is read by the same rules. The figure is worked out by the
// reference implementation of Argon2 (RFC 9106): password “password”, salt “somesalt”, t=2, m=65536, p=1; from memory.
func TestAHashOfTheReference(t *testing.T) {
	const stored = "$argon2id$v=19$m=65536,t=2,p=1$c29tZXNhbHQ$CTFhFdXPJO1aFaMaO6Mm5c8y7cJHAph8ArZWb2GRPPc"
	ok, err := access.Matches(t.Context(), stored, "password")
	require.NoError(t, err)
	require.True(t, ok)
}

func TestACodeLetsInOnce(t *testing.T) {
	now := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	rapid.Check(t, func(t *rapid.T) {
		var p access.Pairing
		require.False(t, p.Pair("", "192.0.2.1", now), "no code goes yet")
		code, until := p.Issue(now)
		require.Len(t, code, 11)
		require.Equal(t, now.Add(access.CodeLasts), until)
		written := rapid.SampledFrom([]func(string) string{
			strings.ToLower,
			func(c string) string { return strings.ReplaceAll(c, "-", "") },
			func(c string) string { return " " + strings.ReplaceAll(c, "-", " ") },
		}).Draw(t, "written")
		wrong := rapid.IntRange(0, 12).Draw(t, "wrong")
		for range wrong {
			require.False(t, p.Pair("22222-22222", "192.0.2.1", now))
		}
		after := time.Duration(rapid.IntRange(0, 10).Draw(t, "after")) * time.Minute
		require.Equal(t, wrong < 10 && after < access.CodeLasts, p.Pair(written(code), "192.0.2.1", now.Add(after)))
		require.False(t, p.Pair(code, "192.0.2.1", now.Add(after)), "it is used up")
		_, unheard, open := p.Open(now)
		require.Equal(t, wrong >= 10, unheard == 1, "who is not heard is counted")
		require.Equal(t, wrong >= 10 && after < access.CodeLasts, open, "others may use it still")

		old, _ := p.Issue(now)
		next, _ := p.Issue(now)
		require.NotEqual(t, old, next)
		require.False(t, p.Pair(old, "192.0.2.1", now), "a new one makes the one before void")
		p.Withdraw()
		require.False(t, p.Pair(next, "192.0.2.1", now))
	})
}
