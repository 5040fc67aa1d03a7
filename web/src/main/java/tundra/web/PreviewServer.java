package tundra.web;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Serves a page to this machine only, and takes the page's log of what happened in it. */
public final class PreviewServer implements AutoCloseable {
    private static final Map<String, String> TYPES = Map.of("html", "text/html; charset=utf-8", "js", "text/javascript; charset=utf-8",
            "png", "image/png", "jpg", "image/jpeg", "webp", "image/webp", "gif", "image/gif", "ttf", "font/ttf", "txt", "text/plain; charset=utf-8");
    private static final JsonMapper JSON = new JsonMapper();
    private final HttpServer server;
    private final ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor();
    private final Consumer<LogLine> log;
    private volatile Page page = new Page(Map.of());

    /**
     * Something that happened in the page.
     *
     * @param time ms since the page was loaded
     * @param reaction the id of the reaction that fired; empty for other news
     */
    public record LogLine(double time, String reaction, String text) {}

    /** Starts on a free port of the loopback address. {@code log} is called from the server's threads. */
    public PreviewServer(Consumer<LogLine> log) throws IOException {
        this.log = log;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(threads);
        server.createContext("/", this::answer);
        server.start();
    }

    /** The page to serve; compile it with {@link #LOG_SCRIPT} as its extra script to hear from it. */
    public void serve(Page p) {
        page = p;
    }

    public static final String LOG_SCRIPT = "/tundra-log.js";

    public String url() {
        return "http://127.0.0.1:" + server.getAddress().getPort() + "/";
    }

    private void answer(HttpExchange x) throws IOException {
        try (x) {
            String path = x.getRequestURI().getPath();
            if (!ownHost(x)) {
                send(x, 403, "text/plain", "This address serves this machine only.".getBytes(StandardCharsets.UTF_8));
            } else if (path.equals("/log") && x.getRequestMethod().equals("POST")) {
                take(x.getRequestBody().readNBytes(10_000));
                x.sendResponseHeaders(204, -1);
            } else if (path.equals(LOG_SCRIPT)) {
                try (var in = PreviewServer.class.getResourceAsStream("tundra-log.js")) {
                    send(x, 200, TYPES.get("js"), in.readAllBytes());
                }
            } else {
                String name = path.equals("/") ? "index.html" : path.substring(1);
                byte[] body = page.files().get(name);
                if (body == null) {
                    send(x, 404, "text/plain", "Not part of the page.".getBytes(StandardCharsets.UTF_8));
                } else {
                    send(x, 200, TYPES.getOrDefault(name.substring(name.lastIndexOf('.') + 1), "application/octet-stream"), body);
                }
            }
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
            log.accept(new LogLine(n.path("time").asDouble(0), n.path("reaction").asString(""), n.path("text").asString("")));
        } catch (tools.jackson.core.JacksonException e) {
            log.accept(new LogLine(0, "", "the page sent a log line that can't be read"));
        }
    }

    private static void send(HttpExchange x, int code, String type, byte[] body) throws IOException {
        x.getResponseHeaders().set("Content-Type", type);
        x.getResponseHeaders().set("Cache-Control", "no-store");
        x.sendResponseHeaders(code, body.length == 0 ? -1 : body.length);
        x.getResponseBody().write(body);
    }

    @Override
    public void close() {
        server.stop(0);
        threads.shutdownNow();
    }
}
