#!/usr/bin/env bash
# The private MariaDB of one instance: mariadb.sh start|stop|kill|url DIRECTORY
# `start` makes the data directory if need be, adopts a server of ours that still runs, prints the connection URL.
. "$(dirname "$0")/lib.sh"

action=${1:?start, stop, kill or url} dir=${2:?instance directory}
data=$dir/mariadb pid_file=$dir/mariadb.pid secret=$dir/database.secret url_file=$dir/database.url

# Socket paths are limited to 107 bytes, so the socket lives in a temporary directory named after the instance.
socket=${TMPDIR:-/tmp}/draught-$(id -u)-$(printf '%s' "$dir" | sha256sum | cut -c1-12).sock

running() {
	[ -f "$pid_file" ] || return 1
	local pid
	pid=$(cat "$pid_file" 2>/dev/null) || return 1
	# A pid may be taken over by another program after a crash: ask that it is a mariadbd on our data directory.
	[ -n "$pid" ] && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF -- "--datadir=$data"
}

wait_until_answering() {
	local n=0
	until mariadb-admin --no-defaults --socket="$socket" ping >/dev/null 2>&1; do
		n=$((n + 1))
		[ "$n" -gt 150 ] && { tail -n 5 "$dir/mariadb.out" "$dir/mariadb.log" >&2 || true; die "MariaDB did not answer within 30 s; its log: $dir/mariadb.log"; }
		sleep 0.2
	done
}

start() {
	need_database_server
	mkdir -p "$dir"
	chmod 700 "$dir"
	if [ ! -d "$data" ]; then
		say "making a private MariaDB data directory in $data" >&2
		rm -rf "$data.new"
		mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$data.new" --auth-root-authentication-method=socket \
			--auth-root-socket-user="$(id -un)" --skip-test-db --skip-name-resolve >"$dir/install.log" 2>&1 ||
			die "mariadb-install-db failed; see $dir/install.log"
		mv "$data.new" "$data" # a half-made directory is never taken for a whole one
	fi
	[ -s "$secret" ] || (umask 077 && head -c 24 /dev/urandom | base64 | tr '+/' 'ab' >"$secret")
	local port
	if running; then
		say "adopting the MariaDB of this instance that still runs (pid $(cat "$pid_file"))" >&2
		wait_until_answering
		port=$(mariadb --no-defaults --socket="$socket" -N -e 'SELECT @@port')
	else
		rm -f "$pid_file" "$socket"
		port=$(free_port "${DRAUGHT_DB_PORT:-43306}")
		setsid mariadbd --no-defaults --user="$(id -un)" --datadir="$data" --socket="$socket" --pid-file="$pid_file" \
			--bind-address=127.0.0.1 --port="$port" --skip-name-resolve --character-set-server=utf8mb4 \
			--default-time-zone=+00:00 --sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO \
			--innodb-flush-log-at-trx-commit=1 --max-allowed-packet=32M --log-error="$dir/mariadb.log" \
			</dev/null >"$dir/mariadb.out" 2>&1 &
		wait_until_answering
	fi
	local word
	word=$(cat "$secret")
	mariadb --no-defaults --socket="$socket" <<-SQL
		CREATE USER IF NOT EXISTS draught@127.0.0.1 IDENTIFIED BY '$word';
		CREATE USER IF NOT EXISTS draught@localhost IDENTIFIED BY '$word';
		ALTER USER draught@127.0.0.1 IDENTIFIED BY '$word';
		ALTER USER draught@localhost IDENTIFIED BY '$word';
		GRANT ALL ON \`draught%\`.* TO draught@127.0.0.1;
		GRANT ALL ON \`draught%\`.* TO draught@localhost;
	SQL
	(umask 077 && printf 'mysql://draught:%s@127.0.0.1:%s' "$word" "$port" >"$url_file")
	cat "$url_file"
}

stop() {
	running || return 0
	local pid
	pid=$(cat "$pid_file")
	kill -TERM "$pid"
	while kill -0 "$pid" 2>/dev/null; do sleep 0.1; done
}

case $action in
start) start ;;
stop) stop ;;
kill) running && kill -KILL "$(cat "$pid_file")" ;;
url) cat "$url_file" ;;
*) die "start, stop, kill or url, not $action" ;;
esac
