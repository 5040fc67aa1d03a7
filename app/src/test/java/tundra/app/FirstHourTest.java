package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.builtin.Workshop;
import tundra.app.command.Command;
import tundra.app.help.HelpPage;
import tundra.app.output.LastMade;
import tundra.app.start.Sample;
import tundra.app.window.MainWindow;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** The start page, the help, the lesson, hints and shortcuts, in the real window. */
class FirstHourTest extends InWindow {
    @TempDir
    private Path folder;

    private void on(Runnable work) throws Exception {
        RealWindow.fx(() -> {
            work.run();
            return null;
        });
    }

    private boolean there(String id) {
        return t.stage.getScene().lookup("#" + id) != null;
    }

    @Test
    void theStartPageOffersFilesPurposesSamplesAndLeavesByEscape() throws Exception {
        Path file = folder.resolve("Two lamps.tundra");
        on(() -> t.w.files.save(file, () -> { }));
        t.until(() -> file.equals(t.studio.file()));
        assertThat(ProjectFile.picture(file)).as("a picture for lists of files").startsWith(0x89, 'P', 'N', 'G');
        t.run("start-page");
        t.until(() -> there("start-recent"));
        t.keys(KeyCode.ESCAPE);
        t.until(() -> !there("start"));
        t.run("start-page");
        for (String size : List.of("page", "square", "phone", "icon", "drawn")) {
            assertThat(((Region) t.node("start-new-" + size)).getHeight()).as("px, of " + size).isBetween(30.0, 70.0);
        }
        t.fire("start-new-story");
        t.until(() -> t.studio.kept().scenes().getFirst().board().size().equals(new Point(1080, 1920)));
        assertThat(there("start")).isFalse();
        for (Sample s : Sample.values()) {
            t.run("start-page");
            t.fire("start-" + s.help().substring("sample-".length()));
            String name = s.read().name();
            t.until(() -> t.studio.kept().name().equals(name));
            assertThat(t.studio.file()).as("a sample is never written over").isNull();
            assertThat(HelpPage.byKey(s.help())).as(s.help()).isNotNull();
        }
        t.run("start-page");
        t.fire("start-recent");
        t.until(() -> file.equals(t.studio.file()));
    }

    /** A window as an empty start opens it. */
    private MainWindow started() throws Exception {
        return RealWindow.fx(() -> {
            var w = new Workshop(TundraApp.blank(), t.w.settings, t, url -> { });
            var window = new MainWindow(w);
            var stage = new Stage();
            window.offerStart();
            window.open(stage, 1000, 640);
            stage.setOnHidden(e -> w.close());
            stage.show();
            return window;
        });
    }

    private static Node found(MainWindow window, String id) {
        return window.workshop().notices.getScene().lookup("#" + id);
    }

    private void close(MainWindow window) {
        ((Stage) window.workshop().notices.getScene().getWindow()).close();
    }

    @Test
    void theStartPageIsSeenBeforeTheDeskBehindIt() throws Exception {
        MainWindow window = started();
        on(() -> {
            assertThat(found(window, "start")).isNotNull();
            assertThat(window.complete()).as("all that is to be seen").isTrue();
            assertThat(found(window, "edge-right")).as("nothing stands behind it yet").isNull();
        });
        t.until(() -> found(window, "edge-left") != null && found(window, "edge-right") != null && found(window, "tool-options") != null);
        t.until(() -> found(window, "start").getScene().getFocusOwner() == found(window, "start-possible"));
        on(() -> ((Button) found(window, "start-close")).fire());
        t.until(() -> found(window, "start") == null && window.workshop().canvas.isFocused());
        on(() -> close(window));
    }

    @Test
    void whoLeavesTheStartPageAtOnceHasAllOfTheWindow() throws Exception {
        MainWindow window = started();
        on(() -> {
            ((Button) found(window, "start-new-square")).fire();
            assertThat(found(window, "start")).isNull();
            assertThat(found(window, "edge-left")).isNotNull();
            assertThat(found(window, "edge-right")).isNotNull();
            assertThat(window.workshop().canvas.getScene()).isNotNull();
        });
        t.until(() -> window.workshop().studio.kept().scenes().getFirst().board().size().equals(new Point(1080, 1080)));
        t.until(window.workshop().canvas::isFocused);
        on(() -> close(window));
    }

