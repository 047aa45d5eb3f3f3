#!/usr/bin/env bash
# What is measured, or broken on purpose, for docs/performance.md and docs/reliability.md; never by the tests. Sourced by the launcher.
# As a command:
#   scripts/measure.sh restored FILE DIR   restore a backup into DIR and start its database alone; its last two lines are how to reach it as its owner

# For 60 kills of each kind about an hour, and another for the line.
run_prove() {
  local kills=60 test=ProveTest said='' code name
  while [ $# -gt 0 ]; do
    case $1 in
      --kills) kills=${2:-}; said+=" --kills $kills"; shift $(($# > 1 ? 2 : 1)) ;;
      --parts) test='ProveTest#nothingIsLost_whateverIsKilled'; said+=" $1"; shift ;;
      --line) test='ProveTest#nothingIsLost_betweenPeopleAndServers'; said+=" $1"; shift ;;
      *) fail "Unknown option “$1”; see ./lobrik help." ;;
    esac
  done
  [[ $kills =~ ^[1-9][0-9]{0,3}$ ]] || fail "“$kills” is no number of kills; give one such as 60."
  need_packages tests
  need_jdk
  cd "$ROOT" || exit 1
  rm -f e2e/target/prove-*.md
  mvn -B -ntp -T 2 -pl core,wire,inbrowser,gauges,web,server,e2e verify -Dit.test="$test" -Dlobrik.prove="$kills" \
    -Dspotless.check.skip=true -Dsurefire.failIfNoSpecifiedTests=false -Dfailsafe.failIfNoSpecifiedTests=false
  code=$?
  for name in parts line; do
    [ ! -s "e2e/target/prove-$name.md" ] || tell_proved "$name" "./lobrik prove$said"
  done
  [ -n "$(ls e2e/target/prove-*.md 2>/dev/null)" ] || fail "It was not proved to the end; see above."
  exit $code
}

# Puts what was found in the place of what was found before.
tell_proved() { # parts | line, by which command
  local document=docs/reliability.md report=e2e/target/prove-$1.md
  cat "$report"
  {
    sed "/^<!-- proved: $1 -->\$/q" "$document"
    date "+%Y-%m-%d, \`$2\`:%n"
    cat "$report"
    sed "1,/^<!-- proved: $1 -->\$/d" "$document" | sed -n '/^<!-- proved: /,$p'
  } >"$document.new" && mv "$document.new" "$document"
}

# Two measurements, each of so many minutes.
run_crowd() {
  local minutes=10
  case ${1:-} in
    '') ;;
    --minutes) minutes=${2:-} ;;
    *) fail "Unknown option “$1”; see ./lobrik help." ;;
  esac
  [[ $minutes =~ ^[1-9][0-9]?$ ]] || fail "“$minutes” is no number of minutes; give one such as 10."
  need_packages tests
  need_jdk
  cd "$ROOT" || exit 1
  mvn -B -ntp -T 2 -pl core,wire,inbrowser,gauges,web,server,e2e verify -Dit.test=CrowdTest -Dlobrik.crowd="$minutes" \
    -Dspotless.check.skip=true -Dsurefire.failIfNoSpecifiedTests=false -Dfailsafe.failIfNoSpecifiedTests=false
}

# Builds what measures. Changes into the project's folder.
build_measures() {
  need_jdk
  cd "$ROOT" || exit 1
  mvn -B -ntp -q -pl core,bench -am package -DskipTests -Dspotless.check.skip=true || fail "What measures could not be built; see above."
}

run_bench() {
  build_measures
  "$JAVA" -cp "bench/target/classes:bench/target/lib/*" org.openjdk.jmh.Main "$@"
}

