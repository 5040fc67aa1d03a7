package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.Galleries;
import tundra.core.edit.Renewed;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Condition;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** When to come, and how to write; it knows how often the mast was raised. */
final class Visit {
    private static final Point MIDDLE = new Point(0.5, 0.5);

    private Visit() {}

    static Scene scene() {
        return new Scene(OpenNight.VISIT, "Visit", Ids.seeded(5, () -> Renewed.of(board())));
    }

    private static Element button(String id, String words, double x, double width) {
        return Art.group(words, new Rect(x, 560, width, 48), MIDDLE, List.of(Art.rectangle(words + " face", x, 560, width, 48, 24, "#1C6A5E"),
                Art.text(words + " words", words, x + 28, 572.5, 600, 18, "#FFFFFF")))
                .withId(id).with(Properties.CURSOR, "pointer");
    }

    private static Element at(Element e, double x, double y, double width, double height) {
        Content.Block b = (Content.Block) e.content();
        return e.withContent(b.withBox(new Point(width, height))).with(Properties.POSITION, new Point(x + width / 2, y + height / 2));
    }

    private static Element block(String name, Content.Block b, double x, double y, double width, double height) {
        return at(new Element(name, b, Values.NONE).with(Properties.SIZE, new Point(width, height)), x, y, width, height);
    }

    /** A picture of the gallery: some of the piece's own art on a ground. */
    private static Element picture(String name, String ground, Element... art) {
        var all = new ArrayList<Element>(List.of(Art.rectangle(name + " ground", 0, 0, 250, 160, 0, ground)));
        all.addAll(List.of(art));
        return Art.group(name, new Rect(0, 0, 250, 160), MIDDLE, all);
    }

    private static List<Element> items() {
        return List.of(
                picture("The turbine in the wind", "#1D4A5E", Art.ground("Turbine snow", "#E4EEF0", 160, 0, 130, 80, 118, 170, 132, 250, 120),
                Art.polygon("Turbine tower", "#EAF1F3", 121, 60, 129, 60, 132, 126, 118, 126),
                        Art.polygon("Turbine blade", "#FFFFFF", 124, 56, 128, 12, 132, 56), Art.polygon("Turbine blade 2", "#FFFFFF", 122, 60, 84,
                        82, 120, 66), Art.polygon("Turbine blade 3", "#FFFFFF", 128, 60, 166, 84, 128, 66), Art.circle("Turbine hub", 125, 60, 5,
                        "#DB7A22")),
                picture("Aurora over the fell", "#12303F", Art.ground("Aurora band", "#48C9A6", 96, -10, 60, 60, 36, 130, 58, 200, 26, 260, 44),
                Art.ground("Aurora fell", "#0C222C", 160, -10, 118, 60, 92, 120, 120, 190, 84, 260, 112)),
                picture("The ski hall", "#2F78A3", Art.ground("Hall snow", "#FFFFFF", 160, 0, 122, 90, 112, 180, 124, 250, 116),
                Art.polygon("Hall roof", "#C23B3B", 70, 82, 125, 46, 180, 82), Art.rectangle("Hall wall", 82, 82, 86, 42, 0, "#8C2A2A"),
                        Art.rectangle("Hall door", 116, 94, 18, 30, 2, "#FBE8D3"), Art.rectangle("Hall window", 92, 92, 14, 12, 1, "#FBE8D3"),
                        Art.rectangle("Hall window 2", 144, 92, 14, 12, 1, "#FBE8D3")),
                picture("Tea by the stove", "#5A3A2A", Art.rectangle("Tea table", 30, 116, 190, 12, 3, "#C98A4B"),
                Art.rectangle("Tea cup", 96, 84, 40, 32, 8, "#FBE8D3"), Art.circle("Tea handle", 140, 98, 9, "#FBE8D3"),
                Art.rectangle("Tea stove", 176, 40, 46, 76, 6, "#2A1D16"), Art.rectangle("Tea fire", 186, 70, 26, 22, 4, "#DB7A22")),
                picture("The instruments", "#23566B", Art.line("Instrument mast", "#E4EEF0", 4, 125, 150, 125, 40),
                Art.line("Instrument arm", "#E4EEF0", 3, 86, 62, 164, 62), Art.circle("Instrument cup", 84, 62, 10, "#DB7A22"),
                Art.circle("Instrument dome", 166, 62, 12, "#D9EAE4"), Art.circle("Instrument lamp", 125, 34, 7, "#F0603C")));
    }

