#!/usr/bin/env bash
# Runs one task against the own database: with-database.sh TASK [ARGUMENTS]. Starts MariaDB for it if it is not up.
. "$(dirname "$0")/lib.sh"
task=$1
shift
need_modules
need_build
instance=${DRAUGHT_INSTANCE:-own}
database=draught
[ "$instance" = own ] || database=draught_$instance
export DRAUGHT_INSTANCE=$instance
if [ -z "${DATABASE_URL:-}" ]; then
	dir=$(instance_dir "$instance")
	hold_database "$dir"
	trap 'release_database "$dir"' EXIT
	DATABASE_URL=$("$DRAUGHT_ROOT/scripts/mariadb.sh" start "$dir")/$database
	export DATABASE_URL DRAUGHT_BACKUP_DIR=${DRAUGHT_BACKUP_DIR:-$dir/backups}
fi
node "build/tasks/$task.js" "$@"
