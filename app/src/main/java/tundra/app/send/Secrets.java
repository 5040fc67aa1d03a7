package tundra.app.send;

import com.github.javakeyring.Keyring;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Secrets of places, in the keyring of the system where it has one; otherwise until Tundra ends. Not for the interface thread: a keyring may ask to
 * be opened.
 */
public final class Secrets {
    private static final String SERVICE = "Tundra";
    private final Map<String, String> kept = new ConcurrentHashMap<>();

    private static String name(Place p) {
        return p.user() + "@" + p.address();
    }

    /** Null where none is known. */
    public String of(Place p) {
        String here = kept.get(name(p));
        if (here != null) {
            return here;
        }
        try (Keyring ring = Keyring.create()) {
            return ring.getPassword(SERVICE, name(p));
        } catch (Exception | LinkageError e) {
            // a keyring that doesn't work is none
            return null;
        }
    }

    /** @return whether it is kept beyond this run */
    public boolean keep(Place p, String secret) {
        kept.put(name(p), secret);
        try (Keyring ring = Keyring.create()) {
            ring.setPassword(SERVICE, name(p), secret);
            return true;
        } catch (Exception | LinkageError e) {
            return false;
        }
    }

    /** One that the host didn't accept. */
    public void forget(Place p) {
        kept.remove(name(p));
        try (Keyring ring = Keyring.create()) {
            ring.deletePassword(SERVICE, name(p));
        } catch (Exception | LinkageError e) {
            // it was not there
        }
    }
}
