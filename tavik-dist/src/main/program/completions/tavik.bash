# Completion of tavik in bash: commands, options and their values, columns and levels of the data.

_tavik() {
  local line
  COMPREPLY=()
  while IFS= read -r line; do
    if [[ $line == :files ]]; then
      compopt -o filenames
      while IFS= read -r line; do
        COMPREPLY+=("$line")
      done < <(compgen -f -- "${COMP_WORDS[COMP_CWORD]#=}")
    elif [[ $line == :more ]]; then
      compopt -o nospace
    elif [[ -n $line ]]; then
      COMPREPLY+=("$(printf '%q' "${line%%$'\t'*}")")
    fi
  done < <("${COMP_WORDS[0]}" complete bash "${COMP_WORDS[@]:1:COMP_CWORD}" 2>/dev/null)
}

complete -F _tavik tavik
