package tundra.app.cli;

import java.nio.file.Path;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.web.PracticeHost;

@Command(name = "host", mixinStandardHelpOptions = true,
        description = "Runs a small host on this machine to practise sending pages with, until it is stopped.")
final class HostCommand implements Callable<Integer> {
    @Parameters(paramLabel = "DIR", description = "the folder that it keeps its files in")
    private Path root;
    @Option(names = "--port", defaultValue = "0", paramLabel = "N", description = "its port; a free one when it is left out")
    private int port;
    @Option(names = "--token", paramLabel = "WORDS", description = "the secret of who may write; a new one when it is left out")
    private String token;
    @Option(names = "--quota", defaultValue = "0", paramLabel = "MB", description = "room for all files; any when it is left out")
    private double quota;
    @Option(names = "--slow", defaultValue = "0", paramLabel = "MS", description = "waits so long before each answer")
    private long slow;
    @Option(names = "--fail-after", defaultValue = "-1", paramLabel = "N", description = "lets so many writings go well and fails all others")
    private int fails;

    @Override
    public Integer call() throws Exception {
        if (port < 0 || port > 65_535 || !(quota >= 0) || slow < 0) {
            throw new IllegalArgumentException("A port goes from 0 to 65535; room and waiting are not below 0.");
        }
        byte[] some = new byte[12];
        new SecureRandom().nextBytes(some);
        String secret = token == null ? HexFormat.of().formatHex(some) : token;
        try (var host = new PracticeHost(root, port, new PracticeHost.Manner(secret, Math.round(quota * (1 << 20)), slow, fails))) {
            System.out.println(host.address());
            System.out.println("secret: " + secret);
            new CountDownLatch(1).await();
        }
        return 0;
    }
}
