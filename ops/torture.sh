# Pulled plugs; read by the launcher, whose functions it uses.

# Builds what pulls the plugs, and the application.
torture_ready() {
  install_missing test
  build
  mkdir -p "$STATE"
  maven "The build" "$STATE/torture.log" -Dspotless.check.skip=true -pl browser test-compile
  trap stop_all EXIT
  trap 'stop_all; exit 130' INT TERM
}

pull() { # kills-of-a-node kills-of-the-database first-port folder port...
  local nodes=$1 databases=$2 port=$3
  shift 3
  java ${CROCK_FRONT:+-Dcrock.front=$CROCK_FRONT} ${CROCK_POOL:+-Dcrock.pool=$CROCK_POOL} -Dcrock.troubles="${CROCK_TROUBLES:-0}" -cp "browser/target/test-classes:$(find "$RUN_DIR/lib" -name 'postgresql-*.jar')" app.velvetcrock.browser.Torture "$nodes" "$databases" "$RUN_DIR" "$port" "$@"
}

# A small disk of its own for the database, so that it can be filled; only root may have one.
small_disk() { # folder
  [ "$(id -u)" = 0 ] || return 1
  mkdir -p "$1"
  mountpoint -q "$1" || mount -t tmpfs -o size=700m,mode=755 tmpfs "$1" 2>/dev/null
}

small_disk_away() { # folder
  pg_run $PG_BIN/pg_ctl -D "$1/data" -m immediate -w stop >/dev/null 2>&1 || true
  ! mountpoint -q "$1" || umount "$1"
}

