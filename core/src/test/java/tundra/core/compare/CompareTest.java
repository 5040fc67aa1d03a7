package tundra.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.FileProblem;
import tundra.core.file.ProjectFile;
import tundra.core.file.ProjectFolder;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Two versions of a piece: what is different, and both in one. */
class CompareTest {
    @TempDir
    private Path folder;

    private static Element box(String id, double x) {
        return new Element(id, "Box " + id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 50))
                .with(Properties.SIZE, new Point(40, 30)), new Content.Rectangle());
    }

    private static Project piece() {
        var elements = new ArrayList<Element>();
        for (int i = 0; i < 6; i++) {
            elements.add(box("b" + i, 40 * i));
        }
        elements.add(new Element("g", "Group", false, false, Values.NONE, new Content.Group(List.of(box("in", 10), box("in2", 60)),
                new Point(100, 100))));
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()).with("b0", Properties.ROTATION, track(0, 45));
        var one = new Board(new Point(400, 200), Values.NONE, elements, List.of(main), List.of());
        var two = new Board(new Point(400, 200), Values.NONE, List.of(box("z", 9)),
                List.of(new Timeline("main2", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        return new Project("p", "Piece", 24, List.of(new Scene("s1", "First", one), new Scene("s2", "Second", two)), Map.of(), Map.of());
    }

    private static Track<Double> track(double from, double to) {
        return new Track<>(List.of(new Key<>(0, from, Easing.LINEAR), new Key<>(1_000_000, to, Easing.LINEAR)));
    }

    private static UnaryOperator<Project> on(UnaryOperator<Board> change) {
        return p -> p.mapBoard("s1", change);
    }

    @Test
    void whatChangedIsSaidInWords() {
        Project p = piece(), q = p;
        q = on(b -> b.mapElement("b1", e -> e.with(Properties.POSITION, new Point(99, 50)).with(Properties.FILL, Color.parse("#C23B3B")))).apply(q);
        q = on(b -> b.mapElement("b2", e -> e.withName("Lantern"))).apply(q);
        q = on(b -> b.withElements(b.elements().stream().filter(e -> !e.id().equals("b3")).toList())).apply(q);
        q = on(b -> b.mapTimeline("main", t -> t.withDuration(3_000_000).with("b0", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(500_000, 10.0, Easing.LINEAR),
                new Key<>(1_000_000, 90.0, Easing.LINEAR)))))).apply(q);
        q = on(b -> b.withReactions(List.of(new Reaction("r", Events.tapped("b1"), List.of(Actions.of(Actions.HIDE, List.of("b4"))))))).apply(q);
        q = q.withName("Other").mapBoard("s2", b -> b);
        assertThat(Differences.of(p, q)).containsExactlyInAnyOrder(
                "Name of the piece: “Piece” → “Other”.",
                "Position of “Box b1” in “First”: 40, 50 → 99, 50.",
                "Fill of “Box b1” in “First”: as usual → #C23B3B.",
                "“Box b2” in “First” is called “Lantern”.",
                "“Box b3” in “First” was taken away.",
                "Duration of timeline “Main” in “First”: 2 s → 3 s.",
                "Rotation of “Box b0” on timeline “Main” in “First”: 1 key added, 1 key changed.",
                "A reaction in “First” was added: when Box b1 is tapped.");
        assertThat(Differences.of(p, piece())).isEmpty();
        assertThat(Differences.of(p, p.withScenes(List.of(p.scenes().getFirst())))).containsExactly("Scene “Second” was taken away.");
        assertThat(Differences.of(p.withScenes(List.of(p.scenes().getFirst())), p)).containsExactly("Scene “Second” was added.");
    }

    /** Changes that touch different things, of many kinds. */
    private static List<UnaryOperator<Project>> changes() {
        var out = new ArrayList<UnaryOperator<Project>>();
        out.add(on(b -> b.mapElement("b0", e -> e.with(Properties.OPACITY, 0.5))));
        out.add(on(b -> b.mapElement("b1", e -> e.with(Properties.POSITION, new Point(7, 7)))));
        out.add(on(b -> b.mapElement("b1", e -> e.withName("Renamed"))));
        out.add(on(b -> b.mapElement("in", e -> e.with(Properties.ROTATION, 12.0))));
        out.add(on(b -> b.mapElement("in2", e -> e.withHidden(true))));
        out.add(on(b -> b.mapTimeline("main", t -> t.with("b2", Properties.OPACITY, track(0, 1)))));
        out.add(on(b -> b.mapTimeline("main", t -> t.with("b3", Properties.ROTATION, track(5, 6)))));
        out.add(on(b -> b.mapTimeline("main", t -> t.withDuration(5_000_000))));
        out.add(on(b -> b.withElements(b.elements().stream().filter(e -> !e.id().equals("b5")).toList())));
        out.add(p -> p.mapBoard("s2", b -> b.withElements(Stream.concat(b.elements().stream(), Stream.of(box("new", 3))).toList())));
        out.add(p -> p.withName("Called otherwise"));
        out.add(on(b -> b.withReactions(List.of(new Reaction("r", Events.tapped("b0"), List.of(Actions.of(Actions.HIDE, List.of("b1"))))))));
        return out;
    }

    @Test
    void whatTwoDidToDifferentThingsIsAllThere() throws Exception {
        Project base = piece();
        var random = new Random(7);
        for (int run = 0; run < 60; run++) {
            List<UnaryOperator<Project>> all = changes();
            Collections.shuffle(all, random);
            int some = random.nextInt(all.size() + 1);
            Project mine = base, theirs = base, both = base;
            for (int i = 0; i < all.size(); i++) {
                mine = i < some ? all.get(i).apply(mine) : mine;
                theirs = i < some ? theirs : all.get(i).apply(theirs);
                both = all.get(i).apply(both);
            }
            var merged = Merge.of(base, mine, theirs, Merge.Side.MINE);
            assertThat(merged.conflicts()).isEmpty();
            assertThat(ProjectFile.bytes(merged.project())).isEqualTo(ProjectFile.bytes(both));
        }
    }

    @Test
    void whatBothChangedIsToldAndOneOfThemCounts() throws Exception {
        Project base = piece();
        Project mine = on(b -> b.mapElement("b1", e -> e.with(Properties.ROTATION, 10.0))).apply(base),
                theirs = on(b -> b.mapElement("b1", e -> e.with(Properties.ROTATION, 20.0))).apply(base);
        for (Merge.Side side : Merge.Side.values()) {
            var merged = Merge.of(base, mine, theirs, side);
            assertThat(merged.conflicts()).containsExactly("Rotation of “Box b1” in “First” was changed in both");
            assertThat(merged.project().scenes().getFirst().board().find("b1").rest().get(Properties.ROTATION)).isEqualTo(side == Merge.Side.MINE
                    ? 10.0 : 20.0);
        }
        // taken away by one, changed by the other
        Project gone = on(b -> b.withElements(b.elements().stream().filter(e -> !e.id().equals("b1")).toList())).apply(base);
        assertThat(Merge.of(base, gone, theirs, Merge.Side.MINE).conflicts()).containsExactly("“Box b1” in “First” was changed in both");
        // a reaction of one names what the other took away: it goes with it
        Project names = on(b -> b.withReactions(List.of(new Reaction("r", Events.tapped("b1"), List.of(Actions.of(Actions.HIDE, List.of("b1")))))))
                .apply(base);
        assertThatThrownBy(() -> Merge.of(base, gone, names, Merge.Side.MINE)).isInstanceOf(FileProblem.class)
                .hasMessageStartingWith("The two can't be joined: ").hasMessageContaining("Nothing was written");
    }

    @Test
    void aFolderHoldsAllOfAPieceAndStaysInOrder() throws Exception {
        Project p = piece();
        Path to = folder.resolve("unpacked");
        ProjectFolder.unpack(p, to);
        String first = Files.readString(to.resolve("project.json"));
        assertThat(ProjectFile.bytes(ProjectFolder.pack(to))).isEqualTo(ProjectFile.bytes(p));
        Files.writeString(to.resolve("notes.txt"), "mine");
        Project q = on(b -> b.mapElement("b1", e -> e.with(Properties.ROTATION, 10.0))).apply(p);
        ProjectFolder.unpack(q, to);
        List<String> before = first.lines().toList(), after = Files.readAllLines(to.resolve("project.json"));
        assertThat(after.stream().filter(l -> !before.contains(l)).toList()).as("only the lines of what changed").hasSizeLessThanOrEqualTo(3);
        assertThat(to.resolve("notes.txt")).hasContent("mine");
        Path other = Files.createDirectories(folder.resolve("other"));
        Files.writeString(other.resolve("x"), "x");
        assertThatThrownBy(() -> ProjectFolder.unpack(p, other)).hasMessageContaining("holds other things");
        assertThatThrownBy(() -> ProjectFolder.pack(other)).hasMessageContaining("holds no project.json");
        Files.writeString(to.resolve("project.json"), "{}");
        assertThatThrownBy(() -> ProjectFolder.pack(to)).isInstanceOf(FileProblem.class).hasMessageContaining("can't be packed");
    }
}
