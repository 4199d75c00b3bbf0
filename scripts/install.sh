#!/usr/bin/env bash
# npm packages, when they are missing or the lock file is newer than what was installed.
set -euo pipefail
cd "$(dirname "$0")/.."
if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  npm ci --no-audit --no-fund
fi
