#!/usr/bin/env bash
# A monkey at every place of the app as built: `npm run monkey -- 3000`, a seed may follow. A page gone, an unhandled fault or
# a record that cannot be read fails the run.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_chromium
PORT="$(free_port)"
start_server "$PORT"
trap 'kill "$SERVER_PID" 2>/dev/null || true' EXIT
MAZURKA_URL="http://127.0.0.1:$PORT" npx tsx scripts/monkey.ts "$@"
