#!/usr/bin/env bash
# npm start: your own records, kept outside the clone.
exec "$(dirname "$0")/serve.sh" own draught 4170
