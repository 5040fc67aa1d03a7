package tundra.app;

import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import javafx.scene.input.KeyCode;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tundra.app.command.Command;
import tundra.app.studio.Desk;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** What is done to ten times as many elements takes no more than fourteen times as long: every command, with all selected. */
@Tag("long")
class CostTest extends InWindow {
    private static final int FEW = Integer.getInteger("cost.few", 120);
    /** Below so much processor time a ratio says nothing, in ms. */
    private static final double FLOOR = 25;
    /** So often both numbers are measured again at most. */
    private static final int AGAIN = 3;
    /** They leave the window or the project, open panels, or are undo itself. */
    private static final Set<String> LEFT_OUT = Set.of("new", "lesson", "new-window", "start-page", "canvas-alone", "open", "save", "save-as",
            "quit", "undo", "redo", "redo-too", "try", "open-browser", "theme",
            "publish", "checks", "find", "bring-in", "copy-picture", "copy-svg");

    /** What does something else while animating. */
    private static final Pattern KEYS = Pattern.compile("key|nudge|paste|cut|delete|duplicate|group|align|turn|time");

    /** Rectangles in rows, every third with keys for its position, every seventh in a group with another. */
    static Project piece(int n) {
        var elements = new ArrayList<Element>();
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of());
        var tracks = new LinkedHashMap<String, Map<Property<?>, Track<?>>>();
        for (int i = 0; i < n; i++) {
            Point at = new Point(10 + 12 * (i % 100), 10 + 12 * (i / 100.0));
            Element e = box("e" + i, at);
            if (i % 7 == 0) {
                e = new Element("g" + i, "Group " + i, false, false, Values.NONE.with(Properties.POSITION, at),
                        new Content.Group(List.of(box("e" + i, new Point(5, 5))), new Point(10, 10), null));
            }
            elements.add(e);
            if (i % 3 == 0) {
                tracks.put(e.id(), Map.of(Properties.POSITION,
                        new Track<>(List.of(new Key<>(0, at, Easing.LINEAR), new Key<>(2_000_000, at.plus(new Point(50, 0)), Easing.LINEAR)))));
            }
        }
        Project p = Project.empty("Many", new Point(1280, 1280), 24);
        return p.mapBoard(p.scenes().getFirst().id(), b -> new Board(b.size(), b.canvas(), elements, List.of(main.withAll(tracks)), List.of()));
    }

    private static Element box(String id, Point at) {
        return new Element(id, "Box " + id, false, false, Values.NONE.with(Properties.POSITION, at).with(Properties.SIZE, new Point(10, 10))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private static double cpu() {
        return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() / 1e6;
    }

    /** The least of a few runs, in ms of the interface thread. */
    private Map<String, Double> costs(int n) throws Exception {
        Project p = piece(n);
        List<String> ids = p.scenes().getFirst().board().elements().stream().map(Element::id).toList();
        var out = new TreeMap<String, Double>();
        for (Desk desk : List.of(Desk.DRAW, Desk.ANIMATE)) {
            List<Command> all = t.w.commands.all().stream().filter(c -> !LEFT_OUT.contains(c.id()) && !c.id().startsWith("desk-") && !c.id()
                    .startsWith("helper-")
                    && !c.id().startsWith("tool-") && !c.id().startsWith("combine-") && (desk == Desk.DRAW || KEYS.matcher(c.id()).find())).toList();
            // in one turn of the interface thread: what the window shows of it is not what is measured
            RealWindow.fx(() -> {
                for (Command c : all) {
                    double least = Double.MAX_VALUE;
                    for (int run = 0; run < 10 && (run == 0 || least > FLOOR); run++) {
                        t.studio.open(p, null);
                        t.studio.setDesk(desk);
                        t.studio.time().seek(1_000_000);
                        t.studio.select(ids);
                        t.studio.picture().frame();
                        double from = cpu();
                        t.w.commands.run(c.id());
                        // what all who show it ask for
                        t.studio.board().elements().size();
                        t.studio.picture().frame();
                        least = Math.min(least, cpu() - from);
                    }
                    out.put(c.id() + " " + desk, least);
                }
                return null;
            });
            t.settle();
        }
        return out;
    }

    /** What ten times as many may cost, in ms. */
    private static double most(Map<String, Double> few, String name) {
        return Math.max(FLOOR, 14 * few.get(name));
    }

    private Map<String, Double> compared(Costs costs) throws Exception {
        costs.of(FEW);
        Map<String, Double> few = costs.of(FEW), many = costs.of(10 * FEW);
        // what else the machine did meanwhile is not what it costs: both are measured again, in turns, so that both meet its quick and slow phases
        for (int i = 0; i < AGAIN && many.entrySet().stream().anyMatch(e -> e.getValue() >= most(few, e.getKey())); i++) {
            costs.of(FEW).forEach((name, ms) -> few.merge(name, ms, Math::min));
            costs.of(10 * FEW).forEach((name, ms) -> many.merge(name, ms, Math::min));
        }
        var soft = new SoftAssertions();
        many.entrySet().stream().sorted(Map.Entry.<String, Double>comparingByValue().reversed()).limit(12)
                .forEach(e -> System.out.printf("Costs of %d: %s %.1f ms, of a tenth %.1f ms%n", 10 * FEW, e.getKey(), e.getValue(),
                few.get(e.getKey())));
        many.forEach((name, ms) -> soft.assertThat(ms).as(name + " of " + FEW + " took " + few.get(name) + " ms").isLessThan(most(few, name)));
        soft.assertAll();
        return many;
    }

    private interface Costs {
        Map<String, Double> of(int n) throws Exception;
    }

    /** Without the areas that are put together: what they cost depends on how they cross. */
    @Test
    void everyCommand() throws Exception {
        compared(this::costs);
    }

    private void open(Project p) throws Exception {
        RealWindow.fx(() -> {
            t.studio.open(p, null);
            t.studio.setDesk(Desk.DRAW);
            t.studio.select(p.scenes().getFirst().board().elements().stream().map(Element::id).toList());
            t.w.canvas.fit();
            return null;
        });
        t.settle();
    }

    @Test
    void draggingAndFinding() throws Exception {
        compared(n -> {
            open(piece(n));
            var out = new TreeMap<String, Double>();
            for (String tool : List.of("find", "drag", "arrow key", "marquee")) {
                double least = Double.MAX_VALUE;
                for (int run = 0; run < 3; run++) {
                    double from = cpuOfInterface();
                    switch (tool) {
                        case "find" -> RealWindow.fx(() -> t.w.commands.find("ro"));
                        case "drag" -> t.drag(t.canvas(15, 15), t.canvas(45, 35));
                        case "arrow key" -> t.keys(KeyCode.RIGHT);
                        default -> t.drag(t.canvas(1275, 1275), t.canvas(600, 5));
                    }
                    t.settle();
                    least = Math.min(least, cpuOfInterface() - from);
                    if (tool.equals("marquee")) {
                        RealWindow.fx(() -> t.w.commands.run("select-all"));
                    }
                }
                out.put(tool, least);
            }
            return out;
        });
    }

    private double cpuOfInterface() throws Exception {
        return RealWindow.fx(CostTest::cpu);
    }
}
