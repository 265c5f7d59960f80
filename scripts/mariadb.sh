#!/usr/bin/env bash
# The private MariaDB of one instance: mariadb.sh start|stop|kill|url DIRECTORY, mariadb.sh watch DIRECTORY PARENT_PID
# `start` makes the data directory if need be, adopts a server of ours that still runs, and prints the connection URL, alone, on
# stdout. `watch` starts it again on the same port when it died, and comes back when it was stopped or the parent is gone.
. "$(dirname "$0")/lib.sh"

action=${1:?start, stop, kill, url or watch} dir=${2:?instance directory}
data=$dir/mariadb pid_file=$dir/mariadb.pid port_file=$dir/mariadb.port secret=$dir/database.secret url_file=$dir/database.url

# A starting mariadbd clears its temporary directory of #sql files, so two servers in one directory break each other's tables.
temporary=$dir/temporary

# Relative to the data directory (mode 0700): nobody else can put a socket there first, and it fits the 107 bytes of a socket's path.
socket=mariadb.sock
client() { (cd "$data" && "$1" --no-defaults --socket="$socket" "${@:2}"); }

server_pid() { # prints the pid of a running server of ours
	local pid word words
	read -r pid 2>/dev/null <"$pid_file" || return 1
	# A pid may be taken over by another program after a crash: ask that it is a mariadbd on our data directory.
	mapfile -d '' -t words 2>/dev/null <"/proc/$pid/cmdline" || return 1
	for word in "${words[@]}"; do
		[ "$word" = "--datadir=$data" ] && printf '%s' "$pid" && return 0
	done
	return 1
}
running() { server_pid >/dev/null; }

# Makes the data directory under another name first: a half-made one is never taken for a whole one.
make_data_directory() {
	[ -d "$data" ] && return 0
	say "making a private MariaDB data directory in $data"
	rm -rf "$data.new"
	TMPDIR=$temporary mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$data.new" --auth-root-authentication-method=socket \
		--auth-root-socket-user="$(id -un)" --skip-test-db --skip-name-resolve >"$dir/install.log" 2>&1 ||
		die "mariadb-install-db failed: $(grep -m 1 ERROR "$dir/install.log" || tail -n 1 "$dir/install.log"); see $dir/install.log"
	mv "$data.new" "$data"
}

wait_until_answering() { # wait_until_answering PID: fails as soon as the process is gone
	local until=$((SECONDS + 120))
	until client mariadb-admin ping >/dev/null 2>&1; do
		kill -0 "$1" 2>/dev/null || return 1
		[ "$SECONDS" -lt "$until" ] || die "MariaDB did not answer within two minutes; its log: $dir/mariadb.log"
		pause 0.1
	done
}

said_since() { tail -c "+$(($1 + 1))" "$dir/mariadb.log" 2>/dev/null | grep -F '[ERROR]' || true; }

launch() { # launch PORT: 0 when it answers, 1 when the port was taken, otherwise the server's own last error is told
	local before said pid fd
	before=$(stat -c %s "$dir/mariadb.log" 2>/dev/null || echo 0)
	rm -f "$pid_file" "$data/$socket"
	(
		# No lock or pipe of ours outlives us in the server.
		for fd in /proc/self/fd/*; do
			fd=${fd##*/}
			[ "$fd" -le 2 ] || eval "exec $fd>&-"
		done
		exec setsid mariadbd --no-defaults --user="$(id -un)" --datadir="$data" --socket="$socket" --pid-file="$pid_file" \
			--tmpdir="$temporary" --bind-address=127.0.0.1 --port="$1" --skip-name-resolve --character-set-server=utf8mb4 \
			--default-time-zone=+00:00 --sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO \
			--innodb-flush-log-at-trx-commit=1 --max-allowed-packet=64M --log-error="$dir/mariadb.log"
	) </dev/null >"$dir/mariadb.out" 2>&1 &
	pid=$!
	wait_until_answering "$pid" && return 0
	said=$(said_since "$before")
	[[ $said == *"Address already in use"* || $said == *"already another mysqld server running on port"* ]] && return 1
	die "MariaDB ended as soon as it was started: $(tail -n 1 <<<"${said:-$(tail -n 1 "$dir/mariadb.out")}"); its log: $dir/mariadb.log"
}

