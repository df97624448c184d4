package main

import (
	"cmp"
	_ "embed" // the licences
	"fmt"
	"runtime"
	"runtime/debug"

	"hodometer/api"
	"hodometer/ui"
)

// version is that of the newest entry in CHANGELOG.md; a test compares.
const version = "0.5.0"

// modules is the licence of every module that ships in the program; made by internal/notices.
//
//go:embed modules.txt
var modules string

// build is the commit that was built; make sets it.
var build string

// about says which Hodometer this is.
func about() api.About {
	return api.About{Version: version, Build: cmp.Or(build, stamped()), Go: runtime.Version()}
}

// stamped is the commit that go build wrote into the program; empty where it wrote none.
func stamped() string {
	info, _ := debug.ReadBuildInfo()
	if info == nil {
		return ""
	}
	for _, setting := range info.Settings {
		if setting.Key == "vcs.revision" {
			return setting.Value[:min(len(setting.Value), 12)]
		}
	}
	return ""
}

// licenses are those of all that ships.
func licenses() (string, error) {
	pages, err := ui.Pages()
	if err != nil {
		return "", err
	}
	return api.Notices(modules, pages)
}

// aboutLine says the same in one line.
func aboutLine(a api.About) string {
	line := "Hodometer " + a.Version
	if a.Build != "" {
		line += ", build " + a.Build
	}
	return fmt.Sprintf("%s, %s\n", line, a.Go)
}
