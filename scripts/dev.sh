#!/usr/bin/env bash
# npm run dev: the development server on the demo's database.
. "$(dirname "$0")/lib.sh"
need_modules
# What runs beside the server is built here too.
need_build
dir=$(instance_dir demo)
hold_database "$dir"
trap 'release_database "$dir"' EXIT
DATABASE_URL=$("$DRAUGHT_ROOT/scripts/mariadb.sh" start "$dir")/draught_demo
export DATABASE_URL PORT=${PORT:-5173} HOST=127.0.0.1 DRAUGHT_INSTANCE=demo DRAUGHT_BACKUP_DIR=$dir/backups
export ORIGIN=http://localhost:$PORT
node build/tasks/migrate.js
node build/tasks/seed-demo.js
vite dev --port "$PORT" --host 127.0.0.1
