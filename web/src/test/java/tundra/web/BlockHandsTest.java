package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.interactions.Interactive;
import tundra.core.fit.Lens;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Layout;
import tundra.core.model.MapData;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/**
 * What happens in blocks and what is done with them, by mouse, finger and keyboard: as drawn, in a layout and in a motif, with a second one of each
 * beside it that nobody touches.
 */
@Tag("long")
class BlockHandsTest extends InBrowser {
    private static final Point SIZE = new Point(900, 640);
    private static final List<ActionKind> ACTIONS = List.of(tundra.core.model.Actions.SHOW_ITEM, tundra.core.model.Actions.NEXT_ITEM,
            tundra.core.model.Actions.PREVIOUS_ITEM, tundra.core.model.Actions.TURN_ONCE, tundra.core.model.Actions.PLAY_GALLERY,
            tundra.core.model.Actions.PAUSE_GALLERY, tundra.core.model.Actions.PLAY_MEDIA, tundra.core.model.Actions.SEEK_MEDIA,
            tundra.core.model.Actions.MEDIA_VOLUME, tundra.core.model.Actions.MUTE_MEDIA, tundra.core.model.Actions.PAUSE_MEDIA,
            tundra.core.model.Actions.TOGGLE_MEDIA, tundra.core.model.Actions.GO_TO_PLACE, tundra.core.model.Actions.ZOOM_MAP,
            tundra.core.model.Actions.SEND);

    /** What a visitor has. */
    private enum Hand {
        MOUSE, FINGER, KEYS
    }

    private final List<Element> elements = new ArrayList<>();
    private final List<Reaction> reactions = new ArrayList<>();
    private final List<PieceValue> values = new ArrayList<>();

    private void put(String id, Content c, double x, double y) {
        Values rest = Values.NONE.with(Properties.POSITION, new Point(x, y));
        elements.add(new Element(id, id, false, false, c instanceof Content.Block ? rest : rest.with(Properties.SIZE, new Point(44, 30))
                .with(Properties.FILL, Color.parse("#1C6A5E")), c));
    }

