package tundra.web;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.By;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.bidi.browsingcontext.BrowsingContext;
import org.openqa.selenium.bidi.browsingcontext.CreateContextParameters;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import tundra.core.geometry.Point;

/** Headless Chromium with an exact viewport. One process serves all tests of a Java process; each profile in it is as a browser of its own. */
final class Browser implements AutoCloseable {
    private static final Duration LOADING = Duration.ofSeconds(40);
    private static Browser shared;
    final ChromeDriver driver;
    private final org.openqa.selenium.bidi.module.Browser profiles;
    private final String first;
    private String profile;

    /** The one of this Java process, in a new profile: nothing of what was done in it before is there. */
    static Browser fresh() throws IOException {
        if (shared == null) {
            shared = new Browser();
            Runtime.getRuntime().addShutdownHook(new Thread(shared.driver::quit));
        }
        shared.enter();
        return shared;
    }

    private Browser() throws IOException {
        var options = new ChromeOptions();
        options.enableBiDi();
        options.setBinary("/usr/bin/chromium");
        options.addArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
                "--disable-component-update", "--disable-sync", "--hide-scrollbars", "--force-color-profile=srgb",
                "--user-data-dir=" + Files.createTempDirectory("tundra-chromium"));
        var service = new ChromeDriverService.Builder().usingDriverExecutable(new File("/usr/bin/chromedriver")).usingAnyFreePort().build();
        driver = new ChromeDriver(service, options);
        driver.manage().timeouts().pageLoadTimeout(LOADING);
        profiles = new org.openqa.selenium.bidi.module.Browser(driver);
        first = driver.getWindowHandle();
    }

    private void enter() {
        profile = profiles.createUserContext();
        driver.switchTo().window(new BrowsingContext(driver, new CreateContextParameters(WindowType.TAB).userContext(profile)).getId());
    }

    /** Has pages take the visitor for one who asks for less motion, or not. */
    void lessMotion(boolean on) {
        driver.executeCdpCommand("Emulation.setEmulatedMedia",
                Map.of("features", List.of(Map.of("name", "prefers-reduced-motion", "value", on ? "reduce" : "no-preference"))));
    }

    void open(Path folder, int width, int height) {
        driver.executeCdpCommand("Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
        String page = folder.resolve("index.html").toUri().toString();
        try {
            driver.get(page);
        } catch (TimeoutException e) {
            // the driver sometimes loses sight of a frame within the page while the machine is busy, and waits for it for ever
            System.err.println("opened again: " + page);
            driver.get(page);
        }
        driver.executeAsyncScript("const done = arguments[arguments.length - 1]; document.fonts.ready.then(() => done(true))");
    }

    /** Makes the window of the page that is open another size. */
    void resize(int width, int height) {
        driver.executeCdpCommand("Emulation.setDeviceMetricsOverride", Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile",
                false));
        until("return innerWidth === " + width + " && innerHeight === " + height);
    }

    Object run(String script, Object... args) {
        return driver.executeScript(script, args);
    }

    /**
     * Puts every timeline of the first scene that starts by itself at its time, in ms; others never were. Motifs with clocks of their own
     * stand so many ms after the opening of the scene.
     */
    void seek(List<Double> times, double since) {
        run("const s = Tundra.pieces[0].scenes[0]; s.timelines.forEach((t, i) => { t.reset(); if (t.starts) t.goTo(arguments[0][i]); }); s.board.run({ playing: false, at: arguments[1] });", times, since);
    }

    /** Writes the animated values into the styles, as a paused composited animation differs at its edges; then takes the picture. */
    byte[] still(List<Double> times, double since) {
        seek(times, since);
        run("document.getAnimations().forEach(a => { a.commitStyles(); }); document.getAnimations().forEach(a => a.cancel());");
        return shot();
    }

    /** A picture of the page as it is, as PNG; packed quickly rather than small. */
    byte[] shot() {
        return Base64.getDecoder().decode((String) driver.executeCdpCommand("Page.captureScreenshot", Map.of("format", "png", "optimizeForSpeed",
                true)).get("data"));
    }

    WebElement id(String id) {
        return driver.findElement(By.className(id));
    }

    /** Leaves the profile, with all that its pages kept. */
    @Override
    public void close() {
        driver.switchTo().window(first);
        profiles.removeUserContext(profile);
    }

    /** Waits, ten seconds at most, until a script says true; the page itself looks again and again. */
    void until(String script) {
        Object came = driver.executeAsyncScript("const done = arguments[0], end = performance.now() + 10000, look = () => {" + script + "};"
                + "const again = () => (look() === true ? done(true) : performance.now() > end ? done(false) : setTimeout(again, 10)); again();");
        if (!Boolean.TRUE.equals(came)) {
            throw new AssertionError("waited ten seconds in vain for: " + script);
        }
    }

    /** What a page noted in its list {@code heard}. */
    @SuppressWarnings("unchecked")
    List<List<Number>> heard() {
        return (List<List<Number>>) run("return heard");
    }

    /** @param type mousePressed, mouseMoved or mouseReleased */
    void mouse(String type, double x, double y, int buttons) {
        driver.executeCdpCommand("Input.dispatchMouseEvent", Map.of("type", type, "x", x, "y", y, "button", type.equals("mouseMoved") && buttons == 0
                ? "none" : "left", "buttons", buttons, "clickCount", 1));
    }

    void click(double x, double y) {
        mouse("mousePressed", x, y, 1);
        mouse("mouseReleased", x, y, 0);
    }

    /** Two clicks so quick that they are one double click. */
    void doubleClick(double x, double y) {
        for (int n = 1; n <= 2; n++) {
            for (String type : List.of("mousePressed", "mouseReleased")) {
                driver.executeCdpCommand("Input.dispatchMouseEvent", Map.of("type", type, "x", x, "y", y, "button", "left", "buttons",
                        type.equals("mousePressed") ? 1 : 0, "clickCount", n));
            }
        }
    }

    /** Presses, moves in two steps and lets go. */
    void drag(Point from, Point to) {
        Point half = from.lerp(to, 0.5);
        mouse("mousePressed", from.x(), from.y(), 1);
        mouse("mouseMoved", half.x(), half.y(), 1);
        mouse("mouseMoved", to.x(), to.y(), 1);
        mouse("mouseReleased", to.x(), to.y(), 0);
    }

    /** @param type touchStart, touchMove or touchEnd; the fingers that touch, in px */
    void touch(String type, Point... fingers) {
        var points = new ArrayList<Map<String, Object>>();
        for (int i = 0; i < fingers.length; i++) {
            points.add(Map.of("x", fingers[i].x(), "y", fingers[i].y(), "id", i));
        }
        driver.executeCdpCommand("Input.dispatchTouchEvent", Map.of("type", type, "touchPoints", points));
    }
}
