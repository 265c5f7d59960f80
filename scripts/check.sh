#!/usr/bin/env bash
# npm run check: format, lint, types and unused code; each is reported, the first failure does not hide the next.
. "$(dirname "$0")/lib.sh"
need_modules
report=${DRAUGHT_CHECK_REPORT:-}
failed=0
clock=$(mktemp)
trap 'rm -f "$clock"' EXIT
run() { # run NAME COMMAND...
	local name=$1 state=passed from=$SECONDS before
	shift
	times >"$clock"
	before=$(of_processor "$clock")
	say "check: $name"
	"$@" || { state=failed; failed=1; }
	[ -z "$report" ] || printf '%s %s\n' "$name" "$state" >>"$report"
	times >"$clock"
	[ -z "$report" ] || printf '%-10s %4d s %4d s\n' "$name" $((SECONDS - from)) $(($(of_processor "$clock") - before)) >>"${report%.txt}-time.txt"
}
# Components are read by TypeScript as lint sees them, so that the next one does not cost all that was known of types: half the time.
export SVELTE_ESLINT_PARSER_EXPERIMENTAL_TS_SYS_HOOK=1
svelte-kit sync
run lint eslint . --max-warnings 0
run format prettier --check --log-level warn .
run types svelte-check --tsconfig ./tsconfig.json --fail-on-warnings
run imports depcruise src --config .dependency-cruiser.cjs --output-type err
run knip knip
exit "$failed"
