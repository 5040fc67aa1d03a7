package tundra.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.UnaryOperator;
import tundra.core.edit.Arrange;
import tundra.core.edit.Drawings;
import tundra.core.flip.Ink;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Place;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.work.Progress;

/** The checks of one flipbook. */
final class FlipbookChecks {
    /** An empty stretch longer than this many seconds is meant. */
    private static final double FLASH = 0.17;
    private static final double SAME = 0.002;
    /** How far a copy that was pasted aside stands, in px. */
    private static final double ASIDE = 60;
    /** A drawing that stands off by less than this fraction of its height may be meant. */
    private static final double FAR = 0.5;
    private final Place scene;
    private final Element element;
    private final Flipbook book;
    private final FrameBuilder builder;
    private final ImageComparer eyes;
    private final double jump;
    private final Progress progress;
    private final List<Ink> inks = new ArrayList<>();
    private final List<Finding> out = new ArrayList<>();

    FlipbookChecks(Place scene, Element element, FrameBuilder builder, ImageComparer eyes, double jump, Progress progress) {
        this.scene = scene;
        this.element = element;
        this.book = (Flipbook) element.content();
        this.builder = builder;
        this.eyes = eyes;
        this.jump = jump;
        this.progress = progress;
    }

    List<Finding> run() {
        for (Drawing d : book.drawings()) {
            if (progress.cancelled()) {
                return out;
            }
            inks.add(d.art().hidden() ? Ink.NONE : Ink.of(builder.drawing(d, at(book.timeOf(d.start()))), eyes::picture));
        }
        blanks();
        repeats();
        sizes();
        loop();
        unseen();
        return out;
    }

    private boolean loops() {
        return book.ending() == Flipbook.Ending.LOOP;
    }

    private int longest() {
        return Math.max(2, (int) Math.floor(FLASH * book.rate()));
    }

    private String name(int i) {
        return book.title(i);
    }

    private void add(Check check, int drawing, long frame, String text, Finding.Fix fix) {
        out.add(new Finding(check, scene.id(), element.id(), drawing < 0 ? null : book.drawings().get(drawing).id(),
                book.timeOf(frame + (loops() ? turnSeen() : 0)),
                element.name() + ": " + text, fix));
    }

    private Finding.Fix fix(String name, UnaryOperator<Flipbook> change) {
        return new Finding.Fix(name, b -> b.find(element.id()) instanceof Element e && e.content().equals(book)
                ? b.mapElement(element.id(), x -> x.withContent(change.apply(book))) : b);
    }

    private static String frames(int n) {
        return n == 1 ? "1 frame" : n + " frames";
    }

    /** Short gaps, and drawings without anything on them, between drawings that show something. */
    private void blanks() {
        List<Drawing> all = book.drawings();
        int n = all.size(), first = -1, last = -1;
        for (int i = 0; i < n; i++) {
            if (!inks.get(i).empty()) {
                first = first < 0 ? i : first;
                last = i;
            }
        }
        for (int i = 0; i + 1 < n; i++) {
            int at = i, gap = all.get(i + 1).start() - all.get(i).end();
            if (gap > 0 && gap <= longest() && i >= first && i < last && !inks.get(i).empty() && !inks.get(i + 1).empty()) {
                add(Check.BLANK, i + 1, all.get(i).end(), frames(gap) + " without a drawing between " + name(i) + " and " + name(i + 1)
                        + " will flash.",
                        fix("Hold " + name(i) + " over the gap",
                        b -> b.withDrawings(replaced(b.drawings(), at, all.get(at).held(all.get(at).frames() + gap)))));
            }
        }
        for (int i = 0; i < n; i++) {
            boolean inside = first >= 0 && (loops() || i > first && i < last);
            // an empty drawing held for longer flashes as well: it was drawn to be there
            if (inks.get(i).empty() && inside && (all.get(i).frames() <= longest() || all.get(i).art().children().isEmpty())) {
                int at = i;
                boolean mends = i > 0 && !inks.get(i - 1).empty() && all.get(i).art().children().isEmpty();
                add(Check.BLANK, i, all.get(i).start(), name(i) + " shows nothing for " + frames(all.get(i).frames())
                        + (all.get(i).frames() <= longest() ? ", which will flash." : ": a gap in the run."),
                        mends ? fix("Hold " + name(i - 1) + " instead", b -> Drawings.merge(b, at - 1)) : null);
            }
        }
    }

    private static List<Drawing> replaced(List<Drawing> in, int at, Drawing by) {
        var out = new ArrayList<>(in);
        out.set(at, by);
        return out;
    }

