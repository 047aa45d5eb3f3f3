#!/usr/bin/env bash
# Every change as it is made, at another place, so that a school can go back to a moment: the database hands over its log of changes
# piece by piece, a copy of all of it is made each week, and both together are made a data folder of again. Sourced by the launcher.
# What is in that place, all of it of whoever has the database, and nobody else's:
#   wal/        the log of changes since the oldest copy, packed
#   base/TIME/  the copies, named by when (UTC) they were whole
#   settings.properties, network.tar    what else a data folder consists of, as it was at the last copy

ARCHIVE=''
# When a copy is older, another is made; so many are kept, which is how far back one can go.
BASE_EACH_S=$((7 * 24 * 3600))
KEPT_BASES=2
# A change is at the other place after this time at the latest.
ARCHIVE_WITHIN_S=60
BASE_PID=''
BASE_TRIED=-3600
BASE_LOOK_AT=0

# What is said to the database at its start; nothing where no archive is asked for. Each in a line, for pg_ctl.
archive_settings() {
  [ -z "$ARCHIVE" ] || printf " -c archive_mode=on -c archive_timeout=%s -c 'archive_command=sh archive.sh %%p %%f'" "$ARCHIVE_WITHIN_S"
}

single_quoted() { # word
  printf "'%s'" "${1//\'/\'\\\'\'}"
}

# Before the database starts: the place is there and its own, and it may be copied from.
open_archive() {
  [ -n "$ARCHIVE" ] || return 0
  mkdir -p "$ARCHIVE" || fail "The folder $ARCHIVE for the archive cannot be made."
  [ "$(id -u)" != 0 ] || chown --reference="$CLUSTER" "$ARCHIVE" || fail "The folder $ARCHIVE cannot be given to whoever has the database."
  as_cluster_owner "$CLUSTER" sh -c 'umask 077; mkdir -p "$1/wal" "$1/base" && chmod 700 "$1" "$1/wal" "$1/base" && rm -rf "$1"/base/*.new' sh "$ARCHIVE" 2>/dev/null ||
    fail "Whoever has the database cannot write to $ARCHIVE; choose another folder with --archive."
  local whose
  whose=$(archive_file of)
  [ -z "$whose" ] || [ "$whose" = "$(cluster_identity)" ] || fail "$ARCHIVE is the archive of another school; choose another folder with --archive."
  cluster_identity | as_cluster_owner "$CLUSTER" tee "$ARCHIVE/of" >/dev/null
  # Handed over once, even if it is asked for again since nobody heard that it was.
  as_cluster_owner "$CLUSTER" tee "$CLUSTER/archive.sh" >/dev/null <<SCRIPT || fail "The database in $DATA cannot be told of its archive."
# Made by ./lobrik start --archive: takes a piece of the log, %p, by its name, %f.
umask 077
to=$(single_quoted "$ARCHIVE")/wal/\$2.gz
[ ! -f "\$to" ] || { gzip -dc "\$to" | cmp -s - "\$1"; exit; }
gzip -nc "\$1" >"\$to.new" && sync "\$to.new" && mv "\$to.new" "\$to"
SCRIPT
  grep -q '^host replication lobrik_owner' "$CLUSTER/pg_hba.conf" && return
  say "Preparing the database for its archive"
  echo 'alter role lobrik_owner replication' | (cd / && as_cluster_owner "$CLUSTER" "$(cluster_binaries "$CLUSTER")/postgres" --single -D "$CLUSTER" postgres) >/dev/null 2>&1 9>&- ||
    fail "The database in $DATA cannot be prepared for its archive; $DATA/database.log may say why."
  echo 'host replication lobrik_owner 127.0.0.1/32 scram-sha-256' | as_cluster_owner "$CLUSTER" tee -a "$CLUSTER/pg_hba.conf" >/dev/null
}

cluster_identity() {
  as_cluster_owner "$CLUSTER" env LC_ALL=C "$(cluster_binaries "$CLUSTER")/pg_controldata" -D "$CLUSTER" | sed -n 's/^Database system identifier: *//p'
}

archive_file() { # name
  as_cluster_owner "$CLUSTER" cat "$ARCHIVE/$1" 2>/dev/null
}

archive_bases() { # archive; the oldest first
  (cd "$1/base" 2>/dev/null && compgen -G '????-??-??T??????Z') | sort
}

