#!/usr/bin/env bash
# Lobrik as a service of the machine: installed for everybody to read, run by an ordinary user, started with the machine. Sourced by
# the launcher. LOBRIK_INSTALL_ROOT says where the machine's root is, for packages and tests: then files are written and nothing is run.

PROGRAM=/opt/lobrik
UNIT=/etc/systemd/system/lobrik.service
SERVICE_DATA=/var/lib/lobrik

# Everything that a start needs, in a folder of its own; what an earlier build left there is replaced as a whole.
install_service() { # options as for start
  local given=("$@") root=${LOBRIK_INSTALL_ROOT:-}
  DATA=${LOBRIK_DATA:-$SERVICE_DATA}
  parse_options "$@"
  [ -n "$root" ] || [ "$(id -u)" = 0 ] || fail "Only root can install a service; run  sudo ./lobrik install"
  need_packages server
  need_jdk
  application_folder
  [ -n "$root" ] || ! launcher_runs || fail "Lobrik is running on $DATA; stop it first: with ./lobrik stop --data $DATA, or systemctl stop lobrik."
  copy_program "$root$PROGRAM"
  mkdir -p "$root$(dirname "$UNIT")" || fail "$root$(dirname "$UNIT") cannot be made."
  unit_of_service "${given[@]}" >"$root$UNIT" || fail "$root$UNIT cannot be written."
  if [ -n "$root" ]; then
    say "Written to $root: $PROGRAM and $UNIT."
    return
  fi
  need_server_user
  mkdir -p "$DATA" && chmod 755 "$DATA" || fail "The folder $DATA cannot be made."
  if [ -n "$ARCHIVE" ]; then
    mkdir -p "$ARCHIVE" && chown -RP "$SERVER_USER:$SERVER_USER" "$ARCHIVE" || fail "The folder $ARCHIVE for the archive cannot be made."
  fi
  # The service's user may not read them where they are.
  if [ -n "$SETTINGS_FROM" ] && [ ! -s "$SETTINGS" ]; then take_settings; fi
  # What a start by root made of it belongs to others.
  chown -RP "$SERVER_USER:$SERVER_USER" "$DATA"
  if [ -d /run/systemd/system ]; then
    systemctl daemon-reload && systemctl enable --now lobrik.service || fail "systemd did not start it; journalctl -u lobrik says why."
    say "Lobrik runs as a service, now and whenever this machine starts. journalctl -u lobrik has what it says, its first password too."
  else
    say "Installed. systemd does not run here; where it does:  systemctl enable --now lobrik"
  fi
}

copy_program() { # where to
  local fresh=$1.new
  rm -rf "$fresh"
  mkdir -p "$fresh/scripts" "$fresh/docs" || fail "$fresh cannot be made."
  cp "$ROOT/lobrik" "$fresh/" && cp "$ROOT"/scripts/*.sh "$fresh/scripts/" && cp "$ROOT"/docs/*.md "$fresh/docs/" &&
    cp -r "$APPLICATION" "$fresh/application" || fail "Lobrik could not be copied to $fresh; is the disk full?"
  rm -f "$fresh"/application/*.aot "$fresh/application/no-aot"
  chmod -R u=rwX,go=rX "$fresh"
  rm -rf "$1.old"
  [ ! -e "$1" ] || mv "$1" "$1.old"
  mv "$fresh" "$1" && rm -rf "$1.old"
}

# systemd reads %, $ and quotes in it as its own.
quoted() { # word
  printf '"%s"' "$(sed 's/[\\"]/\\&/g; s/%/%%/g; s/\$/$$/g' <<<"$1")"
}

# What it may write to besides, where backups or the archive go elsewhere.
other_places() {
  local place
  for place in "$ARCHIVE" "$BACKUPS" "${SECOND_PLACES[@]}"; do
    [ -z "$place" ] || echo "ReadWritePaths=$(quoted "$place")"
  done
}

unit_of_service() { # options of start
  local command word capability='' addresses='IPAddressDeny=any
IPAddressAllow=localhost'
  command="$PROGRAM/lobrik start --data $(quoted "$DATA")"
  while [ $# -gt 0 ]; do
    case $1 in
      --data | --second-place | --settings) shift 2 ;;
      --data=* | --second-place=*) shift ;;
      *) word=$(quoted "$1") && command+=" $word" && shift ;;
    esac
  done
  if $SHARE; then
    addresses="# Reached by other devices."
    if [ "$SECURE_PORT" -lt 1024 ] || [ "$PLAIN_PORT" -lt 1024 ]; then capability=CAP_NET_BIND_SERVICE; fi
  fi
  if is_joined && ! is_on_this_machine; then addresses="# Its database is elsewhere."; fi
  cat <<UNIT_END
# Made by ./lobrik install; made anew by the next, so changes belong into  systemctl edit lobrik
[Unit]
Description=Lobrik, conduit bending for apprentices
Documentation=file:$PROGRAM/docs/operations.md
Wants=network-online.target
After=network-online.target

[Service]
Type=exec
User=$SERVER_USER
Group=$SERVER_USER
Environment=LOBRIK_JAVA_HOME=$JAVA_HOME
ExecStart=$command
# The launcher ends the server before the database.
KillMode=mixed
TimeoutStopSec=60
Restart=on-failure
RestartSec=5
LimitNOFILE=65536
UMask=0077

# It may write its data and nothing else, and sees of the machine what it needs.
ReadWritePaths=$(quoted "$DATA")
$(other_places)
ProtectSystem=strict
ProtectHome=yes
PrivateTmp=yes
PrivateDevices=yes
DevicePolicy=closed
ProtectProc=invisible
ProtectClock=yes
ProtectHostname=yes
ProtectKernelLogs=yes
ProtectKernelModules=yes
ProtectKernelTunables=yes
ProtectControlGroups=yes
RestrictNamespaces=yes
RestrictRealtime=yes
RestrictSUIDSGID=yes
RestrictAddressFamilies=AF_INET AF_INET6 AF_UNIX AF_NETLINK
LockPersonality=yes
NoNewPrivileges=yes
RemoveIPC=yes
CapabilityBoundingSet=$capability
AmbientCapabilities=$capability
SystemCallArchitectures=native
SystemCallFilter=@system-service
SystemCallFilter=~@privileged @resources
SystemCallErrorNumber=EPERM
# Not MemoryDenyWriteExecute: a JVM makes machine code.
$addresses

[Install]
WantedBy=multi-user.target
UNIT_END
}

uninstall_service() {
  local root=${LOBRIK_INSTALL_ROOT:-} data
  [ -n "$root" ] || [ "$(id -u)" = 0 ] || fail "Only root can take a service away; run  sudo ./lobrik uninstall"
  [ -e "$root$UNIT" ] || [ -e "$root$PROGRAM" ] || fail "Lobrik is not installed as a service here."
  data=$(sed -n 's/^ReadWritePaths="\(.*\)"$/\1/p' "$root$UNIT" 2>/dev/null | head -n 1)
  if [ -z "$root" ] && [ -d /run/systemd/system ]; then
    systemctl disable --now lobrik.service || fail "systemd did not end it; systemctl status lobrik says why."
  fi
  rm -f "$root$UNIT"
  rm -rf "$root$PROGRAM"
  [ -n "$root" ] || [ ! -d /run/systemd/system ] || systemctl daemon-reload
  say "The service is gone. The data stays in ${data:-its folder}, with its user $SERVER_USER; delete it yourself if you mean to."
}
