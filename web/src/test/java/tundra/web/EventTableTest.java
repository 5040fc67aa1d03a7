package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.interactions.Actions;
import tundra.core.edit.Reactions;
import tundra.core.edit.Sentences;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Conditions;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Setting;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** Every event of the table, as a visitor makes it happen, with every action behind it. */
@Tag("long")
class EventTableTest extends TablesPage {
    private static final String TOLD = "told.js";

    private void home() {
        browser.run("for (const d of Tundra.pieces[0].shown.board.parts.values()) d.home(0)");
    }

    private void scroll(double to) {
        browser.run("scrollTo(0, arguments[0])", to);
    }

    private interface Doing {
        void at(double x, double y) throws Exception;
    }

    /** What a visitor does for each event, on the element that it is about. */
    private Map<EventKind, Doing> doings() {
        var m = new LinkedHashMap<EventKind, Doing>();
        m.put(Events.TAPPED, browser::click);
        m.put(Events.TAPPED_TWICE, (x, y) -> {
            browser.click(x, y);
            browser.click(x, y);
        });
        m.put(Events.TAPPED_ELSEWHERE, (x, y) -> browser.click(650, 10));
        m.put(Events.PRESSED, browser::click);
        m.put(Events.RELEASED, browser::click);
        m.put(Events.HELD, (x, y) -> {
            browser.mouse("mousePressed", x, y, 1);
            browser.until("return Tundra.pieces[0].value('n-held') > 0");
            browser.mouse("mouseReleased", x, y, 0);
        });
        m.put(Events.OVER, (x, y) -> browser.mouse("mouseMoved", x, y, 0));
        m.put(Events.OUT, (x, y) -> {
            browser.mouse("mouseMoved", x, y, 0);
            browser.mouse("mouseMoved", 650, 10, 0);
        });
        m.put(Events.SWIPED, (x, y) -> {
            browser.touch("touchStart", new Point(x, y));
            browser.touch("touchMove", new Point(x - 30, y));
            browser.touch("touchMove", new Point(x - 80, y + 3));
            browser.touch("touchEnd");
        });
        m.put(Events.PINCHED, (x, y) -> {
            browser.touch("touchStart", new Point(x - 5, y), new Point(x + 5, y));
            browser.touch("touchMove", new Point(x - 12, y), new Point(x + 12, y));
            browser.touch("touchMove", new Point(x - 20, y), new Point(x + 20, y));
            browser.touch("touchEnd");
        });
        Point mover = box("mover", 30).rest().get(Properties.POSITION);
        Doing there = (x, y) -> browser.drag(new Point(x, y), mover);
        m.put(Events.LANDED, there);
        m.put(Events.LANDED_ON, there);
        m.put(Events.MISSED, (x, y) -> browser.drag(new Point(x, y), new Point(660, 20)));
        m.put(Events.TAKEN_OUT, (x, y) -> {
            home();
            browser.drag(new Point(x, y), mover);
            // the place lies above it
            browser.run("document.querySelector('.' + arguments[0] + '-h').style.zIndex = 99999", PageId.of("e-takenOut"));
            browser.drag(mover, new Point(640, 30));
        });
        m.put(Events.ALL_LANDED, (x, y) -> {
            home();
            for (String part : PARTS) {
                var at = (List<?>) browser.run(
                        "const r = document.querySelector('.' + arguments[0] + ' .t-p > *').getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]", PageId.of(part));
                browser.drag(new Point(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue()), mover);
            }
        });
        for (EventKind k : List.of(Events.DRAG_STARTED, Events.DRAGGED, Events.DRAG_ENDED)) {
            m.put(k, (x, y) -> {
                home();
                browser.drag(new Point(x, y), new Point(x + 30, y + 5));
            });
        }
        m.put(Events.KEY_PRESSED, (x, y) -> new Actions(browser.driver).sendKeys("k").perform());
        m.put(Events.OPENED, (x, y) -> { });
        m.put(Events.CLOSED, (x, y) -> {
            browser.run("Tundra.pieces[0].show('B')");
            browser.run("Tundra.pieces[0].show('A')");
        });
        Doing play = (x, y) -> browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        m.put(Events.PASSED, play);
        m.put(Events.REACHED, play);
        m.put(Events.ENDED, play);
        m.put(Events.INSTANCE_REACHED, (x, y) -> { });
        m.put(Events.SCROLLED_TO, (x, y) -> scroll(700));
        m.put(Events.SCROLLED, (x, y) -> {
            scroll(0);
            browser.until("return scrollY === 0");
            scroll(300);
        });
        m.put(Events.ENTERED, (x, y) -> {
            scroll(900);
            browser.run("window.seenTwice = 0; requestAnimationFrame(() => requestAnimationFrame(() => requestAnimationFrame(() => seenTwice = 1)))");
            browser.until("return seenTwice === 1 && scrollY > 700");
            scroll(0);
        });
        m.put(Events.LEFT, (x, y) -> scroll(900));
        m.put(Events.BECAME, (x, y) -> browser.run("Tundra.pieces[0].put('watched', 7)"));
        m.put(Events.CHANGED, (x, y) -> browser.run("Tundra.pieces[0].put('watched', 8)"));
        m.put(Events.NARROWER, (x, y) -> width(500));
        m.put(Events.WIDER, (x, y) -> {
            width(500);
            browser.until("return innerWidth === 500");
            width(WIDTH);
        });
        m.put(Events.LAYOUT_BECAME, (x, y) -> width(430));
        String block = "Tundra.pieces[0].shown.board.block";
        m.put(Events.ITEM_SHOWN, (x, y) -> browser.run(block + "('t-gallery').to(1)"));
        m.put(Events.ITEM_CHANGED, (x, y) -> browser.run(block + "('t-gallery').leaf(1)"));
        m.put(Events.GALLERY_ENDED, (x, y) -> browser.run("const g = " + block + "('t-gallery'); g.loops = false; g.go(1, 0); g.go(2, 0)"));
        m.put(Events.ITEM_TAPPED, (x, y) -> browser.run(block + "('t-gallery').items[0].click()"));
        Doing sound = (x, y) -> {
            browser.click(650, 10);
            browser.run(block + "('t-player').play()");
        };
        m.put(Events.MEDIA_STARTED, sound);
        m.put(Events.MEDIA_PASSED, sound);
        m.put(Events.MEDIA_PAUSED, (x, y) -> {
            sound.at(x, y);
            browser.until("const p = " + block + "('t-player').el; p.pause(); return p.paused");
        });
        m.put(Events.MEDIA_ENDED, sound);
        m.put(Events.PLACE_CHOSEN, (x, y) -> browser.run("document.querySelector('.t-chart-k .t--pin').click()"));
        m.put(Events.FIELD_CHANGED, (x, y) ->
                browser.run("const f = document.querySelector('.t-filled-f'); f.value = 'x'; f.dispatchEvent(new Event('input')); f.dispatchEvent(new Event('change'))"));
        m.put(Events.SENT, (x, y) -> browser.run("Tundra.pieces[0].arrived.forEach((f) => f(true))"));
        m.put(Events.NOT_SENT, (x, y) -> browser.run("Tundra.pieces[0].arrived.forEach((f) => f(false))"));
        m.put(Events.COUNTDOWN_OVER, (x, y) ->
                browser.run("const c = " + block + "('t-zero'); c.turned(false); c.data.until = Date.now() + 150; c.turned(true)"));
        m.put(Events.AFTER, (x, y) -> { });
        m.put(Events.EVERY, (x, y) -> { });
        return m;
    }

