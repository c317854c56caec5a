package org.goldthistle.formats;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;

/**
 * One JSON object, read key by key. What does not fit is noted with its path and a stand-in returned, so that the
 * reading goes on and finds the next mistake; {@link #build} then makes nothing of an object that had any.
 */
final class JsonFields {
    private final JsonNode object;
    private final String path;
    private final List<Refusal> refusals;
    private final int refusedBefore;

    private JsonFields(JsonNode object, String path, List<Refusal> refusals) {
        this.object = object;
        this.path = path;
        this.refusals = refusals;
        this.refusedBefore = refusals.size();
    }

    /** The fields of a file's top object; an unfit node counts as an object without keys. */
    static JsonFields top(JsonNode node, List<Refusal> refusals) {
        return of(node, "", refusals);
    }

    private static JsonFields of(JsonNode node, String path, List<Refusal> refusals) {
        var fields = new JsonFields(node, path, refusals);
        if (!node.isObject()) {
            fields.refuse("", node, "an object in { }");
        }
        return fields;
    }

    /** Makes a value of the fields read so far, or notes why not and answers null. */
    <T> T build(Supplier<T> maker) {
        return buildWithin("", maker);
    }

    /** The same of what stands under a key. */
    <T> T buildWithin(String key, Supplier<T> maker) {
        if (refusals.size() > refusedBefore) {
            return null;
        }
        try {
            return maker.get();
        } catch (RefusedException refused) {
            for (Refusal refusal : refused.refusals()) {
                String place = at(key);
                refusals.add(place.isEmpty() ? refusal : refusal.within(place));
            }
            return null;
        }
    }

    boolean has(String key) {
        return object.hasNonNull(key);
    }

    String text(String key) {
        JsonNode node = object.path(key);
        if (!node.isTextual()) {
            refuse(key, node, "text in quotes");
        }
        return node.asText("");
    }

    Optional<String> optionalText(String key) {
        return has(key) ? Optional.of(text(key)) : Optional.empty();
    }

    double number(String key) {
        return number(key, object.path(key));
    }

    private double number(String key, JsonNode node) {
        if (!node.isNumber()) {
            refuse(key, node, "a number without quotes");
        }
        return node.asDouble();
    }

    int integer(String key) {
        return integer(key, object.path(key));
    }

    private int integer(String key, JsonNode node) {
        if (!(node.isNumber() && node.canConvertToExactIntegral() && node.canConvertToInt())) {
            refuse(key, node, "a whole number");
        }
        return node.asInt();
    }

    boolean flag(String key) {
        JsonNode node = object.path(key);
        if (!node.isBoolean()) {
            refuse(key, node, "true or false");
        }
        return node.asBoolean();
    }

    /** A choice that is spelled with a code of the given list; null when it is refused. */
    <T extends Coded> T coded(String key, T[] all) {
        return coded(key, object.path(key), all);
    }

    <T extends Coded> Optional<T> optionalCoded(String key, T[] all) {
        return has(key) ? Optional.ofNullable(coded(key, all)) : Optional.empty();
    }

    private <T extends Coded> T coded(String key, JsonNode node, T[] all) {
        Optional<T> found = node.isTextual() ? Coded.find(all, node.asText()) : Optional.empty();
        if (found.isEmpty()) {
            refuse(key, node, Coded.codes(all));
        }
        return found.orElse(null);
    }

    <T extends Coded> List<T> codedList(String key, T[] all) {
        return elements(key, (itemKey, node) -> coded(itemKey, node, all));
    }

    List<String> texts(String key) {
        return elements(key, (itemKey, node) -> {
            if (!node.isTextual()) {
                refuse(itemKey, node, "text in quotes");
            }
            return node.asText("");
        });
    }

    List<Double> numbers(String key) {
        return elements(key, this::number);
    }

    List<Integer> integers(String key) {
        return elements(key, this::integer);
    }

    /** A list of objects; a missing key is an empty list only when {@code optional}. */
    <T> List<T> objects(String key, boolean optional, Function<JsonFields, T> read) {
        if (optional && !has(key)) {
            return List.of();
        }
        return elements(key, (itemKey, node) -> read.apply(of(node, at(itemKey), refusals)));
    }

    JsonFields object(String key) {
        return of(object.path(key), at(key), refusals);
    }

