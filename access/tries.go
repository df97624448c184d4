package access

import (
	"sync"
	"time"

	"golang.org/x/time/rate"
)

// How often may be tried. Our own choice: ten at once and then one every six seconds hinder nobody who types, and go
// for years through all codes.
const (
	triesAtOnce  = 10
	tryEvery     = 6 * time.Second
	allAtOnce    = 60 // of all addresses together
	allEvery     = time.Second
	mostTrying   = 1000 // addresses that are told apart
	reserveEvery = 20 * time.Second
)

// Tries counts tries of passphrases and codes by the address that they come from, so that nobody uses up those of
// others; of all addresses together there are not so many either, but each address keeps a small share of its own
// however many others try. The zero Tries is ready. It may be used by several goroutines.
type Tries struct {
	lock sync.Mutex
	all  *rate.Limiter
	by   map[string]*trying
}

type trying struct {
	own, reserve *rate.Limiter
	last         time.Time
}

// Allow says whether an address may try now.
func (t *Tries) Allow(address string, now time.Time) bool {
	t.lock.Lock()
	defer t.lock.Unlock()
	if t.by == nil {
		t.by, t.all = map[string]*trying{}, rate.NewLimiter(rate.Every(allEvery), allAtOnce)
	}
	one := t.by[address]
	if one == nil {
		t.forget()
		one = &trying{
			own:     rate.NewLimiter(rate.Every(tryEvery), triesAtOnce),
			reserve: rate.NewLimiter(rate.Every(reserveEvery), 1),
		}
		t.by[address] = one
	}
	one.last = now
	return one.own.AllowN(now, 1) && (t.all.AllowN(now, 1) || one.reserve.AllowN(now, 1))
}

// forget makes room for one more address: the one that tried longest ago is forgotten.
func (t *Tries) forget() {
	if len(t.by) < mostTrying {
		return
	}
	oldest, at := "", time.Time{}
	for address, one := range t.by {
		if oldest == "" || one.last.Before(at) {
			oldest, at = address, one.last
		}
	}
	delete(t.by, oldest)
}
