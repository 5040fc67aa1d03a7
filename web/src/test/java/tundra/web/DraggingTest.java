package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Parts that a visitor drags with mouse, fingers and keyboard. */
class DraggingTest extends InBrowser {
    private static Element box(String id, double x, double y, double w, double h) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private static Reaction counts(String value, Event when) {
        return new Reaction("r-" + value, when, List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, value, 1.0)));
    }

    /** Vane and dome left, their slots right; the dome lies in a group that is turned by a quarter and twice as large. */
    private void open(String name, UnaryOperator<Dragging> how, Element... more) throws Exception {
        Element dome = box("dome", 20, 15, 20, 30).with(Properties.ROTATION, 0.0);
        Element group = new Element("group", "group", false, false, Values.NONE.with(Properties.POSITION, new Point(80, 220))
                .with(Properties.ROTATION, 90.0).with(Properties.SCALE, new Point(2, 2)),
                new Content.Group(List.of(dome), new Point(40, 30), null));
        var elements = new ArrayList<>(List.of(box("vane slot", 400, 80, 70, 50), box("dome slot", 400, 220, 80, 60), box("vane", 80, 80, 60, 40),
                group));
        elements.addAll(0, List.of(more));
        elements.replaceAll(e -> e.withId(e.id().replace(' ', '-')));
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, true, true, Map.of()).with("vane", Properties.OPACITY,
                new Track<>(List.of(new Key<>(0, 1.0, Easing.LINEAR), new Key<>(1_000_000, 0.9, Easing.LINEAR))));
        var drag = how.apply(Dragging.of("d", List.of(new Dragging.Pair("vane", List.of("vane-slot")),
                new Dragging.Pair("dome", List.of("dome-slot", "vane-slot")))).withFit(f -> f.withBack(50_000)));
        var values = new ArrayList<PieceValue>();
        var reactions = new ArrayList<Reaction>();
        Map.of("landed", Events.of(Events.LANDED, "vane"), "dome", Events.of(Events.LANDED_ON, "dome", "dome-slot"), "missed",
                Events.of(Events.MISSED, "vane"), "all", Events.of(Events.ALL_LANDED),
                "started", Events.of(Events.DRAG_STARTED, "vane"), "moved", Events.of(Events.DRAGGED, "vane"), "ended",
                Events.of(Events.DRAG_ENDED, "vane")).forEach((id, e) -> {
            values.add(new PieceValue(id, id, PieceValue.Kind.NUMBER, "0", false));
            reactions.add(counts(id, e));
        });
        reactions.add(new Reaction("home", Events.of(Events.KEY_PRESSED, "H"),
                List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.SEND_HOME, List.of("vane", "dome"), 0L))));
        var board = new Board(new Point(600, 320), Values.NONE, elements, List.of(main), reactions).withDrags(List.of(drag));
        Project p = new Project("p", "Page", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of()).withValues(values);
        open(p, name, 600, 320);
    }

    @SuppressWarnings("unchecked")
    private Point middle(String id) {
        var p = (List<Number>) browser.run(
                "const all = document.querySelector('.t-' + arguments[0]).querySelectorAll('.t-p > *'); const r = all[0].getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]", id);
        return new Point(p.get(0).doubleValue(), p.get(1).doubleValue());
    }

    private void at(String id, double x, double y) throws Exception {
        browser.until("const r = document.querySelector('.t-" + id
                + "').querySelector('.t-p > *').getBoundingClientRect(); return Math.hypot(r.x + r.width / 2 - " + x + ", r.y + r.height / 2 - " + y
                + ") < 0.6");
    }

    @Test
    void aPartLandsInTheMiddleOfItsPlaceOrGoesHome() throws Exception {
        open("lands", d -> d);
        browser.drag(new Point(80, 80), new Point(250, 250));
        at("vane", 80, 80);
        assertThat(value("missed")).isEqualTo(1);
        assertThat(value("started")).isEqualTo(1);
        assertThat(value("ended")).isEqualTo(1);
        assertThat(value("moved")).isGreaterThanOrEqualTo(2);
        browser.drag(new Point(80, 80), new Point(390, 90));
        at("vane", 400, 80);
        assertThat(value("landed")).isEqualTo(1);
        assertThat(value("all")).isZero();
        // the vane's place is taken: the dome goes home from there, and lands on its own
        assertThat(middle("dome").distance(new Point(80, 220))).isLessThan(1);
        browser.drag(middle("dome"), new Point(400, 85));
        at("dome", 80, 220);
        browser.drag(new Point(80, 220), new Point(410, 210));
        at("dome", 400, 220);
        assertThat(value("dome")).isEqualTo(1);
        assertThat(value("all")).isEqualTo(1);
        // taken out again it goes home
        browser.drag(new Point(400, 80), new Point(200, 200));
        at("vane", 80, 80);
        new Actions(browser.driver).sendKeys("h").perform();
        at("dome", 80, 220);
    }

    @Test
    void whatIsMissedStaysAndWhatLandsStaysWhereItWasLetGo() throws Exception {
        open("stays", d -> d.withFit(f -> f.withMissed(Dragging.Missed.STAYS).withSnaps(false)));
        browser.drag(new Point(80, 80), new Point(250, 150));
        at("vane", 250, 150);
        browser.drag(new Point(250, 150), new Point(390, 90));
        at("vane", 390, 90);
        assertThat(value("landed")).isEqualTo(1);
    }

    @Test
    void whileItIsCarriedItLooksAndTiltsAsSaid() throws Exception {
        open("eased", d -> d.withFit(f -> f.withBack(200_000).withEasing(EasingText.parse("cubic-bezier(0.3, 0.1, 0.2, 1.4)"))));
        browser.drag(new Point(80, 80), new Point(250, 250));
        assertThat((String) browser.run("return document.querySelector('.t-vane-h').style.transition"))
                .contains("200ms cubic-bezier(0.3, 0.1, 0.2, 1.4)");
        at("vane", 80, 80);
        open("carried", d -> d.withCarried(c -> c.withOpacity(0.5).withTilt(10)));
        browser.mouse("mousePressed", 85, 85, 1);
        browser.mouse("mouseMoved", 200, 150, 1);
        assertThat((String) browser.run(
                "const s = getComputedStyle(document.querySelector('.t-vane-h')); return s.opacity + ' ' + s.rotate + ' ' + s.cursor"))
                .isEqualTo("0.5 10deg grabbing");
        assertThat(middle("vane").distance(new Point(195, 145))).as("it tilts around its middle").isLessThan(1);
        browser.mouse("mouseReleased", 200, 150, 0);
        at("vane", 80, 80);
        browser.until("return parseFloat(getComputedStyle(document.querySelector('.t-vane-h')).rotate) === 0");
    }

    @Test
    void twoFingersCarryTwoParts() throws Exception {
        open("fingers", d -> d);
        browser.touch("touchStart", new Point(80, 80));
        browser.touch("touchStart", new Point(80, 80), new Point(80, 220));
        for (double p : new double[] {0.3, 0.7, 1}) {
            browser.touch("touchMove", new Point(80, 80).lerp(new Point(400, 80), p), new Point(80, 220).lerp(new Point(400, 220), p));
        }
        browser.touch("touchEnd", new Point(400, 220));
        browser.touch("touchEnd");
        at("vane", 400, 80);
        at("dome", 400, 220);
        assertThat(value("all")).isEqualTo(1);
    }

    @Test
    void byTheKeyboardFromPlaceToPlaceAndAnnounced() throws Exception {
        open("keys", d -> d);
        browser.run("document.querySelector('.t-dome').focus()");
        new Actions(browser.driver).sendKeys(Keys.SPACE).perform();
        new Actions(browser.driver).sendKeys(Keys.ARROW_RIGHT).perform();
        at("dome", 400, 220);
        new Actions(browser.driver).sendKeys(Keys.TAB).perform();
        at("dome", 400, 80);
        new Actions(browser.driver).sendKeys(Keys.ESCAPE).perform();
        at("dome", 80, 220);
        new Actions(browser.driver).sendKeys(Keys.SPACE, Keys.ARROW_RIGHT, Keys.SPACE).perform();
        at("dome", 400, 220);
        assertThat(value("dome")).isEqualTo(1);
        browser.until("return document.querySelector('.t-say')?.textContent === 'dome: dome slot'");
        assertThat(browser.run("const d = document.querySelector('.t-dome'); return d.getAttribute('role') + ' ' + d.getAttribute('aria-label') + ' ' + d.tabIndex")).isEqualTo("button dome, dome slot 0");
    }

    @Test
    void freelyAcrossDownWithinAnAreaAndAround() throws Exception {
        UnaryOperator<Dragging> free = d -> d.withPairs(List.of(new Dragging.Pair("vane", List.of())));
        open("across", d -> free.apply(d).withMotion(m -> m.withWay(Dragging.Way.ACROSS)));
        browser.drag(new Point(80, 80), new Point(200, 150));
        at("vane", 200, 80);
        open("down", d -> free.apply(d).withMotion(m -> m.withWay(Dragging.Way.DOWN)));
        browser.drag(new Point(80, 80), new Point(200, 150));
        at("vane", 80, 150);
        open("area", d -> free.apply(d).withMotion(m -> m.withArea("yard")), box("yard", 150, 100, 260, 160));
        browser.drag(new Point(80, 80), new Point(500, 300));
        // its edges stay within 20–280 and 20–180
        at("vane", 250, 160);
        open("turn", d -> free.apply(d).withMotion(m -> m.withWay(Dragging.Way.TURN)));
        browser.drag(new Point(105, 80), new Point(80, 105));
        browser.until("return Math.abs(parseFloat(getComputedStyle(document.querySelector('.t-vane-h')).rotate) - 90) < 0.1");
        assertThat(middle("vane").x()).isCloseTo(80, within(0.5));
        browser.run("document.querySelector('.t-vane').focus()");
        open("keysfree", free);
        browser.run("document.querySelector('.t-vane').focus()");
        new Actions(browser.driver).sendKeys(Keys.SPACE, Keys.ARROW_RIGHT, Keys.ARROW_DOWN, Keys.ARROW_DOWN, Keys.SPACE).perform();
        at("vane", 90, 100);
    }

    /** A part on a curved way of two keys, and one that fades on the same timeline. */
    private void openPath(String name, boolean glides) throws Exception {
        var path = new Track<>(List.of(new Key<>(0, new Point(100, 260), Easing.LINEAR), new Key<>(1_000_000, new Point(300, 60), Easing.LINEAR),
                new Key<>(2_000_000, new Point(500, 260), Easing.LINEAR)));
        var ride = new Timeline("ride", "Ride", 2_000_000, false, false, Map.of()).with("vane", Properties.POSITION, path)
                .with("lamp", Properties.OPACITY, new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(2_000_000, 1.0, Easing.LINEAR))));
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, true, true, Map.of());
        var drag = Dragging.of("d", List.of(new Dragging.Pair("vane", List.of()))).withMotion(m -> m.withWay(Dragging.Way.PATH).withGlides(glides));
        var board = new Board(new Point(600, 320), Values.NONE, List.of(box("vane", 100, 260, 60, 40), box("lamp", 40, 40, 30, 30)),
                List.of(main, ride), List.of()).withDrags(List.of(drag));
        Project p = new Project("p", "Page", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of());
        open(p, name, 600, 320);
    }

    private double ride() {
        return ((Number) browser.run("return Tundra.pieces[0].timeline('Ride').time")).doubleValue();
    }

    @Test
    void alongItsMotionPathItPlaysTheTimeline() throws Exception {
        openPath("path", false);
        // towards 200, 160, which lies on the first half of the way, and is reached from beside it
        browser.drag(new Point(100, 260), new Point(170, 130));
        assertThat(ride()).isCloseTo(500, within(15.0));
        at("vane", 200, 160);
        browser.until("return Math.abs(+getComputedStyle(document.querySelector('.t-lamp')).opacity - 0.25) < 0.01");
        // over the corner and beyond the end
        browser.drag(new Point(200, 160), new Point(300, 60));
        browser.drag(new Point(300, 60), new Point(560, 330));
        assertThat(ride()).isCloseTo(2000, within(1.0));
        at("vane", 500, 260);
        // by the keyboard in twentieths of the way, and back where it was with Escape
        browser.run("document.querySelector('.t-vane').focus()");
        new Actions(browser.driver).sendKeys(Keys.SPACE, Keys.ARROW_LEFT, Keys.ARROW_LEFT).perform();
        assertThat(ride()).isCloseTo(1800, within(1.0));
        new Actions(browser.driver).sendKeys(Keys.ESCAPE).perform();
        assertThat(ride()).isCloseTo(2000, within(1.0));
        // a scene that opens again is as it was at first
        browser.run("Tundra.pieces[0].show('S')");
        assertThat((List<?>) browser.run("return Tundra.pieces[0].moment.map(m => m[0])")).isEqualTo(List.of("main"));
    }

    @Test
    void whatGlidesGoesOnSlowerAndStaysWithinItsArea() throws Exception {
        UnaryOperator<Dragging> free = d -> d.withPairs(List.of(new Dragging.Pair("vane", List.of()))).withMotion(m -> m.withGlides(true));
        open("glide", free);
        // 4 px in 10 ms each, at the end as fast: 0.4 px a ms on, slower by e in 300 ms, is 120 px
        browser.run("""
                const el = document.querySelector('.t-vane-h'), inner = el.querySelector('.t-p > *');
                el.setPointerCapture = () => {};
                const send = (type, x) => inner.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 5, button: 0, clientX: x, clientY: 80 }));
                let x = 80, began;
                send('pointerdown', x);
                const step = (now) => {
                  began ??= now;
                  x = 80 + 0.4 * (now - began);
                  send('pointermove', x);
                  if (now - began < 150) requestAnimationFrame(step);
                  else { window.letGo = x; send('pointerup', x); }
                };
                requestAnimationFrame(step);""");
        browser.until("return Tundra.pieces[0].value('ended') === 1");
        double far = middle("vane").x() - ((Number) browser.run("return letGo")).doubleValue();
        assertThat(far).as("v times its time constant, less where it is called still").isBetween(90.0, 135.0);
        open("glide-area", d -> free.apply(d).withMotion(m -> m.withArea("yard")), box("yard", 150, 100, 260, 160));
        browser.run("""
                const el = document.querySelector('.t-vane-h'), inner = el.querySelector('.t-p > *');
                el.setPointerCapture = () => {};
                const send = (type, x) => inner.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 5, button: 0, clientX: x, clientY: 80 }));
                send('pointerdown', 80);
                let n = 0;
                const step = () => { send('pointermove', 80 + 20 * ++n); n < 5 ? requestAnimationFrame(step) : send('pointerup', 180); };
                requestAnimationFrame(step);""");
        browser.until("return Tundra.pieces[0].value('ended') === 1");
        assertThat(middle("vane").x()).as("not over the edge of its area").isCloseTo(250, within(0.6));
    }

    @Test
    void whileCarriedItLooksAsItIsSaid() throws Exception {
        open("look", d -> d.withCarried(c -> c.withCursor(Dragging.Cursor.CROSSHAIR).with(Setting.of(Properties.FILL, Color.parse("#C96F1F")))
                .with(Setting.of(Properties.SCALE, new Point(1.5, 1.5)))));
        String seen = "const s = document.querySelector('.t-vane-s'), o = document.querySelector('.t-vane'); return getComputedStyle(s).fill + ' ' + getComputedStyle(o).scale + ' ' + document.querySelector('.t-vane-h').style.cursor";
        browser.mouse("mousePressed", 80, 80, 1);
        browser.until("return (() => { " + seen + " })() === 'rgb(201, 111, 31) 1.5 crosshair'");
        browser.mouse("mouseMoved", 200, 150, 1);
        browser.mouse("mouseReleased", 200, 150, 0);
        browser.until("return (() => { " + seen + " })() === 'rgb(28, 106, 94) none grab'");
        // taken up and let go at once
        browser.mouse("mousePressed", 80, 80, 1);
        browser.mouse("mouseReleased", 80, 80, 0);
        browser.until("return (() => { " + seen + " })() === 'rgb(28, 106, 94) none grab'");
    }

    @Test
    void byTheShareOfItsAreaAndByThePointer() throws Exception {
        open("share", d -> d.withFit(f -> f.withOverlap(Dragging.Overlap.AREA, 0.8)));
        // 60 × 40 over 70 × 50: moved 30 px aside half of it lies outside
        browser.drag(new Point(80, 80), new Point(435, 80));
        at("vane", 80, 80);
        browser.drag(new Point(80, 80), new Point(412, 80));
        at("vane", 400, 80);
        open("pointer", d -> d.withFit(f -> f.withOverlap(Dragging.Overlap.POINTER, 0.5)));
        // held at its left edge, the pointer is over the place though the middle is not
        browser.drag(new Point(55, 80), new Point(430, 80));
        at("vane", 400, 80);
    }
}
