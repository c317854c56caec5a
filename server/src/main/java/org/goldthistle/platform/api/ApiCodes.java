package org.goldthistle.platform.api;

import com.fasterxml.jackson.databind.JavaType;
import com.github.therapi.runtimejavadoc.ClassJavadoc;
import com.github.therapi.runtimejavadoc.CommentFormatter;
import com.github.therapi.runtimejavadoc.RuntimeJavadoc;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.Parameter;
import java.lang.annotation.Annotation;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.stream.Collectors;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.ParameterCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.core.MethodParameter;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Makes every closed choice an enum of the document, with the words of its Javadoc. */
@Component
@Order(0) // what is said of the fields comes after
class ApiCodes implements PropertyCustomizer, ParameterCustomizer, OpenApiCustomizer {
    private static final String COMPONENTS = "#/components/schemas/";

    private static final CommentFormatter WORDS = new CommentFormatter();
    private final SortedMap<String, Class<? extends Coded>> used = new ConcurrentSkipListMap<>();

    @Override
    @SuppressWarnings({"rawtypes", "unchecked"})
    public Schema customize(Schema property, AnnotatedType type) {
        Optional<Class<? extends Coded>> choice = choice(type.getType(), type.getCtxAnnotations());
        if (choice.isEmpty()) {
            return property;
        }
        Schema<?> reference = referenceTo(choice.get());
        if (property.getItems() != null) {
            property.setItems(reference);
            return property;
        }
        Schema<?> coded = OpenApiConfiguration.isNullable(type) ? nullOr(reference) : reference;
        coded.setDescription(property.getDescription());
        coded.setExtensions(property.getExtensions());
        if (property.getDefault() != null) { // a default that is set to null is one
            coded.setDefault(property.getDefault());
        }
        return coded;
    }

    private static Schema<?> nullOr(Schema<?> reference) {
        return new JsonSchema().oneOf(List.of(reference, new JsonSchema().typesItem("null")));
    }

    @Override
    public Parameter customize(Parameter parameter, MethodParameter of) {
        if (parameter != null) {
            choice(of.getGenericParameterType(), of.getParameterAnnotations())
                    .ifPresent(one -> parameter.setSchema(referenceTo(one)));
        }
        return parameter;
    }

    @Override
    public void customise(OpenAPI api) {
        used.forEach((name, choice) -> api.getComponents().addSchemas(name, described(choice)));
    }

    private Schema<?> referenceTo(Class<? extends Coded> choice) {
        String outer = choice.isMemberClass() ? choice.getDeclaringClass().getSimpleName() : "";
        String name = outer + choice.getSimpleName();
        used.put(name, choice);
        return new JsonSchema().$ref(COMPONENTS + name);
    }

    /** The words of a choice's Javadoc. */
    static String words(Coded one) {
        return RuntimeJavadoc.getJavadoc(((Enum<?>) one).getDeclaringClass()).getEnumConstants().stream()
                .filter(said -> said.getName().equals(((Enum<?>) one).name()))
                .map(said -> WORDS.format(said.getComment()))
                .findFirst()
                .orElse("");
    }

    private static Schema<?> described(Class<? extends Coded> choice) {
        ClassJavadoc said = RuntimeJavadoc.getJavadoc(choice);
        String codes = Arrays.stream(choice.getEnumConstants())
                .map(one -> "- `" + one.code() + "`: " + words(one))
                .collect(Collectors.joining("\n"));
        JsonSchema schema = new JsonSchema();
        schema.typesItem("string").description(WORDS.format(said.getComment()) + "\n\n" + codes);
        Arrays.stream(choice.getEnumConstants()).map(Coded::code).forEach(schema::addEnumItemObject);
        return schema;
    }

    /** The choice that a text spells, or each text of a list; empty: it is no closed choice. */
    private static Optional<Class<? extends Coded>> choice(Type type, Annotation... annotations) {
        if (annotations != null) {
            for (Annotation one : annotations) {
                if (one instanceof CodeOf code) {
                    return Optional.of(code.value());
                }
            }
        }
        Class<?> raw = type instanceof JavaType java
                ? (java.isContainerType() ? java.getContentType() : java).getRawClass()
                : type instanceof Class<?> known ? known : Object.class;
        return raw.isEnum() && Coded.class.isAssignableFrom(raw)
                ? Optional.of(raw.asSubclass(Coded.class))
                : Optional.empty();
    }
}
