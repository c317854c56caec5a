package org.goldthistle.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLTransientConnectionException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.StaticApplicationContext;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.servlet.mvc.method.annotation.ExceptionHandlerExceptionResolver;

/** What goes wrong before a controller is reached, told to a script. */
class TokenFilterTest {
    @Test
    void a_script_hears_that_the_database_is_away_as_a_page_does() throws Exception {
        var filter = new TokenFilter(
                (token, request) -> {
                    throw new DataAccessResourceFailureException(
                            "refused", new SQLTransientConnectionException("no connection came free"));
                },
                problems());
        var request = new MockHttpServletRequest("GET", "/api/surveys");
        request.addHeader("Authorization", "Bearer any");
        var response = new MockHttpServletResponse();
        var chain = new MockFilterChain();

        filter.doFilter(request, response, chain);

        assertThat(response.getStatus()).isEqualTo(503);
        assertThat(response.getContentAsString()).contains("/problems/database-away");
        assertThat(chain.getRequest()).as("what lay behind").isNull();
    }

    private static ExceptionHandlerExceptionResolver problems() {
        var context = new StaticApplicationContext();
        context.registerSingleton("problems", ProblemHandler.class);
        context.refresh();
        var resolver = new ExceptionHandlerExceptionResolver();
        resolver.setApplicationContext(context);
        resolver.setMessageConverters(List.of(new MappingJackson2HttpMessageConverter()));
        resolver.afterPropertiesSet();
        return resolver;
    }
}
