package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import tundra.core.geometry.Point;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Tree;
import tundra.samples.OpenNight;

/** The demo as a visitor goes through it: the menu, the walk, the mast, the visit. */
class DemoVisitTest extends InBrowser {
    private final Project demo = OpenNight.project();

    private String of(String scene, String element) {
        Scene s = demo.scenes().stream().filter(x -> x.name().equals(scene)).findFirst().orElseThrow();
        var found = new String[1];
        Tree.each(s.board().elements(), e -> found[0] = e.name().equals(element) && found[0] == null ? e.id() : found[0]);
        return "." + PageId.of(found[0]);
    }

    private void shown(String scene) throws Exception {
        browser.until("return Tundra.pieces[0].shown.name === '" + scene + "'");
    }

    @SuppressWarnings("unchecked")
    private Point middle(String selector) {
        var p = (List<Number>) browser.run(
                "const all = [...document.querySelector(arguments[0]).querySelectorAll('.t-p > *')].map(x => x.getBoundingClientRect());"
                + "const l = Math.min(...all.map(r => r.left)), r = Math.max(...all.map(r => r.right)), t = Math.min(...all.map(r => r.top)), b = Math.max(...all.map(r => r.bottom)); return [(l + r) / 2, (t + b) / 2]", selector);
        return new Point(p.get(0).doubleValue(), p.get(1).doubleValue());
    }

    private void click(String selector) {
        Point p = middle(selector);
        browser.click(p.x(), p.y());
    }

    private void drag(String part, String place) throws Exception {
        browser.drag(middle(part), middle(place).plus(new Point(9, -6)));
        browser.until("const m = (s) => { const r = [...document.querySelector(s).querySelectorAll('.t-p > *')][0].getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]; };"
                + "const a = m('" + part + "'), b = m('" + place + "'); return Math.hypot(a[0] - b[0], a[1] - b[1]) < 1");
    }

    @Test
    void theMenuTheMastTheVisitAndTheWalk() throws Exception {
        open(demo, "demo", 1280, 640);
        browser.run("window.wrong = []; addEventListener('error', e => wrong.push(e.message)); HTMLMediaElement.prototype.play = function () { (window.played ??= []).push(this.src); return Promise.resolve(); };");
        String menu = of("Arrival", "Menu"), panel = of("Arrival", "Menu panel");
        click(menu);
        browser.until("return Tundra.pieces[0].timeline('Menu').time === 400");
        double open = middle(panel).x();
        click(menu);
        browser.until("return Tundra.pieces[0].timeline('Menu').time === 0 && !Tundra.pieces[0].timeline('Menu').playing");
        assertThat(middle(panel).x()).as("it slid back").isGreaterThan(open + 200);
        click(of("Arrival", "Hut bell"));
        browser.until("return window.played?.length === 1 && Tundra.pieces[0].timeline('Bell').playing");
        click(menu);
        browser.until("return Tundra.pieces[0].timeline('Menu').time === 400");
        click(of("Arrival", "Raise the mast"));
        shown("Raise the mast");
        String vane = of("Raise the mast", "Vane"), dome = of("Raise the mast", "Dome"), lamp = of("Raise the mast", "Lamp");
        Point home = middle(vane);
        drag(vane, of("Raise the mast", "Vane slot"));
        drag(dome, of("Raise the mast", "Dome slot"));
        click(of("Raise the mast", "Start over"));
        browser.until("return parseFloat(getComputedStyle(document.querySelector('" + vane
                + "-h')).translate) === 0 || getComputedStyle(document.querySelector('" + vane + "-h')).translate === '0px'");
        assertThat(middle(vane).distance(home)).isLessThan(1);
        drag(vane, of("Raise the mast", "Vane slot"));
        drag(dome, of("Raise the mast", "Dome slot"));
        // the third by the keyboard
        browser.run("document.querySelector(arguments[0]).focus()", lamp);
        new Actions(browser.driver).sendKeys(Keys.SPACE, Keys.ARROW_RIGHT, Keys.SPACE).perform();
        browser.until("return Tundra.pieces[0].timeline('Aurora comes').time > 0");
        shown("Visit");
        assertThat(browser.run("return document.querySelector(arguments[0] + ' text').textContent", of("Visit", "Raised")))
                .isEqualTo("The mast was raised 1 times on this screen.");
        new Actions(browser.driver).sendKeys(Keys.ESCAPE).perform();
        shown("Arrival");
        browser.run("Tundra.pieces[0].show('Night walk')");
        String words = of("Night walk", "rest-one");
        for (double share : new double[] {0.32, 0.72, 0.32}) {
            browser.run("scrollTo({ top: arguments[0], behavior: 'instant' })", 2600 * share);
            browser.until("return Math.abs(Tundra.pieces[0].timeline('Main').time - " + 10_000 * share + ") < 60");
            browser.until("return getComputedStyle(document.querySelector('" + (share < 0.5 ? words : of("Night walk", "rest-two"))
                    + "')).opacity > 0.98");
        }
        new Actions(browser.driver).sendKeys(Keys.ESCAPE).perform();
        shown("Arrival");
        assertThat((List<?>) browser.run("return wrong")).isEmpty();
        assertThat(browser.run("return localStorage.getItem('tundra open-night raised')")).isEqualTo("1");
    }
}
