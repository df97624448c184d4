package main

import (
	"errors"
	"io"

	"github.com/spf13/cobra"

	"hodometer/api"
)

const aboutAll = `Hodometer plans, runs and follows up lessons in racket sports.

Without a command it starts with your own data and says where the page is.

It ends with 0 where all went well, 1 where something failed, 2 where a command was not written as it has to be, 3
where a file is damaged, and 4 where
a file is of a newer Hodometer.`

// newRoot is the whole command line.
func newRoot() *cobra.Command {
	root := servingCommand("hodometer", false)
	root.Short, root.Long = "Plan, run and follow up lessons in racket sports", aboutAll
	root.Example = `  hodometer
  hodometer demo
  hodometer backup /media/stick/club.db`
	root.Args = cobra.NoArgs
	root.SilenceErrors, root.SilenceUsage = true, true
	root.SetFlagErrorFunc(func(_ *cobra.Command, err error) error { return misuse{err} })
	root.AddGroup(
		&cobra.Group{ID: "run", Title: "Start it:"},
		&cobra.Group{ID: "file", Title: "The file, without the page:"},
		&cobra.Group{ID: "beside", Title: "Beside it:"},
	)
	serve := servingCommand("serve", false)
	serve.Short, serve.GroupID = "Start with your own data (also without a command)", "run"
	demo := servingCommand("demo", true)
	demo.Short, demo.GroupID = "Start with an invented club, in a file of its own", "run"
	root.AddCommand(serve, demo, passphraseCommand())
	root.AddCommand(fileCommands()...)
	root.AddCommand(simulatedCommand("machine"), simulatedCommand("eye"), clubCommand())
	root.AddCommand(
		saying("version", "Say which Hodometer this is", func() (string, error) { return aboutLine(about()), nil }),
		saying("licenses", "Print the licences of all that ships in it, fonts included", licenses),
		saying("openapi", "Print the description of the interface between page and program", func() (string, error) {
			document, err := api.OpenAPI()
			return string(document), err
		}),
	)
	wrapArgs(root)
	return root
}

// wrapArgs has every complaint about arguments be a misuse.
func wrapArgs(c *cobra.Command) {
	check := c.Args
	if check == nil {
		check = cobra.NoArgs
	}
	c.Args = func(c *cobra.Command, args []string) error {
		if err := check(c, args); err != nil {
			return misuse{errors.Join(err, errors.New("see hodometer "+helpOf(c)))}
		}
		return nil
	}
	for _, sub := range c.Commands() {
		wrapArgs(sub)
	}
}

func helpOf(c *cobra.Command) string {
	if c.HasParent() {
		return "help " + c.Name()
	}
	return "help"
}

// saying is a command that says something.
func saying(name, short string, text func() (string, error)) *cobra.Command {
	return &cobra.Command{Use: name, Short: short, Args: cobra.NoArgs, RunE: func(c *cobra.Command, _ []string) error {
		said, err := text()
		if err != nil {
			return err
		}
		_, err = io.WriteString(c.OutOrStdout(), said)
		return err
	}}
}
