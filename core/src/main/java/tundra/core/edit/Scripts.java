package tundra.core.edit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tundra.core.model.Ids;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Script;
import tundra.core.model.Tree;

/** The scripts of a piece: added, renamed, kept in step with the names that they use, and looked through for what can't work. */
public final class Scripts {
    /** What a script asks the page for by a name. */
    private static final Pattern NAMED =
            Pattern.compile("\\bpage\\s*\\.\\s*(find|timeline|value|open|set)\\(\\s*(\"((?:[^\"\\\\]|\\\\.)*+)\"|'((?:[^'\\\\]|\\\\.)*+)')");
    private static final Pattern MEMBER = Pattern.compile("\\bpage\\s*\\.\\s*([A-Za-z_$][A-Za-z0-9_$]*)");
    private static final Pattern OF_NAMED = Pattern.compile("\\bpage\\s*\\.\\s*(find|timeline)\\([^()]*\\)\\s*\\.\\s*([A-Za-z_$][A-Za-z0-9_$]*)");

    /** Strings, comments (group 1) and regular expressions, one after the other. */
    private static final Pattern COMMENTS =
            Pattern.compile("\"(?:[^\"\\\\\n]|\\\\.)*+\"|'(?:[^'\\\\\n]|\\\\.)*+'|`(?:[^`\\\\]|\\\\(?s:.))*+`|(//[^\n]*|/\\*(?s:.*?)\\*/)"
            + "|(?<=(?:^|[(,=:\\[!&|?{};+\\n]|return)\\s{0,40})/(?:[^/\\\\\n\\[]|\\\\.|\\[(?:[^\\]\\\\\n]|\\\\.)*+])++/");

    private Scripts() {}

    /**
     * Something in a script that can't work.
     *
     * @param from where it begins in the source, in characters
     * @param to where it ends
     */
    public record Problem(int from, int to, String text) {}

    private static String free(Project p, String wanted) {
        Set<String> taken = new HashSet<>();
        p.scripts().forEach(s -> taken.add(s.name()));
        String name = wanted;
        for (int i = 2; taken.contains(name); i++) {
            name = wanted + i;
        }
        return name;
    }

    /** With a script that does nothing yet; a name that is taken gets a number. */
    public static Project add(Project p, String wanted) {
        return p.withScripts(Reactions.plus(p.scripts(), Script.empty(Ids.next(), free(p, wanted))));
    }

    public static Project source(Project p, String id, String source) {
        return p.withScripts(p.scripts().stream().map(s -> s.id().equals(id) ? s.withSource(source) : s).toList());
    }

    /** With another name, in its own text too. */
    public static Project rename(Project p, String id, String wanted) {
        Script was = p.script(id);
        if (was == null || was.name().equals(wanted) || !wanted.matches(Script.NAME)) {
            return p;
        }
        String name = free(p, wanted);
        return p.withScripts(p.scripts().stream().map(s -> s.id().equals(id)
                ? new Script(id, name, s.source().replaceAll("\\bfunction\\s+" + Pattern.quote(was.name()) + "(?=\\s*\\()",
                Matcher.quoteReplacement("function " + name)), s.comments()) : s).toList());
    }

    public static Project comments(Project p, String id, boolean published) {
        return p.withScripts(p.scripts().stream().map(s -> s.id().equals(id) ? s.withComments(published) : s).toList());
    }

    /** A source without its comments; lines that held nothing else go. */
    public static String withoutComments(String source) {
        boolean[] comment = comments(source);
        var out = new StringBuilder();
        for (int at = 0; at < source.length(); ) {
            int end = source.indexOf('\n', at);
            end = end < 0 ? source.length() : end + 1;
            var line = new StringBuilder();
            boolean any = false;
            for (int i = at; i < end; i++) {
                any |= comment[i];
                if (!comment[i]) {
                    line.append(source.charAt(i));
                }
            }
            if (!any) {
                out.append(line);
            } else if (!line.toString().isBlank()) {
                out.append(line.toString().stripTrailing());
                out.append(line.charAt(line.length() - 1) == '\n' ? "\n" : "");
            }
            at = end;
        }
        return out.toString();
    }

    public static Project delete(Project p, String id) {
        return Reactions.tidied(p.withScripts(p.scripts().stream().filter(s -> !s.id().equals(id)).toList()));
    }

    /** What can be asked for by a name: the names of each kind. */
    public static Map<String, List<String>> names(Project p) {
        var out = new LinkedHashMap<String, List<String>>();
        var elements = new ArrayList<String>();
        var timelines = new ArrayList<String>();
        for (Place x : p.scenes()) {
            Tree.each(x.board().elements(), e -> elements.add(e.name()));
            x.board().timelines().forEach(t -> timelines.add(t.name()));
        }
        List<String> values = p.values().stream().map(v -> v.name()).toList();
        out.put("find", elements.stream().distinct().toList());
        out.put("timeline", timelines.stream().distinct().toList());
        out.put("value", values);
        out.put("set", values);
        out.put("open", p.scenes().stream().map(s -> s.name()).toList());
        return out;
    }

