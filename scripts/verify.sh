#!/usr/bin/env bash
# Runs the tests of the core and the scripts and writes docs/verification.md from the numbers they measured.
source "$(dirname "${BASH_SOURCE[0]}")/common.sh"
install_packages
MAZURKA_MEASURED="$(mktemp)"
export MAZURKA_MEASURED
npx vitest run src/core
npx tsx scripts/write-verification.ts "$MAZURKA_MEASURED"
