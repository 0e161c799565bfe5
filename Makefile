# Botanik. make demo starts the demo desk; make test passes every test. Both
# install what they need on a fresh machine (Go, Node, npm, make; root or sudo).

SHELL := /bin/bash
BIN := bin/botanik
WEB := web/node_modules/.installed
PAGE := web/dist/index.html
SUDO := $(shell [ "$$(id -u)" = 0 ] || echo sudo)
GOFILES := $(shell find cmd core herbarium internal web/embed.go -name '*.go' -o -name '*.yaml' -o -name '*.sql')
WEBFILES := $(shell find web/src web/public web/scripts web/index.html web/vite.config.ts web/package-lock.json herbarium/causes -type f)

.PHONY: demo test dev check shots plates-blind bench attack build clean browser api test-page test-program test-journeys minutes axe

demo: build
	./$(BIN) demo

build: $(BIN)

# The book in a form that opens in some 30 ms instead of 700; without it the sheets are read.
BOOK := herbarium/packed/book.gob.gz
BOOKFILES := $(shell find herbarium core/knowledge core/microscopy core/sprayday -name '*.yaml' -o -name '*.go' | grep -v _test.go)
$(BOOK): $(BOOKFILES)
	go run ./herbarium/pack $@

$(BIN): $(PAGE) $(BOOK) $(GOFILES) go.sum
	go build -trimpath -o $@ ./cmd/botanik

$(WEB): web/package-lock.json
	cd web && npm ci --no-audit --no-fund --loglevel=error
	touch $@

$(PAGE): $(WEB) $(WEBFILES)
	rm -rf web/dist/assets
	cd web && npx --no-install vite build --logLevel warn && node scripts/drawings.mjs && node scripts/licences.mjs dist/licences.txt
	touch $@

# The headless shell is the engine without the windows around it, and costs three quarters of
# the whole browser; where a distribution has no such package the whole one does.
INSTALL := DEBIAN_FRONTEND=noninteractive $(SUDO) apt-get install -y -qq
browser:
	@command -v chromium-headless-shell >/dev/null || (command -v chromium && ! apt-cache show chromium-headless-shell) >/dev/null 2>&1 || ($(SUDO) apt-get update -qq && ($(INSTALL) chromium-headless-shell || $(INSTALL) chromium)) >/dev/null

# The page's tests, the program's and the journeys run beside each other: journeys wait
# more than they reckon, so they begin first, three at a time.
test: browser $(PAGE) $(BOOK)
	go build ./...
	go vet ./...
	$(MAKE) --no-print-directory -j3 --output-sync=target test-journeys test-program test-page

test-page: $(PAGE)
	cd web && npx --no-install vitest run

test-program: $(PAGE) $(BOOK)
	go test -count=1 -timeout 20m $$(go list ./... | grep -v /e2e)

test-journeys: $(PAGE) $(BOOK)
	go test -count=1 -timeout 20m -parallel 4 ./e2e

# Hot reload: the page on :5173, the desk on :8080.
dev: $(WEB)
	@trap 'kill 0' EXIT; go run ./cmd/botanik demo & cd web && npx --no-install vite

api: $(PAGE)
	go test ./internal/httpapi -run TestExamples -record -count=1
	go run ./cmd/botanik openapi > internal/httpapi/openapi.json
	cd web && node scripts/types.mjs src/api/schema.d.ts
	cd web && node scripts/words.mjs ../core/knowledge/drawingwords.json

check: $(PAGE)
	@test -z "$$(gofmt -l cmd core herbarium internal e2e web/embed.go)" || (gofmt -l cmd core herbarium internal e2e web/embed.go; echo "run gofmt -w on these"; exit 1)
	go vet ./...
	go tool -modfile=tools/go.mod golangci-lint run ./...
	cd web && npx --no-install biome check src && npx --no-install tsc --noEmit
	cd web && REDOCLY_TELEMETRY=off REDOCLY_SUPPRESS_UPDATE_NOTICE=true npx --no-install redocly lint --extends recommended-strict --format summary ../internal/httpapi/openapi.json 2>&1 | grep -vE 'Node|^ *[║╔╚]|npm warn' ; exit $${PIPESTATUS[0]}
	go run ./cmd/botanik kb check
	@go run ./cmd/botanik openapi | diff -q - internal/httpapi/openapi.json >/dev/null || (echo "internal/httpapi/openapi.json is stale: make api"; exit 1)
	@cd web && node scripts/types.mjs /tmp/botanik-schema.d.ts && diff -q /tmp/botanik-schema.d.ts src/api/schema.d.ts >/dev/null || (echo "web/src/api/schema.d.ts is stale: make api"; exit 1)
	@cd web && node scripts/words.mjs /tmp/botanik-words.json >/dev/null 2>&1 && diff -q /tmp/botanik-words.json ../core/knowledge/drawingwords.json >/dev/null || (echo "core/knowledge/drawingwords.json is stale: make api"; exit 1)

# Pictures of the demo desk for the README.
shots: browser $(PAGE)
	BOTANIK_SHOTS=$(CURDIR)/docs/screenshots go test ./e2e -run 'TestShots' -count=1 -v

# N plates at random without their names on one page, and the key apart: for somebody who does not know them.
N ?= 30
SEED ?= $(shell date +%s)
plates-blind: browser $(WEB)
	cd web && node scripts/sheet.mjs ../bin/plates-blind.html --blind $(N) --seed $(SEED) --width 230
	$$(command -v chromium-headless-shell || command -v chromium) --headless --no-sandbox --disable-gpu --hide-scrollbars --window-size=1440,$$(( ($(N) + 5) / 6 * 264 + 20 )) --screenshot=bin/plates-blind.png file://$(CURDIR)/bin/plates-blind.html >/dev/null 2>&1
	@echo "look at bin/plates-blind.png, write the names down, then open bin/plates-blind.key.txt"

# The four cases of review/use.md worked through in the page, their actions counted.
minutes: browser $(PAGE)
	go test ./e2e -run 'TestFromBagToPage' -count=1 -v

# axe over every room and step, wide and narrow, light and dark: some four minutes.
axe: browser $(PAGE)
	BOTANIK_AXE=1 go test ./e2e -run 'TestAxe' -count=1 -timeout 20m -v | grep -vE '^(\{|=== )'

# The attack of docs/robustness.md in full, some ten minutes: kills, stops,
# floods, bombs, a soak.
attack: $(PAGE)
	BOTANIK_ATTACK=1 go test ./e2e -run 'TestKilled|TestStopped|TestAFlood|TestSoak' -count=1 -timeout 40m -v | grep -vE '^(\{|=== )'

# The ranking against independent cases (TRIAL), as entered and following its looks.
TRIAL ?= ../shared/trial/cases.json
trial:
	go run ./cmd/botanik trial --again core/evaluation/testdata/again.json $(TRIAL)

# One line each: bench NAME: measured R, goal G (ratios of one run).
bench: $(PAGE) $(BOOK)
	@cd web && NODE_ENV=production node scripts/bench-plates.mjs 2>/dev/null
	BOTANIK_BENCH=1 go test ./core/differential ./core/lifecycle ./core/remedy ./internal/store ./internal/desk -run 'TestBench' -count=1 -v | grep '^bench ' || exit 1

clean:
	rm -rf bin web/node_modules web/dist/assets $(PAGE)
