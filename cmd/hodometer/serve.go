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
	"strconv"
	"strings"
	"time"

	"hodometer/api"
	"hodometer/demo"
	"hodometer/store"
	"hodometer/ui"
)

// service is what to serve and from where.
type service struct {
	addr    string
	data    string // empty for the usual file
	demo    bool
	years   int      // of a demo, before today
	network bool     // the address may be one that other machines can reach
	hosts   []string // names to answer under, besides the addresses
	now     func() time.Time
	limits  limits
	log     *slog.Logger
	out     io.Writer
}

// limits are how long one request may take, so that a slow or stalled client holds nothing up for ever.
type limits struct {
	header, read, write, idle time.Duration
}

func usualLimits() limits {
	return limits{header: 5 * time.Second, read: 15 * time.Second, write: 30 * time.Second, idle: 2 * time.Minute}
}

const closingTime = 5 * time.Second

// errNetwork says that other machines could reach an address, which was not asked for.
var errNetwork = errors.New("other machines could reach this address, and there is no password yet; add --allow-network if that is meant")

// serve answers requests until ctx ends.
func serve(ctx context.Context, s service) error {
	listener, err := s.listen(ctx)
	if err != nil {
		return err
	}
	defer func() { _ = listener.Close() }()
	stored, path, err := s.open(ctx)
	if err != nil {
		return err
	}
	defer func() {
		if err := stored.Close(); err != nil {
			s.log.Error("closing the file", "error", err)
		}
	}()
	pages, err := ui.Pages()
	if err != nil {
		return err
	}
	handler, err := api.New(api.Options{Store: stored, Now: s.now, Log: s.log, Pages: pages, Hosts: s.hosts, About: about(), Modules: modules})
	if err != nil {
		return err
	}
	_, _ = fmt.Fprintf(s.out, "Hodometer is at %s\nEverything is kept in %s\n", strings.Join(addresses(listener.Addr()), "\n  and for other devices at "), path)
	server := &http.Server{
		Handler: handler, ErrorLog: slog.NewLogLogger(s.log.Handler(), slog.LevelWarn),
		ReadHeaderTimeout: s.limits.header, ReadTimeout: s.limits.read, WriteTimeout: s.limits.write, IdleTimeout: s.limits.idle,
	}
	ended := make(chan error, 1)
	go func() { ended <- server.Serve(listener) }()
	select {
	case err := <-ended:
		return err
	case <-ctx.Done():
	}
	closing, cancel := context.WithTimeout(context.WithoutCancel(ctx), closingTime)
	defer cancel()
	if err := server.Shutdown(closing); !errors.Is(err, http.ErrServerClosed) {
		return err
	}
	return nil
}

// listen takes the address. It returns an error wrapping errNetwork for one that other machines can
// reach, unless that is allowed.
func (s service) listen(ctx context.Context) (net.Listener, error) {
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", s.addr)
	if err != nil {
		return nil, fmt.Errorf("cannot listen on %s, choose another with --addr: %w", s.addr, err)
	}
	addr, ok := listener.Addr().(*net.TCPAddr)
	if local := ok && addr.IP.IsLoopback(); !local && !s.network {
		return nil, errors.Join(fmt.Errorf("%s: %w", s.addr, errNetwork), listener.Close())
	}
	return listener, nil
}

// addresses are where a page can be opened that is served at an address: that one, or, where it stands for all
// of this machine, the one for this machine and then those that other devices in the network use.
func addresses(at net.Addr) []string {
	tcp, ok := at.(*net.TCPAddr)
	if !ok || !tcp.IP.IsUnspecified() {
		return []string{"http://" + at.String()}
	}
	port := strconv.Itoa(tcp.Port)
	list := []string{"http://" + net.JoinHostPort("127.0.0.1", port)}
	all, err := net.InterfaceAddrs()
	if err != nil {
		return list // this machine is enough to go on
	}
	for _, each := range all {
		if network, ok := each.(*net.IPNet); ok && network.IP.To4() != nil && network.IP.IsGlobalUnicast() {
			list = append(list, "http://"+net.JoinHostPort(network.IP.String(), port))
		}
	}
	return list
}

// open opens the file, and fills it where it is a new one of the demo.
func (s service) open(ctx context.Context) (*store.Store, string, error) {
	path := s.data
	if path == "" {
		folder, err := dataFolder()
		if err != nil {
			return nil, "", err
		}
		path = filepath.Join(folder, "hodometer.db")
		if s.demo {
			// A file for each day, so that its lessons are today and tomorrow and nothing played with
			// yesterday is lost.
			name := "demo-" + s.now().Format(time.DateOnly)
			if s.years > 0 {
				name += fmt.Sprintf("-%d-years", s.years)
			}
			path = filepath.Join(folder, name+".db")
		}
	}
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return nil, "", err
	}
	if !s.demo {
		stored, err := store.Open(ctx, path)
		return stored, path, err
	}
	stored, err := demo.Open(ctx, path, s.now(), s.years)
	return stored, path, err
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
