#!/usr/bin/env bash
# npm run bench: figures for speed, each beside a plain baseline; the web server is measured as it is built.
. "$(dirname "$0")/lib.sh"
need_modules
need_browser
need_build
exec "$DRAUGHT_ROOT/scripts/with-database.sh" bench
