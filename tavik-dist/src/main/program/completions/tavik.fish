# Completion of tavik in fish: commands, options and their values, columns and levels of the data.

function __tavik_complete
    set -l words (commandline -opc)
    set -l current (commandline -ct)
    for line in ($words[1] complete fish $words[2..-1] "$current" 2>/dev/null)
        switch $line
            case :files
                __fish_complete_path (string replace -r '^--[a-z-]+=' '' -- "$current")
            case ':more'
            case '*'
                echo $line
        end
    end
end

complete -c tavik -f -a '(__tavik_complete)'
