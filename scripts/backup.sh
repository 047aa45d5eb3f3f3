#!/usr/bin/env bash
# Backups: the whole of a data folder in one file, while it runs, and back. Sourced by the launcher.

PASSPHRASE_FILE=''

# Sets FILE and what else these two commands know; the rest goes on to the options of every command.
backup_options() { # what for, arguments
  local what=$1 rest=()
  shift
  FILE=''
  DRY_RUN=false
  UNTIL=''
  while [ $# -gt 0 ]; do
    case $1 in
      --passphrase-file) [ $# -ge 2 ] || fail "--passphrase-file needs a file."; PASSPHRASE_FILE=$2; shift 2 ;;
      --dry-run) DRY_RUN=true; shift ;;
      --until) [ $# -ge 2 ] || fail "--until needs a moment."; UNTIL=$2; shift 2 ;;
      --data | --port | --archive) [ $# -ge 2 ] || fail "$1 needs something said after it."; rest+=("$1" "$2"); shift 2 ;;
      -*) rest+=("$1"); shift ;;
      *) [ -z "$FILE" ] || fail "Say one file."; FILE=$1; shift ;;
    esac
  done
  parse_options "${rest[@]}"
  [ -n "$FILE" ] || { [ "$what" = restore ] && [ -n "$ARCHIVE" ]; } || fail "Say which file: ./lobrik $what FILE"
  [ -z "$PASSPHRASE_FILE" ] || [ -s "$PASSPHRASE_FILE" ] || fail "There is no passphrase in $PASSPHRASE_FILE that can be read."
}

# The first line of the file, or what the environment says.
passphrase() {
  if [ -n "$PASSPHRASE_FILE" ]; then head -n 1 "$PASSPHRASE_FILE"; else printf '%s' "${LOBRIK_PASSPHRASE:-}"; fi
}

# The program that knows these files. What is secret goes by its environment.
backup_program() { # database port, arguments
  local port=$1
  shift
  LOBRIK_DATABASE_PORT=$port LOBRIK_PASSWORD=$(setting spring.flyway.password) LOBRIK_POSTGRES=$(cluster_binaries "$CLUSTER") \
    LOBRIK_PASSPHRASE=$(passphrase) LOBRIK_SETTINGS=$(cat "$SETTINGS" 2>/dev/null) \
    "$JAVA" -Xmx256m -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -Dslf4j.internal.verbosity=ERROR -Dlogback.configurationFile=quiet-logback.xml -cp "$APPLICATION/lobrik.jar" lobrik.server.backup.BackupCommand "$@" 2>&1 9>&-
}

backup() {
  backup_options backup "$@"
  [ -f "$CLUSTER/PG_VERSION" ] || fail "There is no school in $DATA; say where it is with --data."
  need_packages server
  need_jdk
  application_folder
  reach_database
  backup_program "$DATABASE_PORT" write "$FILE" "$DATA/server/network" || fail "No backup was made: see above. Nothing was left of it."
}

# Into a folder with nothing in it. Whatever goes wrong, there is nothing in it afterwards.
restore() {
  backup_options restore "$@"
  if [ -n "$ARCHIVE" ]; then
    need_packages server
    restore_from_archive "$ARCHIVE" "$UNTIL" "$DRY_RUN"
    return
  fi
  [ -r "$FILE" ] || fail "There is no file $FILE that can be read."
  need_packages server
  need_jdk
  application_folder
  if $DRY_RUN; then
    backup_program 0 check "$FILE" || fail "$FILE cannot be restored: see above."
    return
  fi
  [ ! -e "$CLUSTER" ] && [ ! -e "$SETTINGS" ] || fail "There is a school in $DATA; a backup is restored into a folder without one: choose it with --data."
  open_data_folder
  trap 'forget_restored; exit 1' INT TERM
  trap forget_restored EXIT
  make_database
  DATABASE_PORT=$(free_port)
  start_database || fail "The new database in $DATA did not start; $DATA/database.log says why."
  local folder=$DATA/restoring
  rm -rf "$folder"
  mkdir -m 700 "$folder" || fail "Nothing can be written to $DATA."
  backup_program "$DATABASE_PORT" bring "$FILE" "$folder" || fail "It could not be restored: see above. Nothing was left in $DATA."
  # Passwords of the database are new; what people know is as it was.
  { grep -v -e '^lobrik\.first-password=' -e '^lobrik\.demo=' "$SETTINGS" && cat "$folder/settings"; } >"$folder/all" &&
    chmod 600 "$folder/all" && mv "$folder/all" "$SETTINGS" || fail "The settings could not be written to $DATA."
  if [ -d "$folder/network" ]; then mkdir -p "$DATA/server" && mv "$folder/network" "$DATA/server/network" || fail "The certificates could not be put in place."; fi
  rm -rf "$folder"
  trap - EXIT
  cluster_stop "$CLUSTER"
  say "Start it:  ./lobrik start --data $DATA"
}

forget_restored() {
  [ ! -d "$CLUSTER" ] || cluster_stop "$CLUSTER"
  rm -rf "$CLUSTER" "$DATA/making" "$DATA/making.new" "$DATA/restoring"
  rm -f "$SETTINGS" "$SETTINGS.new"
}
