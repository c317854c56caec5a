package org.goldthistle.platform;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.annotation.Annotation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.lang.Nullable;

/** The API's document, from which the front end's types are made: a field is required unless it is nullable. */
@Configuration
class OpenApiConfiguration {
    private static final String OPTIONAL = "x-optional";

    @Bean
    OpenAPI description() {
        return new OpenAPI().info(new Info().title("Goldthistle").version("1"));
    }

    @Bean
    PropertyCustomizer markOptional() {
        return (property, type) -> {
            if (isNullable(type)) {
                property.addExtension(OPTIONAL, true);
            }
            return property;
        };
    }

    private static boolean isNullable(AnnotatedType type) {
        if (type.getCtxAnnotations() != null) {
            for (Annotation annotation : type.getCtxAnnotations()) {
                if (annotation.annotationType() == Nullable.class) {
                    return true;
                }
            }
        }
        return false;
    }

    @Bean
    OpenApiCustomizer requireTheRest() {
        return api -> api.getComponents().getSchemas().values().forEach(OpenApiConfiguration::requireAllButOptional);
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void requireAllButOptional(Schema schema) {
        Map<String, Schema> properties = schema.getProperties();
        if (properties == null) {
            return;
        }
        List<String> required = new ArrayList<>();
        properties.forEach((name, property) -> {
            Map<String, Object> extensions = property.getExtensions();
            if (extensions == null || extensions.remove(OPTIONAL) == null) {
                required.add(name);
            } else if (extensions.isEmpty()) {
                property.setExtensions(null);
            }
        });
        schema.setRequired(required);
    }
}
