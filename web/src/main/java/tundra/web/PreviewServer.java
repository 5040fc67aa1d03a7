package tundra.web;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.io.InputStream;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Serves a page to this machine only, and takes the page's log of what happened in it. */
public final class PreviewServer implements AutoCloseable {
    private static final Pattern RANGE = Pattern.compile("bytes=(\\d{0,18})-(\\d{0,18})");

    private static final JsonMapper JSON = new JsonMapper();
    private final LoopbackServer server;
    private final Consumer<LogLine> log;
    /** In every address, so that nothing else on this machine can guess one. */
    private final String token = HexFormat.of().formatHex(random());
    private volatile Page page = new Page(Map.of());

    /**
     * Something that happened in the page.
     *
     * @param time ms since the page was loaded
     * @param reaction the id of the reaction that fired; empty for other news
     * @param scene the id of the scene that was open; empty when it isn't known
     * @param timeline the id of its timeline that was started last; empty for none
     * @param at where that stood, in ms
     */
    public record LogLine(double time, String reaction, String text, String scene, String timeline, double at) {
        public LogLine(double time, String reaction, String text) {
            this(time, reaction, text, "", "", 0);
        }
    }

    /** Starts on a free port of the loopback address. {@code log} is called from the server's threads. */
    public PreviewServer(Consumer<LogLine> log) throws IOException {
        this.log = log;
        server = new LoopbackServer(this::answer);
    }

    /** The page to serve; compile it with {@link #LOG_SCRIPT} as its extra script to hear from it. */
    public void serve(Page p) {
        page = p;
    }

    public static final String LOG_SCRIPT = "tundra-log.js";

    /** The address, beside the page, at which the stand-in for a service that knows places answers while a page is tried. */
    public static final String PLACES = "places";
    /** The address, beside the page, that takes what visitors fill in while a page is tried. */
    public static final String SENT = "sent";
    private static final int MOST = 1 << 20, MOST_SEEN = 16 << 20;
    /** What hosts send packed, to about a quarter; a slow mobile line, in bytes a second; and how long an answer takes to begin, in ms. */
    private static final Set<String> PACKED = Set.of("html", "css", "js");
    private static final long QUARTER = 4, SLOW = 200_000, WAIT = 300;
    private final Object line = new Object();
    private volatile boolean slow;
    private volatile Consumer<String> recorded = lines -> { };

    /** Whether files come as over a slow mobile line, which all of them share. */
    public void slow(boolean on) {
        slow = on;
    }

    private void line(long bytes, boolean packed) {
        LockSupport.parkNanos(WAIT * 1_000_000);
        synchronized (line) {
            LockSupport.parkNanos((packed ? bytes / QUARTER : bytes) * 1_000_000_000 / SLOW);
        }
    }

    /** Gets what pages write down that are asked to record, line by line, from the server's threads. */
    public void onRecord(Consumer<String> taker) {
        recorded = taker;
    }

    private static byte[] random() {
        byte[] out = new byte[16];
        new SecureRandom().nextBytes(out);
        return out;
    }

    public String url() {
        return server.origin() + "/" + token + "/";
    }

    private void answer(HttpExchange x) throws IOException {
        try (x) {
            String path = x.getRequestURI().getPath(), method = x.getRequestMethod(), own = "/" + token + "/";
            if (!ownHost(x)) {
                send(x, 403, "text/plain", "This address serves this machine only.".getBytes(StandardCharsets.UTF_8));
            } else if (!path.startsWith(own)) {
                send(x, 404, "text/plain", "Not part of the page.".getBytes(StandardCharsets.UTF_8));
            } else if (path.equals(own + "log")) {
                log(x);
            } else if (path.equals(own + "run") && method.equals("POST") && ownPage(x)) {
                recorded.accept(new String(x.getRequestBody().readNBytes(MOST_SEEN), StandardCharsets.UTF_8));
                x.sendResponseHeaders(204, -1);
            } else if (path.equals(own + SENT) && method.equals("POST") && ownPage(x)) {
                // stands in for whoever takes what visitors fill in
                x.getRequestBody().readNBytes(MOST);
                x.sendResponseHeaders(204, -1);
            } else if (path.equals(own + PLACES) && method.equals("GET")) {
                send(x, 200, "application/geo+json", PlaceService.find(query(x)));
            } else if (!method.equals("GET") && !method.equals("HEAD")) {
                x.getResponseHeaders().set("Allow", "GET, HEAD");
                send(x, 405, "text/plain", "Only read.".getBytes(StandardCharsets.UTF_8));
            } else {
                file(x, path.substring(own.length()));
            }
        }
    }

    private boolean ownPage(HttpExchange x) {
        String origin = x.getRequestHeaders().getFirst("Origin");
        return origin == null || origin.equals(server.origin());
    }

