// Package access says who is let in: the coach's passphrase, codes that let a device in once, and the certificate under
// which other machines reach this one.
package access

import (
	"context"
	"crypto/rand"
	"crypto/subtle"
	"encoding/base64"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"

	"golang.org/x/crypto/argon2"

	"hodometer/core/basics/invalid"
)

// How a passphrase is turned into what is stored: Argon2id, the second recommended setting of RFC 9106, section 4.
const (
	passes  = 3
	memory  = 64 << 10 // KiB
	threads = 4
	saltLen = 16
	keyLen  = 32
)

// How long a passphrase is, in characters.
const (
	Shortest = 12
	Longest  = 128
)

// Derivations take much memory each: one at a time. A buffered channel, so that who waits can give up.
var oneAtATime = make(chan struct{}, 1)

// CheckPassphrase says what is wrong with a new passphrase, under a path. Any characters go, and no kinds of them are
// asked for.
func CheckPassphrase(path, passphrase string) error {
	var wrong invalid.Fields
	switch n := utf8.RuneCountInString(passphrase); {
	case !utf8.ValidString(passphrase):
		wrong.Add(path, "this cannot be read as text")
	case n < Shortest:
		wrong.Add(path, "at least %d characters: three or four words that do not belong together are good", Shortest)
	case n > Longest:
		wrong.Add(path, "at most %d characters", Longest)
	case guessed(passphrase):
		wrong.Add(path, "this is one of the first that would be tried: choose another")
	}
	return wrong.Err()
}

// Hash turns a passphrase into what is stored of it, in the usual text form of Argon2id. It returns ctx.Err() when
// cancelled before its turn.
func Hash(ctx context.Context, passphrase string) (string, error) {
	salt := make([]byte, saltLen)
	_, _ = rand.Read(salt) // never fails, by its documentation
	key, err := derive(ctx, passphrase, salt, passes, memory, threads)
	if err != nil {
		return "", err
	}
	text := base64.RawStdEncoding.EncodeToString
	return fmt.Sprintf(
		"$argon2id$v=%d$m=%d,t=%d,p=%d$%s$%s",
		argon2.Version,
		memory,
		passes,
		threads,
		text(salt),
		text(key),
	), nil
}

// Matches says whether a passphrase is the one of which something is stored. It returns an error where that cannot be
// read, and ctx.Err() when cancelled before its turn.
func Matches(ctx context.Context, stored, passphrase string) (bool, error) {
	parts := strings.Split(stored, "$")
	if len(parts) != 6 || parts[1] != "argon2id" {
		return false, errors.New("what is stored of the passphrase cannot be read")
	}
	var version, m, t int
	var p uint8
	_, err := fmt.Sscanf(parts[2]+" "+parts[3], "v=%d m=%d,t=%d,p=%d", &version, &m, &t, &p)
	salt, saltErr := base64.RawStdEncoding.DecodeString(parts[4])
	want, keyErr := base64.RawStdEncoding.DecodeString(parts[5])
	if err := errors.Join(
		err,
		saltErr,
		keyErr,
	); err != nil || version != argon2.Version || m < 8 || m > 1<<20 || t < 1 || t > 100 || p < 1 ||
		len(want) != keyLen {
		return false, errors.Join(errors.New("what is stored of the passphrase cannot be read"), err)
	}
	got, err := derive(ctx, passphrase, salt, uint32(t), uint32(m), p) //nolint:gosec // both are in their limits
	return err == nil && subtle.ConstantTimeCompare(got, want) == 1, err
}

func derive(ctx context.Context, passphrase string, salt []byte, t, m uint32, p uint8) ([]byte, error) {
	select {
	case oneAtATime <- struct{}{}:
		defer func() { <-oneAtATime }()
		return argon2.IDKey([]byte(passphrase), salt, t, m, p, keyLen), nil
	case <-ctx.Done():
		return nil, ctx.Err()
	}
}

// guessed says whether a passphrase is among those that are tried first: one of the usual ones, a character or a few
// again and again, or a row of the keyboard or of the alphabet.
func guessed(passphrase string) bool {
	plain := strings.ToLower(strings.NewReplacer(" ", "", "-", "", "_", "", ".", "", "!", "").Replace(passphrase))
	if slices.Contains(usual, strings.TrimRight(plain, "0123456789")) || slices.Contains(usual, plain) {
		return true
	}
	for n := 1; n <= 4; n++ {
		if len(plain) > n && strings.Repeat(plain[:n], len(plain)/n+1)[:len(plain)] == plain {
			return true
		}
	}
	for _, row := range rows {
		if strings.Contains(row+row, plain) {
			return true
		}
	}
	return plain == ""
}

// rows are those that fingers follow.
var rows = []string{
	"0123456789",
	"1234567890",
	"9876543210",
	"abcdefghijklmnopqrstuvwxyz",
	"zyxwvutsrqponmlkjihgfedcba",
	"qwertyuiopasdfghjklzxcvbnm",
	"qwertzuiopasdfghjklyxcvbnm",
	"azertyuiopqsdfghjklmwxcvbn",
	"1qaz2wsx3edc4rfv5tgb6yhn7ujm8ik9ol0p",
	"qazwsxedcrfvtgbyhnujmikolp",
}

// usual are words that are used as passphrases of this length, from memory, without digits behind them; and words of
// this program and its work.
var usual = []string{
	"password",
	"passwordpassword",
	"passphrase",
	"mypassword",
	"mypassphrase",
	"secretpassword",
	"letmein",
	"letmeinplease",
	"iloveyou",
	"iloveyouforever",
	"changeme",
	"changemeplease",
	"administrator",
	"adminadmin",
	"welcomehome",
	"trustnoone",
	"opensesame",
	"correcthorsebatterystaple",
	"thequickbrownfox",
	"donttellanyone",
	"unbelievable",
	"supercalifragilisticexpialidocious",
	"passwort",
	"geheimgeheim",
	"motdepasse",
	"contrasena",
	"wachtwoord",
	"hodometer",
	"hodometerhodometer",
	"thecoach",
	"coachcoach",
	"tenniscoach",
	"racketsports",
	"tabletennis",
	"badminton",
	"pickleball",
	"squashcourt",
	"tennistennis",
	"tennisplayer",
	"servereturn",
	"gamesetmatch",
	"gamesetandmatch",
	"advantage",
	"doublefault",
	"forehandbackhand",
}