    private void counts(String id, Event e, Action... first) {
        values.add(new PieceValue(id, id, PieceValue.Kind.NUMBER, "0", false));
        var all = new ArrayList<>(List.of(first));
        all.add(tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, id, 1.0));
        reactions.add(new Reaction("r-" + id, e, all));
    }

    private static Content.Block named(BlockKind kind, String name) {
        Content.Block b = kind.made();
        return kind.setting(Blocks.NAME) != null ? b.with(Blocks.NAME, name) : kind.setting(Blocks.LABEL) != null ? b.with(Blocks.LABEL, name) : b;
    }

    /** All of them once; those whose names begin with other letters count for themselves. */
    private void blocks(String of, double dy) {
        var items = new ArrayList<Element>();
        for (int i = 0; i < 4; i++) {
            items.add(new Element(of + "item" + i, of + "item" + i, false, false, Values.NONE.with(Properties.POSITION, new Point(60, 40))
                    .with(Properties.SIZE, new Point(100, 70)), new Content.Rectangle()));
        }
        put(of + "gallery", named(Blocks.STRIP, of + "gallery").with(Blocks.ITEM_WIDTH, 120.0).with(Blocks.ITEM_HEIGHT, 80.0)
                .with(Blocks.TURN_TIME, 60_000L).withChildren(items).withBox(new Point(300, 90)), 170, 60 + dy);
        put(of + "map", named(Blocks.MAP_BLOCK, of + "map").with(Blocks.LONGITUDE, 10.0).with(Blocks.LATITUDE, 70.0)
                .with(Blocks.MAP, new MapData(List.of(new MapData.Feature(MapData.Form.POINT, "place", "Pier", List.of(List.of(new Point(10, 70)))))))
                .withBox(new Point(220, 110)), 450, 60 + dy);
        put(of + "field", named(Blocks.TEXT_FIELD, of + "field").withBox(new Point(200, 66)), 120, 150 + dy);
        put(of + "tick", named(Blocks.TICK, of + "tick").withBox(new Point(160, 28)), 320, 150 + dy);
        put(of + "choice", named(Blocks.CHOICE, of + "choice").with(Blocks.CHOICES, "North\nSouth").with(Blocks.SHOWN_AS, "buttons")
                .withBox(new Point(200, 66)), 520, 150 + dy);
        put(of + "slider", named(Blocks.SLIDER, of + "slider").withBox(new Point(200, 56)), 740, 150 + dy);
        put(of + "player", named(Blocks.SOUND, of + "player").with(Blocks.SOUND_FILE, TablesPage.BELL.hash()).with(Blocks.CONTROLS, "no")
                .withBox(new Point(60, 20)), 620, 40 + dy);
        put(of + "endless", named(Blocks.SOUND, of + "endless").with(Blocks.SOUND_FILE, TablesPage.BELL.hash()).with(Blocks.CONTROLS, "no")
                .with(Blocks.LOOPS, "yes").withBox(new Point(60, 20)), 620, 80 + dy);
        counts(of + "itemShown", Events.of(Events.ITEM_SHOWN, of + "gallery", 4.0));
        counts(of + "itemChanged", Events.of(Events.ITEM_CHANGED, of + "gallery"));
        counts(of + "galleryEnded", Events.of(Events.GALLERY_ENDED, of + "gallery"));
        counts(of + "itemTapped", Events.of(Events.ITEM_TAPPED, 1.0, of + "gallery"));
        counts(of + "placeChosen", Events.of(Events.PLACE_CHOSEN, "Pier", of + "map"));
        for (String f : List.of("field", "tick", "choice", "slider")) {
            counts(of + f + "Changed", Events.of(Events.FIELD_CHANGED, of + f));
        }
        counts(of + "started", Events.of(Events.MEDIA_STARTED, of + "player"));
        counts(of + "passed", Events.of(Events.MEDIA_PASSED, of + "player", 100_000L));
        counts(of + "ended", Events.of(Events.MEDIA_ENDED, of + "player"));
        counts(of + "paused", Events.of(Events.MEDIA_PAUSED, of + "endless"));
        counts(of + "notSent", Events.of(Events.NOT_SENT));
    }

    private static Action action(ActionKind k) {
        return tundra.core.model.Actions.of(k, k.slots().stream().map(s -> switch (s.key()) {
            case "gallery" -> "gallery";
            case "media" -> "endless";
            case "map" -> "map";
            case "elements" -> List.of("field");
            case "address" -> "nowhere/at/all";
            default -> s.standard() != null ? s.standard() : "Pier";
        }).toArray());
    }

    private Project piece(String where) {
        elements.clear();
        reactions.clear();
        values.clear();
        blocks("", 0);
        blocks("other-", 220);
        put("start", new Content.Rectangle(), 720, 40);
        reactions.add(new Reaction("r-start", Events.tapped("start"), List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.PLAY_MEDIA,
                "player"), tundra.core.model.Actions.of(tundra.core.model.Actions.PLAY_MEDIA, "endless"))));
        put("halt", new Content.Rectangle(), 780, 40);
        reactions.add(new Reaction("r-halt", Events.tapped("halt"), List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.PAUSE_MEDIA,
                "endless"))));
        for (int i = 0; i < ACTIONS.size(); i++) {
            ActionKind k = ACTIONS.get(i);
            put("do-" + k.key(), new Content.Rectangle(), 40 + 60 * i, 590);
            counts("did-" + k.key(), Events.tapped("do-" + k.key()), action(k));
        }
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        var all = new Board(SIZE, Values.NONE, List.copyOf(elements), List.of(main), List.copyOf(reactions));
        Project p = Project.empty("Hands", SIZE, 24).withAsset(TablesPage.BELL).withValues(values);
        String scene = p.scenes().getFirst().id();
        return switch (where) {
            case "motif" -> p.withMotifs(List.of(new Motif("m", "M", all)))
                    .mapBoard(scene, b -> b.withElements(List.of(new Element("i", "i", false, false, Values.NONE.with(Properties.POSITION,
                    SIZE.times(0.5)), new Content.Instance("m", SIZE, Clock.OWN)))));
            case "layout" -> p.mapBoard(scene, b -> {
                Board base = all.withLayouts(List.of(new Layout("l", "L", 0, 2000, SIZE)));
                Board moved = Lens.get(base, "l");
                for (Element e : all.elements()) {
                    moved = moved.withRest(e.id(), v -> v.with(Properties.POSITION, e.rest().get(Properties.POSITION).plus(new Point(8, 6))));
                }
                return Lens.put(base, "l", moved, Lens.Scope.ONLY_HERE);
            });
            default -> p.mapBoard(scene, b -> all);
        };
    }

    private static Point middle(String of) {
        var r = (List<?>) browser.run(
                "const e = document.querySelector(arguments[0]), r = e.getBoundingClientRect(); return [r.left + r.width / 2, r.top + r.height / 2]",
                of);
        return new Point(((Number) r.get(0)).doubleValue(), ((Number) r.get(1)).doubleValue());
    }

    private static void keys(String on, CharSequence... keys) {
        browser.run("document.querySelector(arguments[0]).focus()", on);
        new Actions(browser.driver).sendKeys(keys).perform();
    }

    private static void tap(Hand hand, String on, CharSequence key) {
        Point at = middle(on);
        switch (hand) {
            case MOUSE -> browser.click(at.x(), at.y());
            case FINGER -> {
                browser.touch("touchStart", at);
                browser.touch("touchEnd");
            }
            default -> keys(on, key);
        }
    }

    private static void pull(Hand hand, String on, double by, CharSequence key) {
        Point at = middle(on), to = at.plus(new Point(by, 0));
        switch (hand) {
            case MOUSE -> browser.drag(at, to);
            case FINGER -> {
                browser.touch("touchStart", at);
                browser.touch("touchMove", at.lerp(to, 0.3));
                browser.touch("touchMove", at.lerp(to, 0.7));
                browser.touch("touchMove", to);
                // a finger that is lifted as it moves throws, and Chromium takes the tap after it, on any page, for the one that ends the throw
                browser.run("window.stood = performance.now()");
                browser.until("return performance.now() - stood > 150");
                browser.touch("touchMove", to);
                browser.touch("touchEnd");
            }
            default -> keys(on, key);
        }
    }

    private static String labelled(String name) {
        return "[aria-label='" + name + "']";
    }

    private static void happened(String value) {
        browser.until("return Tundra.pieces[0].value('" + value + "') > 0");
    }

    private void visit(Hand hand) {
        String gallery = labelled("gallery");
        tap(hand, hand == Hand.KEYS ? gallery : gallery + " li", Keys.ENTER);
        happened("itemTapped");
        pull(hand, gallery, -110, Keys.ARROW_RIGHT);
        happened("itemChanged");
        for (int i = 0; i < 4 && value("galleryEnded") == 0; i++) {
            String now = "" + browser.run("return Tundra.pieces[0].value('itemChanged')");
            pull(hand, gallery, -110, Keys.ARROW_RIGHT);
            browser.until("return Tundra.pieces[0].value('itemChanged') > " + now + " || Tundra.pieces[0].value('galleryEnded') > 0");
        }
        happened("galleryEnded");
        happened("itemShown");
        tap(hand, labelled("map") + " .t--pin", Keys.ENTER);
        happened("placeChosen");
        tap(hand, "input" + labelled("field"), "a");
        new Actions(browser.driver).sendKeys("by sled", Keys.TAB).perform();
        happened("fieldChanged");
        tap(hand, "input" + labelled("tick"), Keys.SPACE);
        happened("tickChanged");
        tap(hand, "[role=radiogroup]" + labelled("choice") + " input", Keys.SPACE);
        happened("choiceChanged");
        tap(hand, "input" + labelled("slider"), Keys.ARROW_RIGHT);
        happened("sliderChanged");
        tap(hand, labelled("start"), Keys.ENTER);
        for (String e : List.of("started", "passed", "ended")) {
            happened(e);
        }
        tap(hand, labelled("halt"), Keys.ENTER);
        happened("paused");
        for (ActionKind k : ACTIONS) {
            tap(hand, labelled("do-" + k.key()), Keys.ENTER);
            // what comes behind sending waits until it has arrived, which it doesn't here
            happened(k == tundra.core.model.Actions.SEND ? "notSent" : "did-" + k.key());
        }
    }

    @Test
    void everyEventAndActionOfBlocksByEachHandInEachPlace() throws Exception {
        var soft = new SoftAssertions();
        for (String where : List.of("drawn", "layout", "motif")) {
            Project p = piece(where);
            for (Hand hand : Hand.values()) {
                open(p, "hands-" + where + hand, (int) SIZE.x() + 20, (int) SIZE.y() + 20);
                ((Interactive) browser.driver).resetInputState();
                try {
                    visit(hand);
                } catch (AssertionError e) {
                    soft.fail(where + " by " + hand + ": " + e.getMessage());
                    continue;
                }
                for (PieceValue v : values) {
                    // whatever is sent, all hear of it
                    if (v.id().startsWith("other-") && !v.id().endsWith("otSent")) {
                        soft.assertThat(value(v.id())).as("%s of the one nobody touched, %s by %s", v.id(), where, hand).isZero();
                    }
                }
            }
        }
        soft.assertAll();
    }
}