    private static String query(HttpExchange x) {
        String q = x.getRequestURI().getRawQuery();
        return q == null || !q.startsWith("q=") ? "" : URLDecoder.decode(q.substring(2), StandardCharsets.UTF_8);
    }

    private void log(HttpExchange x) throws IOException {
        if (!x.getRequestMethod().equals("POST")) {
            x.getResponseHeaders().set("Allow", "POST");
            send(x, 405, "text/plain", "Only written to.".getBytes(StandardCharsets.UTF_8));
        } else if (!ownPage(x)) {
            send(x, 403, "text/plain", "Only its own page tells.".getBytes(StandardCharsets.UTF_8));
        } else {
            take(x.getRequestBody().readNBytes(10_000));
            x.sendResponseHeaders(204, -1);
        }
    }

    private void file(HttpExchange x, String path) throws IOException {
        if (path.equals(LOG_SCRIPT)) {
            try (var in = PreviewServer.class.getResourceAsStream("tundra-log.js")) {
                send(x, 200, MediaTypes.of(LOG_SCRIPT), in.readAllBytes());
            }
            return;
        }
        String name = path.isEmpty() ? "index.html" : path, ending = name.substring(name.lastIndexOf('.') + 1);
        Page.Part body = page.files().get(name);
        if (body == null) {
            send(x, 404, "text/plain", "Not part of the page.".getBytes(StandardCharsets.UTF_8));
            return;
        }
        if (slow) {
            line(body.length(), PACKED.contains(ending));
        }
        String type = MediaTypes.of(name);
        x.getResponseHeaders().set("Accept-Ranges", "bytes");
        var range = RANGE.matcher(String.valueOf(x.getRequestHeaders().getFirst("Range")));
        if (!range.matches() || range.group(1).isEmpty() && range.group(2).isEmpty()) {
            send(x, 200, type, body, 0, body.length());
            return;
        }
        // from-to, from- or -last (RFC 9110, section 14.1.2)
        long from = range.group(1).isEmpty() ? Math.max(0, body.length() - Long.parseLong(range.group(2))) : Long.parseLong(range.group(1));
        long to = range.group(1).isEmpty() || range.group(2).isEmpty() ? body.length() - 1
                : Math.min(body.length() - 1, Long.parseLong(range.group(2)));
        if (from > to) {
            x.getResponseHeaders().set("Content-Range", "bytes */" + body.length());
            send(x, 416, "text/plain", "There is no such part.".getBytes(StandardCharsets.UTF_8));
        } else {
            x.getResponseHeaders().set("Content-Range", "bytes " + from + "-" + to + "/" + body.length());
            send(x, 206, type, body, from, to + 1 - from);
        }
    }

    /** A page elsewhere must not reach this server under a name of its own. */
    private static boolean ownHost(HttpExchange x) {
        String host = x.getRequestHeaders().getFirst("Host");
        String origin = x.getRequestHeaders().getFirst("Origin");
        return host != null && host.startsWith("127.0.0.1:") && (origin == null || origin.startsWith("http://127.0.0.1:"));
    }

    private void take(byte[] body) {
        try {
            JsonNode n = JSON.readTree(body);
            log.accept(new LogLine(n.path("time").asDouble(0), n.path("reaction").asString(""), n.path("text").asString(""), n.path("scene")
                    .asString(""), n.path("timeline").asString(""), n.path("at").asDouble(0)));
        } catch (tools.jackson.core.JacksonException e) {
            log.accept(new LogLine(0, "", "the page sent a log line that can't be read"));
        }
    }

    private static void send(HttpExchange x, int code, String type, byte[] body) throws IOException {
        send(x, code, type, Page.Part.of(body), 0, body.length);
    }

    /** A stretch of a part of the page, passed on as it comes. */
    private static void send(HttpExchange x, int code, String type, Page.Part body, long from, long length) throws IOException {
        x.getResponseHeaders().set("Content-Type", type);
        x.getResponseHeaders().set("Cache-Control", "no-store");
        x.getResponseHeaders().set("Cross-Origin-Resource-Policy", "same-origin");
        x.getResponseHeaders().set("X-Content-Type-Options", "nosniff");
        // what is tried asks no other host either
        x.getResponseHeaders().set("Content-Security-Policy", "default-src 'self'");
        boolean head = x.getRequestMethod().equals("HEAD");
        x.sendResponseHeaders(code, length == 0 || head ? -1 : length);
        if (head || length == 0) {
            return;
        }
        try (InputStream in = body.open()) {
            in.skipNBytes(from);
            byte[] some = new byte[1 << 16];
            for (long left = length; left > 0; ) {
                int n = in.read(some, 0, (int) Math.min(some.length, left));
                if (n < 0) {
                    throw new IOException("a part of the page ended early");
                }
                x.getResponseBody().write(some, 0, n);
                left -= n;
            }
        }
    }

    @Override
    public void close() {
        server.close();
    }
}
