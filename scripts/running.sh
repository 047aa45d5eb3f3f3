#!/usr/bin/env bash
# Runs server and database, watches them, and starts again what ended by itself. Sourced by the launcher, which gives
# DATA, CLUSTER, SETTINGS, PORT and APPLICATION. What others may read of it, all in DATA:
#   launcher.pid, server.pid, gauges.pid   the processes
#   address    where it answers; there only while it does
#   state      what is being put right, in one sentence; there only meanwhile
#   ends.log   what ended by itself, when and why, the last hundred; told by `status` and at a start
#   server/    what the server itself writes: server.log, which it turns over itself, scratch/, network/ (its certificates),
#              backups/, and rehearsal/ while a backup is tried
#   console.log (what its JVM says), database.log, each with some older ones

# So many ends by themselves within ten minutes are put right; after that something is wrong that starting again cannot cure.
MOST_ENDS=${LOBRIK_MOST_ENDS:-12}
ENDS_WITHIN_S=600
# With less room on the disk the database would only end again.
LEAST_ROOM_MB=48
LARGEST_LOG_BYTES=$((5 * 1024 * 1024))
KEPT_LOGS=3

# Who the server is when root starts it.
SERVER_USER=lobrik

SERVER_PID=''
DATABASE_PID=''
DATABASE_PORT=''
GAUGES_PID=''
GAUGE_PORTS=''
SERVER_READY=false
STOPPING=false
RESTART_ASKED=false
ENDS=()
ENDS_IN_A_ROW=0
LAST_TURN=0
SERVER_LOG_FROM=0
CONSOLE_LOG_FROM=0
DATABASE_LOG_FROM=0

# --- processes ---------------------------------------------------------------------------------------------------------

# Whether a process lives; one that ended and was not yet fetched by its parent does not.
alive() { # pid
  local stat
  [ -n "$1" ] && { read -r stat <"/proc/$1/stat"; } 2>/dev/null || return 1
  stat=${stat##*) }
  case $stat in Z* | X*) return 1 ;; esac
}

wait_until_ended() { # pid, tenths of a second
  local waited=0
  while alive "$1"; do
    [ $waited -lt "$2" ] || return 1
    sleep 0.1
    waited=$((waited + 1))
  done
}

# A process that we started and that is still the same one.
is_ours() { # pid file, what its command line says
  local pid
  pid=$(cat "$1" 2>/dev/null) && [[ $pid =~ ^[0-9]+$ ]] && alive "$pid" &&
    tr '\0' ' ' 2>/dev/null <"/proc/$pid/cmdline" | grep -qF -e "$2"
}

launcher_runs() { is_ours "$DATA/launcher.pid" "lobrik "; }

server_runs() { is_ours "$DATA/server.pid" "$SETTINGS"; }

# Waits without starting a process; a signal is heard at its end.
nap() { # seconds
  read -rt "$1" -u "$NAP" || true
}

exec {NAP}<> <(:)

# --- what is told ------------------------------------------------------------------------------------------------------

tell_state() { # what is being done
  echo "$1" >"$DATA/state.new" 2>/dev/null && mv "$DATA/state.new" "$DATA/state"
  say "$1"
}

# A full disk must not keep it from being told on the screen.
note_end() { # what ended, why
  local line
  line="$(date '+%Y-%m-%d %H:%M:%S') $1: $2"
  { tail -n 99 "$DATA/ends.log" 2>/dev/null; echo "$line"; } >"$DATA/ends.new" 2>/dev/null && mv "$DATA/ends.new" "$DATA/ends.log"
  say "The $1 ended by itself: $2"
}

last_end() {
  tail -n 1 "$DATA/ends.log" 2>/dev/null
}

is_answering() {
  curl -fs -m 2 "http://127.0.0.1:$1/api/status" 2>/dev/null | grep -q '"ready":true'
}

# Copied and emptied, since who writes it holds it open; both append.
turn_log() { # file
  local size number
  size=$(stat -c %s "$1" 2>/dev/null) || return 0
  [ "$size" -gt "$LARGEST_LOG_BYTES" ] || return 0
  for ((number = KEPT_LOGS - 1; number > 0; number--)); do
    [ -f "$1.$number" ] && mv "$1.$number" "$1.$((number + 1))"
  done
  cp -p "$1" "$1.1" 2>/dev/null && : >"$1"
}

turn_logs() {
  turn_log "$DATA/console.log"
  turn_log "$DATA/database.log"
}

# --- the server's own user ---------------------------------------------------------------------------------------------

# Started by root, the server runs as a user of its own that may write nothing but its folder; so do the gauges. What stands before
# their commands.
AS_SERVER=()

