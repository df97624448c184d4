package main

import (
	"fmt"
	"log/slog"
	"os"

	"github.com/spf13/cobra"

	"hodometer/demo"
)

// servingCommand starts the program with the coach's own data, or with a demo.
func servingCommand(name string, isDemo bool) *cobra.Command {
	s := service{demo: isDemo, limits: usualLimits()}
	start := ""
	c := &cobra.Command{
		Use:     name,
		Args:    cobra.NoArgs,
		Example: "  hodometer " + name + "\n  hodometer " + name + " --addr 127.0.0.1:8000",
	}
	flags := c.Flags()
	flags.StringVar(&s.addr, "addr", "127.0.0.1:7420", "address to listen on, of this machine only")
	flags.StringVar(&s.data, "data", "", "file to keep everything in")
	flags.StringArrayVar(&s.hosts, "host", nil, "answer under this name too; may be given several times")
	flags.BoolVar(
		&s.lan.on,
		"lan",
		false,
		"let devices in that are paired, over the network, encrypted; needs a passphrase, set on the page",
	)
	flags.StringVar(
		&s.lan.addr,
		"lan-addr",
		usualLAN,
		"address to listen on for them; without a host all addresses of this machine",
	)
	flags.StringVar(&s.lan.cert, "tls-cert", "", "certificate for that, instead of one of Hodometer's own")
	flags.StringVar(&s.lan.key, "tls-key", "", "its key")
	flags.StringVar(&start, "now", "", "let the clock begin at 2006-01-02T15:04:05 instead of the time it is")
	if isDemo {
		flags.IntVar(
			&s.years,
			"years",
			0,
			"with so many years of a busy coach before today, in a file of their own (takes a minute for 20)",
		)
	}
	c.RunE = func(c *cobra.Command, _ []string) (err error) {
		if s.years < 0 || s.years > demo.MaxYears {
			return misuse{fmt.Errorf("--years is between 0 and %d", demo.MaxYears)}
		}
		if err := s.lan.check(); err != nil {
			return misuse{err}
		}
		if s.now, err = clock(start); err != nil {
			return misuse{err}
		}
		s.log = slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: slog.LevelWarn}))
		s.out = c.OutOrStdout()
		return serve(c.Context(), s)
	}
	return c
}
