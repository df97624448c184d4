// Command hodometer plans, runs and follows up lessons in racket sports.
package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"log/slog"
	"os"
	"os/signal"
	"syscall"

	"hodometer/api"
	"hodometer/demo"
)

const usage = `Hodometer plans, runs and follows up lessons in racket sports.

  hodometer [serve] [options]
        start with your own data
  hodometer demo [options]
        start with an invented club, in a file of its own
  hodometer passphrase [--data FILE] [--clear]
        set the coach's passphrase, or take it away, at this machine: it is asked for
  hodometer machine [--addr HOST:PORT] [--hopper N] [--jitter SHARE] [--jams SHARE] [--seed N]
        run a simulated ball machine, which speaks what docs/devices.md says
  hodometer eye [--addr HOST:PORT] [--spread METRES] [--flight SECONDS] [--seed N]
        run a simulated eye for landings, with a player who scatters so far
  hodometer club [--addr HOST:PORT] [--now TIME]
        run a stand-in for a club's booking calendar, which changes once it was read
  hodometer version
        say which Hodometer this is
  hodometer licenses
        print the licences of all that ships in it, fonts included
  hodometer openapi
        print the description of the interface between page and program

Options of serve and demo:
  --addr HOST:PORT   address to listen on, of this machine only (127.0.0.1:7420)
  --data FILE        file to keep everything in
  --host NAME        answer under this name too; may be given several times
  --lan              let devices in that are paired, over the network, encrypted; needs a passphrase, set on the page
  --lan-addr H:PORT  address to listen on for them (:7443: all addresses of this machine)
  --tls-cert FILE    certificate for that, and
  --tls-key FILE     its key, instead of one of Hodometer's own
  --now TIME         let the clock begin at 2006-01-02T15:04:05 instead of the time it is

Option of demo:
  --years N          with so many years of a busy coach before today, in a file of their own (takes a minute for 20)
`

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	if err := run(ctx, os.Args[1:], os.Stdin, os.Stdout); err != nil {
		if !errors.Is(err, flag.ErrHelp) {
			fmt.Fprintln(os.Stderr, "hodometer:", err)
		}
		stop()
		os.Exit(1) //nolint:gocritic // stop has run
	}
}

// run does what the arguments say, asking and saying what has to be, and returns when that is done or ctx ends.
func run(ctx context.Context, args []string, in io.Reader, out io.Writer) error {
	command := "serve"
	if len(args) > 0 && len(args[0]) > 0 && args[0][0] != '-' {
		command, args = args[0], args[1:]
	}
	switch command {
	case "serve", "demo":
		flags := flag.NewFlagSet("hodometer "+command, flag.ContinueOnError)
		flags.Usage = func() { _, _ = io.WriteString(flags.Output(), usage) }
		addr := flags.String("addr", "127.0.0.1:7420", "address to listen on")
		data := flags.String("data", "", "file to keep everything in")
		var network lan
		flags.BoolVar(&network.on, "lan", false, "let paired devices in")
		flags.StringVar(&network.addr, "lan-addr", usualLAN, "address to listen on for them")
		flags.StringVar(&network.cert, "tls-cert", "", "certificate for them")
		flags.StringVar(&network.key, "tls-key", "", "its key")
		start := flags.String("now", "", "when the clock begins")
		years := 0
		if command == "demo" {
			flags.IntVar(&years, "years", 0, "years of a busy coach before today")
		}
		var hosts []string
		flags.Func("host", "answer under this name too", func(name string) error {
			hosts = append(hosts, name)
			return nil
		})
		if err := flags.Parse(args); err != nil {
			return err
		}
		if years < 0 || years > demo.MaxYears {
			return fmt.Errorf("--years is between 0 and %d", demo.MaxYears)
		}
		if err := network.check(); err != nil {
			return err
		}
		now, err := clock(*start)
		if err != nil {
			return err
		}
		log := slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: slog.LevelWarn}))
		return serve(ctx, service{
			addr: *addr, data: *data, demo: command == "demo", years: years, lan: network, hosts: hosts, now: now, limits: usualLimits(), log: log, out: out,
		})
	case "passphrase":
		return passphrase(ctx, args, in, out)
	case "machine", "eye":
		return simulated(ctx, command, args, out)
	case "club":
		return club(ctx, args, out)
	case "version":
		_, err := io.WriteString(out, aboutLine(about()))
		return err
	case "licenses":
		text, err := licenses()
		if err != nil {
			return err
		}
		_, err = io.WriteString(out, text)
		return err
	case "openapi":
		document, err := api.OpenAPI()
		if err != nil {
			return err
		}
		_, err = out.Write(document)
		return err
	}
	_, _ = io.WriteString(os.Stderr, usage)
	return fmt.Errorf("there is no command %q", command)
}
