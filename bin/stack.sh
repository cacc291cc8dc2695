# One stack: a PostgreSQL cluster, nginx, php-fpm, queue workers and a scheduler under one supervisor; sourced by ./acre.
# `main` is the application; tests bring up a second one beside it, with ports and a folder of its own.

PG_BIN() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

stack_paths() {
  STACK=$1
  RUN_USER=$(run_user)
  DATA=$(data_folder)
  [ "$STACK" = main ] || DATA=$DATA/$STACK
  CONF=$DATA/conf
  mkdir -p "$CONF" "$DATA/log" "$DATA/cache"
  # A socket's path may have 107 characters, so sockets live apart from a folder that may be deep.
  SOCKETS=/tmp/acre-$(id -u)-$(printf %s "$DATA" | cksum | cut -d' ' -f1)
  export LARAVEL_STORAGE_PATH=$DATA/storage
  export APP_SERVICES_CACHE=$DATA/cache/services.php APP_PACKAGES_CACHE=$DATA/cache/packages.php
  export APP_CONFIG_CACHE=$DATA/cache/config.php APP_ROUTES_CACHE=$DATA/cache/routes.php APP_EVENTS_CACHE=$DATA/cache/events.php
  world_settings
  export APP_URL=http://${ACRE_ADDRESS:-127.0.0.1}:${ACRE_PORT:-8420} ACRE_DB_PORT ACRE_PORT
}

# Where the simulated world listens; tests say ports of their own beforehand.
world_settings() {
  local first=${ACRE_WORLD_PORT:-8430}
  export ACRE_WORLD=${ACRE_WORLD:-on} WORLD_KEY WORLD_FOLDER=$DATA/world
  export WORLD_PAGE_PORT=${WORLD_PAGE_PORT:-$first} WORLD_RDAP_PORT=${WORLD_RDAP_PORT:-$((first + 1))}
  export WORLD_TEXT_PORT=${WORLD_TEXT_PORT:-$((first + 2))} WORLD_DNS_PORT=${WORLD_DNS_PORT:-$((first + 3))}
  export WORLD_EPP_PORT=${WORLD_EPP_PORT:-$((first + 4))}
  export WORLD_POST_PORT=${WORLD_POST_PORT:-$((first + 5))} WORLD_POP_PORT=${WORLD_POP_PORT:-$((first + 6))}
  export WORLD_BRIDGE_PORT=${WORLD_BRIDGE_PORT:-$((first + 7))}
  export WORLD_WEB_PORT=${WORLD_WEB_PORT:-$((first + 8))} WORLD_WEB_TLS_PORT=${WORLD_WEB_TLS_PORT:-$((first + 9))}
  export WORLD_LANTERN_PORT=${WORLD_LANTERN_PORT:-$((first + 10))}
}
world_up() { answers "${ACRE_ADDRESS:-127.0.0.1}" "$WORLD_PAGE_PORT"; }
start_world() {
  [ "$ACRE_WORLD" = on ] || return 0
  control restart world >/dev/null || true
  wait_for "the simulated world" world_up
}

folders() {
  install -d -m 700 "$SOCKETS"
  mkdir -p "$LARAVEL_STORAGE_PATH"/{app,logs,framework/{cache,views,sessions}} "$DATA/log" "$DATA/web" "$WORLD_FOLDER"
  if is_root && [ "$RUN_USER" != root ]; then
    chown "$RUN_USER" "$SOCKETS" "$DATA/cache" "$DATA/web" "$WORLD_FOLDER"
    chown -R "$RUN_USER" "$LARAVEL_STORAGE_PATH"
    chgrp "$RUN_USER" .env && chmod 640 .env
  fi
  # Written by versions that let others read them.
  find "$LARAVEL_STORAGE_PATH/logs" -name '*.log' -exec chmod 600 {} +
  # The settings that are kept there hold passwords.
  chmod 700 "$DATA/cache"
}

fill() {
  sed -e "s|@ROOT@|$ROOT|g" -e "s|@DATA@|$DATA|g" -e "s|@CONF@|$CONF|g" -e "s|@SOCKETS@|$SOCKETS|g" \
      -e "s|@ADDRESS@|${ACRE_ADDRESS:-127.0.0.1}|g" -e "s|@PORT@|$ACRE_PORT|g" -e "s|@DB_PORT@|$ACRE_DB_PORT|g" \
      -e "s|@PG_BIN@|$(PG_BIN)|g" -e "s|@WORKERS@|${ACRE_WORKERS:-2}|g" \
      -e "s|@DB_FLAGS@|${DB_FLAGS:-}|g" -e "s|@DB_MEMORY@|$(db_memory)|g" \
      -e "s|@DRIVER_PORT@|${DRIVER_PORT:-0}|g" -e "s|@AS_RUN@|$(as_line "$RUN_USER")|g" -e "s|@AS_DB@|$(as_line postgres)|g" "$1"
}
as_line() { if is_root && [ "$1" != root ]; then echo "user=$1"; fi; }

