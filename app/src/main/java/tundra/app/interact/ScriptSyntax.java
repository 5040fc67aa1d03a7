package tundra.app.interact;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.web.WebEngine;
import org.fxmisc.richtext.model.StyleSpans;
import org.fxmisc.richtext.model.StyleSpansBuilder;
import tundra.core.edit.Scripts;

/** Colours of JavaScript, and whether a source can be read at all: the browser that the window holds tells that. */
final class ScriptSyntax {
    private static final Pattern WORDS = Pattern.compile("(?<comment>//[^\\n]*|/\\*(?s:.*?)\\*/)|(?<string>\"(?:[^\"\\\\\\n]|\\\\.)*\"|'(?:[^'\\\\\\n]|\\\\.)*'|`(?:[^`\\\\]|\\\\.)*`)"
            + "|\\b(?<keyword>export|function|const|let|var|return|if|else|for|while|do|of|in|new|async|await|try|catch|finally|throw|class|extends|this|true|false|null|undefined|switch|case|break|continue|default|typeof)\\b"
            + "|\\b(?<number>\\d+(?:\\.\\d+)?)\\b|(?<called>[A-Za-z_$][A-Za-z0-9_$]*)(?=\\s*\\()");
    private static final List<String> GROUPS = List.of("comment", "string", "keyword", "number", "called");
    private WebEngine engine;

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

    /** Why a source can't be read, where the reader stopped; null when it can. Interface thread only. */
    Scripts.Problem unreadable(String source) {
        if (engine == null) {
            engine = new WebEngine();
        }
        String plain = source.replaceAll("(?m)^(\\s*)export(\\s+)", "$1      $2");
        var script = new StringBuilder("(() => { try { new Function(");
        script.append(quoted(plain)).append("); return ''; } catch (e) { return (e.line || 0) + '|' + e.message; } })()");
        String told = String.valueOf(engine.executeScript(script.toString()));
        if (told.isEmpty()) {
            return null;
        }
        String message = told.substring(told.indexOf('|') + 1);
        // a function that is made of a text has two lines before it
        int line = Math.max(0, Integer.parseInt(told.substring(0, told.indexOf('|'))) - 2), from = 0;
        for (int i = 1; i < line && source.indexOf('\n', from) >= 0; i++) {
            from = source.indexOf('\n', from) + 1;
        }
        int to = source.indexOf('\n', from) < 0 ? source.length() : source.indexOf('\n', from);
        return new Scripts.Problem(Math.min(from, source.length()), Math.max(Math.min(from + 1, source.length()), to), "It can't be read: " + message + (message.endsWith(".") ? "" : "."));
    }

    private static String quoted(String s) {
        var out = new StringBuilder("\"");
        for (char c : s.toCharArray()) {
            switch (c) {
                case '"' -> out.append("\\\"");
                case '\\' -> out.append("\\\\");
                case '\n' -> out.append("\\n");
                case '\r' -> out.append("\\r");
                default -> {
                    if (c < 32 || c == 0x2028 || c == 0x2029) {
                        out.append(String.format("\\u%04x", (int) c));
                    } else {
                        out.append(c);
                    }
                }
            }
        }
        return out.append('"').toString();
    }
}