    private void repeats() {
        for (int i = 0; i < book.drawings().size(); i++) {
            Drawing d = book.drawings().get(i);
            Drawing before = i > 0 ? book.drawings().get(i - 1) : null;
            stacked(i, d);
            if (before != null && !d.art().children().isEmpty() && SameArt.is(before.art(), d.art())) {
                int at = i;
                boolean touch = before.end() == d.start();
                add(Check.REPEATED, i, d.start(), name(i) + " is the same as " + name(i - 1) + "; holding that one longer would do.",
                        touch ? fix("Hold " + name(i - 1) + " instead", b -> Drawings.merge(b, at - 1)) : null);
            } else if (before != null) {
                leftover(i, before, d);
            }
        }
    }

    private void stacked(int i, Drawing d) {
        List<Element> parts = d.art().children();
        Set<String> gone = new HashSet<>();
        for (int a = 0; a < parts.size(); a++) {
            for (int b = a + 1; b < parts.size(); b++) {
                if (!gone.contains(parts.get(b).id()) && SameArt.is(parts.get(a), parts.get(b))) {
                    gone.add(parts.get(b).id());
                }
            }
        }
        if (!gone.isEmpty()) {
            add(Check.REPEATED, i, d.start(), name(i) + " holds " + (gone.size() == 1 ? "a part" : gone.size() + " parts")
                    + " twice in the same place.",
                    new Finding.Fix("Delete the copies", board -> Arrange.delete(board, gone)));
        }
    }

    /** A part that stayed where it was while a copy of it moved on, or that was pasted aside of the one that goes on. */
    private void leftover(int i, Drawing before, Drawing d) {
        List<Element> parts = d.art().children();
        for (Element p : parts) {
            boolean stayed = before.art().children().stream().anyMatch(x -> SameArt.is(x, p));
            boolean moved = stayed && parts.stream().anyMatch(x -> x != p && SameArt.form(x, p) && !SameArt.is(x, p)
                    && before.art().children().stream().noneMatch(y -> SameArt.is(y, x)));
            if (moved) {
                add(Check.REPEATED, i, d.start(), p.name() + " in " + name(i) + " looks left over: it stands where it stood in " + name(i - 1)
                        + " while a copy of it moved on.", null);
                return;
            }
        }
        aside(i, parts, before);
    }

    /** A second copy of a part beside it, which the drawing before did not have. */
    private void aside(int i, List<Element> parts, Drawing before) {
        for (int a = 0; a < parts.size(); a++) {
            for (int b = a + 1; b < parts.size(); b++) {
                Element p = parts.get(a), q = parts.get(b);
                if (SameArt.form(p, q) && !SameArt.is(p, q) && count(before.art().children(), p) < count(parts, p)
                        && p.rest().get(Properties.POSITION).distance(q.rest().get(Properties.POSITION)) <= ASIDE) {
                    add(Check.REPEATED, i, book.drawings().get(i).start(), q.name() + " in " + name(i) + " looks left over: it is a copy of "
                            + p.name()
                            + " a little aside, and " + name(i - 1) + " has it once.",
                            new Finding.Fix("Delete " + q.name(), board -> Arrange.delete(board, Set.of(q.id()))));
                    return;
                }
            }
        }
    }

    private static long count(List<Element> parts, Element like) {
        return parts.stream().filter(x -> SameArt.form(x, like)).count();
    }

    private void sizes() {
        List<Integer> drawn = new ArrayList<>();
        for (int i = 0; i < inks.size(); i++) {
            if (!inks.get(i).empty()) {
                drawn.add(i);
            }
        }
        int n = drawn.size();
        for (int k = 0; k < n; k++) {
            boolean first = k == 0, last = k == n - 1;
            if (n < 2 || first && !loops()) {
                continue;
            }
            int i = drawn.get(k), before = drawn.get(Math.floorMod(k - 1, n)), after = drawn.get((k + 1) % n);
            double change = Ink.change(inks.get(before), inks.get(i));
            // one that differs from both its neighbours, which are alike, is the one that is meant; its neighbour is not
            boolean back = n > 2 && alone(drawn.get(Math.floorMod(k - 2, n)), before, i, k > 1 || loops());
            boolean mine = n > 2 && (!last || loops()) && alone(before, i, after, true);
            if (Math.abs(change) > jump && (!back || mine)) {
                add(Check.SIZE, i, book.drawings().get(i).start(), String.format(Locale.ROOT, "%s covers %.0f%% %s than %s.", name(i),
                        Math.abs(change) * 100, change > 0 ? "more" : "less", name(before)), null);
            }
            heights(i, before, after);
        }
    }

