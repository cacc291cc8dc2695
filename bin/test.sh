# ./acre test and ./acre shot; sourced by ./acre. Both work on a stack of their own, beside a running application.

# A stack of the name given, on free ports; a second run of the same waits for nobody and is told so.
test_stack() {
  local name=$1
  stack_paths "$name"
  exec 9> "$DATA/lock"
  flock -n 9 || die "another test run is using $DATA; wait until it ends."
  # Only now is the stack ours to stop.
  trap 'stack_running && stack_stop >/dev/null 2>&1' EXIT
  if stack_running; then stack_stop; fi
  rm -rf "$DATA/storage" "$DATA/cache" "$DATA/world"
  ACRE_PORT=$(free_port) ACRE_DB_PORT=$(free_port) DRIVER_PORT=$(free_port) ACRE_WORLD=on ACRE_ADDRESS=127.0.0.1
  WORLD_PAGE_PORT=$(free_port) WORLD_RDAP_PORT=$(free_port) WORLD_TEXT_PORT=$(free_port) WORLD_DNS_PORT=$(free_port 127.53.0.1)
  WORLD_EPP_PORT=$(free_port) WORLD_POST_PORT=$(free_port) WORLD_POP_PORT=$(free_port) WORLD_BRIDGE_PORT=$(free_port)
  WORLD_WEB_PORT=$(free_port 127.53.0.80) WORLD_WEB_TLS_PORT=$(free_port 127.53.0.80)
  WORLD_LANTERN_PORT=$(free_port)
  # Plans are tested, and must not depend on when a table was last analysed.
  DB_FLAGS="-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c autovacuum=off"
  stack_paths "$name"
  # Journeys of one person begin faster than a person signs in; what is tested of the limit is tested with the real one (phpunit.xml).
  export ACRE_DRIVER=http://127.0.0.1:$DRIVER_PORT DB_DATABASE=acre_browser ACRE_SIGN_IN_TRIES=100
  folders
  if [ "$name" = bench ]; then DB_FLAGS=""; configure database web workers world; else configure database web workers driver world; fi
  stack_boot
  make_roles
  start_world
}

fresh_database() {
  PGOPTIONS="-c client_min_messages=warning" sql -d postgres -c "DROP DATABASE IF EXISTS $1 WITH (FORCE)"
  make_database "$1"
}

# The demo in a database of its own, served as the application is.
serve_demo() {
  step "the demo, served on port $ACRE_PORT"
  fresh_database acre_browser
  migrate
  artisan acre:demo --first > "$DATA/log/demo.log"
  control start 'web:*' 'workers:*' >/dev/null || true
  wait_for "the first page" page_up
}

check() { step "$1"; shift; "$@" || die "that failed"; }

# The demo kept and brought back; a changed byte and another passphrase are found.
round_trip() {
  . bin/kept.sh
  step "kept and brought back"
  local kept=$DATA/round-trip
  export ACRE_PASSPHRASE="seven herring gulls"
  keep_into "$kept" acre_browser
  rehearse "$kept" || return 1
  if ACRE_PASSPHRASE="eight herring gulls" rehearse "$kept" 2>/dev/null; then say "another passphrase opened it"; return 1; fi
  printf x | dd of="$kept" bs=1 seek=2000 conv=notrunc status=none
  if rehearse "$kept" 2>/dev/null; then say "a changed byte was not found"; return 1; fi
  rm -f "$kept"
}

# A database on a disk of 64 MB, to be filled; only where this machine lets a disk be mounted.
small_disk() {
  export ACRE_SMALL_DISK=$DATA/small
  mkdir -p "$ACRE_SMALL_DISK"
  if ! mount -t tmpfs -o size=64m,mode=777 tmpfs "$ACRE_SMALL_DISK" 2>/dev/null; then unset ACRE_SMALL_DISK; return 0; fi
  trap 'stack_running && stack_stop >/dev/null 2>&1; umount "$ACRE_SMALL_DISK"' EXIT
  as_db mkdir -m 700 "$ACRE_SMALL_DISK/table"
  sql -d postgres -c "DROP DATABASE IF EXISTS acre_small WITH (FORCE)" -c "DROP TABLESPACE IF EXISTS small" \
    -c "CREATE TABLESPACE small LOCATION '$ACRE_SMALL_DISK/table'" 2>/dev/null
  make_database acre_small small
}

