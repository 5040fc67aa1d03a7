package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Objects;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.command.CommandIds;
import tundra.app.studio.Desk;
import tundra.app.widget.LightButton;
import tundra.core.file.Savable;
import tundra.core.fit.Lens;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Layouts by mouse and keyboard in the real window: made, worked on, handed back, and where a change goes. */
class AdaptTest extends InWindow {
    @BeforeEach
    void twoBoxes() throws Exception {
        draw(100, 100, 200, 160);
        draw(300, 200, 380, 260);
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ADAPT);
            return null;
        });
        t.settle();
    }

    private void draw(double x, double y, double right, double bottom) throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(x, y), t.canvas(right, bottom));
        t.settle();
    }

    private Board base() throws Exception {
        return RealWindow.fx(() -> t.studio.base());
    }

    private Element first() throws Exception {
        return RealWindow.fx(() -> t.studio.board().elements().getFirst());
    }

    private void make(String preset) throws Exception {
        t.run(CommandIds.LAYOUT_NEW + preset);
        t.settle();
    }

    @Test
    void aChangeInALayoutStaysThereUnlessItIsMeantForAll() throws Exception {
        Project before = RealWindow.fx(() -> t.studio.kept());
        make("PHONE");
        assertThat(RealWindow.fx(() -> t.studio.layout().name())).isEqualTo("Phone");
        assertThat(RealWindow.fx(() -> t.studio.board().size())).isEqualTo(new Point(360, 640));
        String id = first().id();
        Point drawn = base().find(id).rest().get(Properties.POSITION);
        RealWindow.fx(() -> {
            t.studio.select(List.of(id));
            return null;
        });
        t.keys(KeyCode.RIGHT);
        t.settle();
        assertThat(first().rest().get(Properties.POSITION)).isEqualTo(drawn.plus(new Point(1, 0)));
        assertThat(base().find(id).rest().get(Properties.POSITION)).as("the scene as drawn").isEqualTo(drawn);
        // for every layout: the base follows, what differs here no longer does
        t.click("layout-every");
        t.keys(KeyCode.DOWN);
        t.settle();
        assertThat(base().find(id).rest().get(Properties.POSITION)).isEqualTo(drawn.plus(new Point(1, 1)));
        assertThat(base().layouts().getFirst().differs().none()).isTrue();
        // two nudges in a row are one step, and making the layout is one
        for (int i = 0; i < 2; i++) {
            t.run("undo");
        }
        assertThat(RealWindow.fx(() -> t.studio.kept())).isEqualTo(before);
        assertThat(RealWindow.fx(() -> t.studio.layout())).as("a layout that is gone is not worked on").isNull();
    }

    @Test
    void whatIsDrawnAndDraggedGoesWhereTheBarSays() throws Exception {
        make("TABLET");
        int many = base().elements().size();
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.settle();
        draw(400, 300, 460, 360);
        assertThat(base().elements()).hasSize(many + 1);
        String made = base().elements().getLast().id();
        assertThat(base().find(made).rest().get(Properties.SHOWN)).as("drawn in one layout alone").isEqualTo("no");
        assertThat(RealWindow.fx(() -> t.studio.board().find(made).rest().get(Properties.SHOWN))).isEqualTo("yes");
        t.run("undo");
        String id = first().id();
        Point drawn = base().find(id).rest().get(Properties.POSITION);
        t.drag(t.canvas(drawn.x(), drawn.y()), t.canvas(drawn.x() + 60, drawn.y() + 40));
        t.settle();
        assertThat(base().find(id).rest().get(Properties.POSITION)).isEqualTo(drawn);
        assertThat(first().rest().get(Properties.POSITION)).isNotEqualTo(drawn);
        // a drag that is given up leaves nothing
        Project kept = RealWindow.fx(() -> t.studio.kept());
        Point now = first().rest().get(Properties.POSITION);
        t.dragHold(t.canvas(now.x(), now.y()), t.canvas(now.x() + 30, now.y() + 30));
        t.keys(KeyCode.ESCAPE);
        t.up();
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.kept())).isEqualTo(kept);
    }

    @Test
    void keysInALayoutLeaveThoseOfTheBase() throws Exception {
        String id = first().id();
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            t.studio.select(List.of(id));
            return null;
        });
        t.run("key");
        RealWindow.fx(() -> {
            t.studio.time().seek(1_000_000);
            return null;
        });
        t.keys(KeyCode.RIGHT);
        t.settle();
        Timeline wide = base().main();
        assertThat(wide.tracksOf(id)).isNotEmpty();
        make("PHONE");
        t.keys(KeyCode.RIGHT);
        t.settle();
        assertThat(base().main()).as("the base's keys").isEqualTo(wide);
        assertThat(base().layouts().getFirst().differs().timelines()).containsKey(wide.id());
        assertThat(RealWindow.fx(() -> t.studio.timeline().tracksOf(id))).isNotEqualTo(wide.tracksOf(id));
    }

    @Test
    void theTableGoesThereAndHandsBack() throws Exception {
        make("PHONE");
        make("TABLET");
        String id = first().id(), tablet = RealWindow.fx(() -> t.studio.layout().id());
        RealWindow.fx(() -> {
            t.studio.select(List.of(id));
            return null;
        });
        t.keys(KeyCode.RIGHT);
        t.settle();
        // the row, its cells as drawn, of Phone and of Tablet
        t.node("differs-1-2");
        List<String> cells = RealWindow.fx(() -> t.window.workshop().canvas.getScene().getRoot().lookupAll(".differs-cell").stream()
                .map(n -> ((Button) n).getText() + (n.getStyleClass().contains("own") ? "!" : "")).toList());
        assertThat(cells).hasSize(3);
        assertThat(cells.get(0)).isEqualTo(cells.get(1));
        assertThat(cells.get(2)).endsWith("!").isNotEqualTo(cells.get(0) + "!");
        t.click("differs-1-1");
        assertThat(RealWindow.fx(() -> t.studio.layout().name())).isEqualTo("Phone");
        t.until(() -> t.window.workshop().canvas.getScene().getRoot().lookupAll(".differs-head.worked-on").stream()
                .anyMatch(n -> ((Label) n).getText().equals("Phone")));
        t.click("differs-1-2");
        assertThat(RealWindow.fx(() -> t.studio.layout().id())).isEqualTo(tablet);
        assertThat(RealWindow.fx(() -> List.copyOf(t.studio.selection()))).containsExactly(id);
        t.run(CommandIds.HAND_BACK);
        t.settle();
        assertThat(base().layout(tablet).differs().none()).isTrue();
        t.until(() -> t.window.workshop().canvas.getScene().getRoot().lookupAll(".differs-cell").isEmpty());
    }

    @Test
    void breakpointsAreDraggedAndTheNeighboursGiveWay() throws Exception {
        make("PHONE");
        make("TABLET");
        Node ruler = t.node("width-ruler");
        double width = RealWindow.fx(() -> ruler.getBoundsInLocal().getWidth());
        double end = Math.max(1600, Math.max(RealWindow.fx(() -> t.studio.base().size().x()), 960) + 300);
        t.drag(RealWindow.fx(() -> t.screen(ruler, 16 + 560 / end * (width - 32), 35)),
                RealWindow.fx(() -> t.screen(ruler, 16 + 700 / end * (width - 32), 35)));
        t.settle();
        List<Layout> all = base().layouts();
        assertThat(all.get(0).to()).isEqualTo(all.get(1).from()).isBetween(690, 710);
        assertThat(all.get(1).to()).isEqualTo(960);
        t.run("undo");
        assertThat(base().layouts().getFirst().to()).as("one step").isEqualTo(560);
        // by keyboard: from layout to layout, and away
        t.run("layout-wider");
        assertThat(RealWindow.fx(() -> t.studio.layout())).isNull();
        t.run("layout-wider");
        assertThat(RealWindow.fx(() -> t.studio.layout().name())).isEqualTo("Phone");
        t.run(CommandIds.LAYOUT_DELETE);
        t.settle();
        assertThat(base().layouts()).extracting(Layout::name).containsExactly("Tablet");
        assertThat(RealWindow.fx(() -> t.studio.layout())).isNull();
    }

    @Test
    void thePageThatIsTriedHasTheLayouts() throws Exception {
        make("PHONE");
        String id = first().id();
        RealWindow.fx(() -> {
            t.studio.select(List.of(id));
            return null;
        });
        t.keys(KeyCode.RIGHT);
        t.settle();
        Board kept = base();
        assertThat(Lens.get(kept, kept.layouts().getFirst().id()).find(id)).isNotEqualTo(kept.find(id));
        t.run("try");
        var page = new TriedPage(t);
        page.until("String(Tundra.pieces.length === 1 && Tundra.pieces[0].shown.layout)", "Phone");
        assertThat(page.ask("String(document.querySelectorAll('main > template').length)")).isEqualTo("1");
    }

    @Test
    void tiesAreChosenAndAnyWidthIsTried() throws Exception {
        String id = first().id();
        double x = base().find(id).rest().get(Properties.POSITION).x();
        RealWindow.fx(() -> {
            t.studio.select(List.of(id));
            t.studio.edit("Tie", b -> b.withRest(id, v -> v.with(Properties.TIE_X, "right")));
            return null;
        });
        t.settle();
        Project kept = RealWindow.fx(() -> t.studio.kept());
        t.fill("layout-try", "900");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.board().size().x())).isEqualTo(900);
        assertThat(first().rest().get(Properties.POSITION).x()).isEqualTo(x + 900 - 640);
        assertThat(RealWindow.fx(() -> t.studio.kept())).as("only tried").isEqualTo(kept);
        t.run("undo");
        assertThat(RealWindow.fx(() -> t.studio.board().size().x())).isEqualTo(640);
        assertThat(first().rest().get(Properties.TIE_X)).isEqualTo("right");
        // a change that is made while a width is tried begins with what is kept
        t.fill("layout-try", "900");
        t.settle();
        RealWindow.fx(() -> {
            t.studio.edit("Move", b -> b.withRest(id, v -> v.with(Properties.POSITION, v.get(Properties.POSITION).plus(new Point(5, 0)))));
            return null;
        });
        assertThat(base().size().x()).isEqualTo(640);
        assertThat(base().find(id).rest().get(Properties.POSITION).x()).isEqualTo(x + 5);
    }

    /** Of all that there is. */
    private void makeAMotif() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(t.studio.board().elements().stream().map(Element::id).toList());
            return null;
        });
        t.run("motif-make");
        t.settle();
        t.keys(KeyCode.ENTER);
    }

    @Test
    void whoComesBackFindsTheLayoutThatWasLeft() throws Exception {
        make("PHONE");
        String phone = RealWindow.fx(() -> t.studio.layout().id()), scene = RealWindow.fx(() -> t.studio.place().id());
        makeAMotif();
        assertThat(RealWindow.fx(() -> t.studio.layout().id())).isEqualTo(phone);
        assertThat(Savable.problem(RealWindow.fx(() -> t.studio.kept()))).isNull();
        RealWindow.fx(() -> {
            t.studio.select(List.of(t.studio.board().elements().getFirst().id()));
            return null;
        });
        t.run("motif-open");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.layout())).isNull();
        assertThat(RealWindow.fx(() -> t.studio.place().id())).isNotEqualTo(scene);
        t.run("motif-up");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.place().id())).isEqualTo(scene);
        assertThat(RealWindow.fx(() -> t.studio.layout().id())).isEqualTo(phone);
        // and so does one whose layout was deleted and is there again
        t.run(CommandIds.LAYOUT_DELETE);
        assertThat(RealWindow.fx(() -> t.studio.layout())).isNull();
        t.run("undo");
        assertThat(RealWindow.fx(() -> t.studio.layout().id())).isEqualTo(phone);
        assertThat(RealWindow.fx(() -> t.studio.board().size())).isEqualTo(new Point(360, 640));
    }

    @Test
    void whereItBreaksALayoutBegins() throws Exception {
        // the second box ends at 380, and is the first to leave a narrower canvas
        double end = RealWindow.fx(() -> t.studio.picture().frame().find(t.studio.board().elements().getLast().id()).bounds().right());
        int breaks = (int) Math.ceil(end - 0.5) - 1;
        t.run(CommandIds.BREAKS);
        t.node("break-" + breaks);
        t.click("break-" + breaks);
        t.settle();
        Layout made = RealWindow.fx(() -> t.studio.layout());
        assertThat(made.from()).isZero();
        assertThat(made.to()).isEqualTo(breaks + 1);
        assertThat(made.size()).isEqualTo(new Point(breaks, 400));
        // the same from there, and equal parts of the width
        RealWindow.fx(() -> {
            t.studio.select(t.studio.board().elements().stream().map(Element::id).toList());
            return null;
        });
        t.run(CommandIds.SHARE_WIDTH);
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.board().elements().stream().map(e -> e.rest().get(Properties.SIZE).x()).distinct().count()))
                .isEqualTo(1);
        assertThat(first().rest().get(Properties.WIDTH_IN)).isEqualTo("%");
        assertThat(base().elements().getFirst().rest().get(Properties.WIDTH_IN)).as("only in the layout").isEqualTo("px");
    }

    @Test
    void anIntroIsSkippedInALayout() throws Exception {
        String id = first().id();
        RealWindow.fx(() -> {
            t.studio.edit("Fade", b -> b.mapTimeline(b.main().id(), m -> m.with(id, Properties.OPACITY, new Track<>(List.of(
                    new Key<>(0, 0.0, Easing.LINEAR), new Key<>(1_000_000, 0.8, Easing.LINEAR))))));
            return null;
        });
        make("PHONE");
        t.click("layout-ended");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.board().main().starts())).isFalse();
        assertThat(first().rest().get(Properties.OPACITY)).isEqualTo(0.8);
        assertThat(base().main().starts()).isTrue();
        t.run("undo");
        assertThat(RealWindow.fx(() -> t.studio.board().main().starts())).isTrue();
    }

    private void select(String id) throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of(id));
            return null;
        });
        t.settle();
    }

    @Test
    void theDiagramTiesEachSideAndSaysInWhat() throws Exception {
        String id = first().id();
        select(id);
        double left = 100, right = 640 - 200;
        assertThat(RealWindow.fx(() -> ((LightButton) t.node("tie-unit-left")).getText())).isEqualTo("left 100 px");
        t.click("tie-right");
        t.settle();
        assertThat(first().rest().get(Properties.TIE_X)).isEqualTo("both sides");
        assertThat(RealWindow.fx(() -> ((LightButton) t.node("tie-unit-right")).getText())).isEqualTo("right 440 px");
        t.click("tie-unit-right");
        t.settle();
        assertThat(first().rest().get(Properties.RIGHT_IN)).isEqualTo("%");
        assertThat(RealWindow.fx(() -> ((LightButton) t.node("tie-unit-right")).getText())).isEqualTo("right 68.8 %");
        t.click("tie-left");
        t.settle();
        assertThat(first().rest().get(Properties.TIE_X)).isEqualTo("right");
        t.click("tie-right");
        t.settle();
        assertThat(first().rest().get(Properties.TIE_X)).isEqualTo("middle");
        t.click("tie-bottom");
        t.settle();
        assertThat(first().rest().get(Properties.TIE_Y)).isEqualTo("both sides");
        for (int i = 0; i < 5; i++) {
            t.run("undo");
        }
        assertThat(first().rest().get(Properties.TIE_X)).isEqualTo("left");
        assertThat(left + right).isEqualTo(640 - 100);
    }

    @Test
    void aWidthIsTriedOnTheRulerInItsLayoutWhilePlaying() throws Exception {
        make("PHONE");
        t.run("layout-wider");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.layout())).isNull();
        Project kept = RealWindow.fx(() -> t.studio.kept());
        Node ruler = t.node("width-ruler");
        // its widths begin 16 px from the left, and as many px lie before the right end
        double wide = RealWindow.fx(() -> ruler.getLayoutBounds().getWidth()) - 32;
        double end = Math.max(1600, 640 + 300);
        t.run("play");
        t.dragHold(RealWindow.fx(() -> t.screen(ruler, 16 + 700 / end * wide, 50)), RealWindow.fx(() -> t.screen(ruler, 16 + 300 / end * wide, 50)));
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.layout().name())).isEqualTo("Phone");
        assertThat(RealWindow.fx(() -> t.studio.board().size().x())).isBetween(295.0, 305.0);
        assertThat(RealWindow.fx(() -> t.studio.board().size().y())).isEqualTo(640);
        assertThat(RealWindow.fx(() -> t.studio.time().playing())).isTrue();
        t.up();
        t.run("play");
        assertThat(RealWindow.fx(() -> t.studio.kept())).isEqualTo(kept);
        t.fill("layout-try-h", "500");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.board().size().y())).isEqualTo(500);
    }

    @Test
    void layoutsStandSideBySideAndAPressWorksOnOne() throws Exception {
        assertThat(RealWindow.fx(() -> t.stage.getScene().lookup("#side-by-side").isVisible())).isFalse();
        make("PHONE");
        make("TABLET");
        String phone = "face-" + base().layouts().getFirst().id();
        t.click(phone);
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.layout().name())).isEqualTo("Phone");
        t.until(() -> image(phone) != null);
        var before = RealWindow.fx(() -> image(phone));
        t.click("face-base");
        assertThat(RealWindow.fx(() -> t.studio.layout())).isNull();
        // what is changed everywhere is seen in all of them
        select(first().id());
        t.keys(KeyCode.SHIFT, KeyCode.RIGHT);
        t.until(() -> image(phone) != before);
    }

    private Image image(String face) {
        return ((ImageView) t.stage.getScene().lookup("#" + face).lookup(".image-view")).getImage();
    }

    @Test
    void whatIsOfTheLayoutIsMarkedAndHandedBackWhereItStands() throws Exception {
        make("PHONE");
        String id = first().id();
        select(id);
        Node row = RealWindow.fx(() -> t.node("field-position-x").getParent());
        assertThat(row.getStyleClass()).doesNotContain("own-here");
        t.keys(KeyCode.RIGHT);
        t.settle();
        Node marked = RealWindow.fx(() -> t.node("field-position-x").getParent());
        assertThat(marked.getStyleClass()).contains("own-here");
        assertThat(RealWindow.fx(() -> t.node("field-size-w").getParent().getStyleClass())).doesNotContain("own-here");
        t.rightClick(RealWindow.fx(() -> t.screen(marked, 20, 10)));
        t.choose("hand-back-row");
        t.settle();
        assertThat(base().layouts().getFirst().differs().none()).isTrue();
        assertThat(RealWindow.fx(() -> t.node("field-position-x").getParent()).getStyleClass()).doesNotContain("own-here");
        // keys, on the lanes
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.run("key");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.layouts().differs())).isNotEmpty();
        t.run(CommandIds.HAND_BACK_KEYS);
        t.settle();
        assertThat(base().layouts().getFirst().differs().none()).isTrue();
        assertThat(RealWindow.fx(() -> t.studio.board().main().tracks())).isEmpty();
    }

    /** A motif that is opened in place gets a layout; its instances show it where they are narrow. */
    @Test
    void aMotifHasLayoutsForItsInstancesWidths() throws Exception {
        makeAMotif();
        String instance = base().elements().getFirst().id();
        select(instance);
        t.run("motif-open");
        t.settle();
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ADAPT);
            return null;
        });
        t.settle();
        double wide = base().size().x();
        t.run(CommandIds.LAYOUT_HALF);
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.board().size().x())).isEqualTo(Math.round(wide / 2));
        String inner = first().id();
        select(inner);
        t.keys(KeyCode.SHIFT, KeyCode.DOWN);
        t.settle();
        Point half = first().rest().get(Properties.POSITION);
        assertThat(half).as("only in the layout").isNotEqualTo(base().find(inner).rest().get(Properties.POSITION));
        t.run("motif-up");
        t.settle();
        Affine whole = inside(instance);
        RealWindow.fx(() -> {
            t.studio.edit("Smaller", b -> b.withRest(instance, v -> v.with(Properties.SCALE, new Point(0.5, 0.5))));
            return null;
        });
        t.settle();
        Affine narrow = inside(instance);
        assertThat(narrow).isNotEqualTo(whole);
        assertThat(narrow.apply(new Point(1, 0)).minus(narrow.apply(Point.ZERO)).x()).as("as wide as the instance: twice")
                .isEqualTo(wide / Math.round(wide / 2));
        t.run("undo");
        assertThat(inside(instance)).isEqualTo(whole);
    }

    /** Where the first of what an instance shows stands in it. */
    private Affine inside(String instance) throws Exception {
        return RealWindow.fx(() -> t.studio.picture().frame().find(instance).node().children().getFirst().toParent());
    }

    /** A move that is worked out in a layout is tried and taken there. */
    @Test
    void aMoveIsWorkedOutInALayout() throws Exception {
        make("PHONE");
        String id = first().id();
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        select(id);
        t.run("helper-Appear");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.board().main().tracksOf(id))).as("tried").isNotEmpty();
        assertThat(base().main().tracksOf(id)).isEmpty();
        t.click("helper-take");
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.board().main().tracksOf(id))).as("taken").isNotEmpty();
        assertThat(base().main().tracksOf(id)).as("in this layout only").isEmpty();
        assertThat(RealWindow.fx(() -> t.studio.layout().name())).isEqualTo("Phone");
        t.run("undo");
        assertThat(RealWindow.fx(() -> t.studio.board().main().tracksOf(id))).isEmpty();
    }

    /** What reacts in one layout alone is listed there alone, and isn't offered to the whole piece, which has no layouts. */
    @Test
    void whatReactsInALayoutAloneStaysInIt() throws Exception {
        make("PHONE");
        goesBack("phone");
        assertThat(base().reactions()).isEmpty();
        t.click("sentence-menu-1");
        assertThat(entries()).contains("duplicate-reaction").doesNotContain("other-reach");
        t.keys(KeyCode.ESCAPE);
        RealWindow.fx(() -> {
            t.studio.layouts().setLayout(null);
            return null;
        });
        t.settle();
        assertThat(RealWindow.fx(() -> t.stage.getScene().lookup("#sentence-menu-1"))).isNull();
        goesBack("drawn");
        t.click("sentence-menu-1");
        assertThat(entries()).contains("other-reach");
        t.keys(KeyCode.ESCAPE);
    }

    /** A reaction that could stand anywhere, made where the window is. */
    private void goesBack(String id) throws Exception {
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.INTERACT);
            t.studio.edit("React", b ->
                    b.withReactions(List.of(new Reaction(id, Events.of(Events.KEY_PRESSED, "B"), List.of(Actions.of(Actions.BACK))))));
            return null;
        });
        t.settle();
    }

    private static List<String> entries() throws Exception {
        return RealWindow.fx(() -> Window.getWindows().stream().filter(w -> w instanceof ContextMenu).flatMap(w -> ((ContextMenu) w).getItems()
                .stream()).map(MenuItem::getId)
                .filter(Objects::nonNull).toList());
    }
}
