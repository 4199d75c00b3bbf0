#!/usr/bin/env bash
# Debian's Chromium for the interface tests, and poppler to read PDFs back.
set -euo pipefail
if ! command -v chromium >/dev/null || ! command -v pdftoppm >/dev/null; then
  echo "Installing Debian's chromium and poppler-utils"
  SUDO=""
  [ "$(id -u)" = 0 ] || SUDO=sudo
  $SUDO apt-get update -q
  DEBIAN_FRONTEND=noninteractive $SUDO apt-get install -y -q --no-install-recommends chromium poppler-utils
fi
