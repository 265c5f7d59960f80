#!/usr/bin/env bash
# npm run test:kill: the kills of npm test many times over: the server and MariaDB, each twenty times (DRAUGHT_KILLS), some two minutes.
. "$(dirname "$0")/lib.sh"
need_modules
need_database_server
need_browser
need_build
DRAUGHT_KILLS=${DRAUGHT_KILLS:-20} DRAUGHT_REPORTS=.cache/kill-reports playwright test kills
