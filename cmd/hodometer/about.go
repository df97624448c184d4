package main

import (
	_ "embed" // the licences
	"fmt"
	"runtime"
	"runtime/debug"

	"hodometer/api"
	"hodometer/ui"
)

// version is that of the newest entry in CHANGELOG.md; a test compares.
const version = "0.3.0"

// modules is the licence of every module that ships in the program; made by internal/notices.
//
//go:embed modules.txt
var modules string

// build is the commit that was built; make sets it.
var build string

// about says which Hodometer this is.
func about() api.About {
	a := api.About{Version: version, Build: build, Go: runtime.Version()}
	if info, ok := debug.ReadBuildInfo(); ok {
		for _, setting := range info.Settings {
			if build == "" && setting.Key == "vcs.revision" && len(setting.Value) >= 12 {
				a.Build = setting.Value[:12]
			}
		}
	}
	return a
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
