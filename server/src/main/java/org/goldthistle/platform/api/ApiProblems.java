package org.goldthistle.platform.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.ForAnybody;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForReviewers;
import org.goldthistle.platform.ProblemType;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.method.HandlerMethod;

/** Tells with every operation how it refuses: all of them as problem details (RFC 9457). */
@Component
@Order(1)
class ApiProblems implements OperationCustomizer, OpenApiCustomizer {
    private static final String PROBLEM = "Problem";
    private static final String REFERENCE = "#/components/schemas/" + PROBLEM;

    private final Properties ofOperations = new Properties();

    ApiProblems() {
        try (InputStream in = ApiProblems.class.getResourceAsStream("/api-problems.properties")) {
            ofOperations.load(in);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    @Override
    public Operation customize(Operation operation, HandlerMethod handler) {
        Set<ProblemType> types = EnumSet.noneOf(ProblemType.class);
        types.addAll(ofEvery(operation, handler));
        for (String code :
                ofOperations.getProperty(handler.getMethod().getName(), "").split(",")) {
            Coded.find(ProblemType.values(), code).ifPresent(types::add);
        }
        if (handler.hasMethodAnnotation(ForAnybody.class)) {
            operation.setSecurity(List.of());
        }
        Map<HttpStatus, List<ProblemType>> byStatus = new TreeMap<>();
        for (ProblemType type : types) {
            for (HttpStatus status : type.statuses()) {
                byStatus.computeIfAbsent(status, one -> new ArrayList<>()).add(type);
            }
        }
        byStatus.forEach((status, all) -> refuse(operation, status, all));
        return operation;
    }

    /** What any request of its kind can meet, before and beside what it asks for. */
    private static Set<ProblemType> ofEvery(Operation operation, HandlerMethod handler) {
        Set<ProblemType> types = EnumSet.of(
                ProblemType.UNREADABLE, ProblemType.CONTROL_CHARACTER, ProblemType.BUSY, ProblemType.DATABASE_AWAY);
        if (!handler.hasMethodAnnotation(ForAnybody.class)) {
            types.addAll(EnumSet.of(ProblemType.NOT_SIGNED_IN, ProblemType.UNKNOWN_TOKEN, ProblemType.BEYOND_TOKEN));
        }
        if (handler.hasMethodAnnotation(ForLeads.class) || handler.hasMethodAnnotation(ForReviewers.class)) {
            types.add(ProblemType.NOT_YOURS_TO_DO);
        }
        if (!handler.hasMethodAnnotation(GetMapping.class)) {
            types.addAll(EnumSet.of(ProblemType.FORBIDDEN, ProblemType.AT_ONE_INSTANT, ProblemType.DISK_FULL));
        }
        if (operation.getRequestBody() != null) {
            types.addAll(EnumSet.of(ProblemType.INCOMPLETE, ProblemType.TOO_LARGE, ProblemType.TOO_SLOW));
        }
        return types;
    }

    private void refuse(Operation operation, HttpStatus status, List<ProblemType> types) {
        String each = types.stream()
                .map(type -> "- `" + type.address() + "`: " + ApiCodes.words(type.meaning()))
                .collect(Collectors.joining("\n"));
        operation
                .getResponses()
                .putIfAbsent(
                        String.valueOf(status.value()),
                        new ApiResponse()
                                .description(status.getReasonPhrase() + "\n\n" + each)
                                .extensions(Map.of(
                                        "x-problem-types",
                                        types.stream()
                                                .map(type -> type.address().toString())
                                                .toList()))
                                .content(new Content()
                                        .addMediaType(
                                                "application/problem+json",
                                                new MediaType().schema(new Schema<>().$ref(REFERENCE)))));
    }

    @Override
    public void customise(OpenAPI api) {
        Map<String, Schema<?>> fields = new LinkedHashMap<>();
        fields.put("type", text("a code of its own, as /problems/code; each answer lists those that it can have"));
        fields.put("title", text("the status in words"));
        fields.put("status", new JsonSchema().typesItem("integer").description("of HTTP"));
        fields.put("detail", text("what is wrong, what was kept and what to do next"));
        fields.put("instance", text("the address that was asked for"));
        fields.put("request", text("id under which the log tells of it"));
        fields.put(
                "refusals",
                new ArraySchema()
                        .items(new Schema<>().$ref("#/components/schemas/Refusal"))
                        .description("every place that breaks a rule; missing: there is but the detail"));
        fields.put("kept", new JsonSchema().description("what is stored now; missing: nothing comes with it"));
        JsonSchema problem = new JsonSchema();
        problem.typesItem("object").description("Why nothing was done (RFC 9457)");
        fields.forEach(problem::addProperty);
        problem.setRequired(List.of("type", "title", "status", "detail", "instance"));
        api.getComponents().addSchemas(PROBLEM, problem);
    }

    private static Schema<?> text(String means) {
        return new JsonSchema().typesItem("string").description(means);
    }
}
