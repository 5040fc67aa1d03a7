package tundra.web;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** Tests that share a profile of headless Chromium and a folder for their pages. */
abstract class InBrowser {
    static Browser browser;
    @TempDir
    static Path folder;

    @BeforeAll
    static void startBrowser() throws Exception {
        browser = Browser.fresh();
    }

    @AfterAll
    static void stopBrowser() {
        browser.close();
    }

    /** Publishes a piece to a folder of that name. */
    static Path publish(Project p, String name) throws Exception {
        Path to = folder.resolve(name);
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null), to, Progress.NONE);
        return to;
    }

    /** Opens the page of a piece in a window of a size in px. */
    static void open(Project p, String name, int width, int height) throws Exception {
        browser.open(publish(p, name), width, height);
    }

    /** What a number of the piece is now. */
    static double value(String id) {
        return ((Number) browser.run("return Tundra.pieces[0].value(arguments[0])", id)).doubleValue();
    }

    /** A key that the page hears of, wherever the keyboard is. */
    static void key(String key) {
        browser.run("document.dispatchEvent(new KeyboardEvent('keydown', { key: arguments[0], bubbles: true }))", key);
    }
}
