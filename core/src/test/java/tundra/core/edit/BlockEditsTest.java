package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tundra.core.file.ProjectFile;
import tundra.core.file.SchemaCheck;
import tundra.core.fit.Lens;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Layout;
import tundra.core.model.MapData;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Blocks in a document: written and read, copied, cleaned up after, filled, and laid out. */
class BlockEditsTest {
    private static final Asset WIDE = Asset.picture("Wide.png", "image/png", 400, 100, new byte[] {1}), HIGH = Asset.picture("High.png", "image/png",
            100, 300, new byte[] {2});
    private static final Asset FILM = new Asset(Asset.hash(new byte[] {3}), "Film.mp4", "video/mp4", 320, 180, 4_000_000, new byte[] {3}),
            WORDS = Asset.file("Film.vtt", Asset.WORDS, "WEBVTT".getBytes());

    private static Element element(String id, Content.Block b) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(200, 200)), b);
    }

    private static Project piece(Element... elements) {
        Project p = Project.empty("P", new Point(800, 600), 24).withAsset(WIDE).withAsset(HIGH).withAsset(FILM).withAsset(WORDS)
                .withValues(List.of(new PieceValue("v", "v", PieceValue.Kind.NUMBER, "3", false)));
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(elements)));
    }

    private static Board board(Project p) {
        return p.scenes().getFirst().board();
    }

    private static Object other(LabelledSlot s, String timeline) {
        Slot slot = s.slot();
        return switch (slot.type()) {
            case NUMBER -> Math.max(slot.min(), Math.min(slot.max(), (Double) slot.standard() + 1));
            case DURATION, TIME -> 1_234_000L;
            case CHOICE -> slot.choices().getLast();
            case COLOR -> "#C23B3B80";
            case MAP -> new MapData(List.of(new MapData.Feature(MapData.Form.POINT, "place", "Pier", List.of(List.of(new Point(10, 70))))));
            case CAPTIONS -> Map.of("item", "A caption");
            case VIDEO -> FILM.hash();
            case FILE -> slot == Blocks.FOLDER ? "" : WORDS.hash();
            case SOUND, PICTURE -> "";
            case VALUE -> "v";
            case TIMELINE -> timeline;
            case ELEMENT -> "strip";
            case EASING -> "linear";
            case LINK -> "https://example.org/a";
            case PHONE -> "+1 23";
            case MAIL -> "a@example.org";
            case DATE -> "2031-02-03T04:05";
            default -> "Other words";
        };
    }

    @Test
    void everySettingOfEveryBlockIsWrittenAndReadAndInTheSchema() throws Exception {
        String main = board(piece()).main().id();
        var all = new ArrayList<Element>();
        for (BlockKind k : Blocks.ALL) {
            Content.Block b = k.made();
            for (LabelledSlot s : k.settings()) {
                b = b.with(s.slot(), other(s, main));
            }
            String id = k == Blocks.STRIP ? "strip" : "e-" + k.key();
            all.add(element(id, k.gallery()
                    ? b.withChildren(List.of(new Element(k == Blocks.STRIP ? "item" : "item-" + k.key(), "Item", false, false, Values.NONE,
                    new Content.Rectangle()))).with(Blocks.CAPTION_WORDS, k == Blocks.STRIP ? Map.of("item", "A caption") : Map.of()) : b));
        }
        Project p = piece(all.toArray(Element[]::new));
        p = p.mapBoard(p.scenes().getFirst().id(),
                b -> b.withTimelines(List.of(new Timeline(main, Timeline.MAIN, 5_000_000, false, true, Map.of()))));
        Project back = ProjectFile.read(ProjectFile.bytes(p));
        assertThat(board(back).elements()).isEqualTo(board(p).elements());
        assertThat(SchemaCheck.problems(p)).isEmpty();
        for (BlockKind k : Blocks.ALL) {
            Project plain = piece(element("x", k.made()));
            assertThat(board(ProjectFile.read(ProjectFile.bytes(plain))).elements()).as(k.key()).isEqualTo(board(plain).elements());
        }
    }

    @Test
    void whatABlockNamesGoesOrFollows() {
        Content.Block dots = Blocks.DOTS.made().with(Blocks.OF_GALLERY, "g"), bar = Blocks.PROGRESS.made().with(Blocks.OF_VALUE, "v"),
                film = Blocks.VIDEO.made().with(Blocks.VIDEO_FILE, FILM.hash());
        Project p = piece(element("g", Blocks.STRIP.made()), element("d", dots), element("b", bar), element("f", film));
        Project gone = Rules.tidied(p, p.mapBoard(p.scenes().getFirst().id(), b -> Arrange.delete(b, Set.of("g"))).withValues(List.of()));
        assertThat(Blocks.of(board(gone).find("d")).text(Blocks.OF_GALLERY)).isEmpty();
        assertThat(Blocks.of(board(gone).find("b")).text(Blocks.OF_VALUE)).isEmpty();
        assertThat(Shelf.used(p, FILM, null)).isTrue();
        assertThat(Rules.refusal(p, Shelf.without(p, FILM.hash()))).contains("Nothing was changed");
        // a copy of both names the copy, a copy of one names what it named
        Board both = Clip.of(p, board(p), List.of("g", "d")).paste(board(p), Point.ZERO).board();
        Element copy = both.elements().getLast(), of = both.elements().get(both.elements().size() - 2);
        assertThat(Blocks.of(copy).text(Blocks.OF_GALLERY)).isEqualTo(of.id()).isNotEqualTo("g");
        assertThat(Blocks.of(Clip.of(p, board(p), List.of("d")).paste(board(p), Point.ZERO).board().elements().getLast()).text(Blocks.OF_GALLERY))
                .isEqualTo("g");
        // in a copied scene too
        Project twice = Scenes.duplicate(p, p.scenes().getFirst().id()).project();
        Board other = twice.scenes().getLast().board();
        assertThat(Blocks.of(other.elements().get(1)).text(Blocks.OF_GALLERY)).isEqualTo(other.elements().getFirst().id()).isNotEqualTo("g");
        // and what it shows comes along to another piece
        Project bare = Project.empty("Q", new Point(100, 100), 24);
        assertThat(Clip.withParts(bare, List.of(board(p).find("f")), p, a -> "").assets()).containsKey(FILM.hash());
    }

    @Test
    void picturesFillTheCellsOfAGalleryByItsRule() {
        Project p = piece(element("g", Blocks.STRIP.made().with(Blocks.ITEM_WIDTH, 200.0).with(Blocks.ITEM_HEIGHT, 100.0)));
        Board b = Galleries.withPictures(board(p), "g", List.of(WIDE, HIGH), -1);
        List<Element> items = b.find("g").children();
        assertThat(items).extracting(Element::name).containsExactly("Wide", "High");
        // what a gallery shows can't be taken off the shelf
        Project filled = p.mapBoard(p.scenes().getFirst().id(), x -> b);
        assertThat(Shelf.used(filled, WIDE, null)).isTrue();
        assertThat(Rules.refusal(filled, Shelf.without(filled, WIDE.hash()))).contains("Nothing was changed");
        // covering 200 × 100: 400 × 100 is high enough as it is, 100 × 300 is twice as wide
        assertThat(items.get(0).rest().get(Properties.SIZE)).isEqualTo(new Point(400, 100));
        assertThat(items.get(1).rest().get(Properties.SIZE)).isEqualTo(new Point(200, 600));
        assertThat(items.get(0).rest().get(Properties.POSITION)).isEqualTo(new Point(100, 50));
        Board contained = BlockSettings.with(b, List.of("g"), Blocks.FITS, "contain");
        assertThat(contained.find("g").children().get(0).rest().get(Properties.SIZE)).isEqualTo(new Point(200, 50));
        assertThat(contained.find("g").children().get(1).rest().get(Properties.SIZE).y()).isEqualTo(100);
        Board larger = BlockSettings.with(contained, List.of("g"), Blocks.ITEM_WIDTH, 400.0);
        assertThat(larger.find("g").children().get(0).rest().get(Properties.SIZE)).isEqualTo(new Point(400, 100));
        assertThat(Galleries.moved(b, "g", items.get(1).id(), 0).find("g").children()).extracting(Element::name).containsExactly("High", "Wide");
        Board first = Galleries.withPictures(b, "g", List.of(WIDE), 0);
        assertThat(first.find("g").children()).extracting(Element::name).containsExactly("Wide 2", "Wide", "High");
    }

    @Test
    void aGalleryChangedInALayoutIsChangedForAllButStandsWhereTheLayoutHasIt() {
        Project p = piece(element("g", Blocks.STRIP.made()));
        Board base = Galleries.withPictures(board(p), "g", List.of(WIDE, HIGH), -1)
                .withLayouts(List.of(new Layout("phone", "Phone", 0, 400, new Point(360, 640))));
        Board seen = Lens.get(base, "phone");
        Board edited = BlockSettings.with(seen, List.of("g"), Blocks.ITEM_HEIGHT, 80.0)
                .withRest("g", v -> v.with(Properties.POSITION, new Point(180, 90)).with(Properties.SIZE, new Point(340, 100)));
        Board back = Lens.put(base, "phone", edited, Lens.Scope.ONLY_HERE);
        assertThat(Lens.get(back, "phone")).isEqualTo(edited.withLayouts(back.layouts()).withLayouts(Lens.get(back, "phone").layouts()));
        assertThat(Blocks.of(back.find("g")).number(Blocks.ITEM_HEIGHT)).isEqualTo(80);
        assertThat(back.find("g").rest().get(Properties.POSITION)).isEqualTo(new Point(200, 200));
        assertThat(Blocks.of(back.find("g")).box()).isEqualTo(Blocks.STRIP.box());
        // an item taken out is out everywhere, another order is the layout's own
        Board without = Lens.put(base, "phone", Arrange.delete(seen, Set.of(seen.find("g").children().getFirst().id())), Lens.Scope.EVERYWHERE);
        assertThat(without.find("g").children()).hasSize(1);
        Board ordered = Lens.put(base, "phone", Galleries.moved(seen, "g", seen.find("g").children().getLast().id(), 0), Lens.Scope.ONLY_HERE);
        assertThat(Lens.get(ordered, "phone").find("g").children()).extracting(Element::name).containsExactly("High", "Wide");
        assertThat(ordered.find("g").children()).extracting(Element::name).containsExactly("Wide", "High");
    }

    @Test
    void arrowsAndDotsAreElementsWithSentences() {
        Project p = piece(element("g", Blocks.STRIP.made()));
        Board b = PlacedBlock.steered(board(p), "g");
        assertThat(b.elements()).extracting(Element::name).containsExactlyInAnyOrder("g", "Previous", "Next", "Dots");
        var words = new Sentences(p, b);
        assertThat(b.reactions().stream().map(r -> words.of(r.when().kind(), r.when().slots()) + ", " + words.of(r.actions().getFirst().kind(),
                r.actions().getFirst().slots())))
                .containsExactly("When Previous is tapped, leaf g back", "When Next is tapped, leaf g on");
        assertThat(Steering.by(p, b, b.elements().stream().filter(e -> e.name().equals("Next")).findFirst().orElseThrow().id()))
                .extracting(Steering.Offer::words).contains("leaf g on", "turn g once forwards in 4 s");
        assertThat(Steering.of(p, b, "g")).extracting(Steering.Offer::words).contains("Next: leaf g on");
    }

    @Test
    void addressesThatCouldDoHarmAreRefused() {
        for (String bad : List.of("javascript:alert(1)", "file:///etc", "//elsewhere", "data:text/html,x", "https://")) {
            assertThat(SettingWords.problem(Blocks.ADDRESS, bad)).as(bad).isNotNull();
        }
        for (String good : List.of("", "https://example.org/x", "pages/a.html", "../up.html")) {
            assertThat(SettingWords.problem(Blocks.ADDRESS, good)).as(good).isNull();
        }
        assertThat(SettingWords.problem(Blocks.UNTIL, "tomorrow")).contains("day and time");
        assertThat(SettingWords.problem(Blocks.PHONE, "call me")).isNotNull();
    }
}
