package safekeeping

import (
	"context"
	"errors"
	"fmt"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"sync"
	"time"

	"github.com/labstack/echo/v5"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/handover"
	"hodometer/internal/partial"
)

// Work is everything going out or coming in: it takes a while, and one is done at a time.
type Work struct {
	What   Task    `json:"what"`
	Share  float64 `json:"share" description:"How much of it is done, from 0 to 1"`
	Ended  bool    `json:"ended"`
	Wrong  string  `json:"wrong" description:"Why it could not be done; empty where it could"`
	Bytes  int64   `json:"bytes" description:"How large what goes out is, once it is ready"`
	CameIn *CameIn `json:"cameIn" description:"What came in; null where nothing did yet"`
}

// Task is what is done with everything.
type Task string

// What can be done with it.
const (
	NoWork    Task = "nothing"
	Exporting Task = "export"
	Importing Task = "import"
)

// CameIn is what came in from an export.
type CameIn struct {
	Students int       `json:"students" description:"That are new here"`
	Lessons  int       `json:"lessons"`
	Drills   int       `json:"drills"`
	Games    int       `json:"games" description:"Games of the coach’s own, and games played"`
	Counts   int       `json:"counts"`
	Differs  []Differs `json:"differs" description:"Documents that are here in another version"`
	Theirs   bool      `json:"theirs" description:"Of those, the export’s were taken"`
	Kept     string    `json:"kept" description:"Where what was here before is; empty where there was nothing"`
	Created  time.Time `json:"created" description:"When the export was made"`
}

// Differs is a document that is here in another version.
type Differs struct {
	Kind string `json:"kind"`
	Name string `json:"name"`
}

// EverythingPath is where an export that is ready is handed out.
const EverythingPath = request.OutPath + "everything.zip"

// Works is what is done with everything now, or was last.
type works struct {
	mu     sync.Mutex
	now    Work
	stop   context.CancelFunc // nil where nothing is done
	ended  chan struct{}      // closed when it is over
	export string             // the file that is ready; empty: none
	gone   bool               // no more is begun
}

func (s *Safekeeping) everythingRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", KeepingPath+"/work", "getWork", "How far everything going out or coming in is",
			func(context.Context, request.None, request.None) (Work, error) { return s.works.get(), nil }).
			Anew().
			ForTheCoach(),
		request.Make("POST", KeepingPath+"/export", "exportEverything", "Begin to export everything",
			func(context.Context, request.None, request.None) (Work, error) {
				return s.works.begin(Exporting, s.exportAll)
			}).
			ForTheCoach(),
		request.Make("POST", KeepingPath+"/import", "importEverything", "Begin to bring an export of everything in, all "+
			"of it or nothing", s.importAll).
			ForTheCoach(),
		request.Make("DELETE", KeepingPath+"/work", "stopWork", "Stop what is done, or forget what was",
			func(context.Context, request.None, request.None) (Work, error) {
				s.works.end()
				return s.works.get(), nil
			}).
			ForTheCoach(),
	}
}

func (w *works) get() Work {
	w.mu.Lock()
	defer w.mu.Unlock()
	if w.now.What == "" {
		return Work{What: NoWork}
	}
	return w.now
}

// begin begins a work; what was done before is forgotten. It fails while another one goes on.
func (w *works) begin(what Task, do func(ctx context.Context, set func(func(*Work))) error) (Work, error) {
	w.mu.Lock()
	if w.gone || w.stop != nil && !w.now.Ended {
		w.mu.Unlock()
		return Work{}, request.Refusal(
			http.StatusConflict,
			"Everything is going out or coming in already. Wait for its end, or stop it.",
		)
	}
	w.forget()
	ctx, stop := context.WithCancel(context.Background())
	w.now, w.stop, w.ended = Work{What: what}, stop, make(chan struct{})
	ended := w.ended
	w.mu.Unlock()
	go func() {
		defer close(ended)
		err := do(ctx, func(change func(*Work)) {
			w.mu.Lock()
			defer w.mu.Unlock()
			change(&w.now)
		})
		w.mu.Lock()
		defer w.mu.Unlock()
		if w.now.Ended = true; err != nil {
			w.now.Wrong = plainly(err)
		}
		stop()
	}()
	return w.get(), nil
}

