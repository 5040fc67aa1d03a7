package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.studio.Desk;
import tundra.core.edit.PropertyEdit;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.MapData;
import tundra.core.model.Project;
import tundra.core.model.Properties;

/** Whole jobs from an empty piece, by mouse and keyboard, until the page does what was wanted. */
@Tag("long")
class JobsTest extends InWindow {
    @TempDir
    private Path folder;

    private Board board() throws Exception {
        return RealWindow.fx(t.studio::board);
    }

    private void draw(KeyCode tool, double x, double y, double toX, double toY) throws Exception {
        t.keys(tool);
        t.drag(t.canvas(x, y), t.canvas(toX, toY));
    }

    private void select(String... names) throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(Arrays.stream(names).map(n -> t.studio.board().elements().stream().filter(e -> e.name().equals(n)).findFirst()
                    .orElseThrow().id()).toList());
            return null;
        });
        t.settle();
    }

    private void rename(String name) throws Exception {
        t.keys(KeyCode.F2);
        t.untilTyping();
        t.type(name);
        t.keys(KeyCode.ENTER);
        t.until(() -> t.studio.selected() != null && t.studio.selected().name().equals(name));
    }

    /** Chooses from the list that a word of a sentence opens. */
    private void pick(String chip, String words) throws Exception {
        t.click(chip);
        ListView<?> list = t.popup("#picker-list");
        RealWindow.fx(() -> {
            list.getSelectionModel().select(list.getItems().indexOf(list.getItems().stream().filter(x -> x.toString().contains(words)).findFirst()
                    .orElseThrow(() -> new AssertionError(words + " in " + list.getItems()))));
            list.requestFocus();
            return null;
        });
        t.keys(KeyCode.ENTER);
        t.settle();
    }

    private TriedPage tried() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.T);
        var page = new TriedPage(t);
        t.until(() -> t.window.tryView().page().loaded() != null);
        page.until("typeof Tundra === 'object' && Tundra.pieces.length === 1", "true");
        return page;
    }

    private static String tap(String label) {
        return "document.querySelector('[aria-label=\"" + label + "\"]').click()";
    }

    /** A menu that opens and closes, in five steps: the panel, the button, their names, both chosen, one command. */
    @Test
    void aMenuThatOpensAndCloses() throws Exception {
        draw(KeyCode.R, 380, 60, 600, 300);
        draw(KeyCode.E, 560, 10, 620, 50);
        select("Rectangle", "Ellipse");
        t.keys(KeyCode.CONTROL, KeyCode.K);
        t.untilTyping();
        t.type("menu");
        t.keys(KeyCode.ENTER);
        t.settle();
        assertThat(RealWindow.fx(t.studio::desk)).isEqualTo(Desk.INTERACT);
        TriedPage page = tried();
        String panel = "String(+getComputedStyle(document.querySelector('main section > div')).opacity)";
        page.until(panel, "0");
        page.ask(tap("Ellipse"));
        page.until(panel, "1");
        page.until("document.querySelector('[aria-label=Ellipse]').getAttribute('aria-expanded')", "true");
        page.ask(tap("Ellipse"));
        page.until(panel, "0");
    }

    private void at(String field, double v) throws Exception {
        t.fill("field-" + field, Numbers.plain(v, 2));
        t.settle();
    }

    private void place(double x, double y) throws Exception {
        at("position-x", x);
        at("position-y", y);
    }

    /**
     * From a wide page with a menu at its side: on a tablet the menu lies on top, on a phone it is folded and slides in and out, and the opening is
     * skipped.
     */
    @Test
    void aMenuForEveryWindow() throws Exception {
        draw(KeyCode.R, 0, 0, 638, 398);
        rename("Ground");
        draw(KeyCode.R, 10, 60, 130, 380);
        rename("Panel");
        t.keys(KeyCode.T);
        t.click(t.canvas(220, 40));
        t.until(t.w.typing::active);
        t.type("Open night at the station");
        t.keys(KeyCode.ESCAPE);
        t.settle();
        // the opening: the words come in over a second
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.settle();
        t.run("helper-Appear");
        t.click("helper-take");
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ADAPT);
            return null;
        });
        t.settle();
        String words = RealWindow.fx(() -> t.studio.selected().id()), panel = board().elements().get(1).id();
        select("Ground");
        t.click("tie-right");
        t.click("tie-bottom");
        // a tablet: the menu across the top
        t.run("layout-new-TABLET");
        t.settle();
        select("Panel");
        at("size-w", 768);
        at("size-h", 60);
        place(384, 30);
        // a phone: the menu beside the canvas, words that break, no opening
        t.run("layout-new-PHONE");
        t.settle();
        select("Panel");
        at("size-w", 200);
        at("size-h", 640);
        place(-110, 320);
        RealWindow.fx(() -> {
            t.studio.select(List.of(words));
            return null;
        });
        t.settle();
        at("wrap", 300);
        t.click("layout-ended");
        t.settle();
        // what opens it, on the phone alone
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.settle();
        draw(KeyCode.R, 300, 20, 344, 64);
        rename("Fold");
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.run("new-timeline");
        t.settle();
        select("Panel");
        t.run("key");
        RealWindow.fx(() -> {
            t.studio.time().seek(300_000);
            return null;
        });
        t.settle();
        at("position-x", 100);
        String slide = RealWindow.fx(() -> t.studio.timeline().name());
        select("Fold");
        t.run("add-reaction");
        t.settle();
        pick("chip-verb", "play or pause");
        pick("chip-timeline", "Timeline");
        TriedPage page = tried();
        String left = "String(Math.round(document.querySelector('.t-" + panel + "').getBoundingClientRect().left))";
        page.until("String(Tundra.pieces[0].shown.layout)", "Phone");
        page.until(left, "-210");
        assertThat(page.ask("String(Tundra.pieces[0].timeline('Main').playing)")).isEqualTo("false");
        page.ask(tap("Fold"));
        page.until("String(Math.round(Tundra.pieces[0].timeline('" + slide + "').time) >= 300)", "true");
        page.until(left, "0");
        // a tablet and a wide window, without loading anew
        t.click("try-width");
        t.choose("try-width-768");
        page.until("String(typeof Tundra === 'object' && Tundra.pieces.length && Tundra.pieces[0].shown.layout)", "Tablet");
        page.until(left, "0");
        page.until("String(document.querySelector('.t-" + panel + "').getBoundingClientRect().width)", "768");
        t.click("try-width");
        t.choose("try-width-1024");
        page.until("String(typeof Tundra === 'object' && Tundra.pieces.length && Tundra.pieces[0].shown.layout)", "null");
        page.until(left, "10");
        assertThat(page.ask("String(document.querySelector('[aria-label=Fold]')?.checkVisibility({ visibilityProperty: true }) ?? false)"))
                .as("drawn for the phone alone").isEqualTo("false");
    }

    /** Three scenes, a right and a wrong answer each, a score; tried from the last one. */
    @Test
    void aQuizOverThreeScenesTriedFromItsLast() throws Exception {
        t.run("value-new");
        for (int scene = 0; scene < 3; scene++) {
            if (scene > 0) {
                t.run("scene-add");
            }
            RealWindow.fx(() -> {
                t.studio.setDesk(Desk.DRAW);
                return null;
            });
            t.settle();
            t.run("actual-size");
            draw(KeyCode.R, 60, 60, 260, 160);
            rename("Right " + scene);
            draw(KeyCode.R, 340, 60, 540, 160);
            rename("Wrong " + scene);
            select("Right " + scene);
            t.run("add-reaction");
            pick("chip-verb", "add 1 to value");
            t.click("chip-then");
            ListView<?> list = t.popup("#picker-list");
            String words = scene < 2 ? "open the next scene" : "say";
            RealWindow.fx(() -> {
                list.getSelectionModel().select(list.getItems().indexOf(list.getItems().stream().filter(x -> x.toString().contains(scene(words)))
                        .findFirst().orElseThrow(() -> new AssertionError(list.getItems().toString()))));
                list.requestFocus();
                return null;
            });
            t.keys(KeyCode.ENTER);
            t.settle();
        }
        Project p = RealWindow.fx(t.studio::project);
        assertThat(p.scenes()).hasSize(3);
        assertThat(p.scenes()).allSatisfy(s -> assertThat(s.board().reactions()).hasSize(1));
        TriedPage page = tried();
        page.until("document.querySelector('section:not([hidden])').getAttribute('aria-label')", p.scenes().getLast().name());
        page.ask(tap("Right 2"));
        page.until("String(Tundra.pieces[0].value('" + p.values().getFirst().id() + "'))", "1");
    }

    private static String scene(String words) {
        return words.equals("say") ? "tell screen readers" : words;
    }

    /** A logo drawn by its line, kept as a motif and used twice in another piece. */
    @Test
    void aLogoDrawnByItsLineIsUsedTwiceElsewhere() throws Exception {
        draw(KeyCode.E, 200, 100, 440, 300);
        t.fill("field-stroke", "1C6A5E");
        t.fill("field-strokeWidth", "8");
        rename("Logo");
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.settle();
        t.run("helper-Appear");
        ComboBox<String> how = (ComboBox<String>) t.node("helper-0");
        RealWindow.fx(() -> {
            how.setValue("draw the outline");
            return null;
        });
        t.settle();
        t.click("helper-take");
        assertThat(RealWindow.fx(() -> t.studio.timeline().track(t.studio.selected().id(), Properties.REVEAL))).isNotNull();
        t.keys(KeyCode.CONTROL, KeyCode.M);
        t.fileToSave = folder.resolve("logo");
        t.run("motif-save");
        t.until(() -> Files.exists(folder.resolve("logo.tundra-motif")) || folder.toFile().list().length > 0);
        Path kept = Files.list(folder).findFirst().orElseThrow();
        RealWindow.fx(() -> {
            t.studio.open(Project.empty("Elsewhere", new Point(640, 400), 24), null);
            return null;
        });
        t.settle();
        t.fileToOpen = kept;
        t.run("motif-bring");
        t.until(() -> t.studio.project().motifs().size() == 1);
        for (int i = 0; i < 2; i++) {
            RealWindow.fx(() -> {
                t.w.commands.find("Place Logo on the canvas").commands().getFirst().run().run();
                return null;
            });
            t.settle();
        }
        assertThat(board().elements()).hasSize(2).allSatisfy(e -> assertThat(e.content()).isInstanceOf(Content.Instance.class));
        TriedPage page = tried();
        page.until("String(document.querySelectorAll('main ellipse, main path').length >= 2)", "true");
    }

    /** A vehicle on turning wheels goes by scenery that goes by itself, in a loop. */
    @Test
    void aVehicleThroughLayeredScenery() throws Exception {
        for (double[] hill : new double[][] {{0, 200, 800, 400}, {0, 280, 900, 400}}) {
            draw(KeyCode.R, hill[0], hill[1], Math.min(hill[2], 630), Math.min(hill[3], 395));
        }
        draw(KeyCode.E, 200, 300, 260, 360);
        rename("Wheel");
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.settle();
        t.click("key-rotation");
        RealWindow.fx(() -> {
            t.studio.time().seek(t.studio.timeline().duration());
            return null;
        });
        t.settle();
        t.fill("field-rotation", "1440");
        t.run("keys-all");
        t.run("keys-even");
        String wheel = RealWindow.fx(() -> t.studio.selected().id());
        RealWindow.fx(() -> {
            t.studio.time().seek(0);
            t.studio.select(t.studio.board().elements().stream().filter(e -> e.name().startsWith("Rectangle")).map(Element::id).toList());
            return null;
        });
        t.settle();
        t.run("helper-Passes by");
        t.click("helper-take");
        Board b = board();
        assertThat(b.main().loop()).isTrue();
        assertThat(b.main().track(wheel, Properties.ROTATION).keys()).hasSize(2);
        // even speed: at half of the time half of the turns, and every layer goes by
        assertThat(PropertyEdit.valueAt(b, b.main(), wheel, Properties.ROTATION, b.main().duration() / 2)).isEqualTo(720.0);
        long layers = b.elements().stream().filter(e -> b.main().track(e.id(), Properties.POSITION) != null).count();
        assertThat(layers).isGreaterThanOrEqualTo(2);
        TriedPage page = tried();
        page.until("String(Tundra.pieces[0].timeline('Main').playing)", "true");
    }

    /** A greeting: a labelled button that plays a tune and shows words. */
    @Test
    void aGreetingWithALabelledButtonAndASound() throws Exception {
        draw(KeyCode.R, 60, 60, 260, 130);
        rename("Card");
        t.keys(KeyCode.T);
        t.click(t.canvas(90, 90));
        t.until(() -> t.w.typing.active());
        t.type("Good night");
        t.keys(KeyCode.ESCAPE);
        t.settle();
        draw(KeyCode.E, 350, 200, 560, 360);
        rename("Moon");
        t.fileToOpen = Files.write(folder.resolve("tune.wav"), Tone.wav(0.4, 330));
        t.run("bring-in");
        t.until(() -> t.studio.project().assets().size() == 1);
        select("Card");
        t.run("add-reaction");
        pick("chip-verb", "play tune from its start");
        t.click("chip-then");
        ListView<?> list = t.popup("#picker-list");
        RealWindow.fx(() -> {
            list.getSelectionModel().select(list.getItems().indexOf(list.getItems().stream().filter(x -> x.toString().startsWith("hide ")).findFirst()
                    .orElseThrow()));
            list.requestFocus();
            return null;
        });
        t.keys(KeyCode.ENTER);
        t.settle();
        pick("chip-elements", "Moon");
        TriedPage page = tried();
        page.until("String(document.querySelectorAll('[aria-label=\"Card\"]').length)", "1");
        page.ask(tap("Card"));
        page.until("String([...document.querySelectorAll('main section > div')].some(x => x.hidden))", "true");
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().contains("play tune from its start")));
    }

    /** A sorting game: two parts, two places found by their names, and what happens when all have landed. */
    @Test
    void aSortingGame() throws Exception {
        draw(KeyCode.R, 40, 40, 120, 100);
        rename("Vane");
        draw(KeyCode.E, 40, 200, 120, 260);
        rename("Dome");
        draw(KeyCode.R, 420, 40, 520, 110);
        rename("Vane slot");
        draw(KeyCode.E, 420, 200, 520, 280);
        rename("Dome slot");
        // the parts lie over their places
        select("Vane", "Dome");
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.UP);
        t.run("match-pairs");
        t.click("drag-by-name-1");
        assertThat(board().drags().getFirst().pairs()).allSatisfy(p -> assertThat(p.places()).hasSize(1));
        t.run("value-new");
        RealWindow.fx(() -> {
            t.studio.select(List.of());
            return null;
        });
        t.run("add-reaction");
        pick("chip-event", "every part has landed");
        pick("chip-verb", "add 1 to value");
        TriedPage page = tried();
        String value = RealWindow.fx(() -> t.studio.project().values().getFirst().id());
        // by the keyboard, as a visitor without a mouse does it
        for (String part : List.of("Vane", "Dome")) {
            page.ask("{ const p = document.querySelector('[aria-label=" + part
                    + "]'); p.focus(); for (const k of [' ', 'ArrowRight', ' ']) p.dispatchEvent(new KeyboardEvent('keydown', { key: k, bubbles: true })) }");
            page.until("String(document.querySelector('[aria-label^=\"" + part + ", \"]') !== null)", "true");
        }
        page.until("String(Tundra.pieces[0].value('" + value + "'))", "1");
    }

    /** By the keyboard: tiles further down need no scrolling then. */
    private void fromShelf(String kind) throws Exception {
        Node tile = t.node("place-" + kind);
        RealWindow.fx(() -> {
            tile.requestFocus();
            return null;
        });
        t.keys(KeyCode.SPACE);
        t.until(() -> Blocks.of(t.studio.selected()) instanceof Content.Block b && b.kind().key().equals(kind));
        t.settle();
    }

    /** Pictures to leaf through, the way on a map, a film and a number to call, all from the shelf; each part works when it is tried. */
    @Test
    void aPageForVisitorsFromTheShelfAlone() throws Exception {
        t.click("shelf-blocks");
        fromShelf("strip");
        place(300, 120);
        for (int i = 1; i <= 3; i++) {
            int now = i;
            t.fileToOpen = folder.resolve("Room " + i + ".png");
            ImageIO.write(new BufferedImage(240, 160, BufferedImage.TYPE_INT_RGB), "png", t.fileToOpen.toFile());
            t.click("gallery-fill");
            t.until(() -> Blocks.of(t.studio.selected()).children().size() == now);
            t.settle();
        }
        t.click("gallery-steer");
        t.settle();
        fromShelf("map");
        place(220, 420);
        t.fill("field-size-w", "360");
        t.fileToOpen = Files.writeString(folder.resolve("fell.geojson"), """
                {"type": "FeatureCollection", "features": [{"type": "Feature", "properties": {"name": "Halt", "kind": "place"}, "geometry": {"type": "Point", "coordinates": [21.3, 70.4]}},
                {"type": "Feature", "properties": {"name": "Station", "kind": "place"}, "geometry": {"type": "Point", "coordinates": [21.34, 70.42]}},
                {"type": "Feature", "properties": {"kind": "route"}, "geometry": {"type": "LineString", "coordinates": [[21.3, 70.4], [21.34, 70.42]]}}]}""");
        t.run("map-choose");
        t.until(() -> ((MapData) Blocks.of(t.studio.selected()).get(Blocks.MAP)).features().size() == 3);
        Project demo = ProjectFile.read(Path.of(System.getProperty("tundra.samples"), "open-night.tundra"));
        Path film = Files.write(folder.resolve("mast.webm"), demo.assets().values().stream().filter(a -> a.kind() == Asset.Kind.VIDEO).findFirst()
                .orElseThrow().data());
        RealWindow.fx(() -> {
            t.w.files.importing.bringIn(List.of(film));
            return null;
        });
        t.until(() -> Blocks.of(t.studio.selected()) instanceof Content.Block b && b.kind() == Blocks.VIDEO);
        t.settle();
        place(620, 440);
        fromShelf("call");
        place(620, 560);
        Node number = t.node("setting-number");
        RealWindow.fx(() -> {
            number.requestFocus();
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.type("00 55 12");
        t.keys(KeyCode.ENTER);
        t.until(() -> Blocks.of(t.studio.selected()).text(Blocks.PHONE).equals("00 55 12"));
        assertThat(board().elements()).extracting(Element::name).contains("Strip", "Previous", "Next", "Dots", "Map", "mast", "Call link");
        TriedPage page = tried();
        String shown = "document.querySelector('[aria-current]').getAttribute('aria-label')";
        page.until(shown, "Item 1 of 3");
        page.ask(tap("Next"));
        page.until(shown, "Item 2 of 3");
        page.until("document.querySelector('a[href^=tel]').getAttribute('href')", "tel:005512");
        page.until("[...document.querySelectorAll('[aria-roledescription=map] li button')].map(b => b.ariaLabel ?? b.getAttribute('aria-label')).join()", "Halt,Station");
        page.until("String(document.querySelectorAll('video[controls][src]').length)", "1");
    }
}
