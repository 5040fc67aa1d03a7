package tundra.core.file;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/** Brings the JSON of a project from one schema to the next. Damaged places are left as they are: the reader says what is wrong with them. */
interface Migration {
    /** In the order of the schemas: the first leads from 1 to 2. */
    List<Migration> ALL = List.of(new SpacingAtRest());

    void apply(ObjectNode project);
}
