#!/usr/bin/env bash
# npm run demo: the demo observatory on its own private MariaDB; never touches your own records.
exec "$(dirname "$0")/serve.sh" demo draught_demo 4171
