package access_test

import (
	"context"
	"crypto/tls"
	"crypto/x509"
	"fmt"
	"net"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/access"
)

// handshake connects to a certificate's machine as a device does that trusts some authority, and returns what it was
// shown.
func handshake(t *testing.T, c *access.Certificates, roots *x509.CertPool, now time.Time) (*x509.Certificate, error) {
	t.Helper()
	listener, err := tls.Listen("tcp", "127.0.0.1:0", &tls.Config{GetCertificate: c.For, MinVersion: tls.VersionTLS13})
	require.NoError(t, err)
	defer func() { require.NoError(t, listener.Close()) }()
	go func() {
		if conn, err := listener.Accept(); err == nil {
			_ = conn.(*tls.Conn).HandshakeContext(context.Background())
			_ = conn.Close()
		}
	}()
	dialer := &tls.Dialer{
		Config: &tls.Config{RootCAs: roots, Time: func() time.Time { return now }, MinVersion: tls.VersionTLS13},
	}
	conn, err := dialer.DialContext(t.Context(), "tcp", listener.Addr().String())
	if err != nil {
		return nil, err
	}
	shown := conn.(*tls.Conn).ConnectionState().PeerCertificates[0]
	return shown, conn.Close()
}

// at is a connection that came in at an address.
type at struct {
	net.Conn
	ip net.IP
}

func (a at) LocalAddr() net.Addr { return &net.TCPAddr{IP: a.ip, Port: 443} }

func TestADeviceThatTrustsTheAuthorityTrustsThisMachine(t *testing.T) {
	folder := t.TempDir()
	now := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	a, err := access.OpenAuthority(folder, now)
	require.NoError(t, err)
	roots := x509.NewCertPool()
	require.True(t, roots.AppendCertsFromPEM(a.PEM()))
	clock := now
	c := a.Certificates(func() time.Time { return clock })
	first, err := handshake(t, c, roots, now)
	require.NoError(t, err)
	require.LessOrEqual(t, first.NotAfter.Sub(first.NotBefore), 398*24*time.Hour)
	again, err := handshake(t, c, roots, now)
	require.NoError(t, err)
	require.True(t, first.Equal(again))

	// Nor is one made at each connection to an address for which the authority does not vouch: there it is kept, too.
	public := &tls.ClientHelloInfo{Conn: at{ip: net.ParseIP("203.0.113.7")}} // RFC 5737: an address of examples
	one, err := c.For(public)
	require.NoError(t, err)
	two, err := c.For(public)
	require.NoError(t, err)
	require.True(t, one.Leaf.Equal(two.Leaf))
	require.NotContains(t, fmt.Sprint(one.Leaf.IPAddresses), "203.0.113.7")
	first, err = handshake(t, c, roots, now)
	require.NoError(t, err)
	require.True(t, first.Equal(one.Leaf), "it is good for the addresses of before")

	_, err = handshake(t, c, x509.NewCertPool(), now)
	require.Error(t, err, "whoever does not trust it is warned")

	// Before it expires there is a new one, from the same authority, also after the program was started again.
	clock = now.Add(350 * 24 * time.Hour)
	a, err = access.OpenAuthority(folder, clock)
	require.NoError(t, err)
	later, err := handshake(t, a.Certificates(func() time.Time { return clock }), roots, clock)
	require.NoError(t, err)
	require.False(t, first.Equal(later))
	renewed, err := handshake(t, c, roots, clock)
	require.NoError(t, err)
	require.False(t, first.Equal(renewed))

	_, err = access.OpenAuthority(folder, now.AddDate(11, 0, 0))
	require.ErrorContains(t, err, "has expired")
	require.NoError(t, os.WriteFile(filepath.Join(folder, "authority.crt"), []byte("garbage"), 0o600))
	_, err = access.OpenAuthority(folder, now)
	require.ErrorContains(t, err, "cannot be read")
	require.ErrorContains(t, err, folder)
}

// Whoever steals the key of the authority can stand for machines of private networks only.
func TestTheAuthorityVouchesForPrivateNetworksOnly(t *testing.T) {
	folder := t.TempDir()
	now := time.Now()
	a, err := access.OpenAuthority(folder, now)
	require.NoError(t, err)
	for _, file := range []string{"authority.crt", "authority.key"} {
		info, err := os.Stat(filepath.Join(folder, file))
		require.NoError(t, err)
		require.Equal(t, os.FileMode(0o600), info.Mode().Perm(), file)
	}
	pair, err := tls.LoadX509KeyPair(filepath.Join(folder, "authority.crt"), filepath.Join(folder, "authority.key"))
	require.NoError(t, err)
	roots := x509.NewCertPool()
	require.True(t, roots.AppendCertsFromPEM(a.PEM()))
	for name, ok := range map[string]bool{"192.168.1.20": true, "10.0.0.4": true, "fe80::1": true, "localhost": true,
		"8.8.8.8": false, "bank.example": false} {
		leaf := signed(t, pair, name, now)
		_, err := leaf.Verify(x509.VerifyOptions{Roots: roots, CurrentTime: now})
		require.Equal(t, ok, err == nil, "%s: %v", name, err)
	}
	require.Len(t, a.Fingerprint(), 32*3-1)
}

func TestOwnAddressesAreOfThisMachine(t *testing.T) {
	for _, ip := range access.OwnAddresses() {
		listener, err := (&net.ListenConfig{}).Listen(t.Context(), "tcp", net.JoinHostPort(ip.String(), "0"))
		if ip.IsLinkLocalUnicast() {
			continue // needs its interface
		}
		require.NoError(t, err, ip)
		require.NoError(t, listener.Close())
	}
}
