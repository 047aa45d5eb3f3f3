#!/usr/bin/env bash
# PostgreSQL clusters of our own: on loopback only, with generated passwords, apart from whatever the system runs.
# Sourced by the launcher. The tests call it as a command:
#   scripts/cluster.sh temporary DIR     make and start a throw-away cluster in DIR; prints "port password"
#   scripts/cluster.sh discard DIR       stop it and delete DIR

# The folder with initdb, pg_ctl and postgres: of the version that made the cluster, else the newest.
cluster_binaries() { # [cluster folder]
  local made='' candidate newest=''
  [ -r "${1:-}/PG_VERSION" ] && made=$(cat "$1/PG_VERSION")
  for candidate in /usr/lib/postgresql/*/bin; do
    [ -x "$candidate/initdb" ] || continue
    case $candidate in */"${made:-none}"/bin) echo "$candidate"; return 0 ;; esac
    newest=$candidate
  done
  [ -z "$made" ] && [ -n "$newest" ] && echo "$newest"
}

# PostgreSQL refuses to run as root, so root runs it as whoever has the cluster, at first a user of its own.
as_cluster_owner() { # cluster folder, command…
  local cluster=$1 owner
  shift
  if [ "$(id -u)" != 0 ]; then
    "$@"
  else
    owner=$(stat -c %U "$cluster" 2>/dev/null)
    case $owner in '' | root | UNKNOWN) owner=postgres ;; esac
    runuser -u "$owner" -- "$@"
  fi
}

random_hex() { # bytes
  od -An -v -N"$1" -tx1 /dev/urandom | tr -d ' \n'
}