    @Test
    void everyPageOfTheHelpNamesCommandsThatThereAreAndPanelsThatThereAre() throws Exception {
        List<String> ids = t.w.commands.all().stream().map(Command::id).toList();
        for (HelpPage p : HelpPage.ALL) {
            assertThat(ids).as(p.key()).containsAll(p.commands());
            assertThat(p.things()).as(p.key()).hasSize(3);
            assertThat(p.purpose()).as(p.key()).endsWith(".");
            for (String panel : p.panels()) {
                if (!panel.equals("-")) {
                    try (var all = Files.walk(Path.of("src/main/java"))) {
                        assertThat(all.map(x -> x.getFileName().toString())).as(p.key()).contains(panel + ".java");
                    }
                }
            }
        }
        assertThat(HelpPage.ALL.stream().map(HelpPage::key)).doesNotHaveDuplicates();
    }

    @Test
    void helpOpensWhereTheKeyboardIsAndIsSearched() throws Exception {
        t.keys(KeyCode.F1);
        t.until(() -> t.label("help-title").equals("The canvas"));
        t.keys(KeyCode.ESCAPE);
        t.until(() -> !there("help"));
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.keys(KeyCode.F1);
        t.until(() -> t.label("help-title").equals("The timeline"));
        on(() -> ((TextField) t.stage.getScene().lookup("#help-query")).setText("bead rotor nothing"));
        t.until(() -> t.stage.getScene().lookup("#help").lookupAll("*").stream().anyMatch(n -> n instanceof Text x && x.getText()
                .equals("No page holds these words.")));
        on(() -> ((TextField) t.stage.getScene().lookup("#help-query")).setText("onion"));
        t.until(() -> t.stage.getScene().lookup("#help").lookupAll(".hyperlink").stream().anyMatch(n -> ((Hyperlink) n).getText()
                .equals("Flipbooks")));
        // and it is found by name
        assertThat(t.w.commands.find("help flipbooks").commands().getFirst().name().get()).isEqualTo("Help: Flipbooks");
    }

    @Test
    void theLessonTicksOffWhatIsReallyDone() throws Exception {
        t.run("lesson");
        t.until(() -> t.label("lesson-head").endsWith("0 of 8"));
        // something else is no step
        t.keys(KeyCode.R);
        t.drag(t.canvas(20, 20), t.canvas(60, 60));
        assertThat(RealWindow.fx(() -> t.label("lesson-head"))).endsWith("0 of 8");
        t.keys(KeyCode.E);
        t.drag(t.canvas(100, 100), t.canvas(200, 200));
        t.until(() -> t.label("lesson-head").matches(".* [12] of 8"));
        String sun = t.studio.selection().iterator().next();
        on(() -> t.studio.edit("Colour", b -> b.mapElement(sun, e -> e.with(Properties.FILL, Color.parse("#DB7A22")))));
        t.until(() -> t.label("lesson-head").endsWith("2 of 8"));
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.until(() -> t.label("lesson-head").endsWith("3 of 8"));
        var track = new Track<>(List.of(new Key<>(0, new Point(150, 250), Easing.LINEAR), new Key<>(1_000_000, new Point(150, 100), Easing.LINEAR)));
        on(() -> t.studio.edit("Key", b -> b.mapTimeline(b.main().id(), x -> x.with(sun, Properties.POSITION, track))));
        t.until(() -> t.label("lesson-head").endsWith("4 of 8"));
        t.keys(KeyCode.SPACE);
        t.until(() -> t.label("lesson-head").endsWith("5 of 8"));
        t.keys(KeyCode.SPACE);
        on(() -> t.studio.edit("Say",
                b -> b.withReactions(List.of(new Reaction("r", Events.tapped(sun), List.of(Actions.of(Actions.PLAY_FROM_START, b.main().id())))))));
        t.until(() -> t.label("lesson-head").endsWith("6 of 8"));
        t.keys(KeyCode.CONTROL, KeyCode.T);
        t.until(() -> t.label("lesson-head").endsWith("7 of 8"));
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        on(() -> new LastMade(1, "one page", "x", folder).keep(t.w.settings, t.studio.kept(), t.studio.kept().outputs().getFirst()));
        t.until(() -> t.label("lesson-head").equals("Your first piece is made"));
        t.fire("lesson-close");
        t.until(() -> !there("lesson"));
    }

