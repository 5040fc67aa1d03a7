package tundra.core.file;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Project;

/** A project as the tree of its document, {@code project.json}, for what compares and joins documents part by part. */
public final class ProjectTree {
    private ProjectTree() {}

    public static JsonNode of(Project p) {
        return Json.MAPPER.readTree(ProjectWriter.write(p));
    }

    /**
     * @param assets what was brought in, by its hash
     * @throws FileProblem whose sentence says what is wrong with the tree
     */
    public static Project read(JsonNode tree, Map<String, Asset> assets) throws FileProblem {
        var data = new HashMap<String, AssetData>();
        assets.forEach((hash, a) -> data.put(hash, a.source()));
        try {
            return ProjectReader.read(Json.MAPPER.writeValueAsString(tree).getBytes(StandardCharsets.UTF_8), data, Parts.strict());
        } catch (JacksonException | IllegalArgumentException e) {
            throw new FileProblem("it does not hold a valid project (" + e.getMessage() + ")", e);
        }
    }
}
