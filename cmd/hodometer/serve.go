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
	"hodometer/store"
	"hodometer/ui"
)

// service is what to serve and from where.
type service struct {
	addr string
	data string // empty for the usual file
	demo bool
	log  *slog.Logger
	out  io.Writer
}

const closingTime = 5 * time.Second

// serve answers requests until ctx ends.
func serve(ctx context.Context, s service) error {
	kept, path, err := s.open(ctx)
	if err != nil {
		return err
	}
	defer func() {
		if err := kept.Close(); err != nil {
			s.log.Error("closing the file", "error", err)
		}
	}()
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", s.addr)
	if err != nil {
		return fmt.Errorf("cannot listen on %s, choose another with --addr: %w", s.addr, err)
	}
	pages, err := ui.Pages()
	if err != nil {
		return err
	}
	addr, ok := listener.Addr().(*net.TCPAddr)
	handler, err := api.New(api.Options{Store: kept, Now: time.Now, Log: s.log, Pages: pages, Local: ok && addr.IP.IsLoopback()})
	if err != nil {
		return err
	}
	_, _ = fmt.Fprintf(s.out, "Hodometer is at http://%s\nEverything is kept in %s\n", listener.Addr(), path)
	server := &http.Server{Handler: handler, ReadHeaderTimeout: closingTime, ErrorLog: slog.NewLogLogger(s.log.Handler(), slog.LevelWarn)}
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
			path = filepath.Join(folder, "demo-"+time.Now().Format(time.DateOnly)+".db")
		}
	}
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return nil, "", err
	}
	if !s.demo {
		kept, err := store.Open(ctx, path)
		return kept, path, err
	}
	kept, err := demo.Open(ctx, path, time.Now())
	return kept, path, err
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
