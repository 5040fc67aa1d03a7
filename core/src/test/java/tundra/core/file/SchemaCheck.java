package tundra.core.file;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import tundra.core.model.Project;

/** Holds what is written against the documented schema. */
public final class SchemaCheck {
    private SchemaCheck() {}

    static JsonSchema schema() throws Exception {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(Files.readString(Path.of("../docs/tundra-2.schema.json")));
    }

    /** What the schema finds in a project's file; nothing where all is well. */
    public static Set<ValidationMessage> problems(Project p) throws Exception {
        return schema().validate(ProjectWriter.write(p), InputFormat.JSON);
    }
}
