#!/usr/bin/env bash
# npm run golden: writes the demo's findings anew (tests/reference/demo-findings.txt), after CORE_VERSION was raised.
. "$(dirname "$0")/lib.sh"
need_modules
need_database_server
DRAUGHT_WRITE_GOLDEN=yes vitest run --project db src/demo/golden.db.test.ts
