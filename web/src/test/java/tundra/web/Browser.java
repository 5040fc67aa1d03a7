package tundra.web;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.By;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import tundra.core.geometry.Point;

/** Headless Chromium with an exact viewport. */
final class Browser implements AutoCloseable {
    final ChromeDriver driver;

    Browser(String... more) throws IOException {
        var options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
                "--disable-component-update", "--disable-sync", "--hide-scrollbars", "--force-color-profile=srgb",
                "--user-data-dir=" + Files.createTempDirectory("tundra-chromium"));
        options.addArguments(more);
        var service = new ChromeDriverService.Builder().usingDriverExecutable(new File("/usr/bin/chromedriver")).usingAnyFreePort().build();
        driver = new ChromeDriver(service, options);
    }

    void open(Path folder, int width, int height) {
        driver.executeCdpCommand("Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
        driver.get(folder.resolve("index.html").toUri().toString());
        driver.executeAsyncScript("const done = arguments[arguments.length - 1]; document.fonts.ready.then(() => done(true))");
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
        return driver.getScreenshotAs(OutputType.BYTES);
    }

    WebElement id(String id) {
        return driver.findElement(By.className(id));
    }

    @Override
    public void close() {
        driver.quit();
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
    java.util.List<java.util.List<Number>> heard() {
        return (java.util.List<java.util.List<Number>>) run("return heard");
    }

    /** @param type mousePressed, mouseMoved or mouseReleased */
    void mouse(String type, double x, double y, int buttons) {
        driver.executeCdpCommand("Input.dispatchMouseEvent", Map.of("type", type, "x", x, "y", y, "button", type.equals("mouseMoved") && buttons == 0 ? "none" : "left", "buttons", buttons, "clickCount", 1));
    }

    void click(double x, double y) {
        mouse("mousePressed", x, y, 1);
        mouse("mouseReleased", x, y, 0);
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