configure() {
  local part programs=("$@")
  fill bin/templates/nginx.conf > "$CONF/nginx.conf"
  fill bin/templates/fpm.conf > "$CONF/fpm.conf"
  for part in supervisord "${programs[@]}"; do fill "bin/templates/$part.ini"; done > "$CONF/supervisord.conf"
}

control() { supervisorctl -c "$CONF/supervisord.conf" "$@"; }
stack_running() { [ -S "$SOCKETS/supervisor.sock" ] && control pid >/dev/null 2>&1; }
need_running() { stack_running || die "Acre Roll is not running. Start it with ./acre start"; }

# An eighth of the machine's memory, in MB: what PostgreSQL keeps at hand itself, between 128 and 2,048.
db_memory() { awk '/^MemTotal/ { m = int($2 / 8192); print m < 128 ? 128 : (m > 2048 ? 2048 : m) }' /proc/meminfo; }

make_cluster() {
  [ -f "$DATA/pg/PG_VERSION" ] && return 0
  step "a PostgreSQL cluster of its own in $DATA/pg"
  mkdir -p "$DATA/pg"
  local pw=$DATA/pg.pw
  (umask 077; printf %s "$DB_ADMIN_PASSWORD" > "$pw")
  if is_root; then chown postgres "$DATA/pg" "$pw"; fi
  as_db "$(PG_BIN)/initdb" -D "$DATA/pg" -E UTF8 --locale=C.UTF-8 -U acre_admin --auth=scram-sha-256 \
    --pwfile="$pw" > "$DATA/log/initdb.log" 2>&1 \
    || { cat "$DATA/log/initdb.log" >&2; die "the PostgreSQL cluster could not be created"; }
  rm -f "$pw"
}

sql() { PGPASSWORD=$DB_ADMIN_PASSWORD psql -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$ACRE_DB_PORT" -U acre_admin "$@"; }

# The owner role migrates; the application's role owns nothing.
make_roles() {
  sql -d postgres <<SQL
DO \$\$ BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'acre_owner') THEN CREATE ROLE acre_owner LOGIN; END IF;
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'acre_app') THEN CREATE ROLE acre_app LOGIN; END IF;
END \$\$;
ALTER ROLE acre_owner PASSWORD '$DB_OWNER_PASSWORD';
ALTER ROLE acre_app PASSWORD '$DB_PASSWORD';
SQL
}

make_database() {
  local name=$1 where=${2:-pg_default}
  [ "$(sql -d postgres -Atc "SELECT 1 FROM pg_database WHERE datname = '$name'")" = 1 ] && return 0
  sql -d postgres -c "CREATE DATABASE $name OWNER acre_owner TABLESPACE $where"
  sql -d "$name" <<'SQL'
REVOKE ALL ON SCHEMA public FROM PUBLIC;
GRANT ALL ON SCHEMA public TO acre_owner;
GRANT USAGE ON SCHEMA public TO acre_app;
ALTER DEFAULT PRIVILEGES FOR ROLE acre_owner IN SCHEMA public GRANT SELECT, INSERT, UPDATE, DELETE ON TABLES TO acre_app;
ALTER DEFAULT PRIVILEGES FOR ROLE acre_owner IN SCHEMA public GRANT USAGE, SELECT ON SEQUENCES TO acre_app;
CREATE EXTENSION IF NOT EXISTS btree_gist;
CREATE EXTENSION IF NOT EXISTS pg_trgm;
SQL
}

wait_for() {
  local what=$1 n; shift
  for ((n = 0; n < ${ACRE_PATIENCE:-300}; n++)); do "$@" >/dev/null 2>&1 && return 0; sleep 0.2; done
  die "$what did not start; see $DATA/log"
}
database_up() { sql -d postgres -c 'SELECT 1'; }
page_up() {
  php -r '
    $c = stream_context_create(["http" => ["ignore_errors" => true, "timeout" => 5]]);
    $b = @file_get_contents($argv[1], false, $c);
    exit(is_string($b) && preg_grep("/^HTTP.* 200/", $http_response_header) ? 0 : 1);
  ' "$APP_URL/sign-in"
}

port_free() {
  answers "$1" "$2" && die "port $2 on $1 is in use by another program. Set $3 in .env to a free port."
  return 0
}

# A supervisor of ours whose socket is gone (a run that was killed, a /tmp that was swept) is found by what it was started with.
end_leftover() {
  local pid
  for pid in $(pgrep -f "supervisord -c $CONF/supervisord.conf"); do
    kill -TERM "$pid"
    while kill -0 "$pid" 2>/dev/null; do sleep 0.1; done
  done
}

stack_boot() {
  end_leftover
  port_free "${ACRE_ADDRESS:-127.0.0.1}" "$ACRE_PORT" ACRE_PORT
  port_free 127.0.0.1 "$ACRE_DB_PORT" ACRE_DB_PORT
  make_cluster
  supervisord -c "$CONF/supervisord.conf" 9>&-
  wait_for "the database" database_up
}

stack_stop() {
  stack_running || { say "Acre Roll was not running."; return 1; }
  local pid; pid=$(control pid)
  control shutdown >/dev/null
  while kill -0 "$pid" 2>/dev/null; do sleep 0.1; done
  rm -rf "$SOCKETS"
}
