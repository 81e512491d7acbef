# Backup and restore; read by the launcher, whose functions it uses.

# The database everything lies in: the launcher's own, started if it does not run, or the one named by CROCK_DB_URL.
open_database() {
  if [ -z "${CROCK_DB_URL:-}" ]; then
    trap stop_all EXIT
    trap 'stop_all; exit 130' INT TERM
    start_cluster pg "$DB_PORT"
    export PGHOST=127.0.0.1 PGPORT=$DB_PORT PGDATABASE=crock PGUSER=crock
  else
    await_database
    local where=${CROCK_DB_URL#jdbc:postgresql://}
    PGDATABASE=${where#*/}
    PGDATABASE=${PGDATABASE%%\?*}
    where=${where%%/*}
    where=${where%%,*}
    PGHOST=${where%%:*}
    PGPORT=${where##*:}
    [ "$PGPORT" != "$PGHOST" ] || PGPORT=5432
    export PGHOST PGPORT PGDATABASE PGUSER=${CROCK_DB_USER:-crock} PGPASSWORD=${CROCK_DB_PASSWORD:-}
  fi
}

query() { "$PG_BIN/psql" -X -q -At -v ON_ERROR_STOP=1 "$@"; }

# One line for each table: its name, its rows, and a sum over what every row says, whatever their order.
sums() { # database [snapshot]
  local ask
  ask=$(query -d "$1" <<'SQL'
select format('select %L || '' '' || count(*) || '' '' || coalesce(sum((''x'' || substr(md5(t::text), 1, 15))::bit(60)::bigint::numeric), 0) from %I t;', tablename, tablename)
from pg_tables where schemaname = 'public' order by tablename
SQL
  )
  {
    printf '%s\n' "begin isolation level repeatable read read only;" "set time zone 'UTC';"
    [ -z "${2:-}" ] || printf "set transaction snapshot '%s';\n" "$2"
    printf '%s\n' "$ask"
  } | query -d "$1" | sed 's/^/table /'
}

# The highest migration this release brings.
newest_schema() { find "$HOME_DIR/app/src/main/resources/db/migration" -name 'V*__*.sql' | sed 's/.*\/V\([0-9]*\)__.*/\1/' | sort -n | tail -n 1; }

rows_of() { awk '/^table/ {t++; n += $3} END {printf "%d tables with %d rows", t, n}' "$1"; }

backup() { # file
  local file=${1:-} work snapshot
  [ -n "$file" ] || fail "No file is named." "./crock backup FILE"
  [ ! -e "$file" ] || fail "$file is there already; nothing was written." "name another file"
  install_missing
  open_database
  work=$(mktemp -d "${TMPDIR:-/tmp}/crock-backup.XXXXXX")
  # One snapshot for the data and for the sums over it, so that both say the same whatever is written meanwhile.
  coproc HOLD { query -d "$PGDATABASE"; }
  printf '%s\n' "begin isolation level repeatable read read only;" "select pg_export_snapshot();" >&"${HOLD[1]}"
  read -r snapshot <&"${HOLD[0]}" || { rm -rf "$work"; fail "The database cannot be read." "is it started?"; }
  "$PG_BIN/pg_dump" -Fc --no-owner --no-privileges --snapshot="$snapshot" -f "$work/data" "$PGDATABASE" || { rm -rf "$work"; fail "The data could not be read." "is there room in ${TMPDIR:-/tmp}?"; }
  sums "$PGDATABASE" "$snapshot" >"$work/sums" || { rm -rf "$work"; fail "The data could not be added up." "try again"; }
  printf '%s\n' "commit;" "\\q" >&"${HOLD[1]}"
  wait "${HOLD_PID:-}" 2>/dev/null || true
  {
    printf 'velvet-crock-backup 1\n'
    printf 'schema %s\n' "$(query -c "select max(version::int) from flyway_schema_history where success and version is not null")"
    printf 'data %s\n' "$(sha256sum <"$work/data" | cut -d' ' -f1)"
    cat "$work/sums"
    printf 'end\n'
  } >"$work/contents"
  tar -C "$work" -cf "$file.part" contents data || { rm -rf "$work" "$file.part"; fail "$file could not be written." "is the disk full?"; }
  mv "$file.part" "$file"
  say "$(rows_of "$work/contents") are in $file ($(du -h "$file" | cut -f1))."
  rm -rf "$work"
}

restore() { # file
  local file=${1:-} work schema known
  [ -n "$file" ] || fail "No file is named." "./crock restore FILE"
  [ -r "$file" ] || fail "$file cannot be read." "name a file that ./crock backup wrote"
  ! port_is_taken "$PORT" || fail "Velvet Crock is running; nothing was restored." "stop it first"
  install_missing
  work=$(mktemp -d "${TMPDIR:-/tmp}/crock-restore.XXXXXX")
  tar -C "$work" -xf "$file" contents data 2>/dev/null && grep -q '^end$' "$work/contents" || { rm -rf "$work"; fail "$file is no backup of Velvet Crock, or it was cut short. Nothing was restored." "take another copy of it"; }
  [ "$(awk '/^data/ {print $2}' "$work/contents")" = "$(sha256sum <"$work/data" | cut -d' ' -f1)" ] || { rm -rf "$work"; fail "$file is damaged: its data is not what was written. Nothing was restored." "take another copy of it"; }
  schema=$(awk '/^schema/ {print $2}' "$work/contents")
  known=$(newest_schema)
  [ "$schema" -le "$known" ] || { rm -rf "$work"; fail "$file was written by a newer release (its data is of version $schema; this one knows up to $known). Nothing was restored." "restore it with that release"; }
  open_database
  # Into a database of its own; only when all of it is there and says what it said does it take the other's place.
  query -d postgres -c "drop database if exists crock_restored with (force)" -c "create database crock_restored" 2>/dev/null
  "$PG_BIN/pg_restore" --no-owner --no-privileges --exit-on-error -d crock_restored "$work/data" || { rm -rf "$work"; fail "The data could not be put back. What was here is as it was." "is the disk full?"; }
  sums crock_restored >"$work/found"
  if ! diff <(grep '^table ' "$work/contents") "$work/found" >"$work/differs"; then
    head -n 6 "$work/differs" >&2
    rm -rf "$work"
    fail "What was put back does not say what was written. What was here is as it was." "take another copy of $file"
  fi
  query -d postgres -c "select pg_terminate_backend(pid) from pg_stat_activity where datname in ('$PGDATABASE', 'crock_restored')" >/dev/null
  query -d postgres -c "drop database if exists crock_before_restore with (force)" 2>/dev/null
  query -d postgres -c "alter database $PGDATABASE rename to crock_before_restore" -c "alter database crock_restored rename to $PGDATABASE"
  say "$(rows_of "$work/contents") are back, each as it was written."
  say "What was here before is kept in the database crock_before_restore until the next restore."
  rm -rf "$work"
}

rebuild() { # check?
  install_missing
  build
  open_database
  export CROCK_DB_URL=${CROCK_DB_URL:-jdbc:postgresql://127.0.0.1:$DB_PORT/crock} CROCK_LOG=$STATE/rebuild.log CROCK_DEMO=false
  local code=0 options how=mend
  [ "${1:-}" != check ] || how=check
  mapfile -t options < <(java_options)
  rm -f "$CROCK_LOG"
  (cd "$RUN_DIR" && java "${options[@]}" -Dserver.port=0 -Dcrock.rebuild="$how" -jar velvet-crock.jar) >"$STATE/console.log" 2>&1 || code=$?
  grep -o '[0-9]* batches of .*' "$CROCK_LOG" || fail "It did not come to an end." "see .crock/rebuild.log"
  return $code
}
