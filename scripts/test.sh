#!/usr/bin/env bash
# Everything that must hold, from nothing: installs, checks, tests, builds, drives the interface at both sizes.
# Ends with one line that counts: "N passed, N failed".
set -uo pipefail
cd "$(dirname "$0")/.."
set -e
bash scripts/install.sh
bash scripts/browser.sh
set +e
mkdir -p _counts
rm -f _counts/*.json
node scripts/subset-fonts.mjs || exit 1

failed=0
step() {
  local name=$1
  shift
  echo "== $name"
  if "$@"; then echo "ok: $name"; else
    echo "FAILED: $name"
    failed=$((failed + 1))
  fi
}
step "types" npx tsc --noEmit
step "lint" npx eslint . --max-warnings 0
step "format" npx prettier --check --log-level warn .
step "layers" npx depcruise --config .dependency-cruiser.cjs app src server scripts demo
step "unit and reference tests" npx jest --forceExit --maxWorkers=100% --testTimeout=60000 --testPathIgnorePatterns='<rootDir>/server/' --json --outputFile=_counts/unit.json
# The server has threads and time limits of its own: it is tested with nothing beside it.
step "server" npx jest --forceExit --runInBand --json --outputFile=_counts/server.json server/
step "build" bash scripts/build.sh
step "interface" npx playwright test
node scripts/count.mjs "$failed"
