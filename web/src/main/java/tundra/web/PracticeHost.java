package tundra.web;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.MessageDigest;
import java.util.Base64;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * A small host to practise sending with, on this machine alone: pages are put there by WebDAV with a token, and anyone here sees them. It can
 * be slow, have little room, and fail.
 */
public final class PracticeHost implements AutoCloseable {
    /**
     * How it behaves.
     *
     * @param token that who writes has to know
     * @param quota bytes that all files together may have; 0 for any
     * @param delay before each answer, in ms
     * @param fails how many writings go well before all others fail; −1 for all
     */
    public record Manner(String token, long quota, long delay, int fails) {}

    private final Path root;
    private final Manner manner;
    private final AtomicInteger written = new AtomicInteger();
    private final LoopbackServer server;

    /** @param port 0 for a free one */
    public PracticeHost(Path root, int port, Manner manner) throws IOException {
        this.root = root.toAbsolutePath().normalize();
        this.manner = manner;
        Files.createDirectories(this.root);
        server = new LoopbackServer(this::answer, port);
    }

    public String address() {
        return server.origin();
    }

    private void answer(HttpExchange x) throws IOException {
        try (x) {
            if (manner.delay > 0) {
                LockSupport.parkNanos(manner.delay * 1_000_000);
            }
            Path at = at(x.getRequestURI().getPath());
            String verb = x.getRequestMethod();
            boolean reads = verb.equals("GET") || verb.equals("HEAD");
            if (at == null) {
                end(x, 400);
            } else if (!allowed(x) && (!reads || x.getRequestHeaders().containsKey("Authorization"))) {
                x.getResponseHeaders().set("WWW-Authenticate", "Basic realm=\"practice\"");
                end(x, 401);
            } else if (!reads && manner.fails >= 0 && written.getAndIncrement() >= manner.fails) {
                end(x, 503);
            } else {
                switch (verb) {
                    case "GET", "HEAD" -> read(x, at, verb.equals("HEAD"));
                    case "PUT" -> put(x, at);
                    case "MKCOL" -> {
                        Files.createDirectories(at);
                        end(x, 201);
                    }
                    case "MOVE" -> move(x, at);
                    case "DELETE" -> end(x, Files.deleteIfExists(at) ? 204 : 404);
                    default -> end(x, 405);
                }
            }
        }
    }

    private Path at(String path) {
        try {
            Path p = root.resolve(path.replaceFirst("^/+", "")).normalize();
            return p.startsWith(root) ? p : null;
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    private boolean allowed(HttpExchange x) {
        String said = x.getRequestHeaders().getFirst("Authorization");
        if (said == null || !said.startsWith("Basic ")) {
            return false;
        }
        try {
            String words = new String(Base64.getDecoder().decode(said.substring(6)), StandardCharsets.UTF_8);
            return MessageDigest.isEqual(words.substring(words.indexOf(':') + 1).getBytes(StandardCharsets.UTF_8),
                    manner.token.getBytes(StandardCharsets.UTF_8));
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** What its own files begin with is nobody's business who only looks. */
    private void read(HttpExchange x, Path file, boolean head) throws IOException {
        Path to = Files.isDirectory(file) ? file.resolve("index.html") : file;
        boolean own = root.relativize(to).toString().contains(".tundra-");
        if (head && Files.exists(file)) {
            end(x, 200);
        } else if (!Files.isRegularFile(to) || own && !allowed(x)) {
            end(x, 404);
        } else {
            x.getResponseHeaders().set("Content-Type", MediaTypes.of(to.toString()));
            x.sendResponseHeaders(200, Files.size(to) == 0 ? -1 : Files.size(to));
            try (OutputStream out = x.getResponseBody()) {
                Files.copy(to, out);
            }
        }
    }

    private void put(HttpExchange x, Path to) throws IOException {
        long room = manner.quota == 0 ? Long.MAX_VALUE : manner.quota - used();
        Path part = to.resolveSibling(to.getFileName() + ".arriving");
        if (to.getParent() == null || !Files.isDirectory(to.getParent())) {
            end(x, 409);
            return;
        }
        try {
            // the rest of the request is read when it is answered
            InputStream in = x.getRequestBody();
            try (OutputStream out = Files.newOutputStream(part)) {
                byte[] some = new byte[1 << 16];
                long all = 0;
                for (int n; (n = in.read(some)) >= 0; ) {
                    all += n;
                    if (all > room) {
                        end(x, 507);
                        return;
                    }
                    out.write(some, 0, n);
                }
            }
            Files.move(part, to, StandardCopyOption.REPLACE_EXISTING);
            end(x, 201);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private long used() throws IOException {
        try (var all = Files.walk(root)) {
            return all.filter(Files::isRegularFile).mapToLong(p -> p.toFile().length()).sum();
        }
    }

    private void move(HttpExchange x, Path from) throws IOException {
        String destination = x.getRequestHeaders().getFirst("Destination");
        Path to = destination == null ? null : at(URI.create(destination).getPath());
        if (to == null || !Files.exists(from)) {
            end(x, to == null ? 400 : 404);
        } else if (!Files.isDirectory(to.getParent())) {
            end(x, 409);
        } else {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
            end(x, 201);
        }
    }

    private static void end(HttpExchange x, int code) throws IOException {
        x.getRequestBody().transferTo(OutputStream.nullOutputStream());
        x.sendResponseHeaders(code, -1);
    }

    @Override
    public void close() {
        server.close();
    }
}
