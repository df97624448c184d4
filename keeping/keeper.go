package keeping

import (
	"context"
	"log/slog"
	"slices"
	"sync"
	"sync/atomic"
	"time"

	"hodometer/store"
)

// Keeper makes the safe copies of a file that is open.
type Keeper struct {
	Data  string
	Daily bool // a copy is made every day
	Store *store.Store
	Now   func() time.Time
	Log   *slog.Logger

	mu        sync.Mutex    // one at a time
	pause     time.Duration // after a copy that failed, and until when
	notBefore time.Time
	wrong     atomic.Pointer[string]
}

// Copies is where they are.
func (k *Keeper) Copies() Copies { return For(k.Data) }

// Make makes one.
func (k *Keeper) Make(ctx context.Context, why Why) (Copy, error) {
	k.mu.Lock()
	defer k.mu.Unlock()
	made, err := k.Copies().Make(ctx, k.Store.CopyTo, k.Now(), why)
	said := ""
	if err != nil {
		said = err.Error()
	}
	k.wrong.Store(&said)
	return made, err
}

// Restore puts the copy of a name in the place of what is in the file, which is kept as a copy.
func (k *Keeper) Restore(ctx context.Context, name string) (Restored, error) {
	k.mu.Lock()
	defer k.mu.Unlock()
	copies := k.Copies()
	path, err := copies.Path(name)
	if err != nil {
		return Restored{}, err
	}
	return copies.Restore(ctx, k.Store, path, k.Now())
}

// Wrong is why the last copy could not be made; empty where it was. It waits for nothing.
func (k *Keeper) Wrong() string {
	if said := k.wrong.Load(); said != nil {
		return *said
	}
	return ""
}

// looking is how often the day is looked at, and how long it is waited after a copy that failed, longer each time.
const (
	looking      = time.Minute
	firstPause   = 10 * time.Minute
	longestPause = 6 * time.Hour
)

// Run makes a copy every day where it is to, until ctx ends: at once where there is none of today yet.
func (k *Keeper) Run(ctx context.Context) {
	if !k.Daily {
		return
	}
	tick := time.NewTicker(looking)
	defer tick.Stop()
	for {
		if err := k.today(ctx); err != nil && ctx.Err() == nil {
			k.Log.Error("safe copy", "error", err)
		}
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}

// today makes the copy of the day where there is none.
func (k *Keeper) today(ctx context.Context) error {
	now := k.Now()
	list, err := k.Copies().own()
	// One of a day to come is of a clock that once ran ahead: it is none of today.
	if err == nil &&
		slices.ContainsFunc(list, func(c Copy) bool { return c.At.Format(time.DateOnly) == now.Format(time.DateOnly) }) {
		return nil
	}
	if now.Before(k.notBefore) && k.notBefore.Sub(now) <= longestPause {
		return nil
	}
	if _, err = k.Make(ctx, Daily); err == nil || ctx.Err() != nil {
		k.pause, k.notBefore = 0, time.Time{}
		return err
	}
	k.pause = min(max(2*k.pause, firstPause), longestPause)
	k.notBefore = now.Add(k.pause)
	return err
}
