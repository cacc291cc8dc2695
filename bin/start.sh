# ./acre start; sourced by ./acre.

start() {
  local house=demo
  case ${1:-} in '') ;; --empty) house=empty ;; *) die "start accepts only --empty, not '$1'." ;; esac
  load_settings
  install_all
  stack_paths main
  folders
  # What was read once by the version before lacks what this one asks for.
  rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE" "$APP_EVENTS_CACHE"
  if stack_running; then
    step "already running; bringing it up to date"
  else
    configure database web workers world
    stack_boot
  fi
  make_roles
  make_database acre
  away_with_the_old
  migrate
  start_world
  if [ ! -f "$DATA/house" ]; then
    [ $house = empty ] || { step "the demo"; artisan acre:demo --first > "$DATA/log/demo.log"; }
    echo $house > "$DATA/house"
  fi
  # Settings, routes and views read once and not on every request.
  artisan optimize -q
  control start 'web:*' 'workers:*' >/dev/null || true
  artisan queue:restart >/dev/null
  wait_for "the first page" page_up
  say ""
  say "Acre Roll answers at $APP_URL"
  if [ "$(cat "$DATA/house")" = demo ]; then artisan acre:demo --sign-ins; else artisan acre:begin-code; fi
}

# The old key stays readable until everything is written with the new one; sessions that it opened go on.
# With a receipt, it is held against that and not against the head that this house has kept.
verify() {
  case ${1:-} in
    '') artisan acre:verify ;;
    --against=*) [ -r "${1#*=}" ] || die "${1#*=} can't be read"; artisan acre:verify --against < "${1#*=}" ;;
    *) die "verify accepts only --against=RECEIPT, not '$1'." ;;
  esac
}

new_key() {
  local old=$APP_KEY
  # All that went before: one that died half-way leaves secrets behind that only an older key opens.
  if grep -q '^APP_PREVIOUS_KEYS=.' .env; then
    sed -i "s|^APP_PREVIOUS_KEYS=|&$old,|" .env
  else
    sed -i '/^APP_PREVIOUS_KEYS=$/d' .env
    echo "APP_PREVIOUS_KEYS=$old" >> .env
  fi
  sed -i "s|^APP_KEY=.*|APP_KEY=base64:$(head -c 32 /dev/urandom | base64)|" .env
  load_settings
  artisan optimize -q
  artisan queue:restart > /dev/null
  control restart 'web:*' 'workers:*' > /dev/null
  wait_for "the first page" page_up
  artisan acre:reencrypt
  say "Remove APP_PREVIOUS_KEYS from .env once no session, letter or backup from before is needed."
}

# Nothing is released yet: until then the migrations are written anew in place, and a demo that was made by other ones is made anew.
away_with_the_old() {
  [ "$(sql -d acre -Atc "SELECT to_regclass('migrations')")" != "" ] || return 0
  if [ -f "$DATA/migrations" ] && (cd "$ROOT" && sha256sum --check --status "$DATA/migrations"); then return 0; fi
  [ "$(cat "$DATA/house" 2>/dev/null)" != empty ] || die "this database was created by a version that was never released; create a new one"
  step "a new database for the demo, as the present one is from an earlier version"
  control stop 'web:*' 'workers:*' > /dev/null || true
  sql -d postgres -c "DROP DATABASE acre WITH (FORCE)"
  rm -f "$DATA/house"
  make_database acre
}

migrate() {
  artisan migrate --database=owner --force > "$DATA/log/migrate.log" 2>&1 || {
    tail -20 "$DATA/log/migrate.log" >&2
    die "the migrations failed"
  }
  (cd "$ROOT" && sha256sum database/migrations/*.php) > "$DATA/migrations"
}
