package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tundra.app.command.Command;
import tundra.app.studio.Desk;
import tundra.core.edit.Keys;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Every command of the registry, with nothing and with many things selected: none fails, and whatever one changes one undo takes back. */
@Tag("long")
class EveryCommandTest extends InWindow {
    /** They leave the window or the project, or are undo itself. */
    private static final Set<String> LEFT_OUT = Set.of("new", "lesson", "new-window", "start-page", "canvas-alone", "open", "save", "save-as",
            "quit", "undo", "redo", "try", "open-browser", "theme");

    /** With several elements they run on every desk. */
    private static List<Desk> desks(Selected what) {
        return what == Selected.SEVERAL ? List.of(Desk.values()) : List.of(Desk.DRAW, Desk.ANIMATE);
    }

    /** What is selected before a command runs. */
    enum Selected {
        NOTHING, GROUP("Sled"), TEXT("Title"), FLIPBOOK("Hare"), SEVERAL("Sled", "Title", "Tower", "Hub"), KEYS("Sled"),
        HIDDEN("Tower"), LOCKED("Tower"), EMPTY_GROUP("Nothing in it"), UNSEEN("Tower"), WITHOUT_SIZE("Tower");

        private final String[] names;

        Selected(String... names) {
            this.names = names;
        }
    }

    private Project demo;

    /** The demo piece with the odd things in it that a selection can be. */
    private Project piece(Selected what) {
        return demo.mapBoard(demo.scenes().getFirst().id(), b -> switch (what) {
            // the hare's drawings by themselves
            case FLIPBOOK -> b.mapElement("s-hare", e -> e.withContent(demo.motif("m-hare").board().find("m-hare-run").content()));
            case HIDDEN -> named(b, e -> e.withHidden(true));
            case LOCKED -> named(b, e -> e.withLocked(true));
            case UNSEEN -> named(b, e -> e.withRest(e.rest().with(Properties.OPACITY, 0.0)));
            case WITHOUT_SIZE -> named(b, e -> e.withRest(e.rest().with(Properties.SCALE, new Point(0, 0))));
            case EMPTY_GROUP -> b.withElements(Stream.concat(b.elements().stream(),
                    Stream.of(new Element("odd", "Nothing in it", false, false, Values.NONE, new Content.Group(List.of(), new Point(0, 0), null))))
                    .toList());
            default -> b;
        });
    }

    private static Board named(Board b, UnaryOperator<Element> change) {
        return b.withElements(b.elements().stream().map(e -> e.name().equals("Tower") ? change.apply(e) : e).toList());
    }

    /** On the interface thread. */
    private void select(Selected what, Desk desk) {
        t.w.playback.stop();
        t.studio.open(piece(what), null);
        t.studio.setDesk(desk);
        var ids = new ArrayList<String>();
        for (String n : what.names) {
            ids.add(t.studio.board().elements().stream().filter(e -> e.name().equals(n)).map(Element::id).findFirst().orElseThrow());
        }
        t.studio.select(ids);
        t.studio.time().seek(3_000_000);
        if (what == Selected.KEYS) {
            t.studio.time().choose(t.studio.board().timelines().get(1).id());
            t.studio.time().selectKeys(List.of(new Keys.Ref(ids.getFirst(), Properties.POSITION, 1_500_000),
                    new Keys.Ref(ids.getFirst(), Properties.POSITION, 3_625_000)));
        }
    }

    private List<Command> tried() {
        return t.w.commands.all().stream().filter(c -> !LEFT_OUT.contains(c.id()) && !c.id().startsWith("desk-") && !c.id().startsWith("helper-"))
                .toList();
    }

    @ParameterizedTest
    @EnumSource(Selected.class)
    void whatACommandChangesOneUndoTakesBack(Selected what) throws Exception {
        demo = ProjectFile.read(Path.of(System.getProperty("tundra.samples"), "open-night.tundra"));
        var soft = new SoftAssertions();
        var ran = new ArrayList<String>();
        var changed = new LinkedHashSet<String>();
        List<Command> all = tried();
        for (Desk desk : desks(what)) {
            // some between two pictures of the window
            for (int from = 0; from < all.size(); from += 60) {
                List<Command> some = all.subList(from, Math.min(all.size(), from + 60));
                RealWindow.fx(() -> {
                    select(what, desk);
                    return null;
                });
                RealWindow.fx(() -> {
                    some.forEach(c -> once(c, what, desk, ran, changed, soft));
                    return null;
                });
                t.until(() -> !t.w.jobs.busy());
                leavePanels();
            }
        }
        soft.assertAll();
        System.out.printf("%s: %d commands ran, %d of them changed the piece%n", what, ran.size(), changed.size());
        assertThat(ran).hasSizeGreaterThan(60);
        assertThat(changed).hasSizeGreaterThan(what == Selected.NOTHING ? 3 : 12);
    }

    /** Runs a command, takes back what it changed and does it again. */
    private void once(Command c, Selected what, Desk desk, List<String> ran, Set<String> changed, SoftAssertions soft) {
        select(what, desk);
        Project before = t.studio.project();
        if (!t.w.commands.run(c.id())) {
            return;
        }
        ran.add(c.id());
        if (t.studio.project() == before) {
            return;
        }
        changed.add(c.id());
        String name = t.studio.history().undoName();
        soft.assertThat(name).as("%s on %s names what it did", c.id(), desk).isNotBlank();
        t.studio.history().undo();
        soft.assertThat(t.studio.project()).as("%s on %s is taken back by one undo of «%s»", c.id(), desk, name).isSameAs(before);
        t.studio.history().redo();
        soft.assertThat(t.studio.project()).as("%s on %s is done again", c.id(), desk).isNotSameAs(before);
    }

    private void leavePanels() throws Exception {
        RealWindow.fx(() -> {
            if (t.stage.getScene().lookup("#checks-close") instanceof Button b) {
                b.fire();
            }
            return null;
        });
    }

    @Test
    void everyCommandSaysWhatItDoesInBothStates() throws Exception {
        demo = ProjectFile.read(Path.of(System.getProperty("tundra.samples"), "open-night.tundra"));
        for (Selected what : Selected.values()) {
            RealWindow.fx(() -> {
                select(what, Desk.DRAW);
                return null;
            });
            for (Command c : t.w.commands.all()) {
                String name = RealWindow.fx(() -> c.name().get());
                assertThat(name).as(c.id()).isNotBlank().doesNotContain("null");
                assertThat(Character.isUpperCase(name.charAt(0))).as("%s: %s", c.id(), name).isTrue();
            }
        }
    }
}
