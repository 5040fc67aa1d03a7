package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.interactions.Actions;
import tundra.core.edit.Reactions;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Condition;
import tundra.core.model.ConditionKind;
import tundra.core.model.Conditions;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.SentenceKind;
import tundra.core.model.Setting;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** Every action and condition of the tables in a page that a visitor has open. */
class ActionTableTest extends TablesPage {
    /** What must be true on the page after each action; the first element is shown, 25 px right of the left edge. */
    private static Map<ActionKind, String> effects() {
        var m = new LinkedHashMap<ActionKind, String>();
        String main = "Tundra.pieces[0].timeline('Main')", mover = "document.querySelector('.t-mover')";
        m.put(tundra.core.model.Actions.PLAY, main + ".playing || " + main + ".time === 600");
        m.put(tundra.core.model.Actions.PAUSE, "!" + main + ".playing && " + main + ".time > 0");
        m.put(tundra.core.model.Actions.TOGGLE, main + ".playing");
        m.put(tundra.core.model.Actions.PLAY_FROM_START, main + ".playing");
        m.put(tundra.core.model.Actions.PLAY_FROM, main + ".time >= 300");
        m.put(tundra.core.model.Actions.PLAY_FROM_TIME, main + ".time > 200 || " + main + ".playing");
        m.put(tundra.core.model.Actions.PLAY_TO, "!" + main + ".playing && " + main + ".time === 300");
        m.put(tundra.core.model.Actions.PLAY_BACK, "!" + main + ".playing && " + main + ".time === 0 && told.includes('Main ended')");
        m.put(tundra.core.model.Actions.GO_TO, main + ".time === 200");
        m.put(tundra.core.model.Actions.SET_SPEED, main + ".pace === 1 && told.includes('setSpeed')");
        m.put(tundra.core.model.Actions.SHOW, "!" + mover + ".hidden");
        m.put(tundra.core.model.Actions.HIDE, mover + ".hidden && getComputedStyle(" + mover + ").display === 'none'");
        m.put(tundra.core.model.Actions.TOGGLE_SHOWN, mover + ".hidden");
        m.put(tundra.core.model.Actions.SET, "getComputedStyle(" + mover + ").opacity === '0.5'");
        m.put(tundra.core.model.Actions.CHANGE_BY, "getComputedStyle(" + mover + ").opacity === '0.5' && told.includes('changeBy')");
        m.put(tundra.core.model.Actions.TO_FRONT, mover + ".style.zIndex === '1'");
        m.put(tundra.core.model.Actions.TO_BACK, mover + ".style.zIndex === '-1'");
        m.put(tundra.core.model.Actions.SEND_HOME, "Tundra.pieces[0].shown.board.parts.get('t-mover').x === 0 && told.includes('sendHome')");
        m.put(tundra.core.model.Actions.OPEN_SCENE, "Tundra.pieces[0].shown.name === 'B'");
        m.put(tundra.core.model.Actions.NEXT_SCENE, "Tundra.pieces[0].shown.name === 'B'");
        m.put(tundra.core.model.Actions.PREVIOUS_SCENE, "Tundra.pieces[0].shown.name === 'A' && told.includes('previousScene')");
        m.put(tundra.core.model.Actions.BACK, "Tundra.pieces[0].shown.name === 'A' && told.includes('back')");
        m.put(tundra.core.model.Actions.OPEN_LINK, "left.includes('https://example.org/ ')");
        m.put(tundra.core.model.Actions.CALL, "left.includes('tel:+00000000 ')");
        m.put(tundra.core.model.Actions.WRITE_MAIL, "left.includes('mailto:somebody@example.org ')");
        String sound = "Tundra.pieces[0].sound(Object.keys(heard)[0])";
        m.put(tundra.core.model.Actions.PLAY_SOUND, "played.includes('play')");
        m.put(tundra.core.model.Actions.PLAY_SOUND_FROM_START, "played.includes('play')");
        m.put(tundra.core.model.Actions.PAUSE_SOUND, "played.includes('pause')");
        m.put(tundra.core.model.Actions.TOGGLE_SOUND, "played.includes('play')");
        m.put(tundra.core.model.Actions.STOP_SOUND, "played.includes('pause')");
        m.put(tundra.core.model.Actions.SET_VOLUME, "played.includes('volume 0.5')");
        m.put(tundra.core.model.Actions.SET_VALUE, "Tundra.pieces[0].value('v') === 1");
        m.put(tundra.core.model.Actions.ADD_VALUE, "Tundra.pieces[0].value('v') === 1");
        m.put(tundra.core.model.Actions.TOGGLE_VALUE, "Tundra.pieces[0].value('v') === 1");
        m.put(tundra.core.model.Actions.RANDOM_VALUE, "Tundra.pieces[0].value('v') >= 1 && Tundra.pieces[0].value('v') <= 6");
        m.put(tundra.core.model.Actions.PUT_TEXT, "document.querySelector('.t-words tspan').textContent === '0'");
        m.put(tundra.core.model.Actions.SAY, "document.querySelector('.t-say[aria-live=polite]')?.textContent === 'Hello'");
        m.put(tundra.core.model.Actions.RUN, "Tundra.pieces[0].value('v') === 41");
        m.put(tundra.core.model.Actions.COPY_TEXT, "copied.includes('Hello')");
        String gallery = "Tundra.pieces[0].shown.board.block('t-gallery')", map = "Tundra.pieces[0].shown.board.block('t-chart')",
                player = "Tundra.pieces[0].shown.board.block('t-player')";
        m.put(tundra.core.model.Actions.SHOW_ITEM, gallery + ".item === 0 && told.includes('showItem')");
        m.put(tundra.core.model.Actions.NEXT_ITEM, gallery + ".item === 1");
        m.put(tundra.core.model.Actions.PREVIOUS_ITEM, gallery + ".item === 2");
        m.put(tundra.core.model.Actions.TURN_ONCE, gallery + ".position > 2.9");
        m.put(tundra.core.model.Actions.PLAY_GALLERY, "told.includes('playGallery')");
        m.put(tundra.core.model.Actions.PAUSE_GALLERY, "told.includes('pauseGallery')");
        m.put(tundra.core.model.Actions.PLAY_MEDIA, "played.includes('play')");
        m.put(tundra.core.model.Actions.PAUSE_MEDIA, "played.includes('pause')");
        m.put(tundra.core.model.Actions.TOGGLE_MEDIA, "played.includes('play')");
        m.put(tundra.core.model.Actions.SEEK_MEDIA, player + ".el.currentTime > 0.4");
        m.put(tundra.core.model.Actions.MEDIA_VOLUME, "played.includes('volume 0.5')");
        m.put(tundra.core.model.Actions.MUTE_MEDIA, player + ".el.muted");
        m.put(tundra.core.model.Actions.GO_TO_PLACE, map + ".middle[0] > 134");
        m.put(tundra.core.model.Actions.ZOOM_MAP, map + ".zoom === 14");
        m.put(tundra.core.model.Actions.SEND, "sentTo.includes('https://example.org/') && told.includes('it has arrived')");
        m.put(tundra.core.model.Actions.WAIT, "told.includes('wait')");
        m.put(tundra.core.model.Actions.WAIT_UNTIL, "told.includes('waitUntil')");
        m.put(tundra.core.model.Actions.STOP, "told.includes('stop') && !told.includes('wait')");
        return m;
    }

