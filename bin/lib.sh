# Shared by the commands: where we are, and what must be installed and built. Not run by itself.
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root" || exit 1

if ! command -v node >/dev/null || ! node -e 'process.exit(Number(process.versions.node.split(".")[0]) >= 20 ? 0 : 1)'; then
  echo "Fidus needs Node 20 or newer; install it first." >&2
  exit 1
fi

# One fingerprint over files: the same as last time means there is nothing to do.
fingerprint() { cat "$@" | cksum; }

# install_packages all|run: 'run' leaves out what only the tests need.
install_packages() {
  local want stamp=node_modules/.fidus-installed
  want="$(fingerprint package-lock.json) $1"
  if [ -f "$stamp" ]; then
    case "$(cat "$stamp")" in
      "$want" | "$(fingerprint package-lock.json) all") return ;;
    esac
  fi
  local omit=()
  [ "$1" = run ] && omit=(--omit=dev)
  npm ci --no-audit --no-fund --prefer-offline --loglevel=error "${omit[@]}"
  echo "$want" >"$stamp"
}

build_application() {
  local stamp=build/.fidus-built want log
  # Not in the folder: what reads it beside must not come upon a file that goes away.
  log=$(mktemp)
  want=$(find app demo public -type f -print0 | sort -z | xargs -0 cat package-lock.json vite.config.ts react-router.config.ts | cksum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$want" ] && return
  npm run --silent build >"$log" 2>&1 || {
    cat "$log" >&2
    rm -f "$log"
    exit 1
  }
  rm -f "$log"
  echo "$want" >"$stamp"
}
