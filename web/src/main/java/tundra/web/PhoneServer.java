package tundra.web;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.LinkedHashMap;

/**
 * Shows the page to devices of the local network, as long as it is open: to who knows its address, which holds a secret. A page that is
 * shown loads itself anew when another one is served.
 */
public final class PhoneServer implements AutoCloseable {
    private static final String RELOAD = "tundra-reload.js";
    /** How long a page waits for news at once, in ms. */
    private static final long PATIENCE = 20_000;
    private static final String SCRIPT = """
            (async () => {
              for (let version = "0"; ; ) {
                const now = await fetch("changed?" + version, { cache: "no-store" }).then((x) => x.text(), () => new Promise((go) => setTimeout(go, 3000, version)));
                if (version !== "0" && now !== version) return location.reload();
                version = now;
              }
            })();
            """;
    private final String token = HexFormat.of().formatHex(random());
    private final InetAddress address;
    private final LoopbackServer server;
    private Page page;
    private int version;

    /** Serves at an address of this machine, on a free port. */
    public PhoneServer(InetAddress address) throws IOException {
        this.address = address;
        server = new LoopbackServer(this::answer, address, 0);
    }

    private static byte[] random() {
        byte[] out = new byte[16];
        new SecureRandom().nextBytes(out);
        return out;
    }

    /** An address by which others in the local network reach this machine; null where it is in none. */
    public static InetAddress local() throws SocketException {
        for (NetworkInterface n : NetworkInterface.networkInterfaces().toList()) {
            if (n.isUp() && !n.isLoopback() && !n.isVirtual()) {
                for (InetAddress a : n.inetAddresses().toList()) {
                    if (a instanceof Inet4Address && a.isSiteLocalAddress()) {
                        return a;
                    }
                }
            }
        }
        return null;
    }

    /** Shows a page in place of the one before. */
    public void serve(Page p) {
        var files = new LinkedHashMap<>(p.files());
        String html = new String(files.get("index.html").bytes(), StandardCharsets.UTF_8);
        files.put("index.html", Page.Part.of(html.replace("</body>", "<script src=\"" + RELOAD + "\"></script>\n</body>")
                .getBytes(StandardCharsets.UTF_8)));
        files.put(RELOAD, Page.Part.of(SCRIPT.getBytes(StandardCharsets.UTF_8)));
        synchronized (this) {
            page = new Page(files);
            version++;
            notifyAll();
        }
    }

    public String url() {
        return "http://" + address.getHostAddress() + ":" + server.port() + "/" + token + "/";
    }

    private void answer(HttpExchange x) throws IOException {
        try (x) {
            String path = x.getRequestURI().getPath(), own = "/" + token + "/";
            if (!path.startsWith(own) || !x.getRequestMethod().equals("GET")) {
                x.sendResponseHeaders(404, -1);
            } else if (path.equals(own + "changed")) {
                send(x, "txt", changed(x.getRequestURI().getRawQuery()).getBytes(StandardCharsets.UTF_8));
            } else {
                String name = path.equals(own) ? "index.html" : path.substring(own.length());
                Page.Part part;
                synchronized (this) {
                    part = page == null ? null : page.files().get(name);
                }
                if (part == null) {
                    x.sendResponseHeaders(404, -1);
                } else {
                    x.getResponseHeaders().set("Content-Type", MediaTypes.of(name));
                    x.getResponseHeaders().set("Cache-Control", "no-store");
                    x.sendResponseHeaders(200, part.length() == 0 ? -1 : part.length());
                    try (OutputStream out = x.getResponseBody(); var in = part.open()) {
                        in.transferTo(out);
                    }
                }
            }
        }
    }

    private static void send(HttpExchange x, String ending, byte[] data) throws IOException {
        x.getResponseHeaders().set("Content-Type", MediaTypes.of("." + ending));
        x.getResponseHeaders().set("Cache-Control", "no-store");
        x.sendResponseHeaders(200, data.length);
        x.getResponseBody().write(data);
    }

    /** The version that is served, once it is another one than the page knows. */
    private synchronized String changed(String known) {
        long end = System.currentTimeMillis() + PATIENCE;
        try {
            for (long left = PATIENCE; String.valueOf(version).equals(known) && left > 0; left = end - System.currentTimeMillis()) {
                wait(left);
            }
        } catch (InterruptedException e) {
            // the server is closed
        }
        return String.valueOf(version);
    }

    @Override
    public void close() {
        server.close();
    }
}
