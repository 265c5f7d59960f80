#!/usr/bin/env bash
# Runs one instance, database and web server together: serve.sh INSTANCE DATABASE PORT
# Used by start.sh and demo.sh. Ctrl-C, TERM or HUP to any of its processes stops them all; a MariaDB or web server that dies is
# started again. Everything long runs as a job of its own, so that a signal is heard at once.
. "$(dirname "$0")/lib.sh"
set -m

instance=$1 database=$2
export PORT=${PORT:-$3} HOST=${HOST:-127.0.0.1}
export ORIGIN=${ORIGIN:-http://localhost:$PORT} BODY_SIZE_LIMIT=${BODY_SIZE_LIMIT:-16M} SHUTDOWN_TIMEOUT=${SHUTDOWN_TIMEOUT:-5}
dir=$(instance_dir "$instance")
export DRAUGHT_BACKUP_DIR=${DRAUGHT_BACKUP_DIR:-$dir/backups} DRAUGHT_INSTANCE=$instance
mariadb=$DRAUGHT_ROOT/scripts/mariadb.sh

# The passphrase is the web server's alone: no other process of ours has it in its environment.
passphrase=${DRAUGHT_PASSPHRASE:-}
unset DRAUGHT_PASSPHRASE

job= web= watch=
end_job() { # end_job PID: the whole process group, and waits for it
	[ -n "$1" ] || return 0
	kill -TERM -- "-$1" 2>/dev/null || true
	wait "$1" 2>/dev/null || true
}
stop_all() {
	trap '' INT TERM HUP
	end_job "$job"
	[ -z "$web" ] || say "stopping the web server"
	end_job "$web"
	rm -f "$dir/web.pid"
	end_job "$watch"
	if [ -n "${database_hold:-}" ]; then
		say "stopping MariaDB"
		release_database "$dir"
	fi
	say "stopped"
}
# Locks of ours are not for our children: a child that outlives us must not hold them.
step() { # step COMMAND...
	"$@" </dev/null {serve_lock}>&- &
	job=$!
	wait "$job"
	job=
}

# What /healthz of a web server says; with the passphrase, since without it it says only "up".
health() { # health ORIGIN
	DRAUGHT_PASSPHRASE=$passphrase node -e '
		const word = process.env.DRAUGHT_PASSPHRASE;
		const headers = word ? { authorization: `Basic ${Buffer.from(`draught:${word}`).toString("base64")}` } : {};
		fetch(`${process.argv[1]}/healthz`, { headers, signal: AbortSignal.timeout(5000) })
			.then((r) => r.text()).then((t) => process.stdout.write(t), () => process.exit(1));' "$1" 2>/dev/null
}
is_ok() { [[ $1 == *'"state":"ok"'* && $1 == *"\"instance\":\"$instance\""* ]]; }

# An address to reach our own web server at: where it listens, unless that is everywhere.
case $HOST in 0.0.0.0 | :: | '') here=http://127.0.0.1:$PORT ;; *:*) here=http://[$HOST]:$PORT ;; *) here=http://$HOST:$PORT ;; esac

mkdir -p "$dir"
chmod 700 "$dir"
exec {serve_lock}>"$dir/serve.lock"
for ((tries = 0; ; tries++)); do
	flock -n "$serve_lock" && break
	# Another start of this instance runs. It may still be starting, or waiting for its database: ask until it is well.
	answer=$(health "$(cat "$dir/serve.address" 2>/dev/null || echo "$here")") || answer=
	# Without the passphrase it says only that it is up.
	if is_ok "$answer" || [[ $answer == *'"state":"up"'* ]]; then
		say "already running: $(cat "$dir/serve.origin" 2>/dev/null || echo "$ORIGIN")"
		exit 0
	fi
	[ "$tries" -lt 150 ] || die "another start of this instance runs, but its server or its database does not answer; stop it, then start again"
	pause 0.4
done

trap stop_all EXIT
trap 'exit 0' INT TERM HUP

step need_modules
step need_build

# A web server of ours whose start script was killed still serves: stopped, never fought.
if read -r orphan 2>/dev/null <"$dir/web.pid" && mapfile -d '' -t set_for 2>/dev/null <"/proc/$orphan/environ" &&
	[[ " ${set_for[*]} " == *" DRAUGHT_BACKUP_DIR=$DRAUGHT_BACKUP_DIR "* ]]; then
	say "stopping a web server of this instance that was left running (pid $orphan)"
	kill -TERM "$orphan" 2>/dev/null || true
	while kill -0 "$orphan" 2>/dev/null; do pause 0.1; done
fi
[ "$(free_port "$PORT" "$HOST")" = "$PORT" ] || die "port $PORT is taken by another program; choose another with PORT=..."
printf '%s' "$here" >"$dir/serve.address"
printf '%s' "$ORIGIN" >"$dir/serve.origin"

if [ -z "${DATABASE_URL:-}" ]; then
	say "starting the private MariaDB"
	step need_database_server
	hold_database "$dir"
	step "$mariadb" start "$dir" >/dev/null
	DATABASE_URL=$("$mariadb" url "$dir")/$database
	"$mariadb" watch "$dir" $$ </dev/null {serve_lock}>&- {database_hold}>&- &
	watch=$!
else
	say "using the database named by DATABASE_URL"
fi
export DATABASE_URL
say "bringing the database up to date"
step node build/tasks/migrate.js
if [ "$instance" = demo ]; then
	step node build/tasks/seed-demo.js
fi

start_web() {
	web_since=$SECONDS
	DRAUGHT_PASSPHRASE=$passphrase node scripts/web.mjs </dev/null {serve_lock}>&- &
	web=$!
	printf '%s\n' "$web" >"$dir/web.pid"
}
start_web
for ((tries = 0; ; tries++)); do
	is_ok "$(health "$here")" && break
	kill -0 "$web" 2>/dev/null || die "the web server stopped; its message stands above"
	[ "$tries" -lt 300 ] || die "the web server did not answer within a minute"
	pause 0.2
done
say "ready: $ORIGIN  (Ctrl-C stops it)"

# A server that dies again and again waits longer each time, so that it fills neither the processor nor the log.
again=1
while :; do
	status=0
	wait -n -p ended "$web" ${watch:+"$watch"} || status=$?
	if [ "$ended" = "$web" ]; then
		web=
		# Ended in order, or told to: so do we all. Killed or crashed: nothing acknowledged is lost, so it goes on.
		case $status in 0 | 129 | 130 | 143) exit 0 ;; esac
		[ $((SECONDS - web_since)) -lt 60 ] || again=1
		say "the web server ended with $status; starting it again in $again s"
		step pause "$again"
		again=$((again < 16 ? again * 2 : 30))
		start_web
	else
		watch=
		[ "$status" -ne 0 ] || die "MariaDB was stopped, so the web server stops too"
		"$mariadb" watch "$dir" $$ </dev/null {serve_lock}>&- {database_hold}>&- &
		watch=$!
	fi
done
