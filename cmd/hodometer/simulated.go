package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"net"

	"github.com/spf13/cobra"

	"hodometer/core/live/throwing"
	"hodometer/equipment"
)

// simulatedCommand runs a ball machine or an eye for landings that is not there.
func simulatedCommand(command string) *cobra.Command {
	usual := map[string]string{"machine": "127.0.0.1:7501", "eye": "127.0.0.1:7502"}[command]
	c := &cobra.Command{
		Use:     command,
		GroupID: "beside",
		Args:    cobra.NoArgs,
		Example: "  hodometer " + command + " --seed 7",
	}
	flags := c.Flags()
	addr := flags.String("addr", usual, "address to listen on")
	seed := flags.Uint64("seed", 1, "another number, another chance")
	made := throwing.Make{}
	spread, flight := 0.8, 1.2
	if command == "machine" {
		c.Short = "Run a simulated ball machine, which speaks what docs/devices.md says"
		flags.IntVar(&made.Hopper, "hopper", 120, "balls in it")
		flags.Float64Var(&made.Jitter, "jitter", 0.05, "how much a wait differs, as a share")
		flags.Float64Var(&made.Jams, "jams", 0, "how likely a ball jams, as a share")
	} else {
		c.Short = "Run a simulated eye for landings, with a player who scatters"
		flags.Float64Var(&spread, "spread", spread, "metres that the player scatters")
		flags.Float64Var(&flight, "flight", flight, "seconds from the stroke to the landing")
	}
	c.RunE = func(c *cobra.Command, _ []string) error {
		made.Seed = *seed
		share := func(x float64) bool { return x >= 0 && x <= 1 }
		if made.Hopper < 0 || !share(made.Jitter) || !share(made.Jams) || !(spread >= 0 && spread <= 20) ||
			!(flight >= 0 && flight <= 10) {
			return misuse{
				errors.New("--hopper from 0, --jitter and --jams from 0 to 1, --spread up to 20 m, --flight up to 10 s"),
			}
		}
		var device equipment.Simulated = equipment.SimulatedMachine{SimulatedMachine: throwing.NewSimulatedMachine(made)}
		if command == "eye" {
			device = &equipment.SimulatedEye{SimulatedEye: throwing.NewSimulatedEye(spread, *seed), Flight: flight}
		}
		return simulated(c.Context(), *addr, device, c.OutOrStdout())
	}
	return c
}

// simulated runs a device that is not there, until ctx ends.
func simulated(ctx context.Context, addr string, device equipment.Simulated, out io.Writer) error {
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", addr)
	if err != nil {
		return fmt.Errorf("cannot listen on %s, choose another with --addr: %w", addr, err)
	}
	if tcp, ok := listener.Addr().(*net.TCPAddr); !ok || !tcp.IP.IsLoopback() {
		return errors.Join(errors.New("devices are joined on this machine only, as 127.0.0.1:7501"), listener.Close())
	}
	_, _ = fmt.Fprintf(out, "%s is at %s\n", device.Hello().Name, listener.Addr())
	return equipment.Serve(ctx, listener, device)
}
