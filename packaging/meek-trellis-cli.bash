# SPDX-License-Identifier: GPL-3.0-or-later
# bash completion for meek-trellis-cli
_meek_trellis_cli() {
  local commands="inspect sites slices build compare sweep ladder fragment recipe trial convert recover settings sets"
  local word=${COMP_WORDS[COMP_CWORD]}
  if [ "$COMP_CWORD" -eq 1 ]; then
    mapfile -t COMPREPLY < <(compgen -W "$commands --help --version" -- "$word")
  elif [[ $word == -* ]]; then
    mapfile -t COMPREPLY < <(compgen -W "$(meek-trellis-cli "${COMP_WORDS[1]}" --help 2>/dev/null | grep -o -- '--[a-z-]*')" -- "$word")
  elif [ "${COMP_WORDS[1]}" = ladder ] && [ "$COMP_CWORD" -eq 2 ]; then
    mapfile -t COMPREPLY < <(compgen -W "above below beside spacing lean bridge column" -- "$word")
  else
    mapfile -t COMPREPLY < <(compgen -f -- "$word")
  fi
}
complete -o filenames -F _meek_trellis_cli meek-trellis-cli
