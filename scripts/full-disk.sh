#!/usr/bin/env bash
# The browser's profile on a small disk that is filled and emptied again: what was shown as saved must be there after a
# restart. Needs the right to mount a small disk in memory.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_chromium
DISK="$(mktemp -d)"
mount -t tmpfs -o size=160m tmpfs "$DISK"
PORT="$(free_port)"
start_server "$PORT"
trap 'kill "$SERVER_PID" 2>/dev/null || true; umount -l "$DISK"; rmdir "$DISK"' EXIT
MAZURKA_URL="http://127.0.0.1:$PORT" npx tsx scripts/full-disk.ts "$DISK"
