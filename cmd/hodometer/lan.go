package main

import (
	"context"
	"crypto/tls"
	"errors"
	"fmt"
	"net"
	"strconv"
	"strings"
	"time"

	"hodometer/access"
	"hodometer/api/door"
)

// lan is how other devices are let in.
type lan struct {
	on        bool
	addr      string // where to listen for them
	cert, key string // files of a certificate of somebody else's; empty for our own
}

// check says what does not go together.
func (l lan) check() error {
	switch {
	case (l.cert == "") != (l.key == ""):
		return errors.New("--tls-cert and --tls-key go together")
	case !l.on && (l.cert != "" || l.addr != usualLAN):
		return errors.New("--lan-addr, --tls-cert and --tls-key go with --lan")
	}
	return nil
}

// usualLAN is where other devices find the page, unless told otherwise.
const usualLAN = ":7443"

// opened is the door for other devices; nil where there is none.
type opened struct {
	listener  net.Listener
	authority *access.Authority // nil where the certificate is somebody else's
	port      string
	only      net.IP // the one address that is listened on; nil for all
}

// openLAN opens the door for other devices, with the authority of a folder or the certificate that was given; nil where
// it is not wanted.
func (s service) openLAN(ctx context.Context, folder string) (*opened, error) {
	if !s.lan.on {
		return nil, nil //nolint:nilnil // no door is no fault
	}
	o := &opened{}
	config := &tls.Config{MinVersion: tls.VersionTLS12, NextProtos: []string{"h2", "http/1.1"}}
	if s.lan.cert != "" {
		pair, err := tls.LoadX509KeyPair(s.lan.cert, s.lan.key)
		if err != nil {
			return nil, fmt.Errorf("the certificate of --tls-cert and --tls-key cannot be read: %w", err)
		}
		config.Certificates = []tls.Certificate{pair}
	} else {
		authority, err := access.OpenAuthority(folder, time.Now())
		if err != nil {
			return nil, err
		}
		o.authority = authority
		config.GetCertificate = authority.Certificates(time.Now).For
	}
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", s.lan.addr)
	if err != nil {
		return nil, fmt.Errorf("cannot listen on %s for other devices, choose another with --lan-addr: %w", s.lan.addr, err)
	}
	if tcp, ok := listener.Addr().(*net.TCPAddr); ok {
		o.port = strconv.Itoa(tcp.Port)
		if !tcp.IP.IsUnspecified() {
			o.only = tcp.IP
		}
	}
	o.listener = tls.NewListener(listener, config)
	return o, nil
}

func (o *opened) close() {
	if o != nil {
		_ = o.listener.Close()
	}
}

// addresses are where other devices open the page, the likeliest one first.
func (o *opened) addresses() []string {
	all := access.OwnAddresses()
	if o.only != nil {
		all = []net.IP{o.only}
	}
	list := []string{}
	for _, ip := range all {
		if o.authority != nil && !o.authority.VouchesFor(ip) {
			continue
		}
		if o.only != nil || !ip.IsLoopback() && !ip.IsLinkLocalUnicast() {
			list = append(list, "https://"+net.JoinHostPort(ip.String(), o.port))
		}
	}
	return list
}

// asSeen is the door as the page shows it.
func (o *opened) asSeen() *door.Network {
	if o == nil {
		return nil
	}
	return &door.Network{Addresses: o.addresses, Authority: o.authority}
}

// said is where other devices find the page, in lines.
func (o *opened) said() string {
	if o == nil {
		return ""
	}
	lines := "Paired devices find it at " + strings.Join(
		o.addresses(),
		"\n  or at ",
	) + "\nPair them on the page Devices, under Settings\n"
	if o.authority != nil {
		lines += "The certificate to trust on them has the fingerprint (SHA-256)\n  " + o.authority.Fingerprint() + "\n"
	}
	return lines
}
