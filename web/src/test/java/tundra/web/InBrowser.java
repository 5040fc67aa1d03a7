package tundra.web;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;

/** Tests that share one headless Chromium and a folder for their pages. */
abstract class InBrowser {
    static Browser browser;
    @TempDir
    static Path folder;

    @BeforeAll
    static void startBrowser() throws Exception {
        browser = new Browser();
    }

    @AfterAll
    static void stopBrowser() {
        browser.close();
    }
}
