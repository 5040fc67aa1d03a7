package tundra.web;

import com.sun.net.httpserver.HttpHandler;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * An HTTP server on a free port of the loopback address, unless another one is asked for. Requests that are only half sent are closed after 10 s,
 * answers after 120 s.
 * All servers of this program are made here: the JDK reads these limits once, when its first server is made.
 */
final class LoopbackServer implements AutoCloseable {
    static {
        System.setProperty("sun.net.httpserver.maxReqTime", "10");
        System.setProperty("sun.net.httpserver.maxRspTime", "120");
    }

    private final ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor();
    private final HttpServer server;

    /** Starts at once; {@code answer} is called from threads of its own. */
    LoopbackServer(HttpHandler answer) throws IOException {
        this(answer, 0);
    }

    /** @param port 0 for a free one */
    LoopbackServer(HttpHandler answer, int port) throws IOException {
        this(answer, InetAddress.getLoopbackAddress(), port);
    }

    /** @param address of this machine; another one than the loopback is reached from other machines, so who answers there asks for a secret */
    LoopbackServer(HttpHandler answer, InetAddress address, int port) throws IOException {
        server = HttpServer.create(new InetSocketAddress(address, port), 0);
        server.setExecutor(threads);
        server.createContext("/", answer);
        server.start();
    }

    /** Its address without a path: {@code http://127.0.0.1:port}. */
    String origin() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    int port() {
        return server.getAddress().getPort();
    }

    @Override
    public void close() {
        server.stop(0);
        threads.shutdownNow();
    }
}
