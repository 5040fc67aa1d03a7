package tundra.app;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javax.tools.ToolProvider;

/**
 * Reads out of the sources what people are told: messages, findings, errors, names of steps and commands. Names and numbers in them become {@code
 * {0}}.
 */
final class SourceWords {
    private static final char PLACE = '\u0001';
    /** At most so many forms are made of words that have choices in them. */
    private static final int FORMS = 12;
    /** Methods and classes whose texts are said to people. */
    private static final Set<String> SAID = Set.of("news", "problem", "lost", "tip", "edit", "editProject", "editBase", "again", "change", "item",
            "setText", "setAccessibleText", "setPromptText", "Finding",
            "IOException", "IllegalArgumentException", "section", "field", "choice", "number", "yesNo", "button", "chip");

    private SourceWords() {}

    /** @return the texts, each with the file that it is in */
    static Map<String, String> of(List<Path> roots) throws IOException {
        var files = new ArrayList<Path>();
        for (Path root : roots) {
            try (var all = Files.walk(root)) {
                all.filter(p -> p.toString().endsWith(".java") && !p.toString().replace('\\', '/').contains("/cli/")).forEach(files::add);
            }
        }
        var compiler = ToolProvider.getSystemJavaCompiler();
        try (var manager = compiler.getStandardFileManager(null, null, null)) {
            var task = (JavacTask) compiler.getTask(null, manager, null, List.of("-proc:none"), null, manager.getJavaFileObjectsFromPaths(files));
            Map<String, String> out = new TreeMap<>();
            for (var unit : task.parse()) {
                String file = Path.of(unit.getSourceFile().getName()).getFileName().toString();
                new Scanner(file, out).scan(unit, "");
            }
            return out;
        }
    }

    private static final class Scanner extends TreeScanner<Void, String> {
        private final String file;
        private final Map<String, String> out;

        Scanner(String file, Map<String, String> out) {
            this.file = file;
            this.out = out;
        }

        @Override
        public Void visitAnnotation(AnnotationTree t, String within) {
            return null;
        }

        @Override
        public Void visitNewClass(NewClassTree t, String within) {
            return super.visitNewClass(t, SAID.contains(t.getIdentifier().toString()) ? t.getIdentifier().toString() : within);
        }

        @Override
        public Void visitMethodInvocation(MethodInvocationTree t, String within) {
            String name = t.getMethodSelect().toString();
            return super.visitMethodInvocation(t, name.substring(name.lastIndexOf('.') + 1));
        }

        @Override
        public Void visitBinary(BinaryTree t, String within) {
            if (t.getKind() == Tree.Kind.PLUS && text(t)) {
                keep(t, within);
                return null;
            }
            return super.visitBinary(t, within);
        }

        @Override
        public Void visitLiteral(LiteralTree t, String within) {
            if (t.getValue() instanceof String) {
                keep(t, within);
            }
            return null;
        }

        private void keep(ExpressionTree t, String within) {
            if (SAID.contains(within)) {
                forms(t).forEach(s -> out.putIfAbsent(numbered(s), file));
            }
        }
    }

    private static boolean text(ExpressionTree t) {
        return t instanceof LiteralTree l ? l.getValue() instanceof String : t instanceof BinaryTree b && b.getKind() == Tree.Kind.PLUS
                && (text(b.getLeftOperand()) || text(b.getRightOperand()));
    }

    private static List<String> forms(ExpressionTree t) {
        return switch (t) {
            case LiteralTree l when l.getValue() instanceof String s -> List.of(s.replaceAll("%[-\\d.]*[sdf]", String.valueOf(PLACE))
                    .replace("%%", "%"));
            case ParenthesizedTree p -> p.getExpression() instanceof BinaryTree b && !text(b)
                    ? List.of(String.valueOf(PLACE)) : forms(p.getExpression());
            case ConditionalExpressionTree c -> {
                var out = new ArrayList<>(forms(c.getTrueExpression()));
                out.addAll(forms(c.getFalseExpression()));
                yield out;
            }
            case BinaryTree b when b.getKind() == Tree.Kind.PLUS -> forms(b.getLeftOperand()).stream().flatMap(l -> forms(b.getRightOperand())
                    .stream().map(l::concat)).limit(FORMS).collect(Collectors.toList());
            default -> List.of(String.valueOf(PLACE));
        };
    }

    private static String numbered(String s) {
        var out = new StringBuilder();
        int n = 0;
        for (char c : s.toCharArray()) {
            if (c == PLACE) {
                out.append('{').append(n++).append('}');
            } else {
                out.append(c);
            }
        }
        return out.toString();
    }
}
