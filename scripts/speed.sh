#!/usr/bin/env bash
# Holds the core's figures against those kept in bench/kept.json, each beside a fixed piece of work. `--keep` keeps them anew.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_packages
BUNDLE=bench/.speed.mjs
trap 'rm -f "$BUNDLE"' EXIT
npx esbuild bench/kept.ts --bundle --packages=external --platform=node --format=esm --alias:@=./src \
  --outfile="$BUNDLE" --log-level=warning
node "$BUNDLE" "$@"