    @Test
    void everyActionDoesWhatItSays() throws Exception {
        var effects = effects();
        assertThat(effects.keySet()).containsExactlyInAnyOrderElementsOf(tundra.core.model.Actions.ALL);
        Project bare = piece(List.of(box("button", 0)), List.of(), List.of(number("v")));
        var reactions = new ArrayList<Reaction>();
        for (ActionKind k : tundra.core.model.Actions.ALL) {
            Action a = Reactions.as(tundra.core.model.Actions.of(tundra.core.model.Actions.PAUSE, "main"), k, near(bare, "mover"));
            List<Action> all = k == tundra.core.model.Actions.STOP ? List.of(a, tundra.core.model.Actions.of(tundra.core.model.Actions.WAIT, 1000L))
                    : List.of(a);
            // each by a key of its own
            reactions.add(new Reaction("r-" + k.key(), Events.of(Events.KEY_PRESSED, "F" + (reactions.size() + 1)), all));
        }
        open(piece(List.of(box("button", 0)), reactions, List.of(number("v"))), "actions");
        browser.run("""
                const media = HTMLMediaElement.prototype;
                window.played = [];
                window.sentTo = [];
                window.fetch = (to) => (sentTo.push(to), Promise.resolve({ ok: true }));
                media.play = function () { played.push('play'); return Promise.resolve(); };
                media.pause = function () { played.push('pause'); };
                const volume = Object.getOwnPropertyDescriptor(media, 'volume');
                Object.defineProperty(media, 'volume', { get: volume.get, set(v) { played.push('volume ' + v); volume.set.call(this, v); } });
                window.copied = [];
                document.addEventListener('copy', () => copied.push(String(document.activeElement.value)));
                if (navigator.clipboard) navigator.clipboard.writeText = (t) => { copied.push(t); return Promise.resolve(); };""");
        var wrong = new ArrayList<String>();
        for (int i = 0; i < tundra.core.model.Actions.ALL.size(); i++) {
            ActionKind k = tundra.core.model.Actions.ALL.get(i);
            browser.run("Tundra.pieces[0].show('A'); told.length = 0; left.length = 0; played.length = 0; Tundra.pieces[0].put('v', 0);");
            browser.run("const d = Tundra.pieces[0].shown.board.parts.get('t-mover'); d.x = 50; d.show();");
            if (k == tundra.core.model.Actions.PAUSE || k == tundra.core.model.Actions.PLAY_BACK) {
                browser.run("Tundra.pieces[0].timeline('Main').goTo(400); " + (k == tundra.core.model.Actions.PAUSE
                        ? "Tundra.pieces[0].timeline('Main').play()" : ""));
            }
            browser.run("dispatchEvent(new Event('x')); document.dispatchEvent(new KeyboardEvent('keydown', { key: arguments[0], bubbles: true }))",
                    "F" + (i + 1));
            try {
                browser.until("return !!(" + effects.get(k) + ")");
            } catch (AssertionError e) {
                wrong.add(k.key() + ": " + browser.run("return told.join()"));
            }
        }
        assertThat(wrong).isEmpty();
        assertThat((List<?>) browser.run("return wrong")).isEmpty();
    }

