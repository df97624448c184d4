package repository

import (
	"context"
	"crypto/sha256"
	"encoding/json"
	"runtime"
	"sync"

	lru "github.com/hashicorp/golang-lru/v2"
	"golang.org/x/sync/errgroup"

	"hodometer/core/drill"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
)

// maxKnown is how many drills as one player plays them are remembered: those of several large lessons.
const maxKnown = 2000

// known remembers what is thought of players at drills before anything is counted: it depends on nothing that is
// stored. What is asked for no more goes first.
type known struct {
	once sync.Once
	list *lru.Cache[[sha256.Size]byte, playerfit.Known]
}

// drillForPlayer is a drill as one player plays it.
type drillForPlayer struct {
	drill  drill.Document
	player footwork.Player
	level  student.Level
}

// all works out, or recalls, what is thought of players at drills, on all processors, in the order in which it is
// drillForPlayer.
func (k *known) all(ctx context.Context, list []drillForPlayer, s coach.Settings) ([]playerfit.Known, error) {
	found := make([]playerfit.Known, len(list))
	var work errgroup.Group
	work.SetLimit(runtime.GOMAXPROCS(0))
	for i, each := range list {
		work.Go(func() (err error) {
			found[i], err = k.of(ctx, each.drill, each.player, each.level, s)
			return err
		})
	}
	return found, work.Wait()
}

// of works out, or recalls, what is thought of a player at a drill.
func (k *known) of(
	ctx context.Context,
	d drill.Document,
	player footwork.Player,
	level student.Level,
	s coach.Settings,
) (playerfit.Known, error) {
	text, err := json.Marshal([]any{d, player, level, s})
	if err != nil {
		return playerfit.Known{}, err
	}
	key := sha256.Sum256(text)
	// fails for a size below 1 only
	k.once.Do(func() { k.list, _ = lru.New[[sha256.Size]byte, playerfit.Known](maxKnown) })
	if found, ok := k.list.Get(key); ok {
		return found, nil
	}
	found, err := playerfit.Know(ctx, d, player, level, s)
	if err == nil {
		k.list.Add(key, found)
	}
	return found, err
}