# Two nodes on a database of its own, killed in turn under load, and the database too; its disk filled, it held up; figures and an
# exit code.
torture() { # kills-of-a-node kills-of-the-database
  local port=${CROCK_TORTURE_PORT:-8460} dir name=pg-torture code=0
  torture_ready
  dir=$(cluster_dir pg-small)
  small_disk_away "$dir"
  if small_disk "$dir"; then
    name=pg-small/data
    export CROCK_TROUBLES=$(( (${2:-20} + 4) / 5 ))
  else
    say "(The disk is not filled: only root may give the database a small one.)"
  fi
  dir=$(cluster_dir "$name")
  # As in earnest: what is acknowledged is on its way to the disk.
  start_cluster "$name" "$((port + 9))"
  psql_on "$((port + 9))" postgres "drop database if exists crock with (force)"
  psql_on "$((port + 9))" postgres "create database crock"
  pull "${1:-60}" "${2:-20}" "$port" "$dir" "$((port + 9))" || code=$?
  if [ "$code" = 0 ]; then
    # What is kept beside the batches, against their plans and logs.
    (CROCK_DB_URL=jdbc:postgresql://127.0.0.1:$((port + 9))/crock rebuild check) || code=$?
  fi
  small_disk_away "$(cluster_dir pg-small)"
  return $code
}

# The release before and this one on one database in the middle of a day's deeds; figures and an exit code.
upgrade() { # seconds revision
  local port=${CROCK_TORTURE_PORT:-8460} code=0 before=$STATE/before revision
  revision=${2:-$(cat ops/release-before)}
  torture_ready
  if ! git cat-file -e "$revision^{commit}" 2>/dev/null; then
    say "(The release before, $revision, is not in the history of this copy; it was not tried beside this one.)"
    return 0
  fi
  if [ ! -f "$before/built" ] || [ "$(cat "$before/built")" != "$revision" ]; then
    check_disk
    rm -rf "$before"
    mkdir -p "$before/src"
    git archive "$revision" | tar -x -C "$before/src"
    maven "The build of the release before" "$STATE/before.log" -f "$before/src/pom.xml" -DskipTests -Dmaven.test.skip=true -Dspotless.check.skip=true -pl app -am package
    java -Djarmode=tools -jar "$before/src/app/target/velvet-crock.jar" extract --destination "$before/app" >>"$STATE/before.log" 2>&1 || fail "The release before could not be unpacked." "see .crock/before.log"
    printf '%s' "$revision" >"$before/built"
  fi
  start_cluster pg-upgrade "$((port + 9))"
  psql_on "$((port + 9))" postgres "drop database if exists crock with (force)"
  psql_on "$((port + 9))" postgres "create database crock"
  java -cp "browser/target/test-classes:$(find "$RUN_DIR/lib" -name 'postgresql-*.jar')" app.velvetcrock.browser.Upgrade "$before/app" "$RUN_DIR" "$port" "$((port + 9))" "${1:-20}" || code=$?
  return $code
}

# The same load through pgbouncer in transaction mode; migrations go to the database itself.
pooled() { # kills-of-a-node kills-of-the-database
  local port=${CROCK_TORTURE_PORT:-8460} dir code=0 conf
  package pgbouncer
  torture_ready
  dir=$(cluster_dir pg-torture)
  start_cluster pg-torture "$((port + 9))"
  psql_on "$((port + 9))" postgres "drop database if exists crock with (force)"
  psql_on "$((port + 9))" postgres "create database crock"
  conf=$(dirname "$dir")/pgbouncer.ini
  sed -e "s/DB_PORT/$((port + 9))/; s/POOL_PORT/$((port + 6))/; s#FOLDER#$(dirname "$dir")#" "$HOME_DIR/ops/pgbouncer.ini" >"$conf"
  if [ "$(id -u)" = 0 ]; then chown postgres "$conf" "$(dirname "$dir")"; fi
  pg_run pgbouncer -d "$conf" || fail "pgbouncer will not start." "see $(dirname "$dir")/pgbouncer.log"
  CROCK_POOL="jdbc:postgresql://127.0.0.1:$((port + 6))/crock?prepareThreshold=0" pull "${1:-20}" "${2:-6}" "$port" "$dir" "$((port + 9))" || code=$?
  say "Connections to the database: $(psql_on "$((port + 9))" postgres "select count(*) from pg_stat_activity where datname = 'crock'"), behind the pooler"
  pg_run bash -c "kill \$(cat '$(dirname "$dir")/pgbouncer.pid')" 2>/dev/null || true
  return $code
}

package() { # name
  if ! command -v "$1" >/dev/null; then
    say "Installing $1"
    mkdir -p "$STATE"
    { as_root apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$1"; } >"$STATE/install.log" 2>&1 || fail "$1 could not be installed." "see .crock/install.log"
  fi
}

# A primary with a synchronous standby; the primary is killed, the standby promoted, the other made its standby, so many times.
failover() { # times
  local port=${CROCK_TORTURE_PORT:-8460} one two code=0
  torture_ready
  one=$(cluster_dir pg-one)
  two=$(cluster_dir pg-two)
  for dir in "$one" "$two"; do
    pg_run $PG_BIN/pg_ctl -D "$dir" -m immediate -w stop >/dev/null 2>&1 || true
    rm -rf "$dir"
  done
  start_cluster pg-one "$((port + 7))"
  mkdir -p "$(dirname "$two")"
  [ "$(id -u)" != 0 ] || { mkdir -p "$two" && chown postgres "$two" "$(dirname "$two")"; }
  rm -rf "$two"
  pg_run $PG_BIN/pg_basebackup -h 127.0.0.1 -p "$((port + 7))" -U crock -D "$two" -R -X stream -c fast
  [ "$(id -u)" != 0 ] || { touch "$two.log" && chown postgres "$two.log"; }
  pg_run $PG_BIN/pg_ctl -D "$two" -l "$two.log" -w -t 30 -o "-p $((port + 8)) -h 127.0.0.1 -k '' -c max_connections=60" start >/dev/null
  STARTED_DB="$STARTED_DB $two"
  psql_on "$((port + 7))" postgres "alter system set synchronous_standby_names = '*'"
  psql_on "$((port + 7))" postgres "select pg_reload_conf()" >/dev/null
  pull 0 "${1:-10}" "$port" "$one" "$((port + 7))" "$two" "$((port + 8))" || code=$?
  return $code
}

# The same load through HAProxy, one of the two nodes behind it killed in turn.
proxied() { # kills-of-a-node
  local port=${CROCK_TORTURE_PORT:-8460} dir code=0
  package haproxy
  torture_ready
  dir=$(cluster_dir pg-torture)
  start_cluster pg-torture "$((port + 9))"
  psql_on "$((port + 9))" postgres "drop database if exists crock with (force)"
  psql_on "$((port + 9))" postgres "create database crock"
  export CROCK_FRONT_PORT=$((port + 5)) CROCK_NODE_ONE=$port CROCK_NODE_TWO=$((port + 1))
  haproxy -D -p "$STATE/haproxy.pid" -f "$HOME_DIR/ops/haproxy.cfg" >"$STATE/haproxy.log" 2>&1 || fail "HAProxy will not start." "see .crock/haproxy.log"
  CROCK_FRONT=http://127.0.0.1:$CROCK_FRONT_PORT pull "${1:-20}" 0 "$port" "$dir" "$((port + 9))" || code=$?
  kill "$(cat "$STATE/haproxy.pid")" 2>/dev/null || true
  return $code
}
