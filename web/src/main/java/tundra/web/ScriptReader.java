package tundra.web;

import com.google.javascript.jscomp.parsing.Config;
import com.google.javascript.jscomp.parsing.ParserRunner;
import com.google.javascript.rhino.ErrorReporter;
import com.google.javascript.rhino.Node;
import com.google.javascript.rhino.SimpleSourceFile;
import com.google.javascript.rhino.StaticSourceFile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

/** Reads the source of a script: whether it can be read at all, and where its loops are. */
public final class ScriptReader {
    private static final Pattern EXPORT = Pattern.compile("(?m)^(\\s*)export\\s+(?=(async\\s+)?function\\b|const\\b|let\\b|class\\b)");
    private static final Config CONFIG = Config.builder().setLanguageMode(Config.LanguageMode.UNSUPPORTED).setStrictMode(Config.StrictMode.SLOPPY)
            .setJsDocParsingMode(Config.JsDocParsing.TYPES_ONLY)
            .setRunMode(Config.RunMode.STOP_AFTER_ERROR).build();

    private ScriptReader() {}

    /**
     * Why a source can't be read.
     *
     * @param line where the reader stopped, from 1
     */
    public record Problem(int line, String text) {}

    private record Read(Node tree, Problem problem) {}

    private static Read read(String source) {
        var problems = new ArrayList<Problem>();
        var reporter = new ErrorReporter() {
            @Override
            public void warning(String message, String file, int line, int column) {
                // of type comments, which nobody asked about
            }

            @Override
            public void error(String message, String file, int line, int column) {
                problems.add(new Problem(Math.max(1, line), message.replaceFirst("^Parse error\\. ", "")));
            }
        };
        try {
            Node tree = ParserRunner.parse(new SimpleSourceFile("script", StaticSourceFile.SourceKind.STRONG), source, CONFIG, reporter).ast;
            return new Read(tree, problems.isEmpty() ? null : problems.getFirst());
        } catch (StackOverflowError e) {
            return new Read(null, new Problem(1, "it is nested too deeply"));
        }
    }

    /** A source as it stands in a page, where nothing is exported; its lines stay where they are. */
    static String plain(String source) {
        return EXPORT.matcher(source).replaceAll("$1");
    }

    /** Null when the source can be read. */
    public static Problem problem(String source) {
        return read(plain(source)).problem;
    }

    private record Insert(int at, String text) {}

    /**
     * A source whose loops call {@code tundraLoop(name, line)} at each turn, which may end them. Its lines stay where they are. A source
     * that can't be read is given back as it is.
     */
    static String guarded(String source, String name) {
        Node tree = read(source).tree;
        if (tree == null) {
            return source;
        }
        var inserts = new ArrayList<Insert>();
        collect(tree, source, lineStarts(source), name.replaceAll("[^A-Za-z0-9_]", "_"), inserts);
        inserts.sort(Comparator.comparingInt(Insert::at));
        var out = new StringBuilder();
        int from = 0;
        for (Insert i : inserts) {
            out.append(source, from, i.at).append(i.text);
            from = i.at;
        }
        String guarded = out.append(source, from, source.length()).toString();
        return read(guarded).problem == null ? guarded : source;
    }

    private static List<Integer> lineStarts(String source) {
        var out = new ArrayList<>(List.of(0));
        for (int i = 0; i < source.length(); i++) {
            if (source.charAt(i) == '\n') {
                out.add(i + 1);
            }
        }
        return out;
    }

    private static void collect(Node tree, String source, List<Integer> lines, String name, List<Insert> out) {
        // without recursion, for sources that nest deeply
        var todo = new ArrayList<Node>(List.of(tree));
        while (!todo.isEmpty()) {
            Node n = todo.removeLast();
            for (Node c = n.getFirstChild(); c != null; c = c.getNext()) {
                todo.add(c);
            }
            if (!n.isWhile() && !n.isDo() && !n.isVanillaFor() && !n.isForOf() && !n.isForIn() && !n.isForAwaitOf()) {
                continue;
            }
            String guard = "tundraLoop(\"" + name + "\"," + n.getLineno() + ");";
            Node body = n.isDo() ? n.getFirstChild() : n.getLastChild();
            int at = offset(body, lines);
            if (!body.isAddedBlock() && source.startsWith("{", at)) {
                out.add(new Insert(at + 1, guard));
            } else if (!n.isDo() && !body.hasMoreThanOneChild()) {
                Node one = body.hasChildren() ? body.getFirstChild() : body;
                int end = offset(one, lines) + one.getLength();
                out.add(new Insert(offset(one, lines), "{" + guard));
                out.add(new Insert(source.startsWith(";", end) ? end + 1 : end, "}"));
            }
        }
    }

    private static int offset(Node n, List<Integer> lines) {
        return lines.get(Math.max(0, n.getLineno() - 1)) + n.getCharno();
    }
}
