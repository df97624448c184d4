package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"net"

	"hodometer/calendar"
)

// club runs a stand-in for the booking calendar of a club, until ctx ends.
func club(ctx context.Context, args []string, out io.Writer) error {
	flags := flag.NewFlagSet("hodometer club", flag.ContinueOnError)
	flags.Usage = func() { _, _ = io.WriteString(flags.Output(), usage) }
	addr := flags.String("addr", "127.0.0.1:7503", "address to listen on")
	start := flags.String("now", "", "the day from which it has bookings")
	if err := flags.Parse(args); err != nil {
		return err
	}
	now, err := clock(*start)
	if err != nil {
		return err
	}
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", *addr)
	if err != nil {
		return fmt.Errorf("cannot listen on %s, choose another with --addr: %w", *addr, err)
	}
	if tcp, ok := listener.Addr().(*net.TCPAddr); !ok || !tcp.IP.IsLoopback() {
		return errors.Join(errors.New("a stand-in is for this machine only, as 127.0.0.1:7503"), listener.Close())
	}
	_, _ = fmt.Fprintf(out, "A club's bookings are at http://%s%s\n", listener.Addr(), calendar.ClubPath)
	return (&calendar.Club{From: now()}).Serve(ctx, listener)
}
