package tundra.app.send;

import java.util.function.Function;
import java.util.function.BiConsumer;
import org.apache.sshd.client.keyverifier.ServerKeyVerifier;
import org.apache.sshd.common.config.keys.KeyUtils;

/** The keys of SFTP hosts that were met: the first one is kept, another one later is refused. */
public final class KnownHosts {
    private final Function<String, String> kept;
    private final BiConsumer<String, String> keep;

    /**
     * @param kept gives the fingerprint that is kept of a host, null for none
     * @param keep keeps one
     */
    public KnownHosts(Function<String, String> kept, BiConsumer<String, String> keep) {
        this.kept = kept;
        this.keep = keep;
    }

    ServerKeyVerifier verifier(String host, int port) {
        return (session, address, key) -> {
            String name = host + ":" + port, now = KeyUtils.getFingerPrint(key), known = kept.apply(name);
            if (known == null) {
                keep.accept(name, now);
                return true;
            }
            return known.equals(now);
        };
    }
}
