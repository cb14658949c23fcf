#!/usr/bin/env bash
# Prints every figure in one table; builds the app first, so that what is measured is what stands here.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_packages
install_chromium
npx next build >/dev/null
PORT="$(free_port)"
start_server "$PORT"
trap 'kill "$SERVER_PID" 2>/dev/null || true' EXIT
MAZURKA_URL="http://127.0.0.1:$PORT" npx tsx bench/main.ts
