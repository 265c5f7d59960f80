#!/usr/bin/env bash
# npm run check: format, lint, types and unused code; each is reported, the first failure does not hide the next.
. "$(dirname "$0")/lib.sh"
need_modules
report=${DRAUGHT_CHECK_REPORT:-}
failed=0
run() { # run NAME COMMAND...
	local name=$1 state=passed from=$SECONDS
	shift
	say "check: $name"
	"$@" || { state=failed; failed=1; }
	[ -z "$report" ] || printf '%s %s\n' "$name" "$state" >>"$report"
	[ -z "$report" ] || printf '%-10s %4d s\n' "$name" $((SECONDS - from)) >>"${report%.txt}-time.txt"
}
svelte-kit sync
run lint eslint . --max-warnings 0
run format prettier --check --log-level warn .
run types svelte-check --tsconfig ./tsconfig.json --fail-on-warnings
run imports depcruise src --config .dependency-cruiser.cjs --output-type err
run knip knip
exit "$failed"
