#!/usr/bin/env bash
# From nothing to the demo: installs, builds, serves, and prints the address.
set -euo pipefail
cd "$(dirname "$0")/.."
bash scripts/install.sh
bash scripts/build.sh
START_AT='/demo?load=1' exec node --import tsx server/index.ts
