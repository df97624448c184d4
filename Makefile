# make demo and make test do all their set-up themselves. Go and Node have to be there.

BIN := bin/hodometer
LINT := go tool -modfile=tools/go.mod golangci-lint
CORE := $(shell find core cmd/courtside -name '*.go' -not -name '*_test.go' -o -name '*.json' -not -path '*/testdata/*') go.mod
PAGES := $(shell find ui/src ui/public ui/index.html ui/vite.config.ts ui/notices.ts -type f)
# How well what devices load is compressed: the highest level takes half a minute for core.
LEVEL := 11
# One way of compiling, so that what is built, run and tested is compiled once.
export GOFLAGS := -trimpath

.PHONY: browser demo compiled test test-long test-fresh check check-go check-lint check-page check-units check-format bench dev hooks generate format build fuzz mutants screenshots

# While the packages of the page are fetched, Go is compiled.
demo:
	@$(MAKE) --no-print-directory -j 2 compiled ui/dist/index.html
	@$(MAKE) --no-print-directory build LEVEL=5
	$(BIN) demo $(ARGS)

compiled:
	@go build -o /dev/null ./cmd/hodometer

build: ui/dist/index.html
	npx tsx ui/pack.ts $(LEVEL)
	go build -ldflags='-s -w -X main.build=$(shell git rev-parse --short=12 HEAD 2>/dev/null)' -o $(BIN) ./cmd/hodometer

node_modules/.installed: package.json package-lock.json
	npm install --no-audit --no-fund
	touch $@

# Core for devices without the network, and what a browser needs to run it.
ui/src/device/core.wasm: $(CORE) internal/lean/main.go
	go run ./internal/lean $@
	cp "$$(go env GOROOT)/lib/wasm/wasm_exec.js" ui/src/device/wasm_exec.js
	chmod u+w ui/src/device/wasm_exec.js

ui/dist/index.html: node_modules/.installed ui/src/device/core.wasm $(PAGES)
	npm run --silent build
	rm -f ui/dist/.level
	touch ui/dist/.gitkeep $@

# Every test: Go, Svelte units, types and generated files, end to end in headless Chromium.
test: build browser
	go vet ./...
	go test ./...
	npm run --silent types:check
	npm run --silent check
	npm test
	npm run --silent e2e

# All of the long properties, and every browser test just before midnight.
test-long: build browser
	HODOMETER_LONG=1 go test -timeout 30m ./...
	HODOMETER_NOW=2026-03-10T23:59:00 npm run --silent e2e

# The commands of the README, as they are written, from a fresh clone in an empty folder.
test-fresh:
	e2e/fresh.sh

# Debian's Chromium without a window, or the whole one where that is not to be had.
browser:
	@command -v chromium-headless-shell >/dev/null || { \
		test "$$(id -u)" = 0 || { command -v chromium >/dev/null && exit 0; \
			echo "The end-to-end tests need Debian's package chromium-headless-shell or chromium: install one and try again"; \
			exit 1; }; \
		apt-get update && { apt-get install --yes --no-install-recommends chromium-headless-shell || \
			apt-get install --yes --no-install-recommends chromium; }; }

# Before every commit: format, lint, types and the fast tests, side by side.
check: node_modules/.installed ui/dist/index.html
	@$(MAKE) --no-print-directory -j 4 --output-sync=target check-go check-lint check-page check-units check-format

check-go:
	go test -short ./...

check-lint:
	@test -z "$$(gofmt -l .)" || (gofmt -l . && exit 1)
	$(LINT) run ./...

check-page:
	npm run --silent check

check-units:
	npm test

check-format:
	npm run --silent format:check
	npm run --silent lint
	npm run --silent types:check

bench: build
	go test -run '^$$' -bench . -benchmem -count 5 ./...
	@if /usr/bin/python3 -c 'import scipy' 2>/dev/null; then /usr/bin/python3 tools/flights.py; else echo "Debian's python3-scipy is not there: flights are not timed beside it"; fi
	npx tsx e2e/bench.ts

# The page rebuilds itself while you work; the program answers behind it.
dev: node_modules/.installed ui/src/device/core.wasm
	@trap 'kill 0' EXIT; go run ./cmd/hodometer demo & npm run dev

# Has git run make check before every commit, and look at its message; git commit --no-verify goes without.
hooks:
	git config core.hooksPath .githooks

# Made files: which values closed types have, the licences of the modules, the OpenAPI document from the route table, and the client's types from it.
generate: node_modules/.installed
	go run ./internal/enums core api paper keeping
	go run ./internal/notices > cmd/hodometer/modules.txt.new && mv cmd/hodometer/modules.txt.new cmd/hodometer/modules.txt
	go run ./cmd/hodometer openapi > api/openapi.json.new && mv api/openapi.json.new api/openapi.json
	npm run --silent types

format: node_modules/.installed
	gofmt -w .
	npm run --silent format

# Everything that parses, a minute each; and some 50 000 bodies made of the OpenAPI document, with values at their extremes and beyond.
fuzz:
	HODOMETER_LONG=1 go test -run TestBodiesAtTheirExtremes -timeout 30m -v ./api
	@for room in $$(grep -rlE "^func Fuzz" --include=*_test.go --exclude-dir=node_modules . | xargs -n 1 dirname | sort -u); do \
		for each in $$(grep -hoE '^func Fuzz\w+' $$room/*_test.go | cut -c 6-); do \
			echo "$$room $$each"; go test -run '^$$' -fuzz "^$$each\$$" -fuzztime 60s $$room || exit 1; \
		done; \
	done

# Small faults are put into core, one after the other, to see whether the tests of their room notice; a second each, and
# some ten thousand of them. ARGS='-every 20' takes a sample, ARGS=core/count/score one room.
mutants:
	go run ./internal/mutants $(ARGS)

screenshots: build browser
	npx tsx e2e/screenshots.ts
