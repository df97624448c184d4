package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"time"

	"hodometer/api"
	"hodometer/demo"
	"hodometer/keeping"
	"hodometer/store"
	"hodometer/ui"
)

// service is what to serve and from where.
type service struct {
	addr   string
	data   string // empty for the usual file
	demo   bool
	years  int      // of a demo, before today
	lan    lan      // how other devices are let in
	hosts  []string // names to answer under, besides the addresses
	now    func() time.Time
	limits limits
	log    *slog.Logger
	out    io.Writer
}

// limits are how long one request may take, so that a slow or stalled client holds nothing up for ever.
type limits struct {
	header, read, write, idle time.Duration
}

func usualLimits() limits {
	return limits{header: 5 * time.Second, read: 15 * time.Second, write: 30 * time.Second, idle: 2 * time.Minute}
}

const closingTime = 5 * time.Second

// errNetwork says that other machines could reach an address that is for this one only.
var errNetwork = errors.New(
	"other machines could reach this address, which is for this machine only; add --lan to let paired devices in",
)

// serve answers requests until ctx ends.
func serve(ctx context.Context, s service) error {
	listener, err := s.listen(ctx)
	if err != nil {
		return err
	}
	defer func() { _ = listener.Close() }()
	release, err := s.claim()
	if err != nil {
		return err
	}
	defer release()
	stored, path, err := s.open(ctx)
	if broken := (*keeping.Damaged)(nil); errors.As(err, &broken) {
		if err := s.rescue(ctx, listener, broken); err != nil {
			return err
		}
		if listener, err = s.again(ctx, listener); err != nil {
			return err
		}
		stored, path, err = s.open(ctx)
	}
	if err != nil {
		return err
	}
	defer func() {
		if err := stored.Close(); err != nil {
			s.log.Error("closing the file", "error", err)
			return
		}
		_ = keeping.Left(path) // without its note the file is looked at whole the next time
	}()
	pages, err := ui.Pages()
	if err != nil {
		return err
	}
	network, err := s.openLAN(ctx, filepath.Dir(path))
	if err != nil {
		return err
	}
	defer network.close()
	_, port, _ := net.SplitHostPort(listener.Addr().String())
	keeper := &keeping.Keeper{Data: path, Daily: !s.demo, Store: stored, Now: s.now, Log: s.log}
	doors, err := api.New(api.Options{
		Store:   stored,
		Now:     s.now,
		Log:     s.log,
		Pages:   pages,
		Hosts:   s.hosts,
		About:   about(),
		Modules: modules,
		Cookie:  "-" + port,
		Network: network.asSeen(),
		Keeper:  keeper,
	})
	if err != nil {
		return err
	}
	_, _ = fmt.Fprintf(
		s.out,
		"Hodometer is at http://%s\n%sEverything is kept in %s\nWhile it runs, copy it with hodometer backup: a plain "+
			"copy lacks what was done last\n",
		listener.Addr(),
		network.said(),
		path,
	)
	copying, stop := context.WithCancel(ctx)
	kept := make(chan struct{})
	go func() { defer close(kept); keeper.Run(copying) }()
	defer func() { stop(); <-kept }() // before the file is closed
	ended := make(chan error, 2)
	servers := []*http.Server{s.server(doors.Machine, slog.LevelWarn)}
	go func() { ended <- servers[0].Serve(listener) }()
	if network != nil {
		servers = append(servers, s.server(doors.Network, slog.LevelDebug)) // a device that does not trust us yet is no fault
		go func() { ended <- servers[1].Serve(network.listener) }()
	}
	select {
	case err := <-ended:
		return err
	case <-ctx.Done():
	}
	doors.Closing()
	closing, cancel := context.WithTimeout(context.WithoutCancel(ctx), closingTime)
	defer cancel()
	for _, server := range servers {
		if err := server.Shutdown(closing); err != nil && !errors.Is(err, http.ErrServerClosed) {
			return err
		}
	}
	return nil
}

// server answers by a handler, within the limits, and logs what went wrong with connections at a level.
func (s service) server(handler http.Handler, level slog.Level) *http.Server {
	return &http.Server{
		Handler:           handler,
		ErrorLog:          slog.NewLogLogger(s.log.Handler(), level),
		ReadHeaderTimeout: s.limits.header,
		ReadTimeout:       s.limits.read,
		WriteTimeout:      s.limits.write,
		IdleTimeout:       s.limits.idle,
	}
}

// listen takes the address of this machine. It returns an error wrapping errNetwork for one that other machines can
// reach.
func (s service) listen(ctx context.Context) (net.Listener, error) {
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", s.addr)
	if err != nil {
		return nil, fmt.Errorf("cannot listen on %s, choose another with --addr: %w", s.addr, err)
	}
	if addr, ok := listener.Addr().(*net.TCPAddr); !ok || !addr.IP.IsLoopback() {
		return nil, errors.Join(fmt.Errorf("%s: %w", s.addr, errNetwork), listener.Close())
	}
	return listener, nil
}

// open opens the file, and fills it where it is a new one of the demo.
func (s service) open(ctx context.Context) (*store.Store, string, error) {
	path, err := s.file()
	if err != nil {
		return nil, "", err
	}
	if !s.demo {
		stored, err := keeping.Open(ctx, path, s.now())
		return stored, path, err
	}
	stored, err := demo.Open(ctx, path, s.now(), s.years)
	return stored, path, err
}

// claim has the file for this program alone.
func (s service) claim() (release func(), err error) {
	path, err := s.file()
	if err != nil {
		return nil, err
	}
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return nil, err
	}
	return keeping.Claim(path)
}

// file is where everything is kept.
func (s service) file() (string, error) {
	if s.data != "" {
		return s.data, nil
	}
	folder, err := dataFolder()
	if err != nil {
		return "", err
	}
	name := "hodometer"
	if s.demo {
		// A file for each day, so that its lessons are today and tomorrow and nothing played with yesterday is lost.
		name = "demo-" + s.now().Format(time.DateOnly)
		if s.years > 0 {
			name += fmt.Sprintf("-%d-years", s.years)
		}
	}
	return filepath.Join(folder, name+".db"), nil
}

// dataFolder is the user's folder for data of programs, by the XDG base directory specification.
func dataFolder() (string, error) {
	if folder := os.Getenv("XDG_DATA_HOME"); filepath.IsAbs(folder) {
		return filepath.Join(folder, "hodometer"), nil
	}
	home, err := os.UserHomeDir()
	if err != nil {
		return "", fmt.Errorf("no home folder to keep data in; name a file with --data: %w", err)
	}
	return filepath.Join(home, ".local", "share", "hodometer"), nil
}
