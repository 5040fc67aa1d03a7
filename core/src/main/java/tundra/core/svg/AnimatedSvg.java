package tundra.core.svg;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import tundra.core.file.FileProblem;
import tundra.core.fit.Frames;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.model.Board;
import tundra.core.model.FontSource;
import tundra.core.model.Project;
import tundra.core.work.Progress;

/**
 * A scene as one SVG file that moves by CSS keyframes, without script. What moves, turns, grows and fades does so smoothly; what changes in
 * any other way is kept as drawings that take each other's place, frame by frame.
 */
public final class AnimatedSvg {
    /** Frames that are looked at; a longer scene is looked at less often. */
    private static final int MOST = 2400;
    /** Letters of a file. */
    private static final int LONGEST = 48 << 20;
    /** How far a value may lie from the straight line between two keyframes: of a matrix, of its shift in px, of an opacity. */
    private static final double TURN = 2e-4, SHIFT = 0.03, FADE = 2e-3;
    private final SvgWriter out;
    private final int frames;
    private final String play;
    private final boolean loops;
    private final StringBuilder css = new StringBuilder();
    private int next;

    /**
     * @param text of the file
     * @param leftOut what of the piece it does not carry, one sentence; empty for nothing
     */
    public record Made(String text, String leftOut) {}

    private AnimatedSvg(SvgWriter out, int frames, long length, boolean loops) {
        this.out = out;
        this.frames = frames;
        this.loops = loops;
        play = Numbers.plain(length / 1e6, 3) + "s " + (loops ? "infinite" : "both");
    }

    /** @param b the scene in its layout */
    public static Made of(Project p, Board b, TextMeasurer measure, FontSource fonts, Progress progress) throws FileProblem {
        long length = b.main().duration();
        int n = (int) Math.max(1, Math.min(MOST, Math.round(length / 1e6 * p.frameRate())));
        FrameBuilder builder = Frames.of(p, b, measure);
        boolean loops = b.main().loop();
        var all = new ArrayList<Frame>();
        // one that ends is looked at in its end, too
        for (int i = 0; i < (loops ? n : n + 1); i++) {
            progress.check();
            all.add(builder.at(Moment.opened(b, Math.round(i * (double) length / n))));
            progress.share(0.5 * i / n);
        }
        return new Made(new AnimatedSvg(new SvgWriter(p, fonts), all.size(), length, loops).write(all, progress), leftOut(p, b));
    }

    /** What of a piece an animated SVG of a scene does not carry, one sentence; empty for nothing. */
    public static String leftOut(Project p, Board b) {
        List<String> what = LeftOut.of(p, b);
        return what.isEmpty() ? "" : "Without script it leaves out " + String.join(", ", what.subList(0, what.size() - 1))
                + (what.size() > 1 ? " and " : "") + what.getLast() + ".";
    }

    private String write(List<Frame> all, Progress progress) throws FileProblem {
        var grounds = new Part("ground", all.stream().map(f -> new FrameNode(null, false, Affine.IDENTITY, 1, f.size(), f.background().visible()
                ? List.of(new Mark.Fill(new Form.Box(f.size(), 0), f.background(), f.size())) : List.of(), List.of(), List.of())).toList());
        part(grounds);
        List<Part> parts = children(all.stream().map(Frame::nodes).toList());
        for (int i = 0; i < parts.size(); i++) {
            progress.check();
            part(parts.get(i));
            progress.share(0.5 + 0.5 * i / parts.size());
            if (out.length() > LONGEST) {
                throw new FileProblem("This scene would take more than " + (LONGEST >> 20)
                        + " MB as an animated SVG, since much of it changes its form at every frame. Make a film or a loop of it. Nothing was written.");
            }
        }
        return out.file(all.getFirst().size(), css + "@media (prefers-reduced-motion:reduce){g{animation:none!important}}");
    }

    /** A node over all frames: what it is at each of them, null where it isn't there. */
    private record Part(String key, List<FrameNode> at) {
        FrameNode first() {
            return at.stream().filter(Objects::nonNull).findFirst().orElseThrow();
        }

        Part where(List<FrameNode> shown) {
            return new Part(key, shown);
        }
    }

