package tundra.core.file;

import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tundra.core.model.Limits;

/** The one JSON mapper, with bounds on what it reads. */
final class Json {
    static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(Limits.DEPTH).maxStringLength(10_000_000).maxNumberLength(40).build())
            .build())
            .enable(SerializationFeature.INDENT_OUTPUT).build();

    private Json() {}
}
