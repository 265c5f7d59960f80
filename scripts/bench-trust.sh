#!/usr/bin/env bash
# npm run bench:trust: how far ranges, letters and tiers can be trusted, by simulation with known truth (docs/trust.md).
. "$(dirname "$0")/lib.sh"
need_modules
tsx scripts/tasks/bench-trust.ts "$@"