# Runs tests as somebody, and adds to `code` and `records`.
phpunit() {
  local as=$1 record=$LARAVEL_STORAGE_PATH/junit-$2.xml; shift 2
  step "tests: $*"
  records+=("$record")
  DB_DATABASE=acre_test $as php -d zend.assertions=1 -d memory_limit=1G vendor/bin/phpunit "$@" --log-junit "$record" || code=$?
}

# On a second core, what talks to nobody outside, in a database of its own; the token keeps its files apart.
beside_begins() {
  fresh_database acre_beside
  step "tests beside: $*"
  (DB_DATABASE=acre_beside TEST_TOKEN=beside as_run php -d zend.assertions=1 -d memory_limit=1G vendor/bin/phpunit "$@" \
    --log-junit "$LARAVEL_STORAGE_PATH/junit-beside.xml" > "$DATA/log/beside.log" 2>&1) &
  beside=$!
}
beside_ends() {
  step "tests beside have ended"
  wait "$beside" || code=$?
  cat "$DATA/log/beside.log"
  records+=("$LARAVEL_STORAGE_PATH/junit-beside.xml")
}

run_tests() {
  local part='' all=no suites faults=no groups=(--exclude-group published) only=() started=$SECONDS
  while [ $# -gt 0 ]; do case $1 in --all) all=yes ;; --filter=*) only=("$1") ;; *) part=$1 ;; esac; shift; done
  case $part in
    '') suites=Browser; faults=light ;;
    core) suites=Core,Wire,Standin ;;
    feature) suites=Feature ;;
    browser) suites=Browser ;;
    reference) suites=Reference ;;
    faults) suites=''; faults=heavy ;;
    *) die "'$part' is not a part: core, feature, browser, reference or faults." ;;
  esac
  load_settings
  install_all with-tests
  # shellcheck disable=SC2086
  if [ $all = yes ]; then install_packages $LARGE_PACKAGES; fetch_published; groups=(); fi
  if [ -z "$part" ]; then
    mkdir -p var/phpstan
    check "formatter" vendor/bin/pint --test -q
    check "architecture and static analysis" vendor/bin/phpstan analyse --no-progress --memory-limit=1G
  fi
  test_stack test
  fresh_database acre_test
  if [[ $suites = *Browser* || $faults = heavy ]]; then serve_demo; fi
  local code=0 records=() beside
  if [ -z "$part" ]; then
    beside_begins --testsuite=Core,Wire,Standin,Feature --exclude-group world "${groups[@]}" "${only[@]}"
    phpunit as_run world --testsuite=Feature --group world "${only[@]}"
    phpunit as_run first --testsuite=Reference,Browser "${groups[@]}" "${only[@]}"
    beside_ends
  elif [ -n "$suites" ]; then phpunit as_run first --testsuite="$suites" "${groups[@]}" "${only[@]}"; fi
  # What kills other users' processes and asks the supervisor must be its starter.
  case $faults in
    light) phpunit env faults --testsuite=Faults --exclude-group=heavy "${only[@]}" ;;
    heavy) small_disk; phpunit env faults --testsuite=Faults "${only[@]}" ;;
  esac
  [ $faults = no ] || round_trip || code=1
  php bin/counts.php $((SECONDS - started)) "${records[@]}" || code=1
  exit $code
}

take_pictures() {
  load_settings
  install_all with-tests
  test_stack shots
  serve_demo
  php bin/shot.php "$@"
}
