package org.goldthistle.platform;

import com.fasterxml.jackson.core.StreamReadConstraints;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How deep, long and large JSON may be, whoever wrote it. */
@Configuration
class JsonConfiguration {
    private static final int DEEPEST = 64; // objects and lists within each other
    private static final int LONGEST_TEXT = 1_000_000; // characters
    private static final int LONGEST_NUMBER = 100; // digits
    private static final int LONGEST_NAME = 1000; // characters

    @Bean
    Jackson2ObjectMapperBuilderCustomizer jsonLimits() {
        StreamReadConstraints limits = StreamReadConstraints.builder()
                .maxNestingDepth(DEEPEST)
                .maxStringLength(LONGEST_TEXT)
                .maxNumberLength(LONGEST_NUMBER)
                .maxNameLength(LONGEST_NAME)
                .build();
        return builder -> builder.postConfigurer(mapper -> mapper.getFactory().setStreamReadConstraints(limits));
    }
}