port_is_taken() { # port
  (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null
}

free_port() {
  local port
  while :; do
    port=$((20000 + 0x$(random_hex 2) % 12000))
    port_is_taken "$port" || { echo "$port"; return; }
  done
}

# Makes a cluster; on any failure nothing is left under the final name.
cluster_create() { # folder, admin password, [throwaway]
  local folder=$1 password=$2 kind=${3:-kept} fresh=$1.new binaries passfile
  binaries=$(cluster_binaries) || return 1
  rm -rf "$fresh"
  mkdir -m 700 "$fresh" || return 1
  [ "$(id -u)" = 0 ] && { chown postgres "$fresh" || return 1; }
  passfile=$(mktemp) || return 1
  printf '%s' "$password" >"$passfile"
  [ "$(id -u)" = 0 ] && chown postgres "$passfile"
  # Checksums find a failing disk; a throw-away cluster need not survive one.
  local options=(--data-checksums)
  [ "$kind" = throwaway ] && options=(--no-sync)
  # The folder may be one that the database's user cannot stand in, so it starts from the root.
  (cd / && as_cluster_owner "$fresh" "$binaries/initdb" -D "$fresh" -U lobrik_admin --pwfile="$passfile" \
    --auth=scram-sha-256 -E UTF8 --locale=C.UTF-8 "${options[@]}") >/dev/null 9>&- || { rm -f "$passfile"; return 1; }
  rm -f "$passfile"
  cluster_settings "$kind" | as_cluster_owner "$fresh" tee -a "$fresh/postgresql.conf" >/dev/null || return 1
  printf 'host all all 127.0.0.1/32 scram-sha-256\n' | as_cluster_owner "$fresh" tee "$fresh/pg_hba.conf" >/dev/null || return 1
  mv "$fresh" "$folder"
}

cluster_settings() { # kept | throwaway
  cat <<'CONF'
listen_addresses = '127.0.0.1'
unix_socket_directories = ''
max_connections = 100
password_encryption = scram-sha-256
log_timezone = 'UTC'
timezone = 'UTC'
CONF
  if [ "$1" = throwaway ]; then
    printf '%s\n' 'fsync = off' 'synchronous_commit = off' 'full_page_writes = off' 'wal_level = minimal' 'max_wal_senders = 0'
  else
    printf '%s\n' 'fsync = on' 'synchronous_commit = on' 'full_page_writes = on'
  fi
}

cluster_start() { # folder, port, log file, [more options]
  local binaries
  binaries=$(cluster_binaries "$1") || return 1
  touch "$3" || return 1
  [ "$(id -u)" = 0 ] && { chown --reference="$1" "$3" || return 1; }
  (cd / && as_cluster_owner "$1" "$binaries/pg_ctl" -D "$1" -l "$3" -w -t 60 -o "-p $2${4:-}" start) >/dev/null 2>&1 9>&-
}

# In order if it can, at once if it must.
cluster_stop() { # folder
  local binaries
  binaries=$(cluster_binaries "$1") || return 0
  (cd / && as_cluster_owner "$1" "$binaries/pg_ctl" -D "$1" -m fast -w -t 30 stop ||
    as_cluster_owner "$1" "$binaries/pg_ctl" -D "$1" -m immediate -w -t 10 stop) >/dev/null 2>&1 9>&-
}

# The processes of a cluster, whoever started them and whether or not it works: they all stand in its folder.
cluster_processes() { # folder
  local folder
  folder=$(readlink -f "$1" 2>/dev/null) && [ -d "$folder" ] || return 0
  find /proc -maxdepth 2 -name cwd -lname "$folder" 2>/dev/null | cut -d/ -f3
}

# Prints the process that a cluster is run by, if it runs.
cluster_postmaster() { # folder
  local pid
  pid=$(head -n 1 "$1/postmaster.pid" 2>/dev/null) && [[ $pid =~ ^[0-9]+$ ]] || return 0
  [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$(readlink -f "$1")" ] && echo "$pid"
}

cluster_port() { # folder
  sed -n 4p "$1/postmaster.pid" 2>/dev/null
}

# Makes a cluster that ended out of order fit to start. What a killed one leaves ends by itself within seconds, and until then
# the data are its own. Its mark must go too: the number in it may belong to another process by now, and PostgreSQL would not
# start beside that.
cluster_clear() { # folder
  local waited=0 left
  [ -d "$1" ] || return 0
  [ -n "$(cluster_postmaster "$1")" ] && { cluster_stop "$1"; }
  while left=$(cluster_processes "$1") && [ -n "$left" ]; do
    if [ $waited -ge 30 ]; then
      # shellcheck disable=SC2086
      kill -KILL $left 2>/dev/null
    fi
    [ $waited -lt 100 ] || return 1
    sleep 0.1
    waited=$((waited + 1))
  done
  rm -f "$1/postmaster.pid"
}

# The database with two roles: the owner migrates it, the application may only do what the migrations grant.
cluster_create_database() { # port, admin password, owner password, application password
  PGPASSWORD=$2 psql -q -X -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$1" -U lobrik_admin -d postgres >/dev/null <<SQL
create role lobrik_owner login password '$3';
create role lobrik_app login password '$4';
create database lobrik owner lobrik_owner;
revoke all on database lobrik from public;
grant connect on database lobrik to lobrik_app;
SQL
}

if [ "${BASH_SOURCE[0]}" = "$0" ]; then
  set -euo pipefail
  case "${1:-} ${2:-}" in
    "temporary "?*)
      mkdir -p "$2"
      [ "$(id -u)" = 0 ] && { chown postgres "$2"; chmod 755 "$2"; }
      password=$(random_hex 16)
      port=$(free_port)
      cluster_create "$2/postgres" "$password" throwaway
      cluster_start "$2/postgres" "$port" "$2/database.log"
      cluster_create_database "$port" "$password" "$password" "$password"
      echo "$port $password"
      ;;
    "discard "?*)
      cluster_stop "$2/postgres" || true
      rm -rf "$2"
      ;;
    *)
      echo "usage: $0 temporary DIR | discard DIR" >&2
      exit 2
      ;;
  esac
fi