// plainly says an error as the page shows it.
func plainly(err error) string {
	if errors.Is(err, context.Canceled) {
		return "It was stopped. Nothing was changed."
	}
	if errors.Is(err, invalid.ErrUnreadable) {
		return fmt.Sprintf("Nothing was brought in: %s.", err)
	}
	return err.Error()
}

// end stops what is done and forgets it.
func (w *works) end() {
	w.mu.Lock()
	stop, ended := w.stop, w.ended
	w.mu.Unlock()
	if stop != nil {
		stop()
		<-ended
	}
	w.mu.Lock()
	defer w.mu.Unlock()
	w.forget()
}

// forget forgets what was done, and takes its file away.
func (w *works) forget() {
	if w.export != "" {
		_ = os.Remove(w.export)
	}
	w.now, w.stop, w.export = Work{}, nil, ""
}

// close ends it for good.
func (w *works) close() {
	w.mu.Lock()
	w.gone = true
	w.mu.Unlock()
	w.end()
}

func showShare(set func(func(*Work))) handover.Progress {
	return func(share float64) { set(func(w *Work) { w.Share = share }) }
}

// exportAll writes everything into a file beside the data, where it waits to be taken.
func (s *Safekeeping) exportAll(ctx context.Context, set func(func(*Work))) error {
	folder := filepath.Dir(s.Keeper.Data)
	file, err := partial.File(folder, partial.Export, ".zip")
	if err != nil {
		return err
	}
	err = handover.Whole(ctx, s.Keeper.Data, folder, file, s.Now(), showShare(set))
	info, statErr := file.Stat()
	if err = errors.Join(err, statErr, file.Close()); err != nil {
		return errors.Join(err, os.Remove(file.Name()))
	}
	set(func(w *Work) {
		w.Share, w.Bytes = 1, info.Size()
		s.works.export = file.Name()
	})
	return nil
}

// everythingOut hands out the export that is ready.
func (s *Safekeeping) everythingOut(c *echo.Context) error {
	s.works.mu.Lock()
	path := s.works.export
	s.works.mu.Unlock()
	if path == "" {
		return echo.ErrNotFound
	}
	file, err := os.Open(path) //nolint:gosec // our own
	if err != nil {
		return err
	}
	defer func() { _ = file.Close() }()
	request.FileHead(c, fmt.Sprintf("hodometer %s.zip", s.Today()))
	return c.Stream(http.StatusOK, "application/zip", file)
}

// withTheirs says which documents are taken where both have one.
type withTheirs struct {
	Theirs bool `query:"theirs" description:"Take the export’s where a document differs; else that of here stays"`
}

// importAll takes an export into a file beside the data, and begins to bring it in.
func (s *Safekeeping) importAll(_ context.Context, p withTheirs, body request.Stream) (Work, error) {
	folder := filepath.Dir(s.Keeper.Data)
	file, err := partial.File(folder, partial.Import, ".zip")
	if err != nil {
		return Work{}, err
	}
	drop := func() { _ = errors.Join(file.Close(), os.Remove(file.Name())) }
	size, err := io.Copy(file, body.From)
	if err != nil {
		drop()
		return Work{}, err
	}
	work, err := s.works.begin(Importing, func(ctx context.Context, set func(func(*Work))) error {
		defer drop()
		done, kept, err := s.Keeper.Import(ctx, file, size, p.Theirs, showShare(set))
		if err != nil {
			return err
		}
		came := CameIn{
			Students: done.Added["student"],
			Lessons:  done.Added["lesson"],
			Drills:   done.Added["drill"],
			Games:    done.Added["game"] + done.Added["played"],
			Counts:   done.Added["ball"],
			Differs:  []Differs{},
			Theirs:   p.Theirs,
			Kept:     kept,
			Created:  done.Created,
		}
		for _, c := range done.Clashed {
			came.Differs = append(came.Differs, Differs{Kind: c.Table, Name: c.Name})
		}
		set(func(w *Work) { w.Share, w.CameIn = 1, &came })
		return nil
	})
	if err != nil {
		drop()
	}
	return work, err
}