    @Test
    void hintsGoOnceTheirWorkIsDone() throws Exception {
        on(() -> {
            t.w.settings.all("hint.").keySet().forEach(k -> t.w.settings.remember("hint." + k, null));
            t.studio.open(TundraApp.blank(), null);
        });
        t.until(() -> t.label("hint-words").startsWith("Press R, E or P"));
        t.keys(KeyCode.R);
        t.drag(t.canvas(20, 20), t.canvas(160, 160));
        t.until(() -> t.label("hint-words").isEmpty());
        on(() -> t.studio.open(TundraApp.blank(), null));
        RealWindow.pulses(2);
        assertThat(RealWindow.fx(() -> t.label("hint-words"))).as("once done it is not said again").isEmpty();
        t.keys(KeyCode.ALT, KeyCode.DIGIT4);
        t.until(() -> t.label("hint-words").startsWith("Click the ruler above"));
        t.run("hints");
        t.until(() -> t.label("hint-words").isEmpty());
        t.run("hints");
        t.until(() -> t.label("hint-words").startsWith("Click the ruler above"));
    }

    @SuppressWarnings("unchecked")
    @Test
    void shortcutsAreChangedTakenFromOthersWrittenAndRead() throws Exception {
        var keys = t.w.commands.keys();
        t.run("shortcuts");
        on(() -> ((TextField) t.stage.getScene().lookup("#shortcuts-query")).setText("group"));
        on(() -> {
            var list = (ListView<Command>) t.stage.getScene().lookup("#shortcuts-list");
            list.getSelectionModel().select(t.w.commands.get("group"));
        });
        t.fire("shortcuts-change");
        t.keys(KeyCode.CONTROL, KeyCode.D);
        t.until(() -> t.label("shortcuts-said").startsWith("Ctrl D does “Duplicate with its keys” now."));
        t.fire("shortcuts-anyway");
        assertThat(t.w.commands.get("group").shortcutText()).isEqualTo("Ctrl D");
        assertThat(t.w.commands.get("duplicate").shortcut()).isNull();
        t.fire("shortcuts-change");
        t.keys(KeyCode.ENTER);
        t.until(() -> t.label("shortcuts-said").contains("does something else wherever the keyboard is"));
        Path file = folder.resolve("keys.txt");
        t.fileToSave = file;
        t.fire("shortcuts-write");
        assertThat(Files.readAllLines(file)).containsExactlyInAnyOrder("duplicate = ", "group = Shortcut+D");
        // kept for the next run
        assertThat(t.w.settings.all("keys.")).containsEntry("group", "Shortcut+D").containsEntry("duplicate", "");
        t.fire("shortcuts-standard");
        assertThat(t.w.commands.get("group").shortcutText()).isEqualTo("Ctrl G");
        on(() -> keys.reset("duplicate"));
        assertThat(t.w.settings.all("keys.")).isEmpty();
        t.fileToOpen = file;
        t.fire("shortcuts-read");
        assertThat(t.w.commands.get("group").shortcutText()).isEqualTo("Ctrl D");
        t.fire("shortcuts-close");
        // and it does what it says
        on(() -> t.studio.edit("Two", b -> b.withElements(List.of(element("a"), element("b")))));
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.keys(KeyCode.CONTROL, KeyCode.D);
        t.until(() -> t.studio.kept().scenes().getFirst().board().elements().size() == 1);
        // further keys of a command work without being commands
        t.keys(KeyCode.BACK_SPACE);
        t.until(() -> t.studio.kept().scenes().getFirst().board().elements().isEmpty());
        on(() -> {
            keys.reset("group");
            keys.reset("duplicate");
        });
    }

    private static Element element(String id) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50)), new Content.Rectangle());
    }
}
