# Shared by the scripts: where the project is, quiet tools, installing what is missing, a server on a free port.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
export NEXT_TELEMETRY_DISABLED=1

install_packages() {
  if [ ! -d node_modules ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
    echo "Installing packages…"
    npm ci --no-audit --no-fund
  fi
}

install_chromium() {
  if [ ! -x /usr/bin/chromium ]; then
    echo "Installing Chromium…"
    apt-get update -qq
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq chromium
  fi
}

free_port() {
  node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'
}

# Starts the built app on port $1; its process id goes to SERVER_PID.
start_server() {
  node node_modules/next/dist/bin/next start -H 127.0.0.1 -p "$1" >"${TMPDIR:-/tmp}/mazurka-server-$1.log" 2>&1 &
  SERVER_PID=$!
  for _ in $(seq 60); do
    if node -e "fetch('http://127.0.0.1:$1/bench').then(r=>process.exit(r.ok?0:1),()=>process.exit(1))"; then return; fi
    sleep 0.5
  done
  echo "The server did not start:" && cat "${TMPDIR:-/tmp}/mazurka-server-$1.log" && return 1
}
