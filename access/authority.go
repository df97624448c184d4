package access

import (
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/sha256"
	"crypto/tls"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/hex"
	"encoding/pem"
	"errors"
	"fmt"
	"io/fs"
	"math/big"
	"net"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"sync"
	"time"
)

// How long certificates go. Devices refuse those of servers that go longer than about thirteen months.
const (
	authorityLasts   = 10 * 365 * 24 * time.Hour
	certificateLasts = 397 * 24 * time.Hour
	renewBefore      = 60 * 24 * time.Hour
	backdated        = time.Hour // clocks of devices differ
)

// private are the networks for which an authority of this machine vouches, and no others: RFC 1918, RFC 3927, RFC 4193,
// RFC 4291, RFC 6598.
var private = []string{
	"10.0.0.0/8",
	"100.64.0.0/10",
	"172.16.0.0/12",
	"192.168.0.0/16",
	"169.254.0.0/16",
	"127.0.0.0/8",
	"fc00::/7",
	"fe80::/10",
	"::1/128",
}

// Authority vouches for this machine. It is kept in two files of a folder that only its user reads.
type Authority struct {
	certificate *x509.Certificate
	key         *ecdsa.PrivateKey
}

// OpenAuthority reads the authority of a folder, or makes one where there is none.
func OpenAuthority(folder string, now time.Time) (*Authority, error) {
	at := [2]string{filepath.Join(folder, "authority.crt"), filepath.Join(folder, "authority.key")}
	if _, err := os.Stat(at[1]); errors.Is(err, fs.ErrNotExist) {
		return makeAuthority(at, now)
	}
	pair, err := tls.LoadX509KeyPair(at[0], at[1])
	if err != nil {
		return nil, fmt.Errorf(
			"the authority in %s cannot be read; move it away and a new one is made, which every device has to trust again: %w",
			folder,
			err,
		)
	}
	key, ok := pair.PrivateKey.(*ecdsa.PrivateKey)
	if !ok || now.After(pair.Leaf.NotAfter) {
		return nil, fmt.Errorf(
			"the authority in %s has expired or is of another kind; move it away and a new one is made, which every device "+
				"has to trust again",
			folder,
		)
	}
	return &Authority{pair.Leaf, key}, nil
}

func makeAuthority(at [2]string, now time.Time) (*Authority, error) {
	key, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, err
	}
	template := &x509.Certificate{
		SerialNumber:                serial(),
		Subject:                     pkix.Name{CommonName: "Hodometer on " + hostname()},
		NotBefore:                   now.Add(-backdated),
		NotAfter:                    now.Add(authorityLasts),
		IsCA:                        true,
		BasicConstraintsValid:       true,
		MaxPathLenZero:              true,
		KeyUsage:                    x509.KeyUsageCertSign,
		PermittedDNSDomainsCritical: true,
		PermittedDNSDomains:         names(),
	}
	for _, each := range private {
		_, network, err := net.ParseCIDR(each)
		if err != nil {
			return nil, err
		}
		template.PermittedIPRanges = append(template.PermittedIPRanges, network)
	}
	raw, err := x509.CreateCertificate(rand.Reader, template, template, &key.PublicKey, key)
	if err != nil {
		return nil, err
	}
	certificate, err := x509.ParseCertificate(raw)
	if err != nil {
		return nil, err
	}
	der, err := x509.MarshalPKCS8PrivateKey(key)
	if err != nil {
		return nil, err
	}
	// The key comes last: without it there is no authority.
	a := &Authority{certificate, key}
	if err := os.WriteFile(at[0], a.PEM(), 0o600); err != nil {
		return nil, err
	}
	return a, os.WriteFile(at[1], pem.EncodeToMemory(&pem.Block{Type: "PRIVATE KEY", Bytes: der}), 0o600)
}

// PEM is the certificate of the authority, which devices are told to trust.
func (a *Authority) PEM() []byte {
	return pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: a.certificate.Raw})
}

// Fingerprint is the SHA-256 of the certificate in pairs of digits, to be compared by eye.
func (a *Authority) Fingerprint() string {
	sum := sha256.Sum256(a.certificate.Raw)
	var pairs []string
	for each := range slices.Chunk(sum[:], 1) {
		pairs = append(pairs, strings.ToUpper(hex.EncodeToString(each)))
	}
	return strings.Join(pairs, " ")
}

