package tundra.core.file;

import java.nio.charset.StandardCharsets;
import tundra.core.model.Asset;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;

/** By what it is told whether something is still as it was when an output was made of it. */
public final class Fingerprint {
    private Fingerprint() {}

    /** Of all of a piece but its list of outputs; takes as long as writing its document, so not for the interface thread. */
    public static String of(Project p) {
        return Asset.hash(ProjectWriter.write(p.withOutputs(Outputs.USUAL)).getBytes(StandardCharsets.UTF_8)).substring(0, 16);
    }

    /** Of a piece and what is said of an output of it. @param piece as {@link #of(Project)} gives it */
    public static String of(String piece, Output o) {
        return Asset.hash((piece + o.kind().key() + o.settings().values()).getBytes(StandardCharsets.UTF_8)).substring(0, 16);
    }
}
