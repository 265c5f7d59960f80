#!/usr/bin/env bash
# npm test: checks, unit tests, database tests and browser tests on throw-away data; ends with one closing line.
. "$(dirname "$0")/lib.sh"

need_modules
need_database_server
need_browser

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
browser=
# What is gone already is no failure: the exit code is that of the closing line.
clear_away() {
	[ -z "$browser" ] || kill "$browser" 2>/dev/null || true
	"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir" || true
	rm -rf "$dir"
}
trap clear_away EXIT

need_build
say "starting a throw-away MariaDB"
"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir"
base=$(DRAUGHT_DB_PORT=${DRAUGHT_TEST_DB_PORT:-43406} "$DRAUGHT_ROOT/scripts/mariadb.sh" start "$dir")
export DRAUGHT_TEST_DATABASE_BASE=$base
# Two lanes, so that both processors have work: browser tests in one, everything else in the other. They share nothing but the server of
# the databases, and what one of them says is told when it is done.
say "browser tests in the background; checks, unit and database tests here"
playwright test >"$reports/browser.txt" 2>&1 &
browser=$!
"$DRAUGHT_ROOT/scripts/check.sh" || true
vitest run --reporter=default --reporter=json --outputFile.json="$reports/vitest.json" || true
wait "$browser" || true
browser=
cat "$reports/browser.txt"
node scripts/closing-line.mjs "$reports"
