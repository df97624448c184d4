package access

import (
	"crypto/rand"
	"crypto/sha256"
	"crypto/subtle"
	"strings"
	"sync"
	"time"
)

// What a code for pairing is made of, and how long it goes.
const (
	letters    = "23456789ABCDEFGHJKMNPQRSTVWXYZ" // none that is taken for another one
	codeLength = 10                               // 49 bits
	CodeLasts  = 5 * time.Minute
	mostTries  = 10  // wrong ones of one address, which is heard no more until there is another code
	mostWrong  = 500 // wrong ones in all, then it is void: a chance of one in 10^12 to have hit it
)

// Pairing holds the one code that lets a device in, once.
type Pairing struct {
	lock    sync.Mutex
	hash    [sha256.Size]byte
	expires time.Time
	wrong   int
	by      map[string]int // wrong ones by address
	open    bool
}

// Issue makes a new code, in two groups, and says until when it goes; the one before is void.
func (p *Pairing) Issue(now time.Time) (code string, until time.Time) {
	raw := make([]byte, codeLength)
	for i := range raw {
		raw[i] = letter()
	}
	code = string(raw[:codeLength/2]) + "-" + string(raw[codeLength/2:])
	p.lock.Lock()
	defer p.lock.Unlock()
	p.hash, p.expires, p.wrong, p.by, p.open = hashOf(code), now.Add(CodeLasts), 0, map[string]int{}, true
	return code, p.expires
}

// letter is one of the letters, each as likely as any other.
func letter() byte {
	b := make([]byte, 1)
	for {
		_, _ = rand.Read(b) // never fails, by its documentation
		if limit := 256 / len(letters) * len(letters); int(b[0]) < limit {
			return letters[int(b[0])%len(letters)]
		}
	}
}

// Pair says whether a code is the one that goes now, however it is written; then it is used up. Who types wrong ones is
// told apart by address, so that nobody makes it void for others.
func (p *Pairing) Pair(code, address string, now time.Time) bool {
	p.lock.Lock()
	defer p.lock.Unlock()
	hash := hashOf(code)
	if !p.open || !now.Before(p.expires) {
		p.open = false
		return false
	}
	if p.by[address] >= mostTries {
		return false
	}
	if subtle.ConstantTimeCompare(hash[:], p.hash[:]) != 1 {
		p.wrong++
		p.by[address]++
		p.open = p.wrong < mostWrong
		return false
	}
	p.open = false
	return true
}

// Open says until when a code goes, and how many addresses are not heard any more; ok is false where none does.
func (p *Pairing) Open(now time.Time) (until time.Time, unheard int, ok bool) {
	p.lock.Lock()
	defer p.lock.Unlock()
	for _, wrong := range p.by {
		if wrong >= mostTries {
			unheard++
		}
	}
	return p.expires, unheard, p.open && now.Before(p.expires)
}

// Withdraw makes the code that goes void.
func (p *Pairing) Withdraw() {
	p.lock.Lock()
	defer p.lock.Unlock()
	p.open = false
}

func hashOf(code string) [sha256.Size]byte {
	plain := strings.ToUpper(strings.Map(func(r rune) rune {
		if r == '-' || r == ' ' {
			return -1
		}
		return r
	}, code))
	return sha256.Sum256([]byte(plain))
}
