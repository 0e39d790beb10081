# A PostgreSQL cluster of the project's own: loopback only, password only, no socket. Sourced by ./crumb.

# The newest installed server. A machine with only the client has the folder too, so the server's own program is looked for.
pg_bin() {
  local initdb; initdb=$(ls /usr/lib/postgresql/*/bin/initdb 2>/dev/null | sort -V | tail -n 1)
  [ -n "$initdb" ] && dirname "$initdb"
}

# The server refuses to run as root, and a checkout may lie in a folder that only root can enter: then it runs as the
# postgres user with leave to walk through folders, and nothing more.
pg_run() {
  if [ "$(id -u)" = 0 ]; then
    (cd / && exec setpriv --reuid=postgres --regid=postgres --init-groups \
      --inh-caps=+dac_read_search --ambient-caps=+dac_read_search -- "$@")
  else (cd / && exec "$@"); fi
}

free_port() {
  node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{process.stdout.write(String(s.address().port));s.close()})'
}

# cluster_create HOME [extra postgresql.conf lines]
cluster_create() {
  local home=$1 extra=${2:-} bin; bin=$(pg_bin)
  [ -f "$home/pg/PG_VERSION" ] && return
  say "Making a database in $(basename "$home")/pg ..."
  mkdir -p "$home" && chmod 755 "$home"
  rm -rf "$home/pg" && mkdir -m 700 "$home/pg"
  (umask 077 && node -e 'process.stdout.write(require("crypto").randomBytes(24).toString("hex"))' >"$home/password")
  local pwdir; pwdir=$(mktemp -d)
  cp "$home/password" "$pwdir/pw"
  if [ "$(id -u)" = 0 ]; then chown -R postgres: "$home/pg" "$pwdir"; fi
  pg_run "$bin/initdb" -D "$home/pg" -U crumb --auth=scram-sha-256 --pwfile="$pwdir/pw" -E UTF8 --locale=C.UTF-8 \
    >"$home/initdb.log" 2>&1 || { cat "$home/initdb.log" >&2; fail "the database could not be made"; }
  rm -rf "$pwdir"
  printf '%s\n' "listen_addresses = '127.0.0.1'" "unix_socket_directories = ''" "max_connections = 60" $'\n'"$extra" >>"$home/pg/postgresql.conf"
}

cluster_running() { pg_run "$(pg_bin)/pg_ctl" -D "$1/pg" status >/dev/null 2>&1; }

# The port of a running cluster stands in the fourth line of its pid file.
cluster_port() { sed -n 4p "$1/pg/postmaster.pid"; }

cluster_start() {
  local home=$1 bin attempt; bin=$(pg_bin)
  cluster_running "$home" && return
  touch "$home/pg/server.log"; if [ "$(id -u)" = 0 ]; then chown postgres: "$home/pg/server.log"; fi
  # After a power cut or kill -9 the old server's last children may need a moment to notice and let go.
  for attempt in 1 2 3 4 5; do
    pg_run "$bin/pg_ctl" -D "$home/pg" -l "$home/pg/server.log" -o "-p $(free_port)" -w start >/dev/null 2>&1 && return
    sleep 1
  done
  tail -n 15 "$home/pg/server.log" >&2
  fail "the database did not start"
}

cluster_stop() { pg_run "$(pg_bin)/pg_ctl" -D "$1/pg" -m fast -w stop >/dev/null 2>&1 || true; }

# cluster_url HOME DATABASE
cluster_url() { printf 'postgresql://crumb:%s@127.0.0.1:%s/%s' "$(cat "$1/password")" "$(cluster_port "$1")" "$2"; }
