#!/usr/bin/env bash
# Adds up what the test runners of all modules reported, and prints one line.
cd "$(dirname "$0")/.." || exit 1
find . -path ./web/node_modules -prune -o \( -path '*/target/surefire-reports/TEST-*.xml' -o \
  -path '*/target/failsafe-reports/TEST-*.xml' -o -path './web/target/vitest.xml' \) -print0 |
  xargs -0 -r grep -ho '<testsuite [^>]*>' |
  awk '
    function value(name) { return match($0, " " name "=\"[0-9]+\"") ? substr($0, RSTART + length(name) + 3, RLENGTH - length(name) - 4) : 0 }
    { tests += value("tests"); failed += value("failures") + value("errors"); skipped += value("skipped") }
    END { printf "%d passed, %d failed, %d skipped\n", tests - failed - skipped, failed, skipped }'
