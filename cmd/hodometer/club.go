package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"net"
	"time"

	"github.com/spf13/cobra"

	"hodometer/calendar"
)

// clubCommand runs a stand-in for the booking calendar of a club.
func clubCommand() *cobra.Command {
	c := &cobra.Command{
		Use:     "club",
		GroupID: "beside",
		Args:    cobra.NoArgs,
		Short:   "Run a stand-in for a club's booking calendar, which changes once it was read",
		Example: "  hodometer club",
	}
	addr := c.Flags().String("addr", "127.0.0.1:7503", "address to listen on")
	start := c.Flags().String("now", "", "the day from which it has bookings, as 2006-01-02T15:04:05")
	c.RunE = func(c *cobra.Command, _ []string) error {
		now, err := clock(*start)
		if err != nil {
			return misuse{err}
		}
		return club(c.Context(), *addr, now(), c.OutOrStdout())
	}
	return c
}

// club runs it until ctx ends.
func club(ctx context.Context, addr string, from time.Time, out io.Writer) error {
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", addr)
	if err != nil {
		return fmt.Errorf("cannot listen on %s, choose another with --addr: %w", addr, err)
	}
	if tcp, ok := listener.Addr().(*net.TCPAddr); !ok || !tcp.IP.IsLoopback() {
		return errors.Join(errors.New("a stand-in is for this machine only, as 127.0.0.1:7503"), listener.Close())
	}
	_, _ = fmt.Fprintf(out, "A club's bookings are at http://%s%s\n", listener.Addr(), calendar.ClubPath)
	return (&calendar.Simulated{From: from}).Serve(ctx, listener)
}