    /** Whether a drawing differs in size from the one before and the one after it, while these two are alike. */
    private boolean alone(int before, int i, int after, boolean there) {
        return there && before != after && Math.abs(Ink.change(inks.get(before), inks.get(i))) > jump
                && Math.abs(Ink.change(inks.get(i), inks.get(after))) > jump
                && Math.abs(Ink.change(inks.get(before), inks.get(after))) <= jump;
    }

    /** A drawing whose feet stand far above or below those of both its neighbours. */
    private void heights(int i, int before, int after) {
        if (before == i || after == i || before == after) {
            return;
        }
        double tall = inks.get(i).bounds().height(), feet = inks.get(i).bounds().bottom();
        double up = inks.get(before).bounds().bottom() - feet, down = inks.get(after).bounds().bottom() - feet;
        if (tall > 0 && up * down > 0 && Math.min(Math.abs(up), Math.abs(down)) > tall * Math.max(jump, FAR)) {
            add(Check.SIZE, i, book.drawings().get(i).start(),
                    String.format(Locale.ROOT, "%s jumps %s: its feet stand %.0f px %s those of its neighbours.", name(i),
                    up > 0 ? "up" : "down", Math.min(Math.abs(up), Math.abs(down)), up > 0 ? "above" : "below"), null);
        }
    }

    private void loop() {
        List<Drawing> all = book.drawings();
        int n = all.size();
        if (!loops() || n < 3 || progress.cancelled()) {
            return;
        }
        long turn = turnSeen();
        double most = 0;
        for (int i = 0; i + 1 < n; i++) {
            if (progress.cancelled()) {
                return;
            }
            most = Math.max(most, eyes.difference(placed(i, turn + all.get(i).end() - 1), placed(i + 1, turn + all.get(i + 1).start())));
        }
        double ends = eyes.difference(placed(n - 1, turn + book.end() - 1), placed(0, turn + book.end()));
        if (ends > Math.max(SAME, most * 1.25)) {
            add(Check.LOOP, n - 1, all.getLast().start(), String.format(Locale.ROOT,
                    "its loop jumps: %s and %s differ by %.0f%%, neighbours by %.0f%% at most.", name(n - 1), name(0), ends * 100, most * 100), null);
        }
    }

    /** The first frame of the first turn that begins while the flipbook is seen. */
    private long turnSeen() {
        long from = 0;
        for (String id : scene.board().path(element.id())) {
            Span s = scene.board().main().shown().get(id);
            from = s == null ? from : Math.max(from, s.from());
        }
        int period = book.end() - book.start();
        long late = book.frameAt(from) - book.start();
        long turn = late <= 0 ? 0 : (late + period - 1) / period * period;
        return book.timeOf(turn + book.end()) <= scene.board().main().duration() ? turn : 0;
    }

    /** A drawing where the flipbook carries it at a frame. */
    private FrameNode placed(int i, long frame) {
        long t = Math.min(book.timeOf(frame), scene.board().main().duration());
        FrameNode n = builder.drawing(book.drawings().get(i), at(t));
        return n.withPlacement(FrameBuilder.placed(builder.valuesAt(element.id(), at(t)), book.box()).times(n.toParent()));
    }

    private Moment at(long time) {
        return Moment.main(scene.board(), time);
    }

    private void unseen() {
        Board board = scene.board();
        List<String> path = board.path(element.id());
        for (int i = 0; i < book.drawings().size(); i++) {
            Drawing d = book.drawings().get(i);
            if (d.art().hidden()) {
                add(Check.UNSEEN, i, d.start(), name(i) + " is hidden and never shows.", null);
            } else if (!seen(board, path, d)) {
                add(Check.UNSEEN, i, d.start(), name(i) + " never shows: " + (book.timeOf(d.start()) >= board.main().duration()
                        ? board.main().name() + " ends before it comes." : "the flipbook is not seen then."), null);
            }
        }
    }

    /** Whether any frame shows a drawing while the flipbook and all around it are seen. */
    private boolean seen(Board board, List<String> path, Drawing d) {
        long duration = board.main().duration();
        int period = loops() ? Math.max(1, book.end() - book.start()) : Integer.MAX_VALUE;
        for (long at = d.start(); book.timeOf(at) < duration; at += period) {
            for (long f = at; f < at + d.frames() && book.timeOf(f) < duration; f++) {
                long t = book.timeOf(f);
                if (path.stream().allMatch(id -> board.main().shown().get(id) == null || board.main().shown().get(id).contains(t))) {
                    return true;
                }
            }
        }
        return false;
    }
}
