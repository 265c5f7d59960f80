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

trap '"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir"; rm -rf "$dir"' EXIT

"$DRAUGHT_ROOT/scripts/check.sh" || true
need_build
say "starting a throw-away MariaDB"
"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir"
base=$(DRAUGHT_DB_PORT=${DRAUGHT_TEST_DB_PORT:-43406} "$DRAUGHT_ROOT/scripts/mariadb.sh" start "$dir")
export DRAUGHT_TEST_DATABASE_BASE=$base
say "unit and database tests"
vitest run --reporter=default --reporter=json --outputFile.json="$reports/vitest.json" || true
say "browser tests"
playwright test || true
node scripts/closing-line.mjs "$reports"
