package tundra.core.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.edit.TimeText;
import tundra.core.fit.Frames;
import tundra.core.fit.Layouts;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** Whether texts can be read: against what is behind them, in their fonts, and on the canvas of each layout. */
final class WordChecks {
    /** Needed contrast (WCAG 2.2, 1.4.3) of plain and of large text, and from which size on it is large, in px. */
    private static final double PLAIN = 4.5, LARGE = 3, LARGE_SIZE = 24, LARGE_BOLD = 18.66;
    private static final int BOLD = 700, MOMENTS = 12, PIXELS = 64;
    /** The faintest part of what is behind that counts. */
    private static final double WORST = 0.1;
    private final Project project;
    private final Scene scene;
    private final TextMeasurer measure;
    private final ImageComparer eyes;
    private final List<Finding> out = new ArrayList<>();

    private WordChecks(Project project, Scene scene, TextMeasurer measure, ImageComparer eyes) {
        this.project = project;
        this.scene = scene;
        this.measure = measure;
        this.eyes = eyes;
    }

    static List<Finding> of(Project p, Scene s, TextMeasurer measure, ImageComparer eyes) {
        var checks = new WordChecks(p, s, measure, eyes);
        checks.letters();
        checks.contrast();
        checks.cut();
        return checks.out;
    }

    private void letters() {
        Tree.each(scene.board().elements(), e -> {
            if (e.content() instanceof Content.Text t && !e.guide()) {
                String missing = t.text().codePoints().filter(c -> c > ' ' && !eyes.hasLetter(t.family(), t.weight(), c)).distinct().limit(5)
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
                if (!missing.isEmpty()) {
                    out.add(new Finding(Check.LETTERS, scene.id(), e.id(), null, 0, "“" + t.family() + "” has no "
                            + String.join(", ", missing.codePoints().mapToObj(Character::toString).toList()) + ", which " + e.name()
                            + " shows; visitors see another font there, or boxes.", null));
                }
            }
        });
    }

    /** A text as it is seen at a moment. */
    private record Seen(Frame frame, FrameNode node, Mark.Glyphs glyphs, Affine toCanvas, double opacity, long time) {}

    private void contrast() {
        Board b = scene.board();
        FrameBuilder builder = Frames.of(project, b, measure);
        Map<String, List<Seen>> texts = new LinkedHashMap<>();
        for (int i = 0; i <= MOMENTS; i++) {
            long time = b.main().duration() * i / MOMENTS;
            Frame f = builder.at(Moment.opened(b, time));
            f.nodes().forEach(n -> collect(f, n, Affine.IDENTITY, 1, time, texts));
        }
        texts.forEach((id, seen) -> {
            double most = seen.stream().mapToDouble(Seen::opacity).max().orElse(0);
            Seen worst = null;
            double least = 22;
            for (Seen s : seen) {
                // while it comes or goes it may be fainter
                if (s.opacity >= most - 0.01) {
                    double c = contrast(s);
                    if (c < least) {
                        least = c;
                        worst = s;
                    }
                }
            }
            double needed = worst == null ? 0 : needed(worst);
            if (least < needed) {
                Element e = b.find(id);
                out.add(new Finding(Check.CONTRAST, scene.id(), id, null, worst.time, e.name() + " has a contrast of "
                        + Numbers.plain(Math.floor(least * 10) / 10, 1) + " : 1 to what is behind it at " + TimeText.seconds(worst.time) + "; "
                        + Numbers.plain(needed, 1) + " : 1 is needed to be read by most people.", null));
            }
        });
    }

    private void collect(Frame f, FrameNode n, Affine outer, double opacity, long time, Map<String, List<Seen>> to) {
        Affine m = outer.times(n.toParent());
        double o = opacity * n.opacity();
        Element e = n.id() == null || n.motif() != null ? null : scene.board().find(n.id());
        if (o > 0.02 && e != null && e.content() instanceof Content.Text && !e.guide()) {
            for (Mark x : n.marks()) {
                if (x instanceof Mark.Glyphs g && n.inked() != null) {
                    to.computeIfAbsent(e.id(), k -> new ArrayList<>()).add(new Seen(f, n, g, m, o, time));
                    break;
                }
            }
        }
        if (n.motif() == null) {
            n.children().forEach(c -> collect(f, c, m, o, time, to));
        }
    }

