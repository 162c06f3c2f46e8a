# Shared by ./start, ./circuitum and ./test: builds only what has changed since the last time.

# One compiler for all projects, warmed by the first of them, and none of its time spent on instrumenting itself: half the time of a build.
export UseSharedCompilation=true DOTNET_TieredPGO=0

# Node packages, when they are missing or the lock file is newer.
node_packages() {
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
    npm ci --no-audit --no-fund --loglevel=error >/dev/null
    touch node_modules/.package-lock.json
  fi
}

styles() {
  node_packages
  npx --no-install tailwindcss -i src/Circuitum.Web/Styles/app.css -o src/Circuitum.Web/wwwroot/css/app.css --minify 2>/dev/null && styled=yes
}

# publish_if_changed PROJECT FOLDER
publish_if_changed() {
  local stamp="artifacts/$2/.stamp"
  if [ -f "$stamp" ] && [ -z "$(find src demo package-lock.json Directory.Build.props Directory.Packages.props \( -name bin -o -name obj -o -name app.css -path '*wwwroot*' \) -prune -o -type f -newer "$stamp" -print -quit)" ]; then
    return
  fi
  local begun log
  begun=$(mktemp)
  log=$(mktemp)
  if [ "$1" = Circuitum.Web ] && [ -z "${styled:-}" ]; then styles; fi
  if ! dotnet publish "src/$1" -c Release -o "artifacts/$2" -v quiet --nologo >"$log" 2>&1; then
    cat "$log" >&2
    exit 3
  fi
  touch -r "$begun" "$stamp"
  rm -f "$begun" "$log"
}
