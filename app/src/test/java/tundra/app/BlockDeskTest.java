package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.studio.Desk;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NumberField;
import tundra.core.edit.Scenes;
import tundra.core.edit.Sentences;
import tundra.core.geometry.Point;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.LabelledSlot;
import tundra.core.model.MapData;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Transition;

/** Blocks and scenes by mouse and keyboard in the real window. */
class BlockDeskTest extends InWindow {
    @TempDir
    Path folder;

    private Board board() throws Exception {
        return RealWindow.fx(() -> t.studio.board());
    }

    private Content.Block block() throws Exception {
        return Blocks.of(RealWindow.fx(() -> t.studio.selected()));
    }

    private Path picture(String name, int w, int h) throws Exception {
        Path p = folder.resolve(name);
        ImageIO.write(new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB), "png", p.toFile());
        return p;
    }

    @Test
    void aGalleryIsPlacedFromTheShelfFilledNamedOrderedAndSteered() throws Exception {
        Project empty = RealWindow.fx(() -> t.studio.kept());
        t.click("shelf-blocks");
        t.click("place-strip");
        assertThat(block().kind()).isEqualTo(Blocks.STRIP);
        for (String name : List.of("ridge.png", "hut.png", "sky.png")) {
            t.fileToOpen = picture(name, 320, 200);
            int before = block().children().size();
            t.click("gallery-fill");
            t.until(() -> Blocks.of(t.studio.selected()).children().size() == before + 1);
            t.settle();
        }
        assertThat(block().children()).extracting(Element::name).containsExactly("ridge", "hut", "sky");
        t.fill("field-size-w", "300");
        t.fill("setting-itemWidth", "120");
        assertThat(block().number(Blocks.ITEM_WIDTH)).isEqualTo(120);
        // 160 high covers: 256 wide
        assertThat(block().children().getFirst().rest().get(Properties.SIZE)).isEqualTo(new Point(256, 160));
        var list = t.node("gallery-items");
        RealWindow.fx(() -> {
            list.lookupAll(".chip").iterator().next().requestFocus();
            return null;
        });
        t.keys(KeyCode.ALT, KeyCode.DOWN);
        assertThat(block().children()).extracting(Element::name).containsExactly("hut", "ridge", "sky");
        @SuppressWarnings("unchecked")
        var choice = (ComboBox<Object>) t.node("setting-captions");
        RealWindow.fx(() -> {
            choice.setValue(choice.getItems().getLast());
            return null;
        });
        assertThat(block().text(Blocks.CAPTIONS)).isEqualTo("over");
        String gallery = RealWindow.fx(() -> t.studio.selected().id());
        t.click("gallery-steer");
        t.settle();
        assertThat(board().elements()).extracting(Element::name).contains("Previous", "Next", "Dots");
        assertThat(board().reactions()).hasSize(2);
        // the sentence in two clicks, by the right button on what shall steer it
        RealWindow.fx(() -> {
            t.studio.select(List.of());
            return null;
        });
        Element next = board().elements().stream().filter(e -> e.name().equals("Next")).findFirst().orElseThrow();
        Point at = next.rest().get(Properties.POSITION);
        t.rightClick(t.canvas(at.x(), at.y()));
        t.choose("steer-4");
        Reaction made = board().reactions().getLast();
        Board b = board();
        Project p = RealWindow.fx(() -> t.studio.project());
        assertThat(new Sentences(p, b).of(made.actions().getFirst().kind(), made.actions().getFirst().slots()))
                .isEqualTo("turn Strip once forwards in 4 s");
        // all of it undone
        for (int i = 0; i < 40 && RealWindow.fx(() -> t.w.commands.get("undo").enabled().getAsBoolean()); i++) {
            t.run("undo");
        }
        assertThat(RealWindow.fx(() -> t.studio.kept())).isEqualTo(empty);
        for (int i = 0; i < 40 && RealWindow.fx(() -> t.w.commands.get("redo").enabled().getAsBoolean()); i++) {
            t.run("redo");
        }
        assertThat(Blocks.of(board().find(gallery)).children()).hasSize(3);
    }

    @Test
    void everySettingOfEveryKindIsChangedInTheDetails() throws Exception {
        int changed = 0;
        for (BlockKind kind : Blocks.ALL) {
            t.run("block-" + kind.key());
            t.settle();
            Project placed = RealWindow.fx(() -> t.studio.kept());
            assertThat(shortened()).as("names cut short for %s", kind.key()).isEmpty();
            for (LabelledSlot s : kind.settings()) {
                if (s.slot().type() == Slot.Type.CAPTIONS) {
                    continue;
                }
                Object before = block().get(s.slot());
                if (change(s)) {
                    assertThat(block().get(s.slot())).as("%s of %s", s.label(), kind.key()).isNotEqualTo(before);
                    changed++;
                }
            }
            RealWindow.fx(() -> {
                for (int i = 0; i < 60 && !t.studio.kept().equals(placed); i++) {
                    t.w.commands.run("undo");
                }
                return null;
            });
            assertThat(RealWindow.fx(() -> t.studio.kept())).as("all undone of %s", kind.key()).isEqualTo(placed);
            t.run("undo");
        }
        assertThat(changed).isGreaterThan(120);
    }

    /** Whether it could be changed with what is in an empty piece. */
    private boolean change(LabelledSlot s) throws Exception {
        String id = "setting-" + s.slot().key();
        Node field = t.node(id);
        switch (field) {
            case NumberField f -> {
                double now = ((Number) block().get(s.slot())).doubleValue(), per = s.slot().type() == Slot.Type.NUMBER ? 1 : 1e6;
                t.fill(id, String.valueOf(now / per + 2 <= s.slot().max() || per > 1 ? now / per + 2 : now / per - 2));
            }
            case CheckBox f -> RealWindow.fx(() -> {
                f.fire();
                return null;
            });
            case ComboBox<?> f -> {
                if (f.getItems().size() < 2) {
                    return false;
                }
                RealWindow.fx(() -> {
                    f.getSelectionModel().select(f.getSelectionModel().getSelectedIndex() == 0 ? 1 : 0);
                    return null;
                });
            }
            case TextInputControl f -> RealWindow.fx(() -> {
                f.setText(switch (s.slot().type()) {
                    case LINK -> "https://fellmark.example/other";
                    case MAIL -> "hut@fellmark.example";
                    case PHONE -> "+00 123 456";
                    case DATE -> "2031-02-03T04:05";
                    default -> "Other words";
                });
                return null;
            });
            default -> {
                // a colour is chosen in its own window, a file from the shelf
                assertThat(s.slot().type()).isIn(Slot.Type.COLOR, Slot.Type.FILE, Slot.Type.VIDEO, Slot.Type.SOUND, Slot.Type.MAP);
                return false;
            }
        }
        t.settle();
        return true;
    }

    /** The names of rows that have no room for all of their letters. */
    private List<String> shortened() throws Exception {
        return RealWindow.fx(() -> t.stage.getScene().lookup("#details").lookupAll(".property-name").stream().filter(LightLabel.class::isInstance)
                .map(LightLabel.class::cast)
                .filter(c -> c.lookup(".words") instanceof Text words && !words.getText().equals(c.getText())).map(LightLabel::getText).toList());
    }

    @Test
    void whatCanNotBeShownIsToldAndNothingIsChanged() throws Exception {
        Project before = RealWindow.fx(() -> t.studio.kept());
        Path broken = Files.write(folder.resolve("broken.mp4"), new byte[] {0, 0, 0, 24, 'f', 't', 'y', 'p', 'i', 's', 'o', 'm', 1, 2, 3, 4});
        Path none = Files.writeString(folder.resolve("none.geojson"), "{\"type\": \"FeatureCollection\", \"features\": []}");
        Path words = Files.writeString(folder.resolve("words.vtt"), "hello");
        Path page = Files.createDirectories(folder.resolve("page"));
        Files.writeString(page.resolve("index.html"), "<p>here");
        Files.createSymbolicLink(page.resolve("out.html"), none);
        Path large = folder.resolve("large.geojson");
        try (var out = new RandomAccessFile(large.toFile(), "rw")) {
            out.setLength(100L << 20);
        }
        for (var x : List.of(List.of(broken, "damaged"), List.of(large, "24 MB is the most"), List.of(none, "no point, line or area"),
                List.of(words, "WebVTT"), List.of(page, "leads out of the folder"))) {
            RealWindow.fx(() -> {
                t.w.notices.hide();
                t.w.files.importing.bringIn(List.of((Path) x.getFirst()));
                return null;
            });
            t.until(() -> t.w.notices.told() != null && t.w.notices.told().contains((String) x.getLast()));
            assertThat(RealWindow.fx(() -> t.w.notices.told())).startsWith("“").endsWith("Nothing was changed.");
        }
        assertThat(RealWindow.fx(() -> t.studio.kept())).isEqualTo(before);
        // an address that could do harm never gets in; the field says why
        t.run("block-page");
        var f = (TextField) t.node("setting-address");
        RealWindow.fx(() -> {
            f.requestFocus();
            f.setText("javascript:alert(1)");
            return null;
        });
        t.settle();
        assertThat(block().text(Blocks.ADDRESS)).isEmpty();
        assertThat(t.words("details")).contains("That is no web address");
        RealWindow.fx(() -> {
            f.setText("https://fellmark.example/open");
            return null;
        });
        t.settle();
        assertThat(block().text(Blocks.ADDRESS)).isEqualTo("https://fellmark.example/open");
        assertThat(t.words("details")).doesNotContain("That is no web address");
    }

    @Test
    void aMapFileIsPlacedAsAMapThatShowsAllOfIt() throws Exception {
        Path file = Files.writeString(folder.resolve("fell.geojson"), """
                {"type": "FeatureCollection", "features": [{"type": "Feature", "properties": {"name": "Halt", "kind": "place"}, "geometry": {"type": "Point", "coordinates": [21.3, 70.4]}},
                {"type": "Feature", "properties": {"kind": "road"}, "geometry": {"type": "LineString", "coordinates": [[21.3, 70.4], [21.34, 70.42]]}}]}""");
        RealWindow.fx(() -> {
            t.w.files.importing.bringIn(List.of(file));
            return null;
        });
        t.until(() -> Blocks.of(t.studio.selected()) instanceof Content.Block b && b.kind() == Blocks.MAP_BLOCK);
        assertThat(((MapData) block().get(Blocks.MAP)).places()).extracting(MapData.Feature::name).containsExactly("Halt");
        assertThat(block().number(Blocks.ZOOM)).isGreaterThan(10);
        t.fileToSave = folder.resolve("out.geojson");
        t.run("map-write");
        t.until(() -> Files.exists(folder.resolve("out.geojson")));
        assertThat(t.words("details")).contains("2 things, 1 place");
    }

    @Test
    void theWaysThroughThePieceAreSeenFollowedAndDrawn() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        RealWindow.fx(() -> {
            t.studio.editProject("Two more", null, p -> Scenes.rename(Scenes.add(p, p.scenes().getFirst().id()).project(), p.scenes().getFirst()
                    .id(), "Start"));
            return null;
        });
        t.settle();
        t.run("ways");
        t.node("ways");
        assertThat(t.words("ways")).contains("1 scene without a way to it", "dead end").contains("no way to it", "no way on");
        t.drag(t.middle("way-1"), t.middle("way-2"));
        t.choose("ways-new-1");
        t.settle();
        Project p = RealWindow.fx(() -> t.studio.project());
        Reaction r = p.scenes().getFirst().board().reactions().getFirst();
        assertThat(new Sentences(p, p.scenes().getFirst().board()).of(r.when().kind(), r.when().slots())).isEqualTo("When Rectangle is tapped");
        assertThat(t.words("ways")).contains("1 dead end");
        // an arrow leads to its sentence
        Point from = t.middle("way-1"), to = t.middle("way-2");
        Point half = from.lerp(to, 0.5);
        for (int dy = -60; dy <= 60 && RealWindow.fx(() -> t.stage.getScene().lookup("#ways")) != null; dy += 5) {
            t.click(half.plus(new Point(0, dy)));
        }
        t.until(() -> t.studio.desk() == Desk.INTERACT && t.stage.getScene().lookup("#ways") == null);
        t.run("ways");
        t.node("ways");
        t.keys(KeyCode.ESCAPE);
        t.until(() -> t.stage.getScene().lookup("#ways") == null);
        // and each step is one step
        t.run("undo");
        assertThat(RealWindow.fx(() -> t.studio.project().scenes().getFirst().board().reactions())).isEmpty();
    }

    @Test
    void aSceneComesAsItsDetailsSay() throws Exception {
        t.run("scene-add");
        RealWindow.fx(() -> {
            t.studio.select(List.of());
            return null;
        });
        t.settle();
        @SuppressWarnings("unchecked")
        var kind = (ComboBox<Transition.Kind>) t.node("opening-kind");
        RealWindow.fx(() -> {
            kind.setValue(Transition.Kind.PUSH);
            return null;
        });
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.scene().opening().transition().kind())).isEqualTo(Transition.Kind.PUSH);
        t.fill("opening-time", "0.8");
        assertThat(RealWindow.fx(() -> t.studio.scene().opening().transition().time())).isEqualTo(800_000);
        t.click("opening-keeps");
        t.click("opening-over");
        assertThat(RealWindow.fx(() -> t.studio.scene().opening().keeps())).isTrue();
        assertThat(RealWindow.fx(() -> t.studio.project().over())).isSameAs(RealWindow.fx(() -> t.studio.scene()));
        for (int i = 0; i < 4; i++) {
            t.run("undo");
        }
        assertThat(RealWindow.fx(() -> t.studio.project().over())).isNull();
        var keeps = (CheckBox) t.node("opening-keeps");
        assertThat(RealWindow.fx(keeps::isSelected)).isFalse();
    }
}
