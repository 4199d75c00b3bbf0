#!/usr/bin/env bash
# Fonts, demo scenario, export, service worker.
set -euo pipefail
cd "$(dirname "$0")/.."
node scripts/subset-fonts.mjs
node scripts/icons.mjs
node --import tsx demo/build.ts
EXPO_OFFLINE=1 EXPO_NO_TELEMETRY=1 CI=1 npx expo export -p web --output-dir dist
node scripts/build-sw.mjs dist