# A server is looked for at the port of last time, so that a restart is found where it was; DRAUGHT_DB_PORT says where to look first.
launch_on_a_free_port() {
	local port tries
	port=${DRAUGHT_DB_PORT:-$(cat "$port_file" 2>/dev/null || echo 43306)}
	for ((tries = 0; tries < 60; tries++)); do
		port=$(free_port "$port")
		if launch "$port"; then
			printf '%s' "$port" >"$port_file"
			return 0
		fi
		port=$((port + 1)) # someone else was quicker
	done
	die "no free port for MariaDB found from ${DRAUGHT_DB_PORT:-43306} upwards"
}

adopt() { # adopt PID: uses a server of ours that still runs; one without our socket is of another time and is stopped
	if [ ! -S "$data/$socket" ]; then
		say "stopping an older MariaDB of this instance (pid $1)"
		stop
		return 1
	fi
	say "adopting the MariaDB of this instance that still runs (pid $1)"
	wait_until_answering "$1" || return 1
	client mariadb -N -e 'SELECT @@port' >"$port_file"
}

start() {
	local pid word
	need_database_server
	mkdir -p "$dir" "$temporary"
	chmod 700 "$dir"
	exec {start_lock}>"$dir/mariadb.lock"
	flock "$start_lock" # two starts of one instance: the second adopts what the first started
	make_data_directory
	chmod 700 "$data"
	[ -s "$secret" ] || (umask 077 && head -c 24 /dev/urandom | base64 | tr '+/' 'ab' >"$secret")
	if ! { pid=$(server_pid) && adopt "$pid"; }; then
		"${1:-launch_on_a_free_port}"
	fi
	word=$(cat "$secret")
	client mariadb <<-SQL
		CREATE USER IF NOT EXISTS draught@127.0.0.1 IDENTIFIED BY '$word';
		CREATE USER IF NOT EXISTS draught@localhost IDENTIFIED BY '$word';
		ALTER USER draught@127.0.0.1 IDENTIFIED BY '$word';
		ALTER USER draught@localhost IDENTIFIED BY '$word';
		GRANT ALL ON \`draught%\`.* TO draught@127.0.0.1;
		GRANT ALL ON \`draught%\`.* TO draught@localhost;
		CREATE USER IF NOT EXISTS draught_load@127.0.0.1 IDENTIFIED BY '$word';
		CREATE USER IF NOT EXISTS draught_load@localhost IDENTIFIED BY '$word';
		ALTER USER draught_load@127.0.0.1 IDENTIFIED BY '$word';
		ALTER USER draught_load@localhost IDENTIFIED BY '$word';
		GRANT ALL ON \`draught%\\_restoring\`.* TO draught_load@127.0.0.1;
		GRANT ALL ON \`draught%\\_restoring\`.* TO draught_load@localhost;
	SQL
	(umask 077 && printf 'mysql://draught:%s@127.0.0.1:%s' "$word" "$(cat "$port_file")" >"$url_file")
	exec {start_lock}>&-
	cat "$url_file"
}

stop() {
	local pid until=$((SECONDS + 60))
	pid=$(server_pid) || return 0
	kill -TERM "$pid"
	while kill -0 "$pid" 2>/dev/null; do
		if [ "$SECONDS" -ge "$until" ]; then
			say "MariaDB did not stop within a minute; ending it (nothing acknowledged is lost)"
			kill -KILL "$pid" 2>/dev/null || true
			rm -f "$pid_file"
			return 0
		fi
		pause 0.1
	done
}

launch_on_its_port() { launch "$(cat "$port_file")" || die "its port $(cat "$port_file") is taken by another program"; }

watch() { # watch PARENT_PID
	local down= wait=1
	while kill -0 "$1" 2>/dev/null; do
		if [ -z "$down" ] && running; then
			pause 0.5
			continue
		fi
		# A server that was told to stop takes its pid file away; one that died leaves it behind.
		[ -n "$down" ] || [ -e "$pid_file" ] || return 0
		[ -n "$down" ] || say "MariaDB died; starting it again"
		down=yes
		if (start launch_on_its_port >/dev/null); then
			say "MariaDB is back on port $(cat "$port_file")"
			down= wait=1
		else
			say "next try in $wait s"
			pause "$wait"
			wait=$((wait < 8 ? wait * 2 : 10))
		fi
	done
}

case $action in
start) start ;;
stop) stop ;;
kill) kill -KILL "$(server_pid)" ;;
url) cat "$url_file" ;;
watch) watch "${3:?pid of the process to watch for}" ;;
*) die "start, stop, kill, url or watch, not $action" ;;
esac