    private static double needed(Seen s) {
        double px = s.glyphs.text().size() * Math.sqrt(Math.abs(s.toCanvas.determinant()));
        return px >= LARGE_SIZE || px >= LARGE_BOLD && s.glyphs.text().weight() >= BOLD ? LARGE : PLAIN;
    }

    /** To what is behind the text, at its faintest tenth. */
    private double contrast(Seen s) {
        Rect canvas = new Rect(0, 0, s.frame.size().x(), s.frame.size().y()), r = s.toCanvas.bounds(s.node.inked());
        double x = Math.max(canvas.x(), r.x()), y = Math.max(canvas.y(), r.y()), right = Math.min(canvas.right(), r.right()),
                bottom = Math.min(canvas.bottom(), r.bottom());
        if (right - x < 1 || bottom - y < 1) {
            return 22;
        }
        int w = (int) Math.max(1, Math.min(PIXELS, right - x)), h = (int) Math.max(1, Math.min(PIXELS, bottom - y));
        int[] behind = eyes.pixels(without(s.frame, s.node.id()), new Rect(x, y, right - x, bottom - y), w, h);
        double[] all = new double[behind.length];
        int ink = s.glyphs.paint().main().argb();
        double alpha = s.opacity * (ink >>> 24) / 255;
        for (int i = 0; i < behind.length; i++) {
            all[i] = Pixels.contrast(Pixels.over(ink, alpha, behind[i]), behind[i]);
        }
        Arrays.sort(all);
        return all[(int) (all.length * WORST)];
    }

    private static Frame without(Frame f, String id) {
        return new Frame(f.size(), f.background(), without(f.nodes(), id));
    }

    private static List<FrameNode> without(List<FrameNode> in, String id) {
        return in.stream().filter(n -> !id.equals(n.id())).map(n -> n.children().isEmpty() ? n : n.withChildren(without(n.children(), id))).toList();
    }

    /** Texts that stand still and go over the edge. */
    private void cut() {
        var layouts = new ArrayList<Layout>();
        layouts.add(null);
        layouts.addAll(scene.board().layouts());
        for (Layout l : layouts) {
            Board b = Layouts.seen(scene.board(), l, null, measure);
            Frame f = Frames.of(project, b, measure).at(Moment.opened(b, b.main().duration()));
            f.nodes().forEach(n -> cut(b, l, f, n, Affine.IDENTITY, 1));
        }
    }

    private void cut(Board b, Layout l, Frame f, FrameNode n, Affine outer, double opacity) {
        Affine m = outer.times(n.toParent());
        double o = opacity * n.opacity();
        Element e = n.id() == null ? null : b.find(n.id());
        if (o > 0.02 && e != null && e.content() instanceof Content.Text && !e.guide() && n.inked() != null && b.timelines().stream()
                .noneMatch(t -> moves(t, e.id()))) {
            Rect r = m.bounds(n.inked());
            double over = Math.max(Math.max(-r.x(), -r.y()), Math.max(r.right() - f.size().x(), r.bottom() - f.size().y()));
            boolean within = r.x() < f.size().x() && r.y() < f.size().y() && r.right() > 0 && r.bottom() > 0;
            if (over > 2 && within) {
                out.add(new Finding(Check.CUT_TEXT, scene.id(), e.id(), null, b.main().duration(), e.name() + " goes " + Math.round(over)
                        + " px over the edge of the canvas" + (l == null ? "" : " in the layout " + l.name()) + ".", null));
            }
        }
        if (n.motif() == null) {
            n.children().forEach(c -> cut(b, l, f, c, m, o));
        }
    }

    private static boolean moves(Timeline t, String id) {
        return t.track(id, Properties.POSITION) != null || t.track(id, Properties.POSITION_X) != null || t.track(id, Properties.POSITION_Y) != null;
    }
}
