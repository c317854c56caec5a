package org.goldthistle.platform.api;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.annotation.Annotation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.goldthistle.platform.ApiVersion;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** The API's document, from which the front end's types are made: a field is required unless it is nullable. */
@Configuration
class OpenApiConfiguration {
    private static final String SESSION = "session";
    private static final String TOKEN = "token";
    private static final String OPTIONAL = "x-optional";

    @Bean
    OpenAPI description() {
        return new OpenAPI()
                .info(
                        new Info()
                                .title("Goldthistle")
                                .version(ApiVersion.CURRENT)
                                .license(new License().name("Apache 2.0").identifier("Apache-2.0"))
                                .description(
                                        "Trees that are easily mistaken for each other, read, weighed, signed and reviewed."
                                                + " Clients make the ids of what they store, so a request may be sent again. Every refusal"
                                                + " is a problem detail (RFC 9457) that says what is wrong, what was kept and what to do."))
                .servers(List.of(new Server().url("/").description("the server that the document comes from")))
                .addSecurityItem(new SecurityRequirement().addList(SESSION))
                .addSecurityItem(new SecurityRequirement().addList(TOKEN))
                .schemaRequirement(
                        TOKEN,
                        new SecurityScheme()
                                .type(SecurityScheme.Type.HTTP)
                                .scheme("bearer")
                                .description("A token that an observer made for a script of their own; it neither needs"
                                        + " cookies nor gets any."))
                .schemaRequirement(
                        SESSION,
                        new SecurityScheme()
                                .type(SecurityScheme.Type.APIKEY)
                                .in(SecurityScheme.In.COOKIE)
                                .name("goldthistle")
                                .description(
                                        "The cookie that signing in hands out; its name is that of the copy. A request that changes"
                                                + " something sends the cookie XSRF-TOKEN back as header X-XSRF-TOKEN."));
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

    static boolean isNullable(AnnotatedType type) {
        if (type.getCtxAnnotations() != null) {
            for (Annotation annotation : type.getCtxAnnotations()) {
                if (annotation.annotationType().getSimpleName().equals("Nullable")) {
                    return true;
                }
            }
        }
        return false;
    }

    @Bean
    @Order(-1) // what others add to the document says itself what is required
    OpenApiCustomizer requireTheRest() {
        return api -> {
            api.getComponents().getSchemas().values().forEach(OpenApiConfiguration::requireAllButOptional);
            // only then, since a schema that is unwrapped into another one shares its properties with it
            api.getComponents().getSchemas().values().forEach(OpenApiConfiguration::forgetWhatIsOptional);
        };
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void requireAllButOptional(Schema schema) {
        Map<String, Schema> properties = schema.getProperties();
        if (properties == null) {
            return;
        }
        List<String> required = new ArrayList<>();
        properties.forEach((name, property) -> {
            if (property.getExtensions() == null || !property.getExtensions().containsKey(OPTIONAL)) {
                required.add(name);
            }
        });
        schema.setRequired(required);
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void forgetWhatIsOptional(Schema schema) {
        Map<String, Schema> properties = schema.getProperties();
        if (properties == null) {
            return;
        }
        for (Schema property : properties.values()) {
            Map<String, Object> extensions = property.getExtensions();
            if (extensions != null && extensions.remove(OPTIONAL) != null && extensions.isEmpty()) {
                property.setExtensions(null);
            }
        }
    }
}
