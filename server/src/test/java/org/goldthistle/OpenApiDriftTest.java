package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** The front end's types are made from {@code web/openapi.json}, so it must be what the server says of itself. */
class OpenApiDriftTest extends ServerTest {
    private static final Path KEPT = Path.of("../web/openapi.json");
    private static final ObjectMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    @Test
    void the_kept_document_is_the_server_s() throws IOException {
        ObjectNode served = (ObjectNode) stranger().get("/api/docs").expect(200);
        if (Boolean.getBoolean("goldthistle.openapi.write")) {
            Files.writeString(KEPT, JSON.writeValueAsString(served) + "\n");
        }

        JsonNode kept = JSON.readTree(Files.readString(KEPT));

        assertThat(kept)
                .as("the API has changed; run ./goldthistle openapi and commit web/openapi.json")
                .isEqualTo(served);
    }
}
