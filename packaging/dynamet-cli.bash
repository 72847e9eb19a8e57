# bash completion for dynamet-cli: verbs and options come from the program's own help, so that they are never old.
_dynamet_cli() {
    local word=${COMP_WORDS[COMP_CWORD]} verb="" i
    for ((i = 1; i < COMP_CWORD; i++)); do
        [[ ${COMP_WORDS[i]} == -* ]] || { verb=${COMP_WORDS[i]}; break; }
    done
    if [[ -z $verb ]]; then
        local verbs
        verbs=$("${COMP_WORDS[0]}" --help 2> /dev/null | sed -n '/^Subcommands:/,$s/^  \([a-z][a-z-]*\) .*/\1/p')
        mapfile -t COMPREPLY < <(compgen -W "$verbs --help --version" -- "$word")
        return
    fi
    if [[ $word == -* ]]; then
        local options
        options=$("${COMP_WORDS[0]}" "$verb" --help 2> /dev/null | grep -oE -- '--[a-z][a-z-]*' | sort -u)
        mapfile -t COMPREPLY < <(compgen -W "$options" -- "$word")
        return
    fi
    compopt -o filenames 2> /dev/null
    mapfile -t COMPREPLY < <(compgen -f -- "$word")
}
complete -F _dynamet_cli dynamet-cli
