#!/usr/bin/env bash
# Everything that must hold, from a fresh clone: lint, format, types, arrows, unused code, unit, build, browser.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_packages
install_chromium
REPORTS="$(mktemp -d)"
export REPORTS
status=0
step() {
  echo
  echo "== $1"
  shift
  "$@" || { echo "FAILED: $*"; status=1; return 0; }
}
# Each of the two keeps one processor busy.
(npm run -s types) >"$REPORTS/types.txt" 2>&1 &
TYPES=$!
step 'lint and format' npm run -s lint
types() {
  local found=0
  wait "$TYPES" || found=1
  cat "$REPORTS/types.txt"
  return "$found"
}
step 'types' types
step 'arrows between the rooms' npm run -s arrows
step 'unused code' npm run -s unused
MAZURKA_MEASURED="$(mktemp)"
export MAZURKA_MEASURED
step 'unit' npx vitest run --reporter=default --reporter=json --outputFile.json="$REPORTS/unit.json"
step 'verification page' npx tsx scripts/write-verification.ts "$MAZURKA_MEASURED" --check
step 'speed beside what is kept' bash scripts/speed.sh
step 'build' npx next build
PLAYWRIGHT_JSON_OUTPUT_NAME="$REPORTS/browser.json" step 'browser' bash scripts/e2e.sh --reporter=list,json
echo
node scripts/tally.mjs "$REPORTS" "$status"