# When a copy was whole, in seconds.
base_made() { # name
  date -u -d "$(sed 's/^\(.*\)T\(..\)\(..\)\(..\)Z$/\1 \2:\3:\4/' <<<"$1")" +%s
}

# A copy each week, which gives way to everything else.
look_after_archive() {
  [ -n "$ARCHIVE" ] && $SERVER_READY && [ $SECONDS -ge $BASE_LOOK_AT ] || return 0
  BASE_LOOK_AT=$((SECONDS + 60))
  alive "$BASE_PID" && return
  local newest
  newest=$(as_cluster_owner "$CLUSTER" ls "$ARCHIVE/base" 2>/dev/null | grep -v new | sort | tail -n 1)
  [ -z "$newest" ] || [ $(($(date +%s) - $(base_made "$newest"))) -ge $BASE_EACH_S ] || return 0
  # One that failed is tried again an hour later.
  [ $((SECONDS - BASE_TRIED)) -ge 3600 ] || return 0
  BASE_TRIED=$SECONDS
  make_base >>"$DATA/console.log" 2>&1 9>&- &
  BASE_PID=$!
}

make_base() {
  local base binaries
  base=$ARCHIVE/base/making.new
  binaries=$(cluster_binaries "$CLUSTER")
  (
    cd / || exit 1
    as_cluster_owner "$CLUSTER" rm -rf "$base"
    PGPASSWORD=$(setting spring.flyway.password) as_cluster_owner "$CLUSTER" nice -n 10 "$binaries/pg_basebackup" -h 127.0.0.1 -p "$DATABASE_PORT" -U lobrik_owner \
      -D "$base" --format=tar --gzip --wal-method=none --checkpoint=fast --label=lobrik
  ) || { echo "No copy of the database could be made for the archive in $ARCHIVE."; return 1; }
  as_cluster_owner "$CLUSTER" sh -c 'umask 077; cat >"$1/settings.new" && mv "$1/settings.new" "$1/settings.properties"' sh "$ARCHIVE" <"$SETTINGS"
  [ ! -d "$DATA/server/network" ] || tar -C "$DATA/server" -cf - network | as_cluster_owner "$CLUSTER" sh -c 'umask 077; cat >"$1/network.tar"' sh "$ARCHIVE"
  as_cluster_owner "$CLUSTER" sync "$base/base.tar.gz"
  as_cluster_owner "$CLUSTER" mv "$base" "$ARCHIVE/base/$(date -u +%Y-%m-%dT%H%M%SZ)"
  as_cluster_owner "$CLUSTER" bash -c "$(declare -f clear_archive archive_bases); clear_archive \"\$@\"" bash "$ARCHIVE" $KEPT_BASES "$binaries"
}

# What is older than the copies that are kept brings nobody back anywhere.
clear_archive() { # archive, kept, binaries
  local base first bases
  mapfile -t bases < <(archive_bases "$1")
  for base in "${bases[@]:0:$((${#bases[@]} > $2 ? ${#bases[@]} - $2 : 0))}"; do rm -rf "$1/base/$base"; done
  mapfile -t bases < <(archive_bases "$1")
  first=$(tar -xzOf "$1/base/${bases[0]}/base.tar.gz" backup_label | sed -n 's/^START WAL LOCATION: .* (file \(.*\))$/\1/p')
  [ -z "$first" ] || "$3/pg_archivecleanup" -x .gz "$1/wal" "$first"
}

end_archive() {
  alive "$BASE_PID" || return 0
  { kill "$BASE_PID"; wait "$BASE_PID"; } 2>/dev/null
}

# --- and back ----------------------------------------------------------------------------------------------------------

