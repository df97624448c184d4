package calendar

import (
	"context"
	"errors"
	"io"
	"net"
	"net/http"
	"net/url"
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

// Fetch reads a calendar at an address. Why it could not be is told in a coach's words.
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
	client := http.Client{CheckRedirect: func(next *http.Request, via []*http.Request) error {
		if len(via) > 3 {
			return errors.New("too many redirections")
		}
		return CheckAddress(next.URL.String())
	}}
	answer, err := client.Do(request)
	if err != nil {
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
