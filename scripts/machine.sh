#!/usr/bin/env bash
# What Lobrik needs of a machine: Debian packages, a JDK, a build. Sourced by the launcher.

JDK_RELEASE=25
LEAST_NODE=20

say() { echo "$*"; }

fail() {
  echo "lobrik: $*" >&2
  exit 1
}

# --- Debian packages ---------------------------------------------------------------------------------------------------

# Prints the Debian packages that provide what is missing. All tests are a full run: with a real spreadsheet.
missing_packages() { # server | tests | all-tests
  cluster_binaries >/dev/null || echo postgresql
  command -v psql >/dev/null || echo postgresql-client
  command -v curl >/dev/null || echo curl
  # Only what builds it; one that is installed or given is built.
  if [ "$1" != server ] || ! is_built; then
    command -v mvn >/dev/null || echo maven
    command -v node >/dev/null || echo nodejs
    command -v npm >/dev/null || echo npm
  fi
  command -v setsid >/dev/null && command -v flock >/dev/null && { [ "$(id -u)" != 0 ] || command -v setpriv >/dev/null; } || echo util-linux
  if [ "$1" = all-tests ]; then
    command -v soffice >/dev/null || echo libreoffice-calc-nogui
  fi
  if [ "$1" != server ]; then
    command -v chromium-headless-shell >/dev/null || echo chromium-headless-shell
    # Hosts of a network, and whom their browsers trust.
    command -v ip >/dev/null || echo iproute2
    command -v certutil >/dev/null || echo libnss3-tools
    # What it says of a service.
    command -v systemd-analyze >/dev/null || echo systemd
    [ -d /usr/share/fonts/truetype/dejavu ] || echo fonts-dejavu-core
  fi
}

# Whether the application is here as it runs: given by whoever calls, or installed.
is_built() {
  [ -n "${LOBRIK_APPLICATION:-}" ] || [ -f "$ROOT/application/lobrik.jar" ]
}

need_packages() { # server | tests | all-tests
  local packages
  mapfile -t packages < <(missing_packages "$1")
  if [ ${#packages[@]} -gt 0 ]; then
    local command="apt-get install -y --no-install-recommends ${packages[*]}"
    [ "$(id -u)" = 0 ] || fail "Some packages are missing; run this and start again:  sudo $command"
    command -v apt-get >/dev/null || fail "These packages are missing and there is no apt-get to install them: ${packages[*]}."
    say "Installing ${packages[*]}"
    export DEBIAN_FRONTEND=noninteractive
    apt-get update -qq || fail "The package lists could not be fetched; check the network, or run this yourself: $command"
    # shellcheck disable=SC2086
    $command -qq >/dev/null || fail "The packages could not be installed; run this to see why: $command"
  fi
  need_node
}

# Debian may have an older Node than the build needs; the npm registry ships newer ones as packages.
need_node() {
  is_built && return
  local own=$ROOT/.build/node
  [ -x "$own/node_modules/node/bin/node" ] && PATH=$own/node_modules/node/bin:$PATH
  local version
  version=$(node --version | sed 's/^v\([0-9]*\).*/\1/')
  [ "${version:-0}" -ge "$LEAST_NODE" ] && return
  say "Installing a newer Node for the build"
  mkdir -p "$own"
  npm install --prefix "$own" --no-audit --no-fund --loglevel=error "node@$LEAST_NODE" npm@11 >/dev/null ||
    fail "Lobrik's build needs Node $LEAST_NODE or newer, this machine has ${version:-none}, and a newer one could not be installed."
  PATH=$own/node_modules/node/bin:$own/node_modules/.bin:$PATH
}

# --- JDK ---------------------------------------------------------------------------------------------------------------

jdk_fits() { # folder
  [ -x "$1/bin/javac" ] && grep -q "^JAVA_VERSION=\"$JDK_RELEASE[\".]" "$1/release" 2>/dev/null
}

# Sets JAVA_HOME and JAVA. Maven and some of its plugins must run on the same release that they compile for.
need_jdk() {
  local candidate
  for candidate in "${LOBRIK_JAVA_HOME:-}" "${JAVA_HOME:-}" "${LOBRIK_JVM_DIR:-/usr/lib/jvm}"/*; do
    if jdk_fits "$candidate"; then
      export JAVA_HOME=$candidate
      JAVA=$candidate/bin/java
      return
    fi
  done
  local package=openjdk-$JDK_RELEASE-jdk-headless
  if [ -z "${LOBRIK_JVM_DIR:-}" ] && [ "$(id -u)" = 0 ] && apt-cache show "$package" >/dev/null 2>&1; then
    say "Installing $package"
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$package" >/dev/null &&
      LOBRIK_JVM_DIR=/usr/lib/jvm need_jdk && return
  fi
  fail "Lobrik needs a JDK $JDK_RELEASE and found none in JAVA_HOME or /usr/lib/jvm; install one and start again."
}

# --- the build ---------------------------------------------------------------------------------------------------------

# A short name for the sources: it changes when anything that is built from changes.
fingerprint() {
  (cd "$ROOT" && find pom.xml */pom.xml core/src/main wire/src/main inbrowser/src/main gauges/src/main server/src/main web -type f \
    ! -path 'web/node_modules/*' ! -path 'web/dist/*' ! -path 'web/target/*' ! -path web/src/api/schema.d.ts -print0 |
    sort -z | xargs -0 sha256sum | sha256sum | cut -c1-16)
}

# Sets APPLICATION to the folder of the unpacked application: the one that is given, as tests do, or that is installed, or the one built
# from these sources.
application_folder() {
  if [ -n "${LOBRIK_APPLICATION:-}" ]; then
    APPLICATION=$LOBRIK_APPLICATION
  elif is_built; then
    APPLICATION=$ROOT/application
  else
    build_application
  fi
}

# Builds the application unless this very state of the sources was built before. Sets APPLICATION to its folder.
build_application() {
  APPLICATION=$ROOT/.build/app-$(fingerprint)
  [ -f "$APPLICATION/lobrik.jar" ] && return
  say "Building Lobrik (the first time takes a few minutes)"
  mkdir -p "$ROOT/.build"
  exec 8>"$ROOT/.build/lock"
  flock 8
  if [ ! -f "$APPLICATION/lobrik.jar" ]; then
    (cd "$ROOT" && mvn -B -ntp -DskipTests -pl server -am package 9>&- 8>&-) 2>&1 | tee "$ROOT/.build/build.log" |
      sed -un -e 's/^\[INFO\] Building \(Lobrik [a-z]*\).*/  \1/p' -e 's/^.*\(Installing the web client.*\)/  \1/p' -e '/npm warn/d' -e 's/^\[ERROR\]/  &/p'
    [ "${PIPESTATUS[0]}" = 0 ] || fail "The build failed; $ROOT/.build/build.log says why."
    rm -rf "$APPLICATION.new"
    "$JAVA" -Djarmode=tools -jar "$ROOT/server/target/lobrik.jar" extract --destination "$APPLICATION.new" >/dev/null ||
      fail "The built application could not be unpacked into $ROOT/.build."
    mv "$APPLICATION.new" "$APPLICATION"
    remove_old_builds
  fi
  exec 8>&-
}

# Keeps the newest few: another instance may still run on the one before.
remove_old_builds() {
  find "$ROOT/.build" -maxdepth 1 -name 'app-*' -printf '%T@ %p\n' | sort -rn | tail -n +4 | cut -d' ' -f2- | xargs -r rm -rf
}
