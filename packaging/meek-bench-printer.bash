# SPDX-License-Identifier: GPL-3.0-or-later
# bash completion for meek-bench-printer
_meek_bench_printer() {
  local word=${COMP_WORDS[COMP_CWORD]}
  if [[ $word == -* ]]; then
    mapfile -t COMPREPLY < <(compgen -W "$(meek-bench-printer --help 2>/dev/null | grep -o -- '--[a-z-]*')" -- "$word")
  else
    mapfile -t COMPREPLY < <(compgen -f -- "$word")
  fi
}
complete -o filenames -F _meek_bench_printer meek-bench-printer
