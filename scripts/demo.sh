#!/usr/bin/env bash
# npm run demo: the demo observatory on its own private MariaDB; never touches your own records.
# Invented records need no backup of every day.
export DRAUGHT_BACKUP_MINUTES=${DRAUGHT_BACKUP_MINUTES:-0}
exec "$(dirname "$0")/serve.sh" demo draught_demo 4171