    private void width(int w) {
        browser.driver.executeCdpCommand("Emulation.setDeviceMetricsOverride", Map.of("width", w, "height", 300, "deviceScaleFactor", 1, "mobile",
                false));
    }

    private static Event event(EventKind k, Project p, String element) {
        return switch (k.key()) {
            case "passed" -> Events.of(k, "main", 200_000L, "forwards");
            case "instanceReached" -> Events.of(k, "placed", "half");
            case "landedOn" -> Events.of(k, element, "mover");
            case "itemShown" -> Events.of(k, "gallery", 2.0);
            case "mediaPassed" -> Events.of(k, "player", 100_000L);
            case "became" -> Events.of(k, "watched", "7");
            case "changed" -> Events.of(k, "watched");
            case "keyPressed" -> Events.of(k, "K");
            case "after", "every" -> Events.of(k, 150_000L);
            case "narrower", "wider" -> Events.of(k, 600.0);
            default -> Reactions.as(Events.tapped(element), k, near(p, element));
        };
    }

    @Test
    void everyEventHappensAndFiresActionsOfEveryKind() throws Exception {
        var doings = doings();
        assertThat(doings.keySet()).containsExactlyInAnyOrderElementsOf(Events.ALL);
        var elements = new ArrayList<Element>();
        var values = new ArrayList<>(List.of(number("watched"), number("aside")));
        Events.ALL.forEach(k -> {
            elements.add(box("e-" + k.key(), elements.size()));
            values.add(number("n-" + k.key()));
        });
        Project bare = piece(elements, List.of(), values);
        var reactions = new ArrayList<Reaction>();
        for (EventKind k : Events.ALL) {
            // what plays, opens or leaves comes with the test of the actions; here a few kinds each, and what counts last
            reactions.add(when("r-" + k.key(), event(k, bare, "e-" + k.key()), tundra.core.model.Actions.of(tundra.core.model.Actions.SHOW,
                    List.of("mover")),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.SET, List.of("mover"), Setting.of(Properties.ROTATION, 45.0), 1000L,
                    "linear"),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.TO_FRONT, List.of("mover")),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.PUT_TEXT, "aside", "words"),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.SAY, "told"),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.RANDOM_VALUE, "aside", 1.0, 6.0),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, "n-" + k.key(), 1.0)));
        }
        open(piece(elements, reactions, values), "events");
        for (int i = 0; i < Events.ALL.size(); i++) {
            EventKind k = Events.ALL.get(i);
            scroll(0);
            browser.until("return scrollY === 0");
            double before = k == Events.OPENED || k == Events.AFTER ? 0 : value("n-" + k.key());
            Point at = elements.get(i).rest().get(Properties.POSITION);
            doings.get(k).at(at.x(), at.y());
            String more = "return Tundra.pieces[0].value('n-" + k.key() + "') > " + before;
            try {
                browser.until(more);
            } catch (AssertionError e) {
                throw new AssertionError(k.key() + " did not happen: " + browser.run("return told.slice(-12)"), e);
            }
            width(WIDTH);
        }
        assertThat((List<?>) browser.run("return wrong")).isEmpty();
    }

    /** Every action of the table, those that leave the scene behind the others, and the one that ends the reaction last. */
    private static List<Action> everyAction(Project p, String count) {
        List<ActionKind> leaving = List.of(tundra.core.model.Actions.WAIT, tundra.core.model.Actions.NEXT_SCENE,
                tundra.core.model.Actions.PREVIOUS_SCENE, tundra.core.model.Actions.OPEN_SCENE,
                tundra.core.model.Actions.BACK, tundra.core.model.Actions.STOP);
        var kinds = new ArrayList<>(List.of(tundra.core.model.Actions.ADD_VALUE));
        tundra.core.model.Actions.ALL.stream().filter(k -> !leaving.contains(k) && !kinds.contains(k)).toList().forEach(kinds::add);
        kinds.addAll(leaving);
        var out = new ArrayList<Action>();
        for (ActionKind k : kinds) {
            out.add(k == tundra.core.model.Actions.ADD_VALUE ? tundra.core.model.Actions.of(k, count, 1.0) : k == tundra.core.model.Actions.WAIT
                    ? tundra.core.model.Actions.of(k, 1000L)
                    : k == tundra.core.model.Actions.SET_VALUE ? tundra.core.model.Actions.of(k, "aside", "3")
                    : k == tundra.core.model.Actions.TOGGLE_VALUE ? tundra.core.model.Actions.of(k, "aside")
                    : k == tundra.core.model.Actions.RANDOM_VALUE ? tundra.core.model.Actions.of(k, "aside", 1.0, 6.0)
                    : Reactions.as(tundra.core.model.Actions.of(tundra.core.model.Actions.PAUSE, "main"), k, near(p, "mover")));
        }
        return out;
    }

    /** A page for each event, whose one reaction does everything that the table has. */
    @Test
    void everyEventFiresEveryAction() throws Exception {
        var doings = doings();
        var wrong = new ArrayList<String>();
        for (int i = 0; i < Events.ALL.size(); i++) {
            EventKind k = Events.ALL.get(i);
            String id = "e-" + k.key(), count = "n-" + k.key();
            var elements = new ArrayList<Element>();
            // what can be dragged is told from the rest by its name, and all parts are needed where all of them land
            for (EventKind other : k == Events.ALL_LANDED ? Events.ALL : List.of(k)) {
                elements.add(box("e-" + other.key(), Events.ALL.indexOf(other)));
            }
            var values = List.of(number("watched"), number("aside"), number(count));
            Project bare = piece(elements, List.of(), values);
            List<Action> all = everyAction(bare, count);
            // once: what happens when a scene opens or closes would happen again and again
            var once = List.of(Conditions.of(Conditions.VALUE, count, "is", "0"));
            // each tells what it does in the words of its sentence
            var sentences = new Sentences(bare, bare.scenes().getFirst().board());
            List<String> words = all.stream().map(a -> sentences.of(a.kind(), a.slots())).toList();
            // without the script that can't be read, which is told of as the page loads
            Project p = piece(elements, List.of(new Reaction("r", event(k, bare, id), once, false, all, List.of(), false, "")), values)
                    .withScripts(bare.scripts().subList(0, 1));
            Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, TOLD), folder.resolve("every-" + i),
                    Progress.NONE);
            Files.writeString(folder.resolve("every-" + i).resolve(TOLD),
                    "window.fetch = () => Promise.resolve({ ok: true }); window.told = []; window.wrong = []; addEventListener('tundra', e => e.detail.reaction && told.push(e.detail.text)); addEventListener('error', e => wrong.push(e.message));"
                    // what is waited for comes
                    + "addEventListener('tundra', e => e.detail.text.startsWith('wait here until') && setTimeout(() => { Tundra.pieces[0].shown.board.spent = false; document.querySelector('.t-mover .t-p > *').dispatchEvent(new MouseEvent('click', { bubbles: true })); }));"
                    + "document.addEventListener('click', e => { if (e.target.closest('a')) e.preventDefault(); }, true);");
            browser.open(folder.resolve("every-" + i), WIDTH, 300);
            browser.run("const far = document.createElement('div'); far.style.height = '900px'; document.body.append(far); scrollTo(0, 0)");
            Point at = elements.stream().filter(e -> e.id().equals(id)).findFirst().orElseThrow().rest().get(Properties.POSITION);
            doings.get(k).at(at.x(), at.y());
            try {
                browser.until("return told.includes('" + words.getLast() + "')");
            } catch (AssertionError e) {
                wrong.add(k.key() + " did not come to the end: " + browser.run("return told.join()"));
                continue;
            } finally {
                width(WIDTH);
            }
            assertThat((List<?>) browser.run("return wrong")).as(k.key()).isEmpty();
            var told = (List<?>) browser.run("return told");
            if (!told.containsAll(words)) {
                wrong.add(k.key() + " did not fire all: " + told);
            }
        }
        assertThat(wrong).isEmpty();
    }
}
