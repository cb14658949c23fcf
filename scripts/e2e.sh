#!/usr/bin/env bash
# Browser journeys against the app as built, on a free port; further arguments go to the test runner.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_chromium
PORT="$(free_port)"
start_server "$PORT"
MAZURKA_RANDOM_LURES="$(mktemp)"
export MAZURKA_RANDOM_LURES
trap 'kill "$SERVER_PID" 2>/dev/null || true; rm -f "$MAZURKA_RANDOM_LURES"' EXIT
npx tsx scripts/random-lures.ts 50 "$MAZURKA_RANDOM_LURES"
MAZURKA_URL="http://127.0.0.1:$PORT" npx playwright test "$@"