# Makes the server's folder, with what builds of before had beside it, and has its user reach what it needs and no more.
open_server_folder() {
  local kept
  mkdir -p "$DATA/server" || fail "The folder $DATA/server cannot be made."
  for kept in "$DATA"/server.log* "$DATA"/crash-*.log; do
    [ -f "$kept" ] && mv "$kept" "$DATA/server/"
  done
  rm -rf "$DATA/scratch"
  chmod 750 "$DATA/server"
  [ "$(id -u)" = 0 ] || return 0
  need_server_user
  chown -RP "$SERVER_USER:$SERVER_USER" "$DATA/server"
  # It reads its passwords, and nobody else does.
  if [ -f "$SETTINGS" ]; then chgrp "$SERVER_USER" "$SETTINGS" && chmod 640 "$SETTINGS"; fi
  AS_SERVER=(setpriv --reuid "$SERVER_USER" --regid "$SERVER_USER" --clear-groups --no-new-privs)
  if $SHARE && { [ "$SECURE_PORT" -lt 1024 ] || [ "$PLAIN_PORT" -lt 1024 ]; }; then
    AS_SERVER+=(--bounding-set=-all,+net_bind_service --inh-caps=-all,+net_bind_service --ambient-caps=-all,+net_bind_service)
  else
    AS_SERVER+=(--bounding-set=-all --inh-caps=-all)
  fi
  "${AS_SERVER[@]}" test -r "$APPLICATION/lobrik.jar" ||
    fail "The server's own user, $SERVER_USER, cannot read $APPLICATION: put Lobrik where everybody may read it, such as /opt, or start it as somebody else than root."
  "${AS_SERVER[@]}" test -x "$JAVA" || fail "The server's own user, $SERVER_USER, cannot run $JAVA; install a JDK $JDK_RELEASE where everybody may."
}

need_server_user() {
  id -u "$SERVER_USER" >/dev/null 2>&1 && return
  say "Making the user $SERVER_USER, as which the server runs"
  useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$SERVER_USER" ||
    fail "The user $SERVER_USER could not be made; see above."
}

# --- starting ----------------------------------------------------------------------------------------------------------

java_options() {
  printf '%s\n' -Xmx640m -XX:+UseSerialGC -XX:+ExitOnOutOfMemoryError -XX:ErrorFile="$DATA/server/crash-%p.log" \
    -Dfile.encoding=UTF-8 -Djava.awt.headless=true
}

