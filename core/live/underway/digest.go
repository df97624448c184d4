package underway

import (
	"encoding/binary"
	"math/bits"
)

// digest is the SHA-1 of a text (FIPS 180-4, 6.1): identifiers are made of it, and nothing is kept secret by it. The
// package for it brings a phone ciphers and self-tests that are longer than the rest of what it needs from there.
func digest(text []byte) (sum [20]byte) {
	padded := append([]byte{}, text...)
	padded = append(padded, 0x80)
	for len(padded)%64 != 56 {
		padded = append(padded, 0)
	}
	padded = binary.BigEndian.AppendUint64(padded, 8*uint64(len(text)))
	h := [5]uint32{0x67452301, 0xefcdab89, 0x98badcfe, 0x10325476, 0xc3d2e1f0}
	var w [80]uint32
	for ; len(padded) > 0; padded = padded[64:] {
		for i := range w {
			if i < 16 {
				w[i] = binary.BigEndian.Uint32(padded[4*i:])
			} else {
				w[i] = bits.RotateLeft32(w[i-3]^w[i-8]^w[i-14]^w[i-16], 1) //nolint:gosec // from the seventeenth on
			}
		}
		a, b, c, d, e := h[0], h[1], h[2], h[3], h[4]
		for i, word := range w {
			var f, k uint32
			switch i / 20 {
			case 0:
				f, k = b&c|^b&d, 0x5a827999
			case 1:
				f, k = b^c^d, 0x6ed9eba1
			case 2:
				f, k = b&c|b&d|c&d, 0x8f1bbcdc
			default:
				f, k = b^c^d, 0xca62c1d6
			}
			a, b, c, d, e = bits.RotateLeft32(a, 5)+f+e+k+word, a, bits.RotateLeft32(b, 30), c, d
		}
		h[0], h[1], h[2], h[3], h[4] = h[0]+a, h[1]+b, h[2]+c, h[3]+d, h[4]+e
	}
	for i, word := range h {
		binary.BigEndian.PutUint32(sum[4*i:], word)
	}
	return sum
}
