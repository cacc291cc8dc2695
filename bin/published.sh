# The published texts that ./acre test reference --all reads; sourced by ./acre. They stand in Debian's non-free
# component, so they are fetched with a sources list of our own and unpacked outside the clone's history, under var/.

fetch_published() {
  local into=$ROOT/var/published apt=$ROOT/var/published/apt package options
  [ -f "$into/RFC/links/rfc3492.txt.gz" ] && return 0
  step "published texts (Debian doc-rfc, about 225 MB, once)"
  mkdir -p "$apt/lists/partial" "$apt/cache/archives/partial"
  cat /etc/apt/sources.list /etc/apt/sources.list.d/*.sources 2>/dev/null \
    | grep -oE 'https?://[^ ]+/debian/?( |$)' | head -1 | tr -d ' ' > "$apt/uri" || true
  [ -s "$apt/uri" ] || die "/etc/apt names no Debian package source."
  echo "deb $(cat "$apt/uri") bookworm non-free" > "$apt/sources.list"
  options="-o Dir::Etc::sourcelist=$apt/sources.list -o Dir::Etc::sourceparts=/dev/null
    -o Dir::State::lists=$apt/lists -o Dir::Cache=$apt/cache -o APT::Sandbox::User=root"
  # shellcheck disable=SC2086
  apt-get $options update -qq > "$LOGS/published.log" 2>&1 || die "the published texts could not be listed; see $LOGS/published.log"
  for package in doc-rfc-std doc-rfc-std-proposed; do
    # shellcheck disable=SC2086
    (cd "$apt" && apt-get $options download "$package" >> "$LOGS/published.log" 2>&1) \
      || die "$package could not be fetched; see $LOGS/published.log"
    dpkg-deb -x "$apt/$package"_*.deb "$into/unpacked"
    rm -f "$apt/$package"_*.deb
  done
  ln -sfn "$into/unpacked/usr/share/doc/RFC" "$into/RFC"
}
