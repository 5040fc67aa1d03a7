package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.Galleries;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.LabelledSlot;
import tundra.core.model.MapData;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.render.Fonts;
import tundra.render.Still;

/** Pieces of blocks. */
final class BlockPiece {
    static final double GAP = 40;
    static final MapData MAP = new MapData(List.of(
            new MapData.Feature(MapData.Form.AREA, "water", "Sound",
            List.of(List.of(new Point(9.98, 69.99), new Point(10.004, 69.99), new Point(10.002, 70.01), new Point(9.98, 70.01)))),
            new MapData.Feature(MapData.Form.AREA, "building", "Hall",
            List.of(List.of(new Point(10.008, 70.001), new Point(10.011, 70.001), new Point(10.011, 70.002), new Point(10.008, 70.002)))),
            new MapData.Feature(MapData.Form.LINE, "road", "",
            List.of(List.of(new Point(9.99, 69.995), new Point(10.0, 70.0), new Point(10.02, 70.002)))),
            new MapData.Feature(MapData.Form.LINE, "route", "",
            List.of(List.of(new Point(10.0, 70.0), new Point(10.004, 70.003), new Point(10.009, 70.0015)))),
            new MapData.Feature(MapData.Form.POINT, "place", "Fellmark Station", List.of(List.of(new Point(10.0095, 70.0015)))),
            new MapData.Feature(MapData.Form.POINT, "place", "Pier", List.of(List.of(new Point(10.0, 70.0))))));

    private BlockPiece() {}

    /** A picture of one colour with a disc in it. */
    static Asset picture(String name, String ground, String disc, int w, int h) {
        var e = new Element("disc", new Content.Ellipse(), Values.NONE.with(Properties.POSITION, new Point(w / 3.0, h / 2.0))
                .with(Properties.SIZE, new Point(h * 0.6, h * 0.6)).with(Properties.FILL, Color.parse(disc)));
        var b = new Board(new Point(w, h), Values.NONE.with(Properties.BACKGROUND, Color.parse(ground)), List.of(e),
                List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
        Project p = Project.empty("Picture", new Point(w, h), 30);
        p = p.mapBoard(p.scenes().getFirst().id(), x -> b);
        return Asset.picture(name, "image/png", w, h, Still.png(p, new FrameBuilder(b, Fonts.BUNDLED).at(0)));
    }

    static Motif motif() {
        var e = new Element("mark", "Mark", false, false, Values.NONE.with(Properties.POSITION, new Point(60, 40))
                .with(Properties.SIZE, new Point(80, 50)).with(Properties.FILL, Color.parse("#DB7A22")), new Content.Rectangle());
        return new Motif("lamp", "Lamp", new Board(new Point(120, 80), Values.NONE, List.of(e),
                List.of(new Timeline("lamp-main", Timeline.MAIN, 2_000_000, true, true, Map.of())), List.of()));
    }

    /** A piece with a value, two pictures, a motif, and some elements on a canvas of a size. */
    static Project of(Point size, List<Element> elements) {
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, true, true, Map.of());
        Project p = Project.empty("Blocks", size, 30).withMotifs(List.of(motif()))
                .withValues(List.of(new PieceValue("n", "How many", PieceValue.Kind.NUMBER, "25", false),
                new PieceValue("words", "Words", PieceValue.Kind.TEXT, "", false), new PieceValue("yes", "Yes", PieceValue.Kind.YES_NO, "no",
                false)));
        p = p.withAsset(picture("Ridge.png", "#2F78A3", "#FBE8D3", 300, 200)).withAsset(picture("Hut.png", "#1C6A5E", "#DB7A22", 200, 260))
                .withAsset(picture("Sky.png", "#82508E", "#D9EAE4", 320, 180));
        return p.mapBoard(p.scenes().getFirst().id(), b -> new Board(size, b.canvas(), elements, List.of(main), List.of()));
    }

    static List<Asset> pictures(Project p) {
        return p.assets().values().stream().filter(a -> a.kind() == Asset.Kind.PICTURE).toList();
    }

    static Element element(String id, BlockKind kind, Point middle) {
        return new Element(id, kind.label(), false, false, Values.NONE.with(Properties.POSITION, middle), kind.made());
    }

    /** A gallery with three pictures, a motif and a plain shape. */
    static Project filled(Project p, String gallery) {
        String scene = p.scenes().getFirst().id();
        return p.mapBoard(scene, b -> {
            Board out = Galleries.withMotif(p, Galleries.withPictures(b, gallery, pictures(p), -1), gallery, p.motifs().getFirst(), 1);
            Element shape = new Element(gallery + "-shape", new Content.Rectangle(), Values.NONE.with(Properties.SIZE, new Point(90, 60))
                    .with(Properties.FILL, Color.parse("#C23B3B")));
            return out.mapElement(gallery, e -> {
                var all = new ArrayList<>(e.children());
                all.add(Galleries.fitted(new Element(gallery + "-shape", "Shape " + gallery, false, false, shape.rest(), shape.content()),
                        Blocks.of(e)));
                return e.withChildren(all);
            });
        });
    }

    /** Other values that a setting is tried with. */
    static List<Object> others(LabelledSlot s) {
        Slot slot = s.slot();
        Object standard = slot.standard();
        return switch (slot.type()) {
            case NUMBER -> slot == Blocks.FIRST ? List.of(3.0) : slot == Blocks.WEIGHT ? List.of(700.0) : slot == Blocks.LETTERS
                    ? List.of(20.0) : slot == Blocks.ZOOM ? List.of(14.0) : slot == Blocks.LONGITUDE ? List.of(10.004) : slot == Blocks.LATITUDE
                    ? List.of(70.003) : List.of(Math.max(slot.min(), Math.min(slot.max(), (Double) standard * 1.5 + 5)));
            case CHOICE -> new ArrayList<>(slot.choices().stream().filter(c -> !c.equals(standard)).toList());
            case COLOR -> List.of("#C23B3B80");
            case TEXT -> slot == Blocks.CHOICES ? List.of("By sled\nOn foot") : List.of("Come & see <it>");
            case DURATION -> List.of(2_000_000L);
            case FONT -> List.of("JetBrains Mono");
            case EASING -> List.of("linear");
            case DATE -> List.of("2031-05-06T12:00");
            case PHONE -> List.of("+11 22 33");
            case MAIL -> List.of("house@fellmark.example");
            case LINK -> List.of("https://fellmark.example/open?night=1");
            case MAP -> List.of(MAP);
            case VALUE -> List.of("n");
            case TIMELINE -> List.of("main");
            default -> List.of();
        };
    }
}
