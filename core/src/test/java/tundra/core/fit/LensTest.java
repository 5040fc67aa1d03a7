package tundra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Arrange;
import tundra.core.edit.Renewed;
import tundra.core.edit.Resting;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** The laws of layouts, on boards drawn by lot: what is read and written back is the same, and a change is exactly where it belongs. */
class LensTest {
    private static final List<String> LAYOUTS = RandomBoards.LAYOUTS;
    private static final FakeMeasurer MEASURE = new FakeMeasurer();
    private final Random random = new Random(11);
    private final RandomBoards boards = new RandomBoards(random);

    @Test
    void whatIsReadAndWrittenBackIsTheSame() {
        for (int i = 0; i < 120; i++) {
            Board b = boards.board();
            for (String l : LAYOUTS) {
                for (Lens.Scope scope : Lens.Scope.values()) {
                    assertThat(Lens.put(b, l, Lens.get(b, l), scope)).isEqualTo(b);
                    // also when it is another instance that is equal
                    Board copy = Lens.get(b, l).withElements(List.copyOf(new ArrayList<>(Lens.get(b, l).elements())));
                    assertThat(Lens.put(b, l, copy, scope)).isEqualTo(b);
                }
            }
        }
    }

    @Test
    void aChangeOfOneLayoutIsThereAlone() {
        for (int i = 0; i < 400; i++) {
            Board b = boards.board();
            String l = LAYOUTS.get(random.nextInt(3));
            Board edited = boards.changed(Lens.get(b, l));
            Board now = Lens.put(b, l, edited, Lens.Scope.ONLY_HERE);
            same(Lens.get(now, l), edited);
            assertThat(Lens.base(now)).as("the base stays").isEqualTo(Lens.base(b));
            LAYOUTS.stream().filter(x -> !x.equals(l)).forEach(x -> assertThat(Lens.get(now, x)).isEqualTo(Lens.get(b, x)));
        }
    }

    /** The same in each of its parts. */
    private static void same(Board is, Board wanted) {
        assertThat(is.size()).isEqualTo(wanted.size());
        assertThat(is.canvas()).isEqualTo(wanted.canvas());
        assertThat(is.reactions()).isEqualTo(wanted.reactions());
        assertThat(is.timelines()).isEqualTo(wanted.timelines());
        assertThat(is.elements().stream().map(Element::id).toList()).isEqualTo(wanted.elements().stream().map(Element::id).toList());
        Tree.each(wanted.elements(), e -> {
            if (e.children().isEmpty()) {
                assertThat(is.find(e.id())).isEqualTo(e);
            } else {
                assertThat(is.find(e.id()).rest()).isEqualTo(e.rest());
                assertThat(is.find(e.id()).children().stream().map(Element::id).toList()).isEqualTo(e.children().stream().map(Element::id).toList());
            }
        });
        assertThat(is).isEqualTo(wanted);
    }

    @Test
    void overriddenAndHandedBackIsAsBefore() {
        for (int i = 0; i < 300; i++) {
            Board b = boards.board().withLayouts(List.of(new Layout("phone", "Phone", 0, 560, new Point(360, 640)),
                    new Layout("tablet", "Tablet", 560, 960, new Point(768, 900))));
            Board now = Lens.put(b, "phone", boards.changed(Lens.get(b, "phone")), Lens.Scope.ONLY_HERE);
            Board back = now;
            for (Override o : Override.of(now.layout("phone").differs())) {
                back = back.mapLayout("phone", x -> x.withDiffers(Override.handedBack(x.differs(), o)));
            }
            assertThat(back).isEqualTo(b);
        }
    }

    @Test
    void aChangeOfTheBaseShowsExactlyWhereNothingDiffers() {
        for (int i = 0; i < 300; i++) {
            Board b = boards.board();
            List<String> ids = List.copyOf(Tree.ids(b.elements()));
            String id = ids.get(random.nextInt(ids.size()));
            Property<Double> p = random.nextBoolean() ? Properties.ROTATION : Properties.OPACITY;
            double value = random.nextInt(1000) / 1000.0;
            UnaryOperator<Board> change = x -> x.withRest(id, v -> v.with(p, value));
            Board now = Lens.put(b, null, change.apply(Lens.base(b)), Lens.Scope.EVERYWHERE);
            for (String l : LAYOUTS) {
                Values own = b.layout(l).differs().values().get(id);
                assertThat(Lens.get(now, l)).isEqualTo(own != null && own.has(p) ? Lens.get(b, l) : change.apply(Lens.get(b, l)));
            }
            // and as well when it is made in a layout for every layout
            Board from = Lens.put(b, "tablet", change.apply(Lens.get(b, "tablet")), Lens.Scope.EVERYWHERE);
            assertThat(Lens.get(from, "tablet")).isEqualTo(change.apply(Lens.get(b, "tablet")));
            assertThat(Lens.base(from).rest(id).get(p)).isEqualTo(Lens.get(from, "tablet").rest(id).get(p));
        }
    }

