#!/bin/sh
# Puts one finished segment of the write-ahead log into the spool, compressed. PostgreSQL runs this as its own account.
# It never holds PostgreSQL up: at the bound the chain is broken off, which a mark says, and a new base copy begins the next.
set -eu
path=$1
name=$2
spool=$3
most_kb=$4
[ -e "$spool/broken" ] && exit 0
[ -e "$spool/$name.gz" ] && exit 0
used_kb=$(du -sk "$spool" | cut -f1)
if [ "$used_kb" -ge "$most_kb" ]; then
  : > "$spool/broken"
  exit 0
fi
if gzip -1 -c "$path" > "$spool/$name.tmp" && sync "$spool/$name.tmp"; then
  mv "$spool/$name.tmp" "$spool/$name.gz"
  exit 0
fi
rm -f "$spool/$name.tmp"
: > "$spool/broken"