    private static List<Element> blocks() {
        var out = new ArrayList<Element>();
        Content.Block strip = Blocks.STRIP.made().with(Blocks.NAME, "What there is to see").with(Blocks.ITEM_WIDTH, 250.0)
                .with(Blocks.ITEM_HEIGHT, 160.0).with(Blocks.SPACING, 18.0).with(Blocks.CAPTIONS, "over").with(Blocks.LETTERS, 15.0)
                .with(Blocks.NEIGHBOURS, 88.0).with(Blocks.LOOPS, "yes");
        Element gallery = block("Gallery", strip, 84, 216, 600, 180).withId("gallery");
        Content.Block filled = strip.withChildren(items().stream().map(e -> Galleries.fitted(e, strip)).toList());
        out.add(gallery.withContent(filled.withBox(new Point(600, 180))));
        out.add(block("Gallery dots", Blocks.DOTS.made().with(Blocks.OF_GALLERY, "gallery").with(Blocks.LINE, "#FFFFFF66")
                .with(Blocks.ACCENT, "#FFFFFF").with(Blocks.SPACING, 12.0), 284, 404, 200, 20));
        Content.Block map = Blocks.MAP_BLOCK.made().with(Blocks.MAP, VisitMap.data()).with(Blocks.NAME, "The way to the station")
                .with(Blocks.LETTERS, 13.0).with(Blocks.RADIUS_OF_CORNERS, 14.0).with(Blocks.LONGITUDE, VisitMap.MIDDLE.x())
                .with(Blocks.LATITUDE, VisitMap.MIDDLE.y()).with(Blocks.ZOOM, 12.9).withBox(new Point(480, 300));
        out.add(block("Map", map, 730, 216, 480, 300).withId("map"));
        if (MastFilm.FILM != null) {
            out.add(block("Film", Blocks.VIDEO.made().with(Blocks.VIDEO_FILE, MastFilm.FILM.hash()).with(Blocks.NAME, "The mast by night")
                    .with(Blocks.POSTER_AT, 3_000_000L).with(Blocks.RADIUS_OF_CORNERS, 10.0).with(Blocks.LOOPS, "yes"), 84, 434, 192, 108)
                    .withId("film"));
        }
        out.add(block("Call", Blocks.CALL.made().with(Blocks.WORDS, "Call the station").with(Blocks.PHONE, "+00 555 0170").with(Blocks.WEIGHT, 600.0)
                .with(Blocks.LETTERS, 18.0).with(Blocks.RADIUS_OF_CORNERS, 24.0), 300, 494, 220, 48).withId("call"));
        return out;
    }

    private static Board board() {
        var elements = new ArrayList<>(List.of(Scenery.sky(), Scenery.stars(), Scenery.ridges(), Scenery.snow().get(0), Scenery.snow().get(1),
                Art.text("Visit title", "Come and read the sky", 84, 60, 600, 64, "#FFFFFF"),
                Art.text("Visit when", "Open on the longest night, from dusk until the aurora fades.", 88, 152, 400, 24, "#CFEBE2"),
                Art.text("Raised", "The mast was raised {raised} times on this screen.", 560, 572, 400, 20, "#1D2926").withId("raised"),
                button("mail", "Write to the station", 84, 222), button("home", "Back to the station", 322, 222)));
        List<Condition> any = List.of(Conditions.of(Conditions.VALUE, OpenNight.RAISED, "is more than", "0"));
        var lines = List.of("raised");
        var reactions = List.of(new Reaction("count", Events.of(Events.OPENED), any, false, List.of(Actions.of(Actions.SHOW, lines)),
                List.of(Actions.of(Actions.HIDE, lines)), false, ""),
                new Reaction("write", Events.tapped("mail"), List.of(Actions.of(Actions.WRITE_MAIL, "station@example.org"))),
                new Reaction("home-tapped", Events.tapped("home"), List.of(Actions.of(Actions.OPEN_SCENE, OpenNight.ARRIVAL))),
                new Reaction("over", Events.of(Events.OVER, "mail"),
                List.of(Actions.of(Actions.SET, List.of("mail"), Setting.of(Properties.SCALE, new Point(1.06, 1.06)), 150_000L,
                "cubic-bezier(0.25, 0.1, 0.25, 1)"))),
                new Reaction("out", Events.of(Events.OUT, "mail"),
                List.of(Actions.of(Actions.SET, List.of("mail"), Setting.of(Properties.SCALE, new Point(1, 1)), 150_000L,
                "cubic-bezier(0.25, 0.1, 0.25, 1)"))),
                new Reaction("leave", Events.of(Events.KEY_PRESSED, "Escape"), List.of(Actions.of(Actions.OPEN_SCENE, OpenNight.ARRIVAL))));
        elements.addAll(blocks());
        return new Board(new Point(1280, 640), Values.NONE.with(Properties.BACKGROUND, Art.color("#23566B")), elements,
                List.of(new Timeline("visit-main", Timeline.MAIN, 5_000_000, false, true, Map.of())), reactions);
    }
}
