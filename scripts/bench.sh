#!/usr/bin/env bash
# npm run bench [PART...]: figures for speed, each beside a plain baseline; the web server is measured as it is built.
. "$(dirname "$0")/lib.sh"
need_modules
need_browser
need_build
[ $# -gt 0 ] || set -- log prints sheet files people crowd
if [ "$1" = years ]; then set -- "years${2:+ $2}"; fi
for part in "$@"; do "$DRAUGHT_ROOT/scripts/with-database.sh" bench $part; done
draught=$(node -p 'require("./package.json").version')
echo "draught $draught, node $(node --version)"