// issue makes a certificate for addresses of this machine.
func (a *Authority) issue(at []net.IP, now time.Time) (*tls.Certificate, error) {
	key, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, err
	}
	template := &x509.Certificate{
		SerialNumber: serial(),
		Subject:      pkix.Name{CommonName: "Hodometer"},
		NotBefore:    now.Add(-backdated),
		NotAfter:     now.Add(certificateLasts),
		KeyUsage:     x509.KeyUsageDigitalSignature,
		ExtKeyUsage:  []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth},
		IPAddresses:  at,
		DNSNames:     a.certificate.PermittedDNSDomains,
	}
	raw, err := x509.CreateCertificate(rand.Reader, template, a.certificate, &key.PublicKey, a.key)
	if err != nil {
		return nil, err
	}
	leaf, err := x509.ParseCertificate(raw)
	return &tls.Certificate{Certificate: [][]byte{raw, a.certificate.Raw}, PrivateKey: key, Leaf: leaf}, err
}

// Certificates makes certificates for whatever address of this machine is asked, and new ones before they expire.
type Certificates struct {
	authority *Authority
	now       func() time.Time

	lock sync.Mutex
	last *tls.Certificate
	at   []net.IP // what the last one was made for, also what the authority does not vouch for
}

// Certificates are those of the authority.
func (a *Authority) Certificates(now func() time.Time) *Certificates {
	return &Certificates{authority: a, now: now}
}

// For is the certificate for a connection that is begun.
func (c *Certificates) For(hello *tls.ClientHelloInfo) (*tls.Certificate, error) {
	c.lock.Lock()
	defer c.lock.Unlock()
	tcp, ok := hello.Conn.LocalAddr().(*net.TCPAddr)
	if !ok {
		return nil, errors.New("not an address of a network")
	}
	now := c.now()
	if c.last != nil && now.Before(c.last.Leaf.NotAfter.Add(-renewBefore)) && slices.ContainsFunc(c.at, tcp.IP.Equal) {
		return c.last, nil
	}
	at := OwnAddresses()
	if !slices.ContainsFunc(at, tcp.IP.Equal) {
		at = append(at, tcp.IP)
	}
	made, err := c.authority.issue(
		slices.DeleteFunc(slices.Clone(at), func(ip net.IP) bool { return !c.authority.VouchesFor(ip) }),
		now,
	)
	if err != nil {
		return nil, err
	}
	c.last, c.at = made, at
	return made, nil
}

// VouchesFor says whether an address is one for which the authority vouches.
func (a *Authority) VouchesFor(ip net.IP) bool {
	return slices.ContainsFunc(a.certificate.PermittedIPRanges, func(n *net.IPNet) bool { return n.Contains(ip) })
}

// OwnAddresses are those of this machine: of the network first, then its own ones.
func OwnAddresses() []net.IP {
	var outside, inside []net.IP
	all, _ := net.InterfaceAddrs() // without them there are none
	for _, each := range all {
		network, ok := each.(*net.IPNet)
		switch {
		case !ok:
		case network.IP.IsLoopback():
			inside = append(inside, network.IP)
		case network.IP.IsGlobalUnicast():
			outside = append(outside, network.IP)
		}
	}
	// Addresses of four numbers are shorter to type.
	slices.SortStableFunc(outside, func(a, b net.IP) int { return len(b.To4()) - len(a.To4()) })
	return append(outside, inside...)
}

// names are those of this machine in its own network.
func names() []string {
	list := []string{"localhost"}
	if name, _, _ := strings.Cut(hostname(), "."); name != "localhost" && plain(name) {
		list = append(list, name+".local")
	}
	return list
}

// plain says whether a name is one by the rules for hosts (RFC 1123).
func plain(name string) bool {
	return name != "" && len(name) < 64 && !strings.ContainsFunc(name, func(r rune) bool {
		return (r < 'a' || r > 'z') && (r < 'A' || r > 'Z') && (r < '0' || r > '9') && r != '-'
	})
}

func hostname() string {
	name, err := os.Hostname()
	if err != nil || name == "" {
		return "this machine"
	}
	return name
}

func serial() *big.Int {
	raw := make([]byte, 16)
	_, _ = rand.Read(raw) // never fails, by its documentation
	raw[0] &= 0x7f
	return new(big.Int).SetBytes(raw)
}