    /** The nodes of each frame as parts, by their ids and their places among those without one. Null where their order changes. */
    private static List<Part> children(List<List<FrameNode>> frames) {
        var order = new ArrayList<String>();
        var keyed = new ArrayList<LinkedHashMap<String, FrameNode>>();
        for (List<FrameNode> nodes : frames) {
            var here = new LinkedHashMap<String, FrameNode>();
            int plain = 0;
            for (FrameNode n : nodes == null ? List.<FrameNode>of() : nodes) {
                here.put(n.id() == null ? "#" + plain++ : n.id(), n);
            }
            keyed.add(here);
            int at = 0;
            for (String k : here.keySet()) {
                int known = order.indexOf(k);
                if (known < 0) {
                    order.add(at++, k);
                } else if (known < at) {
                    return null;
                } else {
                    at = known + 1;
                }
            }
        }
        var out = new ArrayList<Part>();
        for (String k : order) {
            var at = new ArrayList<FrameNode>();
            keyed.forEach(h -> at.add(h.get(k)));
            out.add(new Part(k, at));
        }
        return out;
    }

    private void part(Part p) {
        // what is laid over others in another way at other times is another thing then
        var ways = new LinkedHashSet<List<Object>>();
        p.at.stream().filter(n -> n != null && n.opacity() > 0).forEach(n -> ways.add(way(n)));
        for (List<Object> w : ways) {
            one(p.where(p.at.stream().map(n -> n != null && n.opacity() > 0 && way(n).equals(w) ? n : null).toList()));
        }
    }

    private static List<Object> way(FrameNode n) {
        return List.of(n.look(), n.clips(), n.look().filters().isEmpty() ? 0 : n.content() == null ? 0 : n.content());
    }

    private void one(Part p) {
        FrameNode first = p.first();
        boolean now = shown(p.at);
        List<FrameNode> filled = filled(p.at);
        out.open(first, classes(moves(filled), fades(filled)));
        List<List<Mark>> marks = new ArrayList<>(new LinkedHashSet<>(p.at.stream().filter(Objects::nonNull).map(FrameNode::marks).toList()));
        for (List<Mark> m : marks) {
            if (!m.isEmpty()) {
                boolean held = marks.size() > 1 && shown(p.at.stream().map(n -> n != null && n.marks().equals(m) ? n : null).toList());
                m.forEach(out::mark);
                close(held);
            }
        }
        out.clips(first);
        List<Part> inner = children(p.at.stream().map(n -> n == null ? null : n.children()).toList());
        if (inner != null) {
            inner.forEach(x -> part(within(x, p.at)));
        } else {
            for (List<FrameNode> same : new LinkedHashSet<>(p.at.stream().filter(Objects::nonNull).map(FrameNode::children).toList())) {
                boolean held = shown(p.at.stream().map(n -> n != null && n.children().equals(same) ? n : null).toList());
                children(List.of(same)).forEach(x -> part(new Part(x.key, Collections.nCopies(frames, x.first()))));
                close(held);
            }
        }
        out.close(first);
        close(now);
    }

    /** A part of another one is held where that isn't there, so that its presence is said once. */
    private static Part within(Part x, List<FrameNode> outer) {
        FrameNode last = x.first();
        var at = new ArrayList<FrameNode>();
        for (int i = 0; i < outer.size(); i++) {
            last = outer.get(i) != null ? x.at.get(i) : last;
            at.add(last);
        }
        return x.where(at);
    }

    /** Where it isn't there it stays as it was. */
    private static List<FrameNode> filled(List<FrameNode> at) {
        var out = new ArrayList<FrameNode>();
        FrameNode last = at.stream().filter(Objects::nonNull).findFirst().orElseThrow();
        for (FrameNode n : at) {
            last = n == null ? last : n;
            out.add(last);
        }
        return out;
    }

    private void close(boolean open) {
        if (open) {
            out.raw("</g>");
        }
    }