    /** An object whose keys are codes and whose values are numbers; a missing key is empty. */
    <T extends Coded> Map<T, Double> numbersByCode(String key, T[] all) {
        Map<T, Double> map = new LinkedHashMap<>();
        forEachField(key, (name, node) -> {
            Optional<T> found = Coded.find(all, name);
            if (found.isEmpty()) {
                refuses(key, "\"" + name + "\"", Coded.codes(all));
            }
            double value = number(key + "." + name, node);
            found.ifPresent(code -> map.put(code, value));
        });
        return map;
    }

    /** This object, its keys codes and its values lists of texts. */
    <T extends Coded> Map<T, List<String>> textsByCode(T[] all) {
        Map<T, List<String>> map = new LinkedHashMap<>();
        object.properties().forEach(field -> {
            Optional<T> found = Coded.find(all, field.getKey());
            if (found.isEmpty()) {
                refuses("", "\"" + field.getKey() + "\"", Coded.codes(all));
            }
            List<String> words = texts(field.getKey());
            found.ifPresent(code -> map.put(code, words));
        });
        return map;
    }

    /** An object with any keys whose values are numbers. */
    Map<String, Double> numbersByKey() {
        Map<String, Double> map = new LinkedHashMap<>();
        object.properties().forEach(field -> map.put(field.getKey(), number(field.getKey(), field.getValue())));
        return map;
    }

    /** Every field of an object, each a number, a text or true or false. */
    Map<String, Object> scalars() {
        Map<String, Object> map = new LinkedHashMap<>();
        object.properties().forEach(field -> {
            JsonNode node = field.getValue();
            if (node.isNumber()) {
                map.put(field.getKey(), node.asDouble());
            } else if (node.isTextual()) {
                map.put(field.getKey(), node.asText());
            } else if (node.isBoolean()) {
                map.put(field.getKey(), node.asBoolean());
            } else {
                refuse(field.getKey(), node, "a number, text in quotes or true or false");
            }
        });
        return map;
    }

    /** Refuses every place where this object, taken as a drawing, breaks its schema. */
    void refuseBreaksOf(Function<JsonNode, List<DrawingSchema.Break>> schema) {
        for (DrawingSchema.Break broken : schema.apply(object)) {
            refuses(
                    broken.parameter(),
                    shortened(object.path(broken.parameter()).toString()),
                    broken.expected());
        }
    }

    /** An object with any keys whose values are whole numbers; a missing key is empty. */
    Map<String, Integer> integersByKey(String key) {
        Map<String, Integer> map = new LinkedHashMap<>();
        forEachField(key, (name, node) -> map.put(name, integer(key + "." + name, node)));
        return map;
    }

    /** The fields of an inner object by key, each an object itself; a missing key is refused. */
    Map<String, JsonFields> objectsByKey(String key) {
        JsonFields inner = object(key);
        Map<String, JsonFields> map = new LinkedHashMap<>();
        inner.object.properties().forEach(field -> map.put(field.getKey(), inner.object(field.getKey())));
        return map;
    }

    private void forEachField(String key, java.util.function.BiConsumer<String, JsonNode> use) {
        JsonNode node = object.path(key);
        if (node.isMissingNode() || node.isNull()) {
            return;
        }
        if (!node.isObject()) {
            refuse(key, node, "an object in { }");
        }
        node.properties().forEach(field -> use.accept(field.getKey(), field.getValue()));
    }

    private <T> List<T> elements(String key, BiFunction<String, JsonNode, T> read) {
        JsonNode node = object.path(key);
        if (!node.isArray()) {
            refuse(key, node, "a list in [ ]");
        }
        List<T> list = new ArrayList<>();
        int i = 0;
        for (JsonNode element : node) {
            list.add(read.apply(key + "[" + i++ + "]", element));
        }
        return list;
    }

    void refuses(String key, String found, String expected) {
        refusals.add(new Refusal(at(key), found, expected));
    }

    private void refuse(String key, JsonNode found, String expected) {
        refuses(key, found.isMissingNode() ? "nothing" : shortened(found.toString()), expected);
    }

    private String at(String key) {
        return path.isEmpty() ? key : key.isEmpty() ? path : path + "." + key;
    }

    private static String shortened(String text) {
        int most = 60;
        return text.length() <= most ? text : text.substring(0, most) + " …";
    }
}
