#!/usr/bin/env bash
# npm run mutate [PART...]: breaks the joins of core one fault at a time and tells which no test notices (docs/testing.md).
. "$(dirname "$0")/lib.sh"
need_modules
# The tree's own tsconfig leans on it.
svelte-kit sync
[ $# -gt 0 ] || set -- $(node -e "import('./mutation/parts.mjs').then((m) => console.log(Object.keys(m.PARTS).join(' ')))")
for part in "$@"; do
	say "mutating $part"
	DRAUGHT_MUTATE_PART=$part stryker run mutation/stryker.config.mjs
done
node mutation/summary.mjs
