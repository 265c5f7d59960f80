#!/usr/bin/env bash
# npm test: checks, unit tests, database tests and browser tests on throw-away data; ends with one closing line.
. "$(dirname "$0")/lib.sh"

# Every step has a name and says how long it took, by the clock and of the processors; the table stands above the closing line.
steps=
clock=$(mktemp)
step() { # step NAME COMMAND...
	local name=$1 from=$SECONDS code=0
	shift
	# In a shell of its own: what lanes beside it took is not its time.
	("$@" && code=0 || code=$?; times >"$clock"; exit "$code") || code=$?
	steps+=$(printf '%-10s %4d s %4d s' "$name" $((SECONDS - from)) "$(of_processor "$clock")")$'\n'
	return "$code"
}
step modules need_modules
step mariadb need_database_server
step chromium need_browser

work=$DRAUGHT_ROOT/.cache/test
# In memory where there is plenty: no test then waits for a slow disk.
dir=$work/instance
[ "$(df --output=avail -k /dev/shm 2>/dev/null | tail -n 1)" -gt 4000000 ] 2>/dev/null && dir=$(mktemp -d /dev/shm/draught-test-XXXXXX)
reports=$work/reports
rm -rf "$reports"
mkdir -p "$reports" "$dir"
export DRAUGHT_CHECK_REPORT=$reports/checks.txt DRAUGHT_REPORTS=$reports DRAUGHT_TEST_INSTANCE_DIR=$dir

# A signal ends it as the end of the tests does: nothing of the throw-away server stays.
trap 'exit 1' INT TERM HUP
browser= checks=
# What is gone already is no failure: the exit code is that of the closing line.
clear_away() {
	[ -z "$browser" ] || kill -- "-$browser" 2>/dev/null || true
	[ -z "$checks" ] || kill -- "-$checks" 2>/dev/null || true
	"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir" || true
	rm -rf "$dir" "$clock"
}
trap clear_away EXIT

step build need_build
say "starting a throw-away MariaDB"
"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir"
base=$(DRAUGHT_DB_PORT=${DRAUGHT_TEST_DB_PORT:-43406} "$DRAUGHT_ROOT/scripts/mariadb.sh" start "$dir")
export DRAUGHT_TEST_DATABASE_BASE=$base
# Three lanes, so that both processors have work to the end: browser tests, unit and database tests, and the checks, which give way to both.
# They share nothing but the server of the databases, and what the first and the last of them say is told when they are done.
say "browser tests and checks in the background; unit and database tests here"
# Each in a process group of its own, so that a signal ends it with all it started.
set -m
(SECONDS=0; playwright test; times >"$reports/times.txt"; printf '%-10s %4d s %4d s\n' browser "$SECONDS" "$(of_processor "$reports/times.txt")" >"$reports/browser-time.txt") >"$reports/browser.txt" 2>&1 &
browser=$!
nice -n 10 "$DRAUGHT_ROOT/scripts/check.sh" >"$reports/check-output.txt" 2>&1 &
checks=$!
set +m
step vitest vitest run --reporter=default --reporter=json --outputFile.json="$reports/vitest.json" \
	--coverage --coverage.reportsDirectory="$reports" --coverage.clean=false || true
wait "$checks" || true
checks=
cat "$reports/check-output.txt"
wait "$browser" || true
browser=
cat "$reports/browser.txt"
say "steps: by the clock, of the processors"
printf '%s' "$steps"
cat "$reports/checks-time.txt" "$reports/browser-time.txt" 2>/dev/null || true
node scripts/closing-line.mjs "$reports"
