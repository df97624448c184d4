package calendar

import (
	"context"
	"errors"
	"io"
	"net"
	"net/http"
	"net/url"
	"syscall"
	"time"
)

// fetchWithin is how long a calendar is waited for.
const fetchWithin = 8 * time.Second

// CheckAddress says what is wrong with the address of a calendar: over the network only what is encrypted is read.
func CheckAddress(address string) error {
	at, err := url.Parse(address)
	switch {
	case err != nil || at.Host == "":
		return errors.New("an address begins with https://")
	case at.Scheme == "https":
		return nil
	case at.Scheme == "http" && loopback(at.Hostname()):
		return nil
	case at.Scheme == "webcal":
		return errors.New("write https:// instead of webcal://")
	}
	return errors.New("an address begins with https://, so that nobody reads along")
}

func loopback(host string) bool {
	ip := net.ParseIP(host)
	return host == "localhost" || ip != nil && ip.IsLoopback()
}

// OnThisMachine says whether an address names this machine itself.
func OnThisMachine(address string) bool {
	at, err := url.Parse(address)
	return err == nil && loopback(at.Hostname())
}

// errElsewhere says that an address leads to somewhere else.
var errElsewhere = errors.New("this address leads to another one: connect that")

// Fetch reads a calendar at an address. Why it could not be is told in a coach's words. Nothing but the host and the
// port of the address is ever spoken to: no redirection leads elsewhere, and no name leads to this machine.
func Fetch(ctx context.Context, address string) ([]byte, error) {
	if err := CheckAddress(address); err != nil {
		return nil, err
	}
	ctx, cancel := context.WithTimeout(ctx, fetchWithin)
	defer cancel()
	request, err := http.NewRequestWithContext(ctx, http.MethodGet, address, nil)
	if err != nil {
		return nil, errors.New("an address begins with https://")
	}
	here := loopback(request.URL.Hostname())
	dialer := net.Dialer{Timeout: fetchWithin, Control: func(_, to string, _ syscall.RawConn) error {
		host, _, err := net.SplitHostPort(to)
		if ip := net.ParseIP(host); err != nil || ip == nil || !here && (ip.IsLoopback() || ip.IsUnspecified()) {
			return errElsewhere
		}
		return nil
	}}
	client := http.Client{
		Transport: &http.Transport{
			DialContext:         dialer.DialContext,
			DisableKeepAlives:   true,
			TLSHandshakeTimeout: fetchWithin,
			ForceAttemptHTTP2:   true,
		},
		CheckRedirect: func(next *http.Request, via []*http.Request) error {
			if len(via) > 3 || next.URL.Host != request.URL.Host || next.URL.Scheme != request.URL.Scheme {
				return errElsewhere
			}
			return nil
		},
	}
	answer, err := client.Do(request)
	switch {
	case errors.Is(err, errElsewhere):
		return nil, errElsewhere
	case err != nil:
		return nil, errors.New("nothing answers at this address now")
	}
	defer func() { _ = answer.Body.Close() }()
	if answer.StatusCode != http.StatusOK {
		return nil, errors.New("there is no calendar at this address: " + http.StatusText(answer.StatusCode))
	}
	data, err := io.ReadAll(io.LimitReader(answer.Body, MaxBytes+1))
	if err != nil {
		return nil, errors.New("the calendar did not arrive whole")
	}
	return data, nil
}
