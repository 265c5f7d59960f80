#!/usr/bin/env bash
# npm run screenshots: the pictures of docs/screenshots, from the demo data on a throw-away server.
. "$(dirname "$0")/lib.sh"
need_modules
need_database_server
need_browser
need_build
tsx scripts/tasks/screenshots.ts