# The server's largest heap so far is told besides: exports must not make it grow with what they write.
run_figures() {
  parse_options "$@"
  launcher_runs && [ -s "$DATA/address" ] || fail "Nothing runs on $DATA; fill it with ./lobrik load and start it first."
  build_measures
  "$JAVA" -cp "bench/target/classes:bench/target/lib/*" lobrik.bench.ProgressFigures "$(cat "$DATA/address")" oskar "$(setting lobrik.first-password)"
  local pid
  pid=$(cat "$DATA/server.pid")
  echo "server: $(awk '/VmHWM/ {print int($2 / 1024)}' "/proc/$pid/status") MB at most in memory, of a heap of at most 640 MB"
}

# Rows one by one with the same durability, by the database's own measure, say what the disk and the database could do.
run_writes() {
  parse_options "$@"
  launcher_runs && [ -s "$DATA/address" ] || fail "Nothing runs on $DATA; start it first, on data that may be written into."
  build_measures
  "$JAVA" -cp "bench/target/classes:bench/target/lib/*" lobrik.bench.WriteFigures "$(cat "$DATA/address")" oskar "$(setting lobrik.first-password)" 120 30 8
  local port rows
  port=$(sed -n 4p "$DATA/postgres/postmaster.pid")
  rows=$(mktemp)
  echo "insert into written_singly values (gen_random_uuid(), gen_random_uuid(), 'leg', 123456789, now());" >"$rows"
  export PGPASSWORD PGHOST=127.0.0.1 PGPORT=$port PGUSER=lobrik_owner PGDATABASE=lobrik
  PGPASSWORD=$(setting spring.flyway.password)
  psql -q -X -c 'create table written_singly (id uuid primary key, attempt_id uuid, feature text, value bigint, at timestamptz)'
  pgbench -n -c 8 -j 2 -T 15 -f "$rows" 2>/dev/null | awk '/^tps/ {printf "single rows, 8 at once: %.0f a second\n", $3}'
  psql -q -X -c 'drop table written_singly'
  rm -f "$rows"
}

# A backup that is made while people work; then it is restored beside the school, compared with it, and thrown away.
run_backup_figures() {
  parse_options "$@"
  launcher_runs && [ -s "$DATA/address" ] || fail "Nothing runs on $DATA; fill it with ./lobrik load and start it first."
  build_measures
  local beside=$DATA.backup-figures code
  mkdir "$beside" 2>/dev/null || fail "$beside is there already; take it away first."
  chmod 755 "$beside"
  "$JAVA" -Xmx2g -cp "bench/target/classes:bench/target/lib/*" lobrik.bench.BackupFigures "$(cat "$DATA/address")" oskar "$(setting lobrik.first-password)" \
    "jdbc:postgresql://127.0.0.1:$(cluster_port "$CLUSTER")/lobrik" "$(setting spring.flyway.password)" "$(cat "$DATA/server.pid")" \
    "$ROOT/lobrik" backup "$beside/backup" --data "$DATA" -- "$ROOT/scripts/measure.sh" restored "$beside/backup" "$beside/restored"
  code=$?
  [ ! -s "$beside/backup" ] || echo "the file: $(($(stat -c %s "$beside/backup") / 1000000)) MB, of $(du -sm "$CLUSTER/base" | cut -f 1) MB"
  [ ! -d "$beside/restored/postgres" ] || cluster_stop "$beside/restored/postgres"
  rm -rf "$beside"
  return $code
}

restored_alone() { # file, folder
  local root port
  root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
  # shellcheck source=scripts/cluster.sh
  . "$root/scripts/cluster.sh"
  "$root/lobrik" restore "$1" --data "$2" || exit 1
  port=$(free_port)
  cluster_start "$2/postgres" "$port" "$2/database.log" </dev/null >/dev/null || exit 1
  echo "jdbc:postgresql://127.0.0.1:$port/lobrik"
  sed -n 's/^spring.flyway.password=//p' "$2/settings.properties"
}

if [ "${BASH_SOURCE[0]}" = "$0" ]; then
  case ${1:-} in
    restored) restored_alone "$2" "$3" ;;
    *) echo "measure.sh: unknown command “${1:-}”." >&2; exit 1 ;;
  esac
fi
