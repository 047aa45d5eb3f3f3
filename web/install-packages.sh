#!/usr/bin/env bash
# Installs the web client's packages, unless the lock has not changed since the last time.
set -euo pipefail
cd "$(dirname "$0")"
# Whoever comes second waits for the first.
mkdir -p target
exec 9>target/packages.lock
flock 9
stamp=node_modules/.installed-lock
if [ -f "$stamp" ] && cmp -s package-lock.json "$stamp"; then
  exit 0
fi
echo "Installing the web client's packages (about a minute)"
npm ci --no-audit --no-fund --loglevel=error
cp package-lock.json "$stamp"
