package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"net"

	"hodometer/core/throwing"
	"hodometer/equipment"
)

// simulated runs a ball machine or an eye for landings that is not there, until ctx ends.
func simulated(ctx context.Context, command string, args []string, out io.Writer) error {
	flags := flag.NewFlagSet("hodometer "+command, flag.ContinueOnError)
	flags.Usage = func() { _, _ = io.WriteString(flags.Output(), usage) }
	usual := map[string]string{"machine": "127.0.0.1:7501", "eye": "127.0.0.1:7502"}[command]
	addr := flags.String("addr", usual, "address to listen on")
	seed := flags.Uint64("seed", 1, "another number, another chance")
	made := throwing.Make{}
	spread, flight := 0.8, 1.2
	if command == "machine" {
		flags.IntVar(&made.Hopper, "hopper", 120, "balls in it")
		flags.Float64Var(&made.Jitter, "jitter", 0.05, "how much a wait differs, as a share")
		flags.Float64Var(&made.Jams, "jams", 0, "how likely a ball jams")
	} else {
		flags.Float64Var(&spread, "spread", spread, "metres that the player scatters")
		flags.Float64Var(&flight, "flight", flight, "seconds from the stroke to the landing")
	}
	if err := flags.Parse(args); err != nil {
		return err
	}
	made.Seed = *seed
	share := func(x float64) bool { return x >= 0 && x <= 1 }
	if made.Hopper < 0 || !share(made.Jitter) || !share(made.Jams) || !(spread >= 0 && spread <= 20) || !(flight >= 0 && flight <= 10) {
		return errors.New("--hopper from 0, --jitter and --jams from 0 to 1, --spread up to 20 m, --flight up to 10 s")
	}
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", *addr)
	if err != nil {
		return fmt.Errorf("cannot listen on %s, choose another with --addr: %w", *addr, err)
	}
	if tcp, ok := listener.Addr().(*net.TCPAddr); !ok || !tcp.IP.IsLoopback() {
		return errors.Join(errors.New("devices are joined on this machine only, as 127.0.0.1:7501"), listener.Close())
	}
	var device equipment.Simulated = equipment.SimulatedMachine{Machine: throwing.NewMachine(made)}
	if command == "eye" {
		device = &equipment.SimulatedEye{Eye: throwing.NewEye(spread, *seed), Flight: flight}
	}
	_, _ = fmt.Fprintf(out, "%s is at %s\n", device.Hello().Name, listener.Addr())
	return equipment.Serve(ctx, listener, device)
}
