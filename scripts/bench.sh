#!/usr/bin/env bash
# Prints every figure in one table; builds the app first, so that what is measured is what stands here.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_packages
install_chromium
npx next build >/dev/null
PORT="$(free_port)"
start_server "$PORT"
trap 'kill "$SERVER_PID" 2>/dev/null || true' EXIT
# Bundled plainly, as the app is: run as it stands, the tool that strips the types would wrap every function made at run time.
BUNDLE=node_modules/.cache/mazurka-bench.mjs
npx esbuild bench/main.ts --bundle --packages=external --platform=node --format=esm --alias:@=./src \
  --outfile="$BUNDLE" --log-level=warning
MAZURKA_URL="http://127.0.0.1:$PORT" node "$BUNDLE"
