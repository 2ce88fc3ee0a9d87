# What a developer does with Zephyros. Every target starts from nothing: it restores what it needs.
SHELL := /bin/bash
.SHELLFLAGS := -eu -o pipefail -c
.DEFAULT_GOAL := help

PORT ?= 5080
DATA ?= artifacts/demo-data
APP := artifacts/app
CONFIGURATION := Release
export DOTNET_CLI_TELEMETRY_OPTOUT := 1
export DOTNET_NOLOGO := 1
# A compiler runs for seconds: watching its own code and collecting beside itself never pay.
BUILD := env DOTNET_TieredPGO=0 DOTNET_gcConcurrent=0 dotnet
ANALYZERS ?= false

.PHONY: help demo app compile test test-deep mutants record bench shots captures schema audit restore nuget format clean

help:
	@echo "make demo       build, and start on http://127.0.0.1:$(PORT) with demo data (PORT=, DATA=)"
	@echo "make test       format, lint, build, all tests (ten to twenty minutes)"
	@echo "make test-deep  the same tests with far larger counts, and the kill loop (under an hour)"
	@echo "make mutants    plants slips in a copy of the code and tells which the tests notice (COUNT= of each room, SEED=, ROOMS=A,B, QUICK=1)"
	@echo "make record     what the core says and writes, recorded anew: read the differences before you commit them"
	@echo "make bench      speed, in figures"
	@echo "make shots      the pictures in docs/screenshots"
	@echo "make captures   a recording of each demo craft's signal wire in artifacts/captures, one with a planted fault"
	@echo "make schema     docs/setup.schema.json, from the types"
	@echo "make audit      asks the package registries for known weaknesses (needs a network)"
	@echo "make format     put code into the checked format"

demo: app
	@mkdir -p $(DATA)
	exec dotnet $(APP)/Zephyros.Web.dll --port $(PORT) --data $(DATA) --demo true

# The analyzers run in make test. The server is built first: the types of the interface are made from its OpenAPI document.
app: restore
	$(BUILD) publish src/Zephyros.Web -c $(CONFIGURATION) --no-restore -p:RunAnalyzers=$(ANALYZERS) -v quiet -o $(APP)
	npm run --silent types
	npm run --silent build

# Everything else in C#. What the application has compiled already, with the same ANALYZERS, is not compiled again.
compile: nuget
	$(BUILD) build Zephyros.slnx -c $(CONFIGURATION) --no-restore -p:RunAnalyzers=$(ANALYZERS) -v quiet

restore: nuget node_modules/.package-lock.json

nuget:
	dotnet restore Zephyros.slnx --locked-mode -v quiet
	dotnet tool restore > /dev/null

node_modules/.package-lock.json: package-lock.json
	npm ci --no-audit --no-fund

test:
	node tools/test-all.mjs

test-deep:
	DEEP=1 node tools/test-all.mjs

# A sample of 2 takes minutes, the whole (COUNT=100000) many hours. The copy stays in artifacts/mutants.
COUNT ?= 12
SEED ?= 1
ROOMS ?=
mutants: restore
	node tools/ensure-references.mjs
	dotnet run --project tools/mutants -c Release -- --count $(COUNT) --seed $(SEED) $(if $(ROOMS),--rooms $(ROOMS)) $(if $(QUICK),--quick)

# Where a project of tests keeps its records, and the program that makes them.
RECORD = cd tests/$(1)/bin/Release/net10.0 && ZEPHYROS_RECORD=$(CURDIR)/tests/$(1)/Data/recorded dotnet $(1).dll -noColor
record: compile
	$(call RECORD,Zephyros.Core.Tests) -class '*RecordedTests'
	$(call RECORD,Zephyros.Core.Tests) -method '*.What_is_said_of_each_planted_fault_is_what_was_said'
	$(call RECORD,Zephyros.Core.Tests) -method '*.Steps_say_what_they_said'
	$(call RECORD,Zephyros.Web.Tests) -class '*RecordedTests'

bench: app
	dotnet run --project benchmarks/Zephyros.Benchmarks -c Release -- $(APP)

shots: app
	node tools/ensure-chromium.mjs
	node tools/shots.mjs

captures: app
	node tools/captures.mjs

schema: app
	node tools/schema.mjs

audit: restore
	node tools/audit.mjs

format: restore
	dotnet csharpier format .
	npm run --silent format

clean:
	rm -rf artifacts src/frontend/src/api/generated
	find src tests benchmarks -type d \( -name bin -o -name obj \) -prune -exec rm -rf {} +