    private static List<String> painted(Board b, long time) {
        Frame f = new FrameBuilder(b, MEASURE).at(time);
        var out = new ArrayList<String>();
        f.index().values().stream().filter(p -> !p.node().marks().isEmpty())
                .forEach(p -> out.add(String.format(Locale.ROOT, "%s %.4f %.4f %.4f %.4f %.3f", p.node().id(), p.toCanvas().a(), p.toCanvas().b(),
                p.toCanvas().e(), p.toCanvas().f(), p.node().opacity())));
        out.sort(null);
        return out;
    }

    @Test
    void groupingInALayoutMovesNothingInAnyOther() {
        for (int i = 0; i < 200; i++) {
            Board b = boards.board();
            // keys of groups that are turned can't be carried exactly, so the parts stand on the canvas
            List<String> two = b.elements().stream().filter(e -> e.children().isEmpty()).map(Element::id).limit(2).toList();
            if (two.size() < 2) {
                continue;
            }
            Board seen = Lens.get(b, "phone");
            Board edited = Arrange.group(seen, two, new FrameBuilder(seen, MEASURE).at(0)).board();
            for (Lens.Scope scope : Lens.Scope.values()) {
                Board now = Lens.put(b, "phone", edited, scope);
                assertThat(painted(Lens.get(now, "phone"), 0)).isEqualTo(painted(edited, 0));
                assertThat(Lens.get(now, "phone").elements().stream().map(Element::id).toList()).isEqualTo(edited.elements().stream().map(Element::id)
                        .toList());
                for (String l : new String[] {null, "tablet", "low"}) {
                    for (long t : new long[] {0, 700_000}) {
                        assertThat(painted(Lens.get(now, l), t)).as("%s, %s at %d", scope, l, t).isEqualTo(painted(Lens.get(b, l), t));
                    }
                }
            }
        }
    }

    @Test
    void groupingTheBaseMovesNothingInAnyLayout() {
        int differed = 0;
        for (int i = 0; i < 200; i++) {
            Board b = boards.board();
            List<String> two = b.elements().stream().filter(e -> e.children().isEmpty()).map(Element::id).limit(2).toList();
            if (two.size() < 2) {
                continue;
            }
            Board seen = Lens.base(b);
            Board edited = Arrange.group(seen, two, new FrameBuilder(seen, MEASURE).at(0)).board();
            Board now = Lens.put(b, null, edited, Lens.Scope.EVERYWHERE);
            for (String l : new String[] {null, "phone", "tablet", "low"}) {
                differed += l != null && two.stream().anyMatch(id -> b.layout(l).differs().values().containsKey(id)) ? 1 : 0;
                for (long t : new long[] {0, 700_000}) {
                    assertThat(painted(Lens.get(now, l), t)).as("%s at %d", l, t).isEqualTo(painted(Lens.get(b, l), t));
                }
            }
        }
        assertThat(differed).as("layouts with values of what was grouped").isGreaterThan(20);
    }

