#!/usr/bin/env bash
# Lists what the screens are made of and built with, with licences, as CycloneDX, unless the lock has not changed since the last time.
# By a pinned npm: the system's may be too old to know how.
set -euo pipefail
cd "$(dirname "$0")"
list=target/sbom/screens.cdx.json
if [ -s "$list" ] && [ "$list" -nt package-lock.json ]; then
  exit 0
fi
mkdir -p target/sbom
node node_modules/npm/bin/npm-cli.js sbom --sbom-format cyclonedx --loglevel=error >"$list.new"
mv "$list.new" "$list"
