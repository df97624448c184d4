package main

import (
	"bytes"
	"context"
	"crypto/tls"
	"crypto/x509"
	"encoding/json"
	"io"
	"net/http"
	"net/http/cookiejar"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
	"time"

	"hodometer/api/door"

	"github.com/stretchr/testify/require"
)

// device is another device in the network, or the coach's own browser.
type device struct {
	t    *testing.T
	base string
	http *http.Client
}

func (d device) ask(method, path string, body any) (int, string) {
	d.t.Helper()
	text, err := json.Marshal(body)
	require.NoError(d.t, err)
	r, err := http.NewRequestWithContext(d.t.Context(), method, d.base+path, bytes.NewReader(text))
	require.NoError(d.t, err)
	r.Header.Set("Content-Type", "application/json")
	answer, err := d.http.Do(r)
	require.NoError(d.t, err)
	read, err := io.ReadAll(answer.Body)
	require.NoError(d.t, err)
	require.NoError(d.t, answer.Body.Close())
	return answer.StatusCode, string(read)
}

// A phone is let in by a code that the coach has made, over a connection that it trusts because it trusts our
// authority, at every address that is printed; and out again when it is taken from the list.
func TestAPhoneIsLetInOverTheNetwork(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	data := filepath.Join(folder, "club.db")
	const secret = "seventeen herons under glass"
	require.NoError(
		t,
		run(t.Context(), []string{"passphrase", "--data", data}, strings.NewReader(secret+"\n"), io.Discard),
	)

	out := &console{}
	address := start(t, func(s *service) { s.data, s.out, s.lan = data, out, lan{on: true, addr: ":0"} })
	certificate, err := os.ReadFile(filepath.Join(folder, "authority.crt"))
	require.NoError(t, err)
	roots := x509.NewCertPool()
	require.True(t, roots.AppendCertsFromPEM(certificate))
	client := func() *http.Client {
		jar, err := cookiejar.New(nil)
		require.NoError(t, err)
		return &http.Client{
			Jar:       jar,
			Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: roots, MinVersion: tls.VersionTLS12}},
		}
	}
	coach := device{t, "http://" + address, client()}
	status, _ := coach.ask("GET", "/api/students", nil)
	require.Equal(t, http.StatusUnauthorized, status, "the passphrase goes for this machine, too")
	status, _ = coach.ask("POST", "/api/entry", door.Entering{Passphrase: secret})
	require.Equal(t, http.StatusOK, status)
	status, text := coach.ask("POST", "/api/pairing", nil)
	require.Equal(t, http.StatusOK, status, text)
	var code door.PairingCode
	require.NoError(t, json.Unmarshal([]byte(text), &code))

	printed := regexp.MustCompile(`https://\S+`).FindAllString(out.String(), -1)
	if len(printed) == 0 {
		t.Skip("this machine is in no network")
	}
	require.Equal(t, printed[0], code.Addresses[0].Address)
	phone := device{t, printed[0], client()}
	for _, each := range printed {
		status, _ := device{t, each, phone.http}.ask("GET", "/api/students", nil)
		require.Equal(t, http.StatusUnauthorized, status, each)
		status, _ = device{t, each, phone.http}.ask("GET", "/", nil)
		require.Equal(t, http.StatusOK, status, "the page itself is there")
	}
	status, text = phone.ask("GET", "/api/authority.crt", nil)
	require.Equal(t, http.StatusOK, status)
	require.Equal(t, string(certificate), text)
	status, text = phone.ask("POST", "/api/pairing/device", door.PairingAsked{Code: code.Code, Name: "my phone"})
	require.Equal(t, http.StatusOK, status, text)
	status, _ = phone.ask("GET", "/api/students", nil)
	require.Equal(t, http.StatusOK, status)

	_, text = coach.ask("GET", "/api/devices", nil)
	var list door.Devices
	require.NoError(t, json.Unmarshal([]byte(text), &list))
	require.Equal(t, "my phone", list.Devices[0].Name)
	require.Contains(t, out.String(), list.Fingerprint)
	status, _ = coach.ask("DELETE", "/api/devices/"+list.Devices[0].ID, nil)
	require.Equal(t, http.StatusNoContent, status)
	status, _ = phone.ask("GET", "/api/students", nil)
	require.Equal(t, http.StatusUnauthorized, status)
	for _, name := range []string{"club.db", "authority.key", "authority.crt"} {
		info, err := os.Stat(filepath.Join(folder, name))
		require.NoError(t, err)
		require.Zero(t, info.Mode().Perm()&0o077, "%s is for its user only", name)
	}
}

// A certificate of somebody else's is used as it is.
func TestACertificateOfSomebodyElses(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	out := &console{}
	start(t, func(s *service) {
		s.data, s.out, s.lan = filepath.Join(folder, "club.db"), out, lan{on: true, addr: ":0"}
	})
	made := [2]string{filepath.Join(folder, "authority.crt"), filepath.Join(folder, "authority.key")} // any pair goes
	other := filepath.Join(t.TempDir(), "club.db")
	said := &console{}
	start(t, func(s *service) {
		s.data, s.out, s.lan = other, said, lan{on: true, addr: "127.0.0.1:0", cert: made[0], key: made[1]}
	})
	require.Contains(t, said.String(), "https://127.0.0.1:")
	require.NotContains(t, said.String(), "fingerprint")
	require.NoFileExists(t, filepath.Join(filepath.Dir(other), "authority.key"))

	ctx, stop := context.WithTimeout(t.Context(), 20*time.Second)
	defer stop()
	err := run(
		ctx,
		[]string{"--data", other + "2", "--addr", "127.0.0.1:0", "--lan", "--tls-cert", "none", "--tls-key", "none"},
		nil,
		io.Discard,
	)
	require.ErrorContains(t, err, "--tls-cert")
}

func TestThePassphraseIsSetAndTakenAwayAtTheMachine(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "club.db")
	require.Error(
		t,
		run(t.Context(), []string{"passphrase", "--data", data}, strings.NewReader("too short\n"), io.Discard),
	)
	require.NoError(
		t,
		run(
			t.Context(),
			[]string{"passphrase", "--data", data},
			strings.NewReader("seventeen herons under glass"),
			io.Discard,
		),
	)
	var out bytes.Buffer
	require.NoError(t, run(t.Context(), []string{"passphrase", "--data", data, "--clear"}, strings.NewReader(""), &out))
	require.Contains(t, out.String(), "no passphrase any more")
	address := start(t, func(s *service) { s.data = data })
	require.Equal(t, http.StatusOK, under(t, address, address))
}