    @Test
    void whatIsMadeOrDeletedInOneLayoutAloneIsSeenThereAlone() {
        Board b = boards.board();
        Element fresh = new Element("fresh", "Fresh", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50))
                .with(Properties.SIZE, new Point(20, 20)).with(Properties.FILL, Color.BLACK), new Content.Rectangle());
        Board now = Lens.put(b, "phone", Arrange.add(Lens.get(b, "phone"), fresh), Lens.Scope.ONLY_HERE);
        assertThat(painted(Lens.get(now, "phone"), 0)).anyMatch(x -> x.startsWith("fresh "));
        for (String l : new String[] {null, "tablet", "low"}) {
            assertThat(painted(Lens.get(now, l), 0)).isEqualTo(painted(Lens.get(b, l), 0));
        }
        String gone = b.elements().getFirst().id();
        Board less = Lens.put(b, "phone", Arrange.delete(Lens.get(b, "phone"), Set.of(gone)), Lens.Scope.ONLY_HERE);
        assertThat(less.find(gone)).isNotNull();
        assertThat(painted(Lens.get(less, "phone"), 0)).noneMatch(x -> x.startsWith(gone + " "));
        for (String l : new String[] {null, "tablet", "low"}) {
            assertThat(painted(Lens.get(less, l), 0)).isEqualTo(painted(Lens.get(b, l), 0));
        }
        Board everywhere = Lens.put(b, "phone", Arrange.delete(Lens.get(b, "phone"), Set.of(gone)), Lens.Scope.EVERYWHERE);
        assertThat(everywhere.find(gone)).isNull();
    }

    @Test
    void anIntroThatIsSkippedStandsAtItsEnd() {
        Board b = boards.board().withLayouts(List.of(new Layout("phone", "Phone", 0, 560, new Point(360, 640),
                Differs.NOTHING.withTimeline("t0", t -> t.withEnded(true)))));
        Board phone = Lens.get(b, "phone");
        assertThat(phone.timeline("t0").starts()).isFalse();
        for (var of : b.timeline("t0").tracks().entrySet()) {
            of.getValue().forEach((p, track) -> assertThat(Resting.of(phone, of.getKey(), p)).isEqualTo(track.keys().getLast().value()));
        }
        assertThat(Lens.put(b, "phone", phone, Lens.Scope.ONLY_HERE)).isEqualTo(b);
    }

    @Test
    void rangesNeverOverlapAndTheBaseHasTheRest() {
        Board b = boards.board();
        for (int i = 0; i < 500; i++) {
            List<Layout> all = b.layouts();
            b = switch (random.nextInt(all.isEmpty() ? 1 : 4)) {
                case 0 -> {
                    int from = random.nextInt(1800);
                    yield Layouts.add(b, "L", from, from + 1 + random.nextInt(900), new Point(500, 500), null);
                }
                case 1 -> Layouts.range(b, all.get(random.nextInt(all.size())).id(), random.nextInt(1800), random.nextInt(2500));
                case 2 -> Layouts.breakpoint(b, all.get(random.nextInt(all.size())).from(), random.nextInt(2000));
                default -> all.size() > 6 ? Layouts.delete(b, all.getFirst().id()) : b;
            };
            int at = 0;
            for (Layouts.Range r : Layouts.ranges(b)) {
                assertThat(r.from()).isEqualTo(at);
                assertThat(r.to()).isGreaterThan(at);
                at = r.to();
            }
            assertThat(at).isEqualTo(Layout.WIDEST);
        }
    }

    @Test
    void aDeletedLayoutChangesNoOtherAndACopiedBoardHasItsOwn() {
        Board b = boards.board();
        Board less = Layouts.delete(b, "tablet");
        assertThat(Lens.get(less, "phone")).isEqualTo(Lens.get(b, "phone"));
        assertThat(Lens.base(less)).isEqualTo(Lens.base(b));
        Board copy = Renewed.of(b);
        for (int i = 0; i < 3; i++) {
            String was = b.layouts().get(i).id(), now = copy.layouts().get(i).id();
            assertThat(painted(Lens.get(copy, now), 300_000).stream().map(x -> x.substring(x.indexOf(' '))).sorted().toList())
                    .isEqualTo(painted(Lens.get(b, was), 300_000).stream().map(x -> x.substring(x.indexOf(' '))).sorted().toList());
        }
    }

    @Test
    void anOverrideIsCopiedToAnotherLayoutAndMadeTheBases() {
        for (int i = 0; i < 120; i++) {
            Board b = boards.board();
            for (Override o : Override.of(b.layout("phone").differs())) {
                Board copied = b.mapLayout("tablet", x -> x.withDiffers(Override.copied(b.layout("phone").differs(), o, x.differs())));
                assertThat(Override.of(copied.layout("tablet").differs())).contains(o);
                assertThat(Override.handedBack(copied.layout("tablet").differs(), o)).isEqualTo(Override.handedBack(b.layout("tablet").differs(), o));
                if (!(o instanceof Override.Reacts) && !(o instanceof Override.Starts)) {
                    Board made = Override.toBase(b, "phone", o);
                    assertThat(Lens.get(made, "phone")).as("%s", o).isEqualTo(Lens.get(b, "phone"));
                    assertThat(made.size()).isEqualTo(b.size());
                }
            }
        }
    }
}
