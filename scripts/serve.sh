#!/usr/bin/env bash
# Runs one instance, database and web server together: serve.sh INSTANCE DATABASE PORT
# Used by start.sh and demo.sh. Ctrl-C stops both cleanly.
. "$(dirname "$0")/lib.sh"

instance=$1 database=$2
export PORT=${PORT:-$3} HOST=${HOST:-127.0.0.1}
export ORIGIN=${ORIGIN:-http://localhost:$PORT} BODY_SIZE_LIMIT=${BODY_SIZE_LIMIT:-16M} SHUTDOWN_TIMEOUT=${SHUTDOWN_TIMEOUT:-5}
dir=$(instance_dir "$instance")
export DRAUGHT_BACKUP_DIR=${DRAUGHT_BACKUP_DIR:-$dir/backups}

# Only an answer that names this very instance counts: another program may hold the port.
if answer=$(node -e 'fetch(`http://127.0.0.1:${process.env.PORT}/healthz`).then((r) => r.text()).then(console.log, () => process.exit(1))' 2>/dev/null) &&
	[[ $answer == *"\"instance\":\"$instance\""* ]]; then
	say "already running: $ORIGIN"
	exit 0
fi

web=
stop_all() {
	trap '' INT TERM
	if [ -n "$web" ]; then
		say "stopping the web server"
		kill -TERM "$web" 2>/dev/null || true
		wait "$web" 2>/dev/null || true
	fi
	if [ -z "${own_database_url:-}" ]; then
		say "stopping MariaDB"
		"$DRAUGHT_ROOT/scripts/mariadb.sh" stop "$dir"
	fi
	say "stopped"
}

need_modules
need_build
own_database_url=${DATABASE_URL:-}
if [ -z "$own_database_url" ]; then
	say "starting the private MariaDB"
	trap stop_all EXIT
	base=$("$DRAUGHT_ROOT/scripts/mariadb.sh" start "$dir")
	export DATABASE_URL=$base/$database
else
	say "using the database named by DATABASE_URL"
	trap stop_all EXIT
fi
export DRAUGHT_INSTANCE=$instance
say "bringing the database up to date"
tsx scripts/tasks/migrate.ts
if [ "$instance" = demo ]; then
	tsx scripts/tasks/seed-demo.ts
fi
node build &
web=$!
trap 'exit 0' INT TERM
n=0
until node -e 'fetch(`http://127.0.0.1:${process.env.PORT}/healthz`).then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))'; do
	kill -0 "$web" 2>/dev/null || { web=; die "the web server stopped; its message stands above"; }
	n=$((n + 1))
	[ "$n" -gt 100 ] && die "the web server did not answer within half a minute"
	sleep 0.2
done
say "ready: $ORIGIN  (Ctrl-C stops it)"
wait "$web"