server_arguments() {
  printf '%s\n' "--server.port=$PORT" "--spring.config.additional-location=file:$SETTINGS" \
    "--spring.datasource.url=$(database_url)" "--lobrik.gauges=$GAUGE_PORTS" \
    --spring.profiles.active=files "--logging.file.name=$DATA/server/server.log" "--lobrik.structured-log=$DATA/server/server.json" "--lobrik.scratch=$DATA/server/scratch" "--lobrik.share.folder=$DATA/server/network" --logging.threshold.console=OFF
  backup_arguments
  [ -z "$METRICS_PORT" ] || echo "--management.server.port=$METRICS_PORT"
  [ ${#REACHED[@]} -eq 0 ] || printf '%s\n' "${REACHED[@]}"
}

log_size() { # file in the data folder
  stat -c %s "$DATA/$1" 2>/dev/null || echo 0
}

# Where the logs of this start of the server begin.
mark_logs() {
  SERVER_LOG_FROM=$(log_size server/server.log)
  CONSOLE_LOG_FROM=$(log_size console.log)
}

# The last that JVM and server said since the last start, without what only a programmer reads.
last_words() { # lines
  {
    tail -c "+$((CONSOLE_LOG_FROM + 1))" "$DATA/console.log"
    tail -c "+$((SERVER_LOG_FROM + 1))" "$DATA/server/server.log"
  } 2>/dev/null | grep -av -e '^\s*at ' -e '^\s*\.\.\. ' -e '^\s*$' -e '^Picked up ' -e '^\[[0-9.]*s\]\[warning\]' | tail -n "$1" |
    sed 's/^Caused by: [^ ]*: //' | cut -c1-300
}

# Why it did not start: in the one sentence that was meant for that, else the last that was said.
why_not_started() {
  local told
  told=$(tail -c "+$((SERVER_LOG_FROM + 1))" "$DATA/server/server.log" 2>/dev/null | sed -n '/^Description:$/,$p' | sed -n '3{p;q}')
  if [ -n "$told" ]; then echo "$told"; else last_words 5; fi
}

start_database() {
  DATABASE_LOG_FROM=$(log_size database.log)
  cluster_clear "$CLUSTER"
  cluster_start "$CLUSTER" "$DATABASE_PORT" "$DATA/database.log" " -c max_connections=$MOST_CONNECTIONS$(archive_settings)" || return 1
  DATABASE_PID=$(cluster_postmaster "$CLUSTER")
  [ -n "$DATABASE_PID" ]
}

# Where the cache of starts is: beside the application, or with the data where that is not ours to write to, for this very build.
start_cache() {
  if [ -f "$APPLICATION/lobrik.aot" ] || [ -w "$APPLICATION" ]; then
    echo "$APPLICATION/lobrik.aot"
  else
    echo "$DATA/server/start-$(stat -c %Y-%s "$APPLICATION/lobrik.jar").aot"
  fi
}

# The cache lets later starts skip most of the loading of classes. It is made once for every build.
make_start_cache() {
  local cache
  cache=$(start_cache)
  [ -f "$cache" ] || [ -f "$APPLICATION/no-aot" ] && return
  rm -f "$DATA"/server/start-*.aot
  say "Preparing fast starts (once for this build, up to a minute)"
  local options arguments
  mapfile -t options < <(java_options)
  mapfile -t arguments < <(server_arguments)
  mark_logs
  # In the background and waited for, so that a stop need not wait until it is done.
  "${AS_SERVER[@]}" "$JAVA" "${options[@]}" -XX:AOTCacheOutput="$DATA/server/making.aot" -Dspring.context.exit=onRefresh -jar "$APPLICATION/lobrik.jar" \
    "${arguments[@]}" >>"$DATA/console.log" 2>&1 9>&- &
  SERVER_PID=$!
  echo "$SERVER_PID" >"$DATA/server.pid"
  if wait "$SERVER_PID" && [ -s "$DATA/server/making.aot" ]; then
    mv "$DATA/server/making.aot" "$cache.new" && mv "$cache.new" "$cache"
  else
    # Only slower without it; the reason is in the log.
    touch "$APPLICATION/no-aot" 2>/dev/null
  fi
  SERVER_PID=''
}

start_server() {
  local application=(-jar "$APPLICATION/lobrik.jar") options arguments cache
  cache=$(start_cache)
  mapfile -t options < <(java_options)
  mapfile -t arguments < <(server_arguments)
  [ -f "$cache" ] && application=(-XX:AOTCache="$cache" "${application[@]}")
  SERVER_READY=false
  rm -f "$DATA/address"
  mark_logs
  # In a session of its own, so that Ctrl-C reaches only this launcher, which then stops things in order.
  setsid "${AS_SERVER[@]}" "$JAVA" "${options[@]}" "${application[@]}" "${arguments[@]}" >>"$DATA/console.log" 2>&1 9>&- &
  SERVER_PID=$!
  STARTED=$SECONDS
  echo "$SERVER_PID" >"$DATA/server.pid"
}

# Gauges that the server reads: those on the ports in LOBRIK_GAUGES, or the two simulated ones beside a demo school.
start_gauges() {
  GAUGE_PORTS=${LOBRIK_GAUGES:-}
  [ -z "$GAUGE_PORTS" ] && [ "$(setting lobrik.demo)" = true ] && ! is_joined || return 0
  local jar waited=0
  jar=$(compgen -G "${APPLICATION:-none}/lib/gauges-*.jar" || compgen -G "$ROOT/gauges/target/gauges-*.jar" || true)
  jar=${jar%%$'\n'*}
  [ -f "$jar" ] || return 0
  rm -f "$DATA/gauges"
  setsid "${AS_SERVER[@]}" "$JAVA" -Xmx24m -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -cp "$jar" lobrik.gauges.SimulatedGauges 0 0 \
    >"$DATA/gauges" 2>/dev/null 9>&- &
  GAUGES_PID=$!
  echo "$GAUGES_PID" >"$DATA/gauges.pid"
  until [ -n "$(gauge_ports)" ]; do
    sleep 0.1
    waited=$((waited + 1))
    # Without them everything else works.
    [ $waited -lt 100 ] && alive "$GAUGES_PID" || return 0
  done
  GAUGE_PORTS=$(gauge_ports)
}

# Of the simulated gauges: the angle gauge's and the height gauge's.
gauge_ports() {
  sed -n 's/^ready \([0-9]*\) \([0-9]*\)$/\1,\2/p' "$DATA/gauges" 2>/dev/null
}

# --- watching ----------------------------------------------------------------------------------------------------------

# What a launcher that was killed left running goes on under this one, if it is what this one would start and if it works.
take_over() {
  server_runs && { is_joined || [ -d "$CLUSTER" ]; } || return 1
  local command
  command=$(tr '\0' '\n' <"/proc/$(cat "$DATA/server.pid")/cmdline")
  grep -qxF -e "$APPLICATION/lobrik.jar" <<<"$command" && grep -qxF -e "--server.port=$PORT" <<<"$command" || return 1
  [ "$(grep -e '^--lobrik[.]share[.]' -e '^--lobrik[.]proxies=' -e '^--lobrik[.]public-address=' <<<"$command" | grep -v '^--lobrik[.]share[.]folder=' | sort)" = \
    "$(printf '%s\n' "${REACHED[@]}" | sort | sed '/^$/d')" ] || return 1
  # A database is told of its archive when it starts.
  [ "$(sed -n 's/^--lobrik\.backup\.archive=//p' <<<"$command")" = "$ARCHIVE" ] || return 1
  is_joined || DATABASE_PORT=$(cluster_port "$CLUSTER")
  [ -z "$DATABASE_PORT_ASKED" ] || [ "$DATABASE_PORT" = "$DATABASE_PORT_ASKED" ] || return 1
  [ "$(grep -e '^--lobrik[.]backup[.]folder=' -e '^--spring[.]datasource[.]url=' <<<"$command" | sort)" = \
    "$(server_arguments | grep -e '^--lobrik[.]backup[.]folder=' -e '^--spring[.]datasource[.]url=' | sort)" ] || return 1
  DATABASE_PID=$(cluster_postmaster "$CLUSTER")
  { is_joined || [ -n "$DATABASE_PID" ]; } && is_answering "$PORT" || { DATABASE_PID=''; return 1; }
  SERVER_PID=$(cat "$DATA/server.pid")
  GAUGE_PORTS=$(sed -n 's/^--lobrik\.gauges=//p' <<<"$command")
  is_ours "$DATA/gauges.pid" "lobrik.gauges" && GAUGES_PID=$(cat "$DATA/gauges.pid")
  STARTED=$SECONDS
  DATABASE_LOG_FROM=$(log_size database.log)
  mark_logs
}

# Why a server ended: what its code says, and its own last words.
why_server_ended() { # code
  local words
  words=$(last_words 1)
  case $1 in
    # Of one that was taken over nobody knows the code.
    127) echo "the reason is not known${words:+; its last words: $words}" ;;
    3) echo "it ran out of memory" ;;
    137) echo "it was killed (signal 9)" ;;
    129 | 13? | 14? | 15?) echo "it was ended by signal $(($1 - 128))${words:+; its last words: $words}" ;;
    *) echo "it ended with code $1${words:+: $words}" ;;
  esac
}

