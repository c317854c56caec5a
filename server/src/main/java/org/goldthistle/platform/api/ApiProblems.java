package org.goldthistle.platform.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.platform.ForAnybody;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForReviewers;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.method.HandlerMethod;

/** Tells with every operation how it refuses: all of them as problem details (RFC 9457). */
@Component
@Order(1)
class ApiProblems implements OperationCustomizer, OpenApiCustomizer {
    private static final String PROBLEM = "Problem";
    private static final String REFERENCE = "#/components/schemas/" + PROBLEM;

    @Override
    public Operation customize(Operation operation, HandlerMethod handler) {
        boolean named = operation.getParameters() != null
                && operation.getParameters().stream().anyMatch(one -> "path".equals(one.getIn()));
        boolean writes = !handler.hasMethodAnnotation(GetMapping.class);
        boolean asks =
                operation.getParameters() != null && !operation.getParameters().isEmpty();
        refuse(operation, "400", "What was sent cannot be read");
        if (handler.hasMethodAnnotation(ForAnybody.class)) {
            operation.setSecurity(List.of());
        } else {
            refuse(operation, "401", "Nobody is signed in, or the session has ended");
        }
        boolean forSome =
                handler.hasMethodAnnotation(ForLeads.class) || handler.hasMethodAnnotation(ForReviewers.class);
        if (forSome || writes) {
            refuse(operation, "403", "This observer may not do it");
        }
        if (named) {
            refuse(operation, "404", "There is no such thing, or not for this observer");
        }
        if (writes) {
            refuse(operation, "409", "It does not go with what is stored; what is kept now may come with it");
        }
        if (operation.getRequestBody() != null) {
            refuse(operation, "413", "It is larger than is taken");
        }
        if (writes || asks) {
            refuse(operation, "422", "It breaks a rule, each of which is named");
        }
        refuse(operation, "429", "Too much was asked for at once; send it again");
        refuse(operation, "503", "The database is away or busy; nothing was stored");
        return operation;
    }

    private static void refuse(Operation operation, String status, String means) {
        operation
                .getResponses()
                .putIfAbsent(
                        status,
                        new ApiResponse()
                                .description(means)
                                .content(new Content()
                                        .addMediaType(
                                                "application/problem+json",
                                                new MediaType().schema(new Schema<>().$ref(REFERENCE)))));
    }

    @Override
    public void customise(OpenAPI api) {
        Map<String, Schema<?>> fields = new LinkedHashMap<>();
        fields.put("type", text("a code of its own, as /problems/code"));
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
