package tundra.app;

import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import tundra.app.page.PageView;

/** The page that is tried in a window, which runs in a process of its own. */
final class TriedPage {
    private static final long PATIENCE = TimeUnit.SECONDS.toNanos(40);
    private final RealWindow t;

    TriedPage(RealWindow t) {
        this.t = t;
    }

    PageView view() throws Exception {
        return RealWindow.fx(() -> t.window.tryView().page());
    }

    /** What a line of JavaScript comes to in the page. */
    String ask(String script) throws Exception {
        var answer = RealWindow.fx(() -> t.window.tryView().page().ask(script));
        try {
            return answer.get(30, TimeUnit.SECONDS);
        } catch (CancellationException | ExecutionException e) {
            return "no answer";
        }
    }

    /** Waits until a line of JavaScript comes to this. */
    void until(String script, String value) throws Exception {
        String last = null;
        for (long end = System.nanoTime() + PATIENCE; System.nanoTime() < end; RealWindow.pulses(2)) {
            last = ask(script);
            if (last.equals(value)) {
                return;
            }
        }
        throw new AssertionError(script + " is " + last + ", not " + value);
    }

    /** Waits until the page has begun, with something in its address. */
    void begun(String query) throws Exception {
        t.until(() -> {
            String url = t.window.tryView().page().loaded();
            return url != null && (query.isEmpty() ? !url.contains("&") : url.contains(query));
        });
        until("typeof Tundra === 'object' && Tundra.pieces.length === 1", "true");
        t.settle();
    }
}
