package tundra.app.publish;

import java.io.IOException;

/** Opens addresses in the browser of the system. Not for the interface thread: it waits until the browser was found. */
@FunctionalInterface
public interface Browser {
    /** Throws with one sentence when there is none, or none that starts. */
    void open(String address) throws IOException;
}
