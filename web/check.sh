#!/usr/bin/env bash
# Checks the web client: types, rules of writing, format and tests, side by side. Says what failed, and fails with it.
set -uo pipefail
cd "$(dirname "$0")"
said=$(mktemp -d)
trap 'rm -rf "$said"' EXIT

check() { # name, command…
  local name=$1
  shift
  if "$@" >"$said/$name" 2>&1; then : >"$said/$name.passed"; fi
}

# The compiler that is a program of its own: in a tenth of the time of the one that the rules of writing still need.
check types node node_modules/typescript-native/bin/tsc --noEmit &
# It does not run for so long that its best code would earn what that costs.
check lint node --no-opt node_modules/eslint/bin/eslint.js . &
check format npx prettier --check . &
check tests npx vitest run &
wait
failed=0
for name in types lint format tests; do
  if [ -f "$said/$name.passed" ]; then
    tail -n 8 "$said/$name"
  else
    echo "web: $name failed"
    cat "$said/$name"
    failed=1
  fi
done
exit $failed
