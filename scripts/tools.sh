# The tools that building and running need: found, or installed from Debian's packages. Sourced, never run.

NODE_MAJOR=20 # the oldest that the front end's build takes
NODE_PACKAGE=20.19.5
NPM_PACKAGE=11.6.2

# install_packages PACKAGE...: with root or sudo, else says the line that does it
install_packages() {
  local apt=(env DEBIAN_FRONTEND=noninteractive apt-get)
  if [[ $EUID -ne 0 ]]; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then
      apt=(sudo "${apt[@]}")
    else
      echo "goldthistle: missing on this machine: $*" >&2
      echo "goldthistle: install them, then try again:" >&2
      echo "  sudo apt-get update && sudo apt-get install -y --no-install-recommends $*" >&2
      exit 1
    fi
  fi
  command -v apt-get >/dev/null || die "missing: $*. This machine has no apt-get; install them in its own way."
  say "installing $*"
  "${apt[@]}" update -qq
  "${apt[@]}" install -y -qq --no-install-recommends "$@" >"$STATE/install.log" 2>&1 ||
    { tail -20 "$STATE/install.log" >&2; die "could not install $*; the whole log is in .goldthistle/install.log"; }
}

has_package() { apt-cache show "$1" >/dev/null 2>&1; }

java_is_17_or_newer() {
  local version
  version=$(javac -version 2>&1) || return 1
  version=${version#javac }
  [[ ${version%%.*} -ge 17 ]] 2>/dev/null
}

node_is_new_enough() {
  local version
  version=$(node -v 2>/dev/null) || return 1
  version=${version#v}
  [[ ${version%%.*} -ge $NODE_MAJOR ]] && command -v npm >/dev/null
}

# need_build_tools: JDK, Maven, Node and what the scripts themselves call
need_build_tools() {
  local missing=()
  java_is_17_or_newer || missing+=("$(jdk_package)")
  command -v mvn >/dev/null || missing+=(maven)
  command -v curl >/dev/null || missing+=(curl)
  use_own_node
  if ! node_is_new_enough && ! command -v npm >/dev/null; then missing+=(nodejs npm); fi
  if [[ ${#missing[@]} -gt 0 ]]; then install_packages "${missing[@]}"; fi
  node_is_new_enough || install_own_node
}

jdk_package() {
  if [[ $EUID -eq 0 ]]; then apt-get update -qq >/dev/null 2>&1 || true; fi
  if has_package openjdk-17-jdk-headless; then echo openjdk-17-jdk-headless; else echo default-jdk-headless; fi
}

# Debian 12 has Node 18: the registry's own package of a newer one goes into .goldthistle
own_node_bin() { echo "$STATE/node/bin"; }

use_own_node() {
  if [[ -x $(own_node_bin)/node ]]; then
    PATH=$(own_node_bin):$PATH
    export PATH
  fi
}

install_own_node() {
  local arch
  case $(uname -m) in
    x86_64) arch=x64 ;;
    aarch64) arch=arm64 ;;
    *) die "Node $NODE_MAJOR or newer is missing and there is none for $(uname -m) here; install it, then try again." ;;
  esac
  say "installing Node $NODE_PACKAGE into .goldthistle/node"
  mkdir -p "$STATE/node/bin"
  npm install --prefix "$STATE/node" --no-audit --no-fund --loglevel=error \
    "node-linux-$arch@$NODE_PACKAGE" "npm@$NPM_PACKAGE" >&2
  ln -sf "../node_modules/node-linux-$arch/bin/node" "$STATE/node/bin/node"
  ln -sf ../node_modules/npm/bin/npm-cli.js "$STATE/node/bin/npm"
  ln -sf ../node_modules/npm/bin/npx-cli.js "$STATE/node/bin/npx"
  use_own_node
  hash -r
  node_is_new_enough || die "Node $NODE_PACKAGE did not start; see .goldthistle/node"
}

# need_postgres: sets PG_BIN to the newest server's programs
need_postgres() {
  PG_BIN=$(newest_postgres)
  if [[ -z $PG_BIN ]]; then
    # the package would start a cluster of the system's own, which nobody asked for
    if [[ $EUID -eq 0 && ! -e /etc/postgresql-common/createcluster.conf ]]; then
      mkdir -p /etc/postgresql-common
      echo "create_main_cluster = false" >/etc/postgresql-common/createcluster.conf
    fi
    install_packages postgresql
    PG_BIN=$(newest_postgres)
    [[ -n $PG_BIN ]] || die "PostgreSQL was installed but its server is not under /usr/lib/postgresql"
  fi
}

newest_postgres() {
  local bin newest=""
  for bin in $(printf '%s\n' /usr/lib/postgresql/*/bin | sort -V); do
    if [[ -x $bin/initdb ]]; then newest=$bin; fi
  done
  echo "$newest"
}

need_chromium() {
  command -v chromium-headless-shell >/dev/null || install_packages chromium-headless-shell fonts-liberation
}