    /** Opens a group that is there only at some frames; false where it is there at all of them. */
    private boolean shown(List<FrameNode> at) {
        if (at.stream().allMatch(Objects::nonNull)) {
            return false;
        }
        var keys = new StringBuilder();
        for (int i = 0; i < frames; i++) {
            if (i == 0 || (at.get(i) == null) != (at.get(i - 1) == null)) {
                keys.append(percent(i)).append("{opacity:").append(at.get(i) == null ? 0 : 1).append('}');
            }
        }
        keys.append("100%{opacity:").append(at.getLast() == null ? 0 : 1).append('}');
        FrameNode rest = loops ? at.getFirst() : at.getLast();
        out.raw("<g class=\"" + rule(keys.toString(), "step-end") + "\"" + (rest == null ? " opacity=\"0\"" : "") + ">");
        return true;
    }

    private String percent(int i) {
        return Numbers.plain(100.0 * i / (loops ? frames : Math.max(1, frames - 1)), 4) + "%";
    }

    /** Keyframes under a name of their own; the class that has them. */
    private String rule(String keys, String easing) {
        String name = "m" + next++;
        css.append("@keyframes ").append(name).append('{').append(keys).append("}.").append(name).append("{animation:").append(name).append(' ')
                .append(play).append(' ').append(easing).append("}\n");
        return name;
    }

    private String classes(String moves, String fades) {
        if (moves.isEmpty() && fades.isEmpty()) {
            return "";
        }
        // one element has both, by two names in one rule
        if (!moves.isEmpty() && !fades.isEmpty()) {
            css.append('.').append(moves).append(fades).append("{animation:").append(moves).append(' ').append(play).append(" linear,").append(fades)
                    .append(' ').append(play).append(" linear}\n");
            return moves + fades;
        }
        return moves + fades;
    }

    private String moves(List<FrameNode> at) {
        return keyed(at, List.of(n -> n.toParent().a(), n -> n.toParent().b(), n -> n.toParent().c(), n -> n.toParent().d(), n -> n.toParent().e(),
                n -> n.toParent().f()),
                new double[] {TURN, TURN, TURN, TURN, SHIFT, SHIFT}, n -> "transform:matrix(" + GradientText.matrix(n.toParent()).replace(' ', ',')
                + ")");
    }

    private String fades(List<FrameNode> at) {
        return keyed(at, List.of(FrameNode::opacity), new double[] {FADE}, n -> "opacity:" + Numbers.plain(n.opacity(), 4));
    }

    private String keyed(List<FrameNode> at, List<ToDoubleFunction<FrameNode>> values, double[] near, Function<FrameNode, String> said) {
        if (at.stream().allMatch(n -> same(at.getFirst(), n, values, near))) {
            return "";
        }
        var keys = new StringBuilder();
        int last = frames - 1;
        for (int i = 0; i <= last; ) {
            keys.append(percent(i)).append('{').append(said.apply(at.get(i))).append('}');
            if (i == last) {
                break;
            }
            int to = i + 1;
            while (to < last && straight(at, i, to + 1, values, near)) {
                to++;
            }
            i = to;
        }
        if (loops) {
            // the end is the beginning of the next round
            keys.append("100%{").append(said.apply(same(at.getLast(), at.getFirst(), values, new double[] {0.2, 0.2, 0.2, 0.2, 40, 40})
                    ? at.getFirst() : at.getLast())).append('}');
        }
        return rule(keys.toString(), "linear");
    }

    private static boolean same(FrameNode a, FrameNode b, List<ToDoubleFunction<FrameNode>> values, double[] near) {
        for (int i = 0; i < values.size(); i++) {
            if (Math.abs(values.get(i).applyAsDouble(a) - values.get(i).applyAsDouble(b)) > near[i] / 4) {
                return false;
            }
        }
        return true;
    }

    /** Whether all frames between two lie near the straight line from one to the other. */
    private static boolean straight(List<FrameNode> at, int from, int to, List<ToDoubleFunction<FrameNode>> values, double[] near) {
        for (int k = 0; k < values.size(); k++) {
            ToDoubleFunction<FrameNode> v = values.get(k);
            double a = v.applyAsDouble(at.get(from)), b = v.applyAsDouble(at.get(to));
            for (int i = from + 1; i < to; i++) {
                if (Math.abs(a + (b - a) * (i - from) / (to - from) - v.applyAsDouble(at.get(i))) > near[k]) {
                    return false;
                }
            }
        }
        return true;
    }
}
