#!/bin/sh
# Installs the packages of the lock file, unless exactly these are there already.
set -e
if [ ! -f node_modules/.installed ] || ! cmp -s package-lock.json node_modules/.installed; then
  npm ci --no-audit --no-fund --silent
  cp package-lock.json node_modules/.installed
fi
