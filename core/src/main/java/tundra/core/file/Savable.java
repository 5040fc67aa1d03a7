package tundra.core.file;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import tools.jackson.core.JacksonException;
import tundra.core.model.AssetData;
import tundra.core.model.Project;

/** Whether what was made could be saved and opened again. */
public final class Savable {
    private Savable() {}

    /** Why a project could not be opened again once it was saved, as a clause; null when it could. */
    public static String problem(Project p) {
        var data = new HashMap<String, AssetData>();
        p.assets().values().forEach(a -> data.put(a.hash(), a.source()));
        try {
            ProjectReader.read(ProjectWriter.write(p).getBytes(StandardCharsets.UTF_8), data, Parts.strict());
            return null;
        } catch (FileProblem e) {
            return e.getMessage();
        } catch (JacksonException | StackOverflowError | IllegalArgumentException e) {
            return "its groups lie too deep in each other";
        }
    }
}
