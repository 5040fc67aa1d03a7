package tundra.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;

/** A headless browser to compare with. */
final class Chromium {
    private Chromium() {}

    static ChromeDriver start() throws IOException {
        Path profile = Files.createTempDirectory("tundra-chromium");
        var options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
                "--disable-component-update", "--disable-sync", "--hide-scrollbars", "--force-color-profile=srgb", "--user-data-dir=" + profile);
        return new ChromeDriver(new ChromeDriverService.Builder().usingDriverExecutable(new File("/usr/bin/chromedriver")).build(), options);
    }
}
