#!/usr/bin/env bash
# Installs if needed, builds, starts with the demo data, prints the address. Ctrl-C stops it.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_packages
npx next build
PORT="${PORT:-$(free_port)}"
start_server "$PORT"
trap 'kill "$SERVER_PID" 2>/dev/null || true' EXIT INT TERM
echo
echo "Mazurka is at http://127.0.0.1:$PORT"
wait "$SERVER_PID"
