#!/usr/bin/env bash
# Several servers of one school: the first keeps its database where the others find it, or all of them use one that somebody else runs.
# Sourced by the launcher. docs/operations.md says how.

# Where the database is that somebody else runs: HOST:PORT/NAME, or several places before the name, of which one is written to and the
# others stand by; with what the driver is told after a question mark. Empty for our own.
JOINED=''
# The settings of the first server, for the passwords of the database.
SETTINGS_FROM=''
# The port of our own database, where others have to find it; else a free one.
DATABASE_PORT_ASKED=''
# Where all servers of a school keep the backups that are made by themselves.
BACKUPS=''
# Enough for some servers, each with a dozen connections.
MOST_CONNECTIONS=100

joined_by() { # option, what is said
  case $1 in
    --database)
      local place='([A-Za-z0-9.-]+|\[[0-9A-Fa-f:]+\]):[0-9]{1,5}'
      [[ $2 =~ ^$place(,$place)*(/[A-Za-z0-9_]+)?([?].*)?$ ]] ||
        fail "“$2” is no database; give one such as 127.0.0.1:5432 or db.example:5432/lobrik?sslmode=verify-full."
      JOINED=$2
      ;;
    --database-port)
      is_port "$2" || fail "“$2” is not a port; give a number from 1 to 65535."
      DATABASE_PORT_ASKED=$2
      ;;
    --settings)
      [ -r "$2" ] || fail "There is no file “$2” that can be read."
      SETTINGS_FROM=$(readlink -f "$2")
      ;;
    --backups)
      [ -d "$2" ] || fail "--backups needs a folder that is there, the same for all servers."
      BACKUPS=$(readlink -f "$2")
      ;;
  esac
}

is_joined() { [ -n "$JOINED" ]; }

# Where the server finds its database.
database_url() {
  local place=$JOINED options=''
  if ! is_joined; then
    echo "jdbc:postgresql://127.0.0.1:$DATABASE_PORT/lobrik"
    return
  fi
  case $place in *'?'*) options="?${place#*\?}" place=${place%%\?*} ;; esac
  case $place in */*) ;; *) place+=/lobrik ;; esac
  # A standby answers, too, but takes nothing.
  case $place in *,*) case $options in *targetServerType=*) ;; *) options+="$([ -n "$options" ] && echo '&' || echo '?')targetServerType=primary" ;; esac ;; esac
  echo "jdbc:postgresql://$place$options"
}

# Whether the database that it joins is here, for which nothing has to be let out.
is_on_this_machine() {
  case $JOINED in *,*) return 1 ;; esac
  case $JOINED in 127.* | localhost:* | '[::1]:'*) ;; *) return 1 ;; esac
}

take_settings() {
  (umask 077 && cp "$SETTINGS_FROM" "$SETTINGS") || fail "The settings could not be copied to $DATA."
}

# A folder of a server that joins others has their settings and no database.
open_joined_folder() {
  [ ! -e "$CLUSTER" ] || fail "$DATA has a database of its own; choose another folder with --data, or leave out --database."
  if [ ! -s "$SETTINGS" ]; then
    [ -n "$SETTINGS_FROM" ] || fail "Say with --settings where the settings.properties of the first server are, or a copy of it: they have the passwords of the database."
    take_settings
  fi
  [ -n "$(setting spring.datasource.password)" ] || fail "$SETTINGS names no spring.datasource.password; give those of the first server with --settings."
}

# Where our own database answers: somewhere that is free, unless others have to find it.
choose_database_port() {
  DATABASE_PORT=${DATABASE_PORT_ASKED:-$(free_port)}
  [ -z "$DATABASE_PORT_ASKED" ] || require_free_port "$DATABASE_PORT" --database-port
}

# What the server is told of backups: with a database that somebody else runs there are none by themselves but in a folder that all share.
backup_arguments() {
  if is_joined && [ -z "$BACKUPS" ]; then
    echo "--lobrik.backup.elsewhere=true"
    return
  fi
  printf '%s\n' "--lobrik.backup.folder=${BACKUPS:-$DATA/server/backups}" "--lobrik.backup.programs=$(cluster_binaries "$CLUSTER")" \
    "--lobrik.backup.network=$DATA/server/network"
  [ -z "$ARCHIVE" ] || echo "--lobrik.backup.archive=$ARCHIVE"
}
