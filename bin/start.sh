# ./acre start; sourced by ./acre.

start() {
  local house=demo
  case ${1:-} in '') ;; --empty) house=empty ;; *) die "start takes --empty or nothing, not '$1'." ;; esac
  load_settings
  install_all
  stack_paths main
  folders
  if stack_running; then
    step "already running; bringing it up to date"
  else
    configure database web workers world
    stack_boot
  fi
  make_roles
  make_database acre
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

migrate() {
  artisan migrate --database=owner --force > "$DATA/log/migrate.log" 2>&1 || { tail -20 "$DATA/log/migrate.log" >&2; die "the migrations failed"; }
}
