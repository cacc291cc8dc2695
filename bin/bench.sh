# ./acre bench; sourced by ./acre. On a stack of its own, whose database keeps what it writes as a real one does.

bench() {
  load_settings
  install_all
  test_stack bench
  fresh_database acre_browser
  migrate
  artisan acre:demo --first > "$DATA/log/demo.log"
  local php="php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M artisan"
  # What goes outside is measured on the demo, before anything else is on the Roll.
  case "${1:-}" in
    outside) $php acre:bench-outside ;;
    people) shift; $php acre:bench-people "$@" ;;
    *) $php acre:bench-outside; $php acre:bench "$@"; $php acre:bench-people ;;
  esac
}