why_database_ended() {
  local words
  words=$(tail -c "+$((DATABASE_LOG_FROM + 1))" "$DATA/database.log" 2>/dev/null | grep -a -e 'PANIC' -e 'FATAL' -e 'shut down' -e 'No space left' |
    grep -av -e 'starting up' -e 'not yet accepting' -e 'password authentication' | tail -n 1 | sed 's/^.*\(PANIC\|FATAL\|LOG\): *//')
  echo "${words:-it was killed}"
}

room_mb() {
  df -Pm "$DATA" 2>/dev/null | awk 'NR==2 {print $4}'
}

disk_is_full() {
  [ "$(room_mb)" -lt $LEAST_ROOM_MB ] 2>/dev/null
}

tell_full_disk() {
  echo "the disk of $DATA is full ($(room_mb) MB are free, $LEAST_ROOM_MB are needed); free some, and it goes on by itself"
}

# What ended is started at once; what ends again before everything worked is given time, and is given up in the end.
pause_before_another() { # what
  local now=$SECONDS pause end kept=()
  for end in "${ENDS[@]}"; do
    [ $((now - end)) -lt $ENDS_WITHIN_S ] && kept+=("$end")
  done
  ENDS=("${kept[@]}" "$now")
  if [ ${#ENDS[@]} -gt "$MOST_ENDS" ]; then
    shut_down
    fail "Server or database ended ${#ENDS[@]} times within ten minutes, so starting them again does not help. Last: $(last_end)
The data is safe; $DATA/server/server.log, console.log and database.log say more."
  fi
  ENDS_IN_A_ROW=$((ENDS_IN_A_ROW + 1))
  # One of each may be the same mishap.
  [ $ENDS_IN_A_ROW -gt 2 ] || return
  pause=$((2 * (ENDS_IN_A_ROW - 2)))
  [ $pause -gt 30 ] && pause=30
  tell_state "$1 ended again before everything worked: it is started again in $pause s"
  while [ $((SECONDS - now)) -lt $pause ]; do nap 0.25; done
}

wait_for_room() {
  local told=false
  while disk_is_full; do
    $told || say "Waiting: $(tell_full_disk)."
    told=true
    nap 1
  done
}

database_ended() {
  rm -f "$DATA/address"
  SERVER_READY=false
  while :; do
    note_end database "$(why_database_ended)"
    pause_before_another "The database"
    wait_for_room
    tell_state "The database ended by itself and is started again"
    start_database && return
  done
}

server_ended() {
  # Here, not where the words are made: that is another shell, which has no children.
  wait "$SERVER_PID" 2>/dev/null
  note_end server "$(why_server_ended $?)"
  pause_before_another "The server"
  wait_for_room
  tell_state "The server ended by itself and is started again"
  start_server
}

# In order: nothing is asked of a database that stops.
restart_all() {
  RESTART_ASKED=false
  tell_state "Server and database are being started again, as asked"
  end_server
  if ! is_joined; then
    cluster_stop "$CLUSTER"
    start_database || database_ended
  fi
  start_server
}

# One look at everything. The database first: without it the server cannot become ready.
look_after() {
  $RESTART_ASKED && restart_all
  is_joined || alive "$DATABASE_PID" || database_ended
  alive "$SERVER_PID" || server_ended
  if ! $SERVER_READY && is_answering "$PORT"; then
    SERVER_READY=true
    ENDS_IN_A_ROW=0
    echo "http://127.0.0.1:$PORT/" >"$DATA/address"
    if [ -e "$DATA/state" ]; then
      rm -f "$DATA/state"
      say "Lobrik is ready again."
    fi
  fi
  if [ $((SECONDS - LAST_TURN)) -ge 60 ]; then
    LAST_TURN=$SECONDS
    turn_logs
  fi
  look_after_archive
}

watch() {
  while :; do
    look_after
    if $SERVER_READY; then nap 0.5; else nap 0.15; fi
  done
}

# At a first start: what does not start at once is not tried again, but said.
wait_until_ready() {
  local told=$SECONDS
  until is_answering "$PORT"; do
    if ! alive "$SERVER_PID"; then
      local why
      why=$(why_not_started)
      note_end server "it did not start: ${why##*$'\n'}" >/dev/null
      shut_down
      fail "The server did not start; the end of $DATA/server/server.log says why:
$why"
    fi
    is_joined || alive "$DATABASE_PID" || database_ended
    nap 0.15
    [ $((SECONDS - told)) -lt 6 ] || { told=$SECONDS; say "  … still starting ($((SECONDS - STARTED)) s)"; }
  done
}

# --- stopping ----------------------------------------------------------------------------------------------------------

end_server() {
  alive "$SERVER_PID" || return
  kill -TERM "$SERVER_PID" 2>/dev/null
  wait_until_ended "$SERVER_PID" 150
  # With a wait, so that the shell does not report the kill on its own.
  { kill -KILL "$SERVER_PID"; wait "$SERVER_PID"; } 2>/dev/null
}

shut_down() {
  $STOPPING && return
  STOPPING=true
  alive "$SERVER_PID" && say "Stopping"
  end_server
  end_archive
  [ -n "$GAUGES_PID" ] && { kill "$GAUGES_PID"; wait "$GAUGES_PID"; } 2>/dev/null
  [ -d "$CLUSTER" ] && cluster_stop "$CLUSTER"
  [ -d "$DATA/making" ] && cluster_stop "$DATA/making"
  [ -d "$DATA/server/rehearsal/data" ] && cluster_stop "$DATA/server/rehearsal/data"
  forget_processes
}

forget_processes() {
  rm -f "$DATA/launcher.pid" "$DATA/server.pid" "$DATA/gauges.pid" "$DATA/gauges" "$DATA/address" "$DATA/state" "$DATA/state.new"
}

# Ends what a launcher that was killed left running; false if there was nothing.
end_leftovers() {
  local found=1 folder
  if server_runs; then
    found=0
    SERVER_PID=$(cat "$DATA/server.pid")
    end_server
    wait_until_ended "$SERVER_PID" 50
    SERVER_PID=''
  fi
  if is_ours "$DATA/gauges.pid" "lobrik.gauges"; then
    found=0
    kill "$(cat "$DATA/gauges.pid")"
  fi
  for folder in "$CLUSTER" "$DATA/making" "$DATA/making.new" "$DATA/server/rehearsal/data"; do
    [ -n "$(cluster_processes "$folder")" ] || continue
    found=0
    cluster_stop "$folder"
    cluster_clear "$folder"
  done
  forget_processes
  return $found
}
