package tundra.app.interact;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.fxmisc.richtext.model.StyleSpans;
import org.fxmisc.richtext.model.StyleSpansBuilder;
import tundra.core.edit.Scripts;
import tundra.web.ScriptReader;

/** Colours of JavaScript, and whether a source can be read at all. */
final class ScriptSyntax {
    private static final Pattern WORDS =
            Pattern.compile("(?<comment>//[^\\n]*|/\\*(?s:.*?)\\*/)|(?<string>\"(?:[^\"\\\\\\n]|\\\\.)*+\"|'(?:[^'\\\\\\n]|\\\\.)*+'|`(?:[^`\\\\]|\\\\.)*+`)"
            + "|\\b(?<keyword>export|function|const|let|var|return|if|else|for|while|do|of|in|new|async|await|try|catch|finally|throw|class|extends|this|true|false|null|undefined|switch|case|break|continue|default|typeof)\\b"
            + "|\\b(?<number>\\d+(?:\\.\\d+)?)\\b|(?<called>[A-Za-z_$][A-Za-z0-9_$]*)(?=\\s*\\()");
    private static final List<String> GROUPS = List.of("comment", "string", "keyword", "number", "called");

    /** @param problems what is underlined */
    static StyleSpans<Collection<String>> spans(String text, List<Scripts.Problem> problems) {
        var out = new StyleSpansBuilder<Collection<String>>();
        int end = 0;
        Matcher m = WORDS.matcher(text);
        while (m.find()) {
            String style = GROUPS.stream().filter(g -> m.group(g) != null).findFirst().orElseThrow();
            out.add(List.of(), m.start() - end);
            out.add(List.of("code-" + style), m.end() - m.start());
            end = m.end();
        }
        out.add(List.of(), text.length() - end);
        StyleSpans<Collection<String>> colours = out.create();
        if (problems.isEmpty() || text.isEmpty()) {
            return colours;
        }
        var marks = new boolean[text.length()];
        problems.forEach(p -> Arrays.fill(marks, Math.min(p.from(), text.length()), Math.min(p.to(), text.length()), true));
        var lines = new StyleSpansBuilder<Collection<String>>();
        for (int i = 0; i < marks.length; ) {
            int to = i;
            while (to < marks.length && marks[to] == marks[i]) {
                to++;
            }
            lines.add(marks[i] ? List.of("code-problem") : List.of(), to - i);
            i = to;
        }
        return colours.overlay(lines.create(), (a, b) -> {
            var all = new ArrayList<>(a);
            all.addAll(b);
            return all;
        });
    }

    /** Why a source can't be read, where the reader stopped; null when it can. Takes a while the first time. */
    static Scripts.Problem unreadable(String source) {
        ScriptReader.Problem problem = ScriptReader.problem(source);
        if (problem == null) {
            return null;
        }
        int from = 0;
        for (int i = 1; i < problem.line() && source.indexOf('\n', from) >= 0; i++) {
            from = source.indexOf('\n', from) + 1;
        }
        int to = source.indexOf('\n', from) < 0 ? source.length() : source.indexOf('\n', from);
        return new Scripts.Problem(Math.min(from, source.length()), Math.max(Math.min(from + 1, source.length()), to), "It can't be read: "
                + problem.text() + ".");
    }
}
