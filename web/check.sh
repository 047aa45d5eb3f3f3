#!/usr/bin/env bash
# Checks the web client: types, rules of writing, format and tests, side by side. Says what failed, and fails with it.
set -uo pipefail
cd "$(dirname "$0")"
said=$(mktemp -d)
trap 'rm -rf "$said"' EXIT

# A usual run looks at the writing and format of what changed lately: what was there before was looked at then. The rules of
# writing look at one file at a time, so nothing else can break them. Without a history all of it is looked at.
changed=(.)
if [ "${LOBRIK_FULL:-}" != true ] && git rev-parse HEAD >/dev/null 2>&1; then
  mapfile -t changed < <({
    git log -n 25 --name-only --relative --pretty=format: -- .
    git status --porcelain --no-renames -uall -- . | cut -c 4- | sed 's/^web\///'
  } | sort -u | while read -r file; do [ -f "$file" ] && echo "$file"; done)
  # So that there is always something to look at, and a change of the rules themselves is a change of everything.
  case " ${changed[*]} " in
    *" eslint.config.js "* | *" package-lock.json "*) changed=(.) ;;
    *) changed+=(check.sh) ;;
  esac
fi
mapfile -t scripts < <(printf '%s\n' "${changed[@]}" | grep -E '^[.]$|[.](ts|tsx|js)$')
[ ${#scripts[@]} -gt 0 ] || scripts=(eslint.config.js)

check() { # name, command…
  local name=$1
  shift
  if "$@" >"$said/$name" 2>&1; then : >"$said/$name.passed"; fi
}

# The compiler that is a program of its own: in a tenth of the time of the one that the rules of writing still need.
check types node node_modules/typescript-native/bin/tsc --noEmit &
# It does not run for so long that its best code would earn what that costs.
check lint node --no-opt node_modules/eslint/bin/eslint.js --no-warn-ignored "${scripts[@]}" &
check format npx prettier --check --ignore-unknown "${changed[@]}" &
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
