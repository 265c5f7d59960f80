#!/usr/bin/env bash
# npm run mutate:sample [anew] [tell] [ROOM...]: a seeded sample of faults where nobody listed them, and which no test notices (docs/testing.md).
. "$(dirname "$0")/lib.sh"
need_modules
need_database_server
svelte-kit sync
dir=$(mktemp -d /dev/shm/draught-sample-XXXXXX)
trap '"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir" || true; rm -rf "$dir"' EXIT
base=$(DRAUGHT_DB_PORT=${DRAUGHT_SAMPLE_DB_PORT:-43606} "$DRAUGHT_ROOT/scripts/mariadb.sh" start "$dir")
export DRAUGHT_TEST_DATABASE_BASE=$base
node mutation/sample.mjs "$@"
