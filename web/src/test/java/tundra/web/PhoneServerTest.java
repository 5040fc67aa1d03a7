package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WebDriverException;

/** The page for a phone: at a secret address alone, loaded anew when it changes, gone when it is no longer shared. */
class PhoneServerTest extends InBrowser {
    private static Page page(String words) {
        var files = new LinkedHashMap<String, Page.Part>();
        files.put("index.html", Page.Part.of(("<!doctype html><body><p>" + words + "</p></body>").getBytes(StandardCharsets.UTF_8)));
        return new Page(files);
    }

    /** Asked again and again, as a page that loads itself anew answers nothing meanwhile. */
    private static void shows(String words) {
        String last = null;
        for (long end = System.nanoTime() + 20_000_000_000L; !words.equals(last) && System.nanoTime() < end; ) {
            try {
                last = (String) browser.run("return document.querySelector('p')?.textContent");
            } catch (WebDriverException e) {
                // between the one page and the next
                last = null;
            }
        }
        assertThat(last).isEqualTo(words);
    }

    @Test
    void aPageThatIsShownFollowsWhatIsChanged() throws Exception {
        String url;
        try (var server = new PhoneServer(InetAddress.getLoopbackAddress())) {
            url = server.url();
            server.serve(page("first"));
            browser.driver.get(url);
            shows("first");
            server.serve(page("second"));
            shows("second");
            var web = HttpClient.newHttpClient();
            URI outside = URI.create(url.replaceFirst("/[0-9a-f]{32}/", "/"));
            assertThat(web.send(HttpRequest.newBuilder(outside).build(), HttpResponse.BodyHandlers.discarding()).statusCode()).isEqualTo(404);
            assertThat(web.send(HttpRequest.newBuilder(URI.create(url)).POST(HttpRequest.BodyPublishers.noBody()).build(),
                    HttpResponse.BodyHandlers.discarding()).statusCode()).isEqualTo(404);
        }
        String closed = url;
        Assertions.assertThatThrownBy(() -> HttpClient.newHttpClient().send(HttpRequest.newBuilder(URI.create(closed)).build(),
                HttpResponse.BodyHandlers.discarding())).isInstanceOf(IOException.class);
    }

    @Test
    void theWeightIsThatOfWhatABrowserLoads() throws Exception {
        var files = new LinkedHashMap<String, Page.Part>();
        files.put("index.html", Page.Part.of("<p>".repeat(10_000).getBytes(StandardCharsets.UTF_8)));
        files.put("fonts/a.woff2", Page.Part.of(new byte[100_000]));
        files.put("fonts/LICENSE-a.txt", Page.Part.of(new byte[9000]));
        files.put("still.png", Page.Part.of(new byte[9000]));
        files.put("sounds/a.wav", Page.Part.of(new byte[50_000]));
        PageWeight w = PageWeight.of(new Page(files));
        assertThat(w.byKind().keySet()).containsExactly(PageWeight.Kind.FONTS, PageWeight.Kind.SOUND, PageWeight.Kind.DRAWING);
        assertThat(w.byKind().get(PageWeight.Kind.DRAWING)).as("packed").isLessThan(500);
        assertThat(w.bytes()).isBetween(150_000L, 150_500L);
        // two rounds of 0.3 s, and 100 KB at 200 KB a second
        assertThat(w.slow()).isBetween(1.09, 1.12);
    }
}
