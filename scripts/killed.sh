#!/usr/bin/env bash
# Kills the browser in mid-edit; the number of times may be given.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_chromium
PORT="$(free_port)"
start_server "$PORT"
trap 'kill "$SERVER_PID" 2>/dev/null || true' EXIT
MAZURKA_URL="http://127.0.0.1:$PORT" npx tsx scripts/killed-in-mid-edit.ts "$@"