    @Test
    void commentsOfScriptsStayUnlessTheyAreNotWanted() {
        Project p = piece(List.of(box("button", 0)), List.of(), List.of(number("v")));
        String kept = script(p), bare = script(p.withScripts(p.scripts().stream().map(s -> s.withComments(false)).toList()));
        assertThat(kept).contains("// credit: the station");
        assertThat(bare).doesNotContain("credit").contains("page.set(\"v\", 41)");
    }

    private static String script(Project p) {
        return new String(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null).files().get("script-celebrate.js")
                .bytes(), StandardCharsets.UTF_8);
    }

    @Test
    void conditionsDecideBetweenActionsAndOtherwise() throws Exception {
        var elements = List.of(box("button", 0));
        var values = List.of(number("v"), number("yes"), number("no"));
        Map<ConditionKind, String> holds = new LinkedHashMap<>();
        holds.put(Conditions.VALUE, "Tundra.pieces[0].put('v', 5)");
        holds.put(Conditions.SHOWN, "document.querySelector('.t-mover').hidden = false");
        holds.put(Conditions.PLAYS, "Tundra.pieces[0].timeline('Main').playFromStart()");
        holds.put(Conditions.TIME, "Tundra.pieces[0].timeline('Main').goTo(50)");
        holds.put(Conditions.WIDTH, "window.innerWidth = 500");
        holds.put(Conditions.LAYOUT, "document.body.style.width = '400px'");
        holds.put(Conditions.KEY, "dispatchEvent(new KeyboardEvent('keydown', { key: 'h' }))");
        assertThat(holds.keySet()).as("less motion is asked for in a browser of its own").containsExactlyInAnyOrderElementsOf(
                Conditions.ALL.stream().filter(k -> k != Conditions.MOTION).toList());
        Map<ConditionKind, String> not = Map.of(Conditions.WIDTH, "window.innerWidth = 700", Conditions.LAYOUT,
                "document.body.style.width = '600px'", Conditions.VALUE, "Tundra.pieces[0].put('v', 4)", Conditions.SHOWN,
                "document.querySelector('.t-mover').hidden = true",
                Conditions.PLAYS, "Tundra.pieces[0].timeline('Main').pause()", Conditions.TIME, "Tundra.pieces[0].timeline('Main').goTo(500)",
                Conditions.KEY, "dispatchEvent(new KeyboardEvent('keyup', { key: 'h' }))");
        var all = List.of(Conditions.of(Conditions.VALUE, "v", "is", "5"), Conditions.of(Conditions.SHOWN, "mover", "shown"),
                Conditions.of(Conditions.PLAYS, "main", "plays"),
                Conditions.of(Conditions.TIME, "main", "before", 100_000L), Conditions.of(Conditions.WIDTH, "narrower", 600.0),
                Conditions.of(Conditions.KEY, "H", "held"), Conditions.of(Conditions.LAYOUT, "is", NARROW));
        var reactions = new ArrayList<Reaction>();
        for (Condition c : all) {
            reactions.add(new Reaction("r-" + c.kind().key(), Events.tapped("button"), List.of(c), false, List.of(add("yes")), List.of(add("no")),
                    false, ""));
        }
        for (int i = 0; i < all.size(); i++) {
            Condition c = all.get(i);
            open(piece(elements, List.of(reactions.get(i)), values), "condition-" + i);
            browser.run(not.get(c.kind()));
            browser.click(40, 40);
            browser.until("return Tundra.pieces[0].value('no') === 1");
            browser.run(holds.get(c.kind()));
            if (c.kind() == Conditions.LAYOUT) {
                // the browser tells of another width with its next frame
                browser.until("return Tundra.pieces[0].shown.layout === 'Narrow'");
            }
            browser.click(40, 40);
            browser.until("return Tundra.pieces[0].value('yes') === 1");
            assertThat(value("no")).as(c.kind().key()).isEqualTo(1);
        }
        // all of them, or any
        for (boolean any : new boolean[] {false, true}) {
            var both = List.of(Conditions.of(Conditions.VALUE, "v", "is more than", "3"), Conditions.of(Conditions.SHOWN, "mover", "hidden"));
            open(piece(elements, List.of(new Reaction("r", Events.tapped("button"), both, any, List.of(add("yes")), List.of(add("no")), false, "")),
                    values), "both-" + any);
            browser.run("Tundra.pieces[0].put('v', 4)");
            browser.click(40, 40);
            browser.until("return Tundra.pieces[0].value('" + (any ? "yes" : "no") + "') === 1");
            browser.run("document.querySelector('.t-mover').hidden = true");
            browser.click(40, 40);
            browser.until("return Tundra.pieces[0].value('yes') === " + (any ? 2 : 1));
        }
    }

    private static Action add(String value) {
        return tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, value, 1.0);
    }

    @Test
    void theTablesAndThePlayerHoldTheSame() {
        for (List<? extends SentenceKind> table : List.of(Events.ALL, Conditions.ALL, tundra.core.model.Actions.ALL)) {
            for (SentenceKind k : table) {
                String section = (k instanceof EventKind ? "event " : k instanceof ConditionKind ? "condition " : "action ") + k.key();
                assertThat(PlayerScript.sections()).contains(section);
            }
        }
        long entries = PlayerScript.sections().stream().filter(s -> s.matches("(event|condition|action) .*")).count();
        assertThat(entries).isEqualTo(Events.ALL.size() + Conditions.ALL.size() + tundra.core.model.Actions.ALL.size());
    }

    /** From what is seen: a second change that comes midway begins where the first one is. */
    @Test
    void whatIsSetOverATimeIsInterruptedWithoutAJump() throws Exception {
        var to = tundra.core.model.Actions.of(tundra.core.model.Actions.SET, List.of("mover"), Setting.of(Properties.POSITION, new Point(640, 320)),
                1_000_000L, "linear");
        var back = tundra.core.model.Actions.of(tundra.core.model.Actions.SET, List.of("mover"), Setting.of(Properties.POSITION, new Point(40, 320)),
                1_000_000L, "linear");
        open(piece(List.of(), List.of(when("r1", Events.of(Events.KEY_PRESSED, "A"), to), when("r2", Events.of(Events.KEY_PRESSED, "B"), back)),
                List.of()), "midway");
        browser.run("""
                window.seen = [];
                const el = document.querySelector('.t-mover');
                let back = false;
                const step = () => {
                  // by the time of the frames, whatever they take
                  seen.push([document.timeline.currentTime, parseFloat(getComputedStyle(el).translate)]);
                  if (!back && seen.at(-1)[1] > 320) {
                    back = true;
                    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'b' }));
                  }
                  if (seen.length < 4000) requestAnimationFrame(step);
                };
                step();
                document.dispatchEvent(new KeyboardEvent('keydown', { key: 'a' }));""");
        browser.until("return seen.length > 20 && told.filter(x => x === 'set').length === 2 && Math.abs(seen.at(-1)[1] - 15) < 0.5");
        var seen = (List<List<Number>>) browser.run("return seen");
        double most = 0;
        for (int i = 1; i < seen.size(); i++) {
            double ms = seen.get(i).get(0).doubleValue() - seen.get(i - 1).get(0).doubleValue();
            double px = Math.abs(seen.get(i).get(1).doubleValue() - seen.get(i - 1).get(1).doubleValue());
            // 390 px from its place at rest or back in a second at most
            most = Math.max(most, px - 0.62 * ms);
        }
        System.out.printf("interrupted midway: %.2f px more than the speed allows%n", most);
        assertThat(most).isLessThan(12);
        assertThat(seen.stream().mapToDouble(s -> s.get(1).doubleValue()).max().orElse(0)).as("it was on its way").isGreaterThan(300);
    }
}
