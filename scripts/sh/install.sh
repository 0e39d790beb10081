# Installs what is missing, and says what it would need when it may not. Sourced by ./crumb.

say() { printf '%s\n' "$*" >&2; }
fail() { say "crumb: $*"; exit 1; }

# A run is quick when nothing changed: what was done is stamped with a hash of what it was done from.
stamp_matches() { [ -f "$1" ] && [ "$(cat "$1")" = "$2" ]; }

need_node() {
  command -v node >/dev/null || fail "Node.js 20 or newer is needed (https://nodejs.org, or: apt-get install nodejs npm)"
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=9)?0:1)' ||
    fail "Node.js $(node --version) is too old; 20.9 or newer is needed"
  command -v npm >/dev/null || fail "npm is needed (apt-get install npm)"
}

# install_debian PACKAGE... : as root, with passwordless sudo, or by telling the reader
install_debian() {
  local sudo=""
  if [ "$(id -u)" != 0 ]; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then sudo="sudo"; else
      fail "$* is missing and this user may not install it. Run this once, then start again:
    sudo apt-get update && sudo apt-get install -y --no-install-recommends $*"
    fi
  fi
  command -v apt-get >/dev/null || fail "$* is missing; install it with this system's package manager"
  say "Installing $* ..."
  local log; log=$(mktemp)
  if ! { $sudo apt-get update -qq && DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq --no-install-recommends "$@"; } >"$log" 2>&1; then
    tail -n 20 "$log" >&2
    fail "installing $* failed"
  fi
  rm -f "$log"
}

pg_bin() { ls /usr/lib/postgresql/*/bin/initdb 2>/dev/null | grep -q .; }

need_postgres() {
  pg_bin >/dev/null 2>&1 || install_debian postgresql
  pg_bin >/dev/null || fail "PostgreSQL was installed but its programs are not in /usr/lib/postgresql"
}

need_chromium() {
  command -v chromium >/dev/null || install_debian chromium
}

need_packages() {
  local want; want=$(cat package.json package-lock.json .npmrc | sha256sum)
  if stamp_matches node_modules/.crumb-stamp "$want"; then return; fi
  say "Installing packages ..."
  # Not `npm ci`: it refuses a lock file from which a registry's missing builds for other platforms were dropped.
  # `npm install` keeps to the same locked versions.
  npm install --no-audit --no-fund --loglevel=error >&2 || fail "npm install failed"
  printf '%s' "$want" >node_modules/.crumb-stamp
}

source_hash() {
  { find src public package.json package-lock.json next.config.ts postcss.config.mjs tsconfig.json -type f \
      ! -name '*.test.ts' ! -name '*.test.tsx' 2>/dev/null || true; } | LC_ALL=C sort | xargs -d '\n' sha256sum | sha256sum
}

# The built application is read by whoever serves it, at any time: it is not built anew under their feet.
refuse_while_served() {
  local mark pid
  for mark in .next/serving/*; do
    pid=$(basename "$mark")
    if [ -f "$mark" ] && grep -qa 'host.mjs' "/proc/$pid/cmdline" 2>/dev/null; then
      fail "the sources changed, and process $pid still serves what was built from the old ones; stop it first"
    fi
    rm -f "$mark"
  done
}

# build_step COMMAND... : quiet unless it fails
build_step() {
  local log; log=$(mktemp)
  if ! "$@" >"$log" 2>&1; then
    if grep -q 'ENOSPC\|No space left' "$log"; then rm -f "$log"; fail "the disk is full; make room, then start again"; fi
    cat "$log" >&2; rm -f "$log"; fail "the build failed"
  fi
  rm -f "$log"
}

need_build() {
  local want; want=$(source_hash)
  if stamp_matches .next/crumb-stamp "$want"; then return; fi
  refuse_while_served
  say "Building ..."
  rm -f .next/crumb-stamp
  build_step node node_modules/next/dist/bin/next build
  build_step node_modules/.bin/esbuild host=src/host/main.ts simulationThread=src/host/simulationThread.ts --bundle \
    --platform=node --target=node20 --format=esm --packages=external --sourcemap --outdir=.next --out-extension:.js=.mjs
  build_step node_modules/.bin/esbuild serviceWorker=src/offline/serviceWorker.ts --bundle --minify \
    --platform=browser --target=es2022 --format=iife --outdir=.next
  printf '%s' "$want" >.next/crumb-stamp
}
