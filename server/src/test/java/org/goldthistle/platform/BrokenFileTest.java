package org.goldthistle.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.asyncDispatch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.http.ResponseEntity;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A file that cannot be written to its end. */
class BrokenFileTest {
    private final MockMvc server = MockMvcBuilders.standaloneSetup(new Files())
            .setControllerAdvice(new ProblemHandler())
            .build();

    @RestController
    static class Files {
        @GetMapping("/at-once")
        ResponseEntity<StreamingResponseBody> atOnce() {
            return Attachment.named("trees.geojson", Attachment.GEO_JSON)
                    .header("X-Other", "stays")
                    .body(to -> {
                        to.write('{');
                        throw new IllegalStateException("broken");
                    });
        }

        @GetMapping("/on-the-way")
        ResponseEntity<StreamingResponseBody> onTheWay() {
            return Attachment.named("trees.geojson", Attachment.GEO_JSON).body(to -> {
                to.write('{');
                to.flush();
                throw new IllegalStateException("broken");
            });
        }
    }

    @Test
    void before_anything_was_sent_it_is_a_problem_and_no_file() throws Exception {
        MockHttpServletResponse answer =
                server.perform(asyncDispatch(begun("/at-once"))).andReturn().getResponse();

        assertThat(answer.getStatus()).isEqualTo(500);
        assertThat(answer.getContentType()).isEqualTo("application/problem+json");
        assertThat(answer.getHeader("Content-Disposition")).isNull();
        assertThat(answer.getHeader("X-Other")).isEqualTo("stays");
        assertThat(answer.getContentAsString(StandardCharsets.UTF_8)).startsWith("{\"type\":");
    }

    @Test
    void once_something_was_sent_nothing_is_added_and_the_line_breaks() throws Exception {
        MvcResult begun = begun("/on-the-way");

        assertThatThrownBy(() -> server.perform(asyncDispatch(begun)))
                .rootCause()
                .hasMessage("broken");
        assertThat(begun.getResponse().getContentAsString()).isEqualTo("{");
    }

    private MvcResult begun(String file) throws Exception {
        MvcResult begun = server.perform(get(file)).andReturn();
        begun.getAsyncResult();
        return begun;
    }
}