# Into a folder without a school, as everything was at a moment. Whatever goes wrong, there is no school in it afterwards.
restore_from_archive() { # archive, until (may be empty), whether only to look
  local archive=$1 until=$2 look=$3 base='' candidate target='' last
  [ -r "$archive/base" ] && [ -s "$archive/settings.properties" ] || fail "There is no archive in $archive that can be read, or no copy was made in it yet."
  archive=$(readlink -f "$archive")
  last=$(find "$archive/wal" -name '*.gz' -printf '%T@\n' | sort -n | tail -n 1)
  if [ -n "$until" ]; then
    target=$(date -d "$until" +%s 2>/dev/null) || fail "“$until” is no moment; give one such as '2026-12-01 10:15'."
    [ "$target" -le "$(date +%s)" ] || fail "“$until” is still to come."
  fi
  for candidate in $(archive_bases "$archive"); do
    [ -n "$target" ] && [ "$(base_made "$candidate")" -gt "$target" ] || base=$candidate
  done
  say "$archive goes back to $(date -d "@$(base_made "$(archive_bases "$archive" | head -n 1)")" '+%Y-%m-%d %H:%M:%S'), and on to $(date -d "@${last:-0}" '+%Y-%m-%d %H:%M:%S')."
  [ -n "$base" ] || fail "It does not go back to “$until”."
  $look && return
  # The one that is made of it has not this archive.
  ARCHIVE=''
  [ ! -e "$CLUSTER" ] && [ ! -e "$SETTINGS" ] || fail "There is a school in $DATA; choose a folder without one with --data."
  open_data_folder
  trap 'forget_restored; exit 1' INT TERM
  trap forget_restored EXIT
  say "Bringing back the copy of $(date -d "@$(base_made "$base")" '+%Y-%m-%d %H:%M:%S'), and what was changed since${until:+ until $until}"
  unpack_base "$archive" "$base" || fail "The copy in $archive/base/$base cannot be unpacked to $DATA; see above."
  {
    echo "restore_command = 'sh restore.sh %f %p'"
    echo "recovery_target_action = 'promote'"
    [ -z "$target" ] || echo "recovery_target_time = '$(date -u -d "@$target" '+%Y-%m-%d %H:%M:%S+00')'"
    echo "hot_standby = off"
  } | as_cluster_owner "$CLUSTER" tee "$CLUSTER/recovery.conf.part" >/dev/null
  as_cluster_owner "$CLUSTER" sh -c 'cp -p "$1/postgresql.auto.conf" "$1/auto.before" && cat "$1/recovery.conf.part" >>"$1/postgresql.auto.conf" && touch "$1/recovery.signal"' sh "$CLUSTER"
  DATABASE_PORT=$(free_port)
  start_database && wait_until_recovered || fail "$(why_not_recovered "$until")"
  cluster_stop "$CLUSTER"
  as_cluster_owner "$CLUSTER" sh -c 'mv "$1/auto.before" "$1/postgresql.auto.conf" && rm -f "$1/recovery.conf.part" "$1/restore.sh" "$1/archive.sh"' sh "$CLUSTER"
  (umask 077 && cp "$archive/settings.properties" "$SETTINGS") || fail "The settings could not be written to $DATA."
  if [ -f "$archive/network.tar" ]; then
    mkdir -p "$DATA/server" && tar -C "$DATA/server" -xf "$archive/network.tar" || fail "The certificates could not be put in place."
  fi
  trap - EXIT
  say "Start it:  ./lobrik start --data $DATA"
}

# It counts as started long before; its mark goes when all is brought back.
wait_until_recovered() {
  while as_cluster_owner "$CLUSTER" test -e "$CLUSTER/recovery.signal"; do
    sleep 0.3
    alive "$DATABASE_PID" || return 1
  done
  alive "$DATABASE_PID"
}

unpack_base() { # archive, base
  mkdir -m 700 "$CLUSTER" || return 1
  [ "$(id -u)" != 0 ] || chown "$(stat -c %U "$1/base")" "$CLUSTER" || return 1
  (cd / && as_cluster_owner "$CLUSTER" tar -C "$CLUSTER" -xzf "$1/base/$2/base.tar.gz") || return 1
  as_cluster_owner "$CLUSTER" tee "$CLUSTER/restore.sh" >/dev/null <<SCRIPT
# Gives the database a piece of the log, %f, where it wants it, %p.
gzip -dc $(single_quoted "$1")/wal/"\$1".gz >"\$2"
SCRIPT
}

why_not_recovered() { # until
  case $(tail -c "+$((DATABASE_LOG_FROM + 1))" "$DATA/database.log" 2>/dev/null) in
    *'recovery ended before configured recovery target'*) echo "Nothing was changed as late as “$1”, so nobody can tell whether all until then is here; say an earlier moment, or leave --until out for all there is. Nothing was left in $DATA." ;;
    *) echo "It could not be brought back: $(why_database_ended). Nothing was left in $DATA." ;;
  esac
}