    /** Names that don't exist and words that the page doesn't know, each with the nearest that it does. */
    public static List<Problem> problems(Project p, Script s) {
        var out = new ArrayList<Problem>();
        String text = s.source();
        boolean[] comment = comments(text);
        if (!Pattern.compile("\\bfunction\\s+" + Pattern.quote(s.name()) + "\\s*\\(").matcher(text).find()) {
            out.add(new Problem(0, Math.min(text.length(), 1), "There is no function " + s.name() + " in it."));
        }
        Map<String, List<String>> names = names(p);
        for (Matcher m = NAMED.matcher(text); m.find(); ) {
            String name = m.group(3) != null ? m.group(3) : m.group(4);
            List<String> known = names.get(m.group(1));
            if (!comment[m.start()] && !known.contains(name)) {
                out.add(new Problem(m.start(2), m.end(2), "Nothing is called “" + name + "”" + nearest(name, known)));
            }
        }
        for (Matcher m = MEMBER.matcher(text); m.find(); ) {
            unknown(out, comment, m, 1, ScriptApi.members("page"));
        }
        for (Matcher m = OF_NAMED.matcher(text); m.find(); ) {
            unknown(out, comment, m, 2, ScriptApi.members(m.group(1).equals("find") ? "element" : "timeline"));
        }
        return out;
    }

    private static void unknown(List<Problem> out, boolean[] comment, Matcher m, int group, List<String> known) {
        if (!comment[m.start()] && !known.contains(m.group(group))) {
            out.add(new Problem(m.start(group), m.end(group), "The page has no “" + m.group(group) + "”" + nearest(m.group(group), known)));
        }
    }

    private static String nearest(String word, List<String> known) {
        String best = null;
        int least = Math.max(2, word.length() / 2);
        for (String k : known) {
            int d = distance(word.toLowerCase(Locale.ROOT), k.toLowerCase(Locale.ROOT));
            if (d < least || d == least && best == null) {
                least = d;
                best = k;
            }
        }
        return best == null ? "." : "; did you mean “" + best + "”?";
    }

    /** How many letters must be changed, added or taken away to get from one word to another (Levenshtein). */
    static int distance(String a, String b) {
        int[] row = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int up = row[j];
                row[j] = Math.min(Math.min(row[j], row[j - 1]) + 1, diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1));
                diagonal = up;
            }
        }
        return row[b.length()];
    }

    /** Which letters of a source stand in comments. A slash that follows an operator or the begin of something begins a regular expression. */
    private static boolean[] comments(String text) {
        var out = new boolean[text.length() + 1];
        for (Matcher m = COMMENTS.matcher(text); m.find(); ) {
            if (m.group(1) != null) {
                Arrays.fill(out, m.start(), m.end(), true);
            }
        }
        return out;
    }

    /** Scripts that name what was renamed between two versions of a piece name it as it is called now. */
    public static Project follow(Project before, Project after) {
        if (after.scripts().isEmpty() || before == after) {
            return after;
        }
        var renamed = new HashMap<String, Map<String, String>>();
        Map<String, Map<String, String>> was = byId(before), is = byId(after);
        is.forEach((kind, now) -> now.forEach((id, name) -> {
            String old = was.get(kind).get(id);
            if (old != null && !old.equals(name)) {
                renamed.computeIfAbsent(kind, k -> new HashMap<>()).put(old, name);
            }
        }));
        if (renamed.isEmpty()) {
            return after;
        }
        return after.withScripts(after.scripts().stream().map(s -> s.withSource(NAMED.matcher(s.source()).replaceAll(m -> {
            String name = m.group(3) != null ? m.group(3) : m.group(4), kind = m.group(1).equals("set") ? "value" : m.group(1);
            String now = renamed.getOrDefault(kind, Map.of()).get(name);
            return Matcher.quoteReplacement(now == null ? m.group() : m.group().substring(0, m.start(2) - m.start()) + "\""
                    + now.replace("\\", "\\\\").replace("\"", "\\\"") + "\"");
        }))).toList());
    }

    private static Map<String, Map<String, String>> byId(Project p) {
        var out = new HashMap<String, Map<String, String>>();
        for (String kind : List.of("find", "timeline", "value", "open")) {
            out.put(kind, new HashMap<>());
        }
        for (Place x : p.scenes()) {
            Tree.each(x.board().elements(), e -> out.get("find").put(e.id(), e.name()));
            x.board().timelines().forEach(t -> out.get("timeline").put(t.id(), t.name()));
        }
        p.values().forEach(v -> out.get("value").put(v.id(), v.name()));
        p.scenes().forEach(s -> out.get("open").put(s.id(), s.name()));
        return out;
    }
}
