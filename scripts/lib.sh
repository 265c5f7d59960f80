# Shared by every script here: say what is done, install only what is missing, build only what is stale.
# Sourced, never run. Sets DRAUGHT_ROOT and defines functions; changes nothing by itself.
set -euo pipefail

DRAUGHT_ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$DRAUGHT_ROOT"
# Debian keeps the database server's program in /usr/sbin, which is not on every user's PATH; DRAUGHT_SBIN says another place.
export PATH="$DRAUGHT_ROOT/node_modules/.bin:$PATH:${DRAUGHT_SBIN:-/usr/sbin}"

# Messages go to stderr: stdout belongs to what a script answers (a URL), also when Debian packages are installed on the way.
say() { printf 'draught: %s\n' "$*" >&2; }
die() {
	printf 'draught: %s\n' "$*" >&2
	exit 1
}

retry() { # retry TIMES COMMAND...
	local times=$1 n=1
	shift
	until "$@"; do
		[ "$n" -ge "$times" ] && return 1
		say "attempt $n of $times failed, trying again: $1"
		n=$((n + 1))
		sleep $((n * 2))
	done
}

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# Debian packages, only those whose program is absent. Arguments: program:package ...
need_programs() {
	local pair missing=()
	for pair in "$@"; do
		command -v "${pair%%:*}" >/dev/null 2>&1 || missing+=("${pair#*:}")
	done
	[ ${#missing[@]} -eq 0 ] && return 0
	command -v apt-get >/dev/null || die "missing: ${missing[*]}, and this is no Debian machine; install them and run again"
	say "installing Debian packages: ${missing[*]}"
	retry 3 as_root apt-get update -q >/dev/null || die "apt-get update failed three times; is the network up?"
	retry 3 as_root env DEBIAN_FRONTEND=noninteractive apt-get install -q -y --no-install-recommends "${missing[@]}" >/dev/null ||
		die "could not install ${missing[*]}"
}

need_database_server() { need_programs mariadbd:mariadb-server setsid:util-linux flock:util-linux prlimit:util-linux; }
need_browser() { need_programs chromium:chromium fc-list:fontconfig curl:curl; fc-list | grep -qi liberation || as_root apt-get install -q -y --no-install-recommends fonts-liberation >/dev/null; }

# Seconds of processor that what was run here and has ended took: `times >FILE; of_processor FILE`, since a subshell has times of its own.
of_processor() { awk -F '[ms ]+' 'NR == 2 { printf "%d", $1 * 60 + $2 + $3 * 60 + $4 }' "$1"; }

pause() { # pause SECONDS: waits without starting a process, so that a watch costs nothing
	[ -n "${pause_fd:-}" ] || exec {pause_fd}<> <(:)
	read -rt "$1" -u "$pause_fd" || true
}

# Two first starts at once share one clone: the second waits for what the first installs or builds.
locked() { # locked COMMAND...
	mkdir -p .cache
	(
		flock 9
		"$@" 9>&-
	) 9>.cache/set-up.lock
}

# npm ci, only if the lock file is not the one the modules were installed from.
need_modules() { locked install_modules; }
install_modules() {
	local mark=node_modules/.draught-lock now
	now=$(sha256sum package-lock.json | cut -d' ' -f1)
	[ -f "$mark" ] && [ "$(cat "$mark")" = "$now" ] && return 0
	say "installing the npm packages of package-lock.json (about a minute)"
	retry 3 npm ci --loglevel=error || die "npm ci failed three times"
	printf '%s' "$now" >"$mark"
}

# vite build, only if a source is newer than the last finished build.
need_build() { locked build_stale; }
build_stale() {
	local mark=build/.draught-built
	if [ -f "$mark" ] && [ -z "$(find src static drizzle scripts/tasks scripts/tasks.vite.config.mjs package-lock.json svelte.config.js vite.config.ts -newer "$mark" -print -quit)" ]; then
		return 0
	fi
	say "building (about half a minute)"
	rm -rf build
	{ vite build --logLevel error && vite build --config scripts/tasks.vite.config.mjs --logLevel error; } >&2 || die "the build failed"
	touch "$mark"
}

free_port() { # free_port PORT [HOST]: the first free TCP port from PORT upwards
	node -e '
		const net = require("node:net");
		const [port, host] = process.argv.slice(1);
		const tryPort = (p) => { const s = net.createServer(); s.once("error", () => tryPort(p + 1));
			s.listen(p, host, () => s.close(() => process.stdout.write(String(p)))); };
		tryPort(Number(port));' "$1" "${2:-127.0.0.1}"
}

# Where an instance ("own", "demo", "test") keeps its data: outside the clone, so cleaning the checkout loses nothing.
instance_dir() { printf '%s/%s' "${DRAUGHT_DATA_DIR:-${XDG_DATA_HOME:-$HOME/.local/share}/draught}" "$1"; }

# Everyone who needs the private MariaDB of an instance holds its lock shared; whoever lets go last stops the server. So a
# backup never stops the server under a running application, nor the application under a backup.
hold_database() { # hold_database DIRECTORY
	mkdir -p "$1"
	chmod 700 "$1"
	exec {database_hold}>"$1/in-use.lock"
	flock -s "$database_hold"
}
release_database() { # release_database DIRECTORY
	[ -n "${database_hold:-}" ] || return 0
	if flock -n -x "$database_hold"; then
		"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$1"
	fi
	exec {database_hold}>&-
	database_hold=
}
