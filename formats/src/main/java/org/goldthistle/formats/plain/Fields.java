package org.goldthistle.formats.plain;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;

/**
 * One object of plain values (maps, lists, text, numbers, true and false), read key by key. What does not fit is noted with its path and a stand-in returned, so that the
 * reading goes on and finds the next mistake; {@link #build} then makes nothing of an object that had any.
 */
public final class Fields {
    /** Where a key is not there at all. */
    private static final Object NOTHING = new Object();

    private final Object object;
    private final String path;
    private final List<Refusal> refusals;
    private final int refusedBefore;

    private Fields(Object object, String path, List<Refusal> refusals) {
        this.object = object;
        this.path = path;
        this.refusals = refusals;
        this.refusedBefore = refusals.size();
    }

    /** The fields of a file's top object; an unfit value counts as an object without keys. */
    public static Fields top(Object node, List<Refusal> refusals) {
        return of(node, "", refusals);
    }

    private static Fields of(Object node, String path, List<Refusal> refusals) {
        var fields = new Fields(node, path, refusals);
        if (!(node instanceof Map)) {
            fields.refuse("", node, "an object in { }");
        }
        return fields;
    }

    /** Makes a value of the fields read so far, or notes why not and answers null. */
    public <T> T build(Supplier<T> maker) {
        return buildWithin("", maker);
    }

    /** The same of what stands under a key. */
    public <T> T buildWithin(String key, Supplier<T> maker) {
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

    public boolean has(String key) {
        Object there = at(object, key);
        return there != NOTHING && there != null;
    }

    private static Object at(Object object, String key) {
        return object instanceof Map<?, ?> map && map.containsKey(key) ? map.get(key) : NOTHING;
    }

    /** The keys and values of an object in their order; none of anything else. */
    private static Map<String, Object> properties(Object object) {
        Map<String, Object> all = new LinkedHashMap<>();
        if (object instanceof Map<?, ?> map) {
            map.forEach((key, value) -> all.put(String.valueOf(key), value));
        }
        return all;
    }

    public String text(String key) {
        return text(key, at(object, key));
    }

    private String text(String key, Object node) {
        if (node instanceof String text) {
            return text;
        }
        refuse(key, node, "text in quotes");
        return "";
    }

    public Optional<String> optionalText(String key) {
        return has(key) ? Optional.of(text(key)) : Optional.empty();
    }

    public double number(String key) {
        return number(key, at(object, key));
    }

    private double number(String key, Object node) {
        if (node instanceof Number number) {
            return number.doubleValue();
        }
        refuse(key, node, "a number without quotes");
        return 0;
    }

    public int integer(String key) {
        return integer(key, at(object, key));
    }

    private int integer(String key, Object node) {
        if (node instanceof Number number && number.doubleValue() == number.intValue()) {
            return number.intValue();
        }
        refuse(key, node, "a whole number");
        return 0;
    }

    public boolean flag(String key) {
        Object node = at(object, key);
        if (node instanceof Boolean flag) {
            return flag;
        }
        refuse(key, node, "true or false");
        return false;
    }

    /** A choice that is spelled with a code of the given list; null when it is refused. */
    public <T extends Coded> T coded(String key, T[] all) {
        return coded(key, at(object, key), all);
    }

    public <T extends Coded> Optional<T> optionalCoded(String key, T[] all) {
        return has(key) ? Optional.ofNullable(coded(key, all)) : Optional.empty();
    }

    private <T extends Coded> T coded(String key, Object node, T[] all) {
        Optional<T> found = node instanceof String text ? Coded.find(all, text) : Optional.empty();
        if (found.isEmpty()) {
            refuse(key, node, Coded.codes(all));
        }
        return found.orElse(null);
    }

    public <T extends Coded> List<T> codedList(String key, T[] all) {
        return elements(key, (itemKey, node) -> coded(itemKey, node, all));
    }

    public List<String> texts(String key) {
        return elements(key, this::text);
    }

    public List<Double> numbers(String key) {
        return elements(key, this::number);
    }

    public List<Integer> integers(String key) {
        return elements(key, this::integer);
    }

    /** A list of objects; a missing key is an empty list only when {@code optional}. */
    public <T> List<T> objects(String key, boolean optional, Function<Fields, T> read) {
        if (optional && !has(key)) {
            return List.of();
        }
        return elements(key, (itemKey, node) -> read.apply(of(node, at(itemKey), refusals)));
    }

    public Fields object(String key) {
        return of(at(object, key), at(key), refusals);
    }

    /** An object whose keys are codes and whose values are numbers; a missing key is empty. */
    public <T extends Coded> Map<T, Double> numbersByCode(String key, T[] all) {
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
    public <T extends Coded> Map<T, List<String>> textsByCode(T[] all) {
        Map<T, List<String>> map = new LinkedHashMap<>();
        properties(object).keySet().forEach(key -> {
            Optional<T> found = Coded.find(all, key);
            if (found.isEmpty()) {
                refuses("", "\"" + key + "\"", Coded.codes(all));
            }
            List<String> words = texts(key);
            found.ifPresent(code -> map.put(code, words));
        });
        return map;
    }

    /** An object with any keys whose values are numbers. */
    public Map<String, Double> numbersByKey() {
        Map<String, Double> map = new LinkedHashMap<>();
        properties(object).forEach((key, value) -> map.put(key, number(key, value)));
        return map;
    }

    /** Every field of an object, each a number, a text or true or false. */
    public Map<String, Object> scalars() {
        Map<String, Object> map = new LinkedHashMap<>();
        properties(object).forEach((key, value) -> {
            if (value instanceof Number number) {
                map.put(key, number.doubleValue());
            } else if (value instanceof String || value instanceof Boolean) {
                map.put(key, value);
            } else {
                refuse(key, value, "a number, text in quotes or true or false");
            }
        });
        return map;
    }

    /** Refuses every place where this object, taken as a drawing, breaks its schema. */
    public void refuseBreaksOf(DrawingCheck schema) {
        schema.breaks(properties(object))
                .forEach((parameter, expected) -> refuse(parameter, at(object, parameter), expected));
    }

    /** An object with any keys whose values are whole numbers; a missing key is empty. */
    public Map<String, Integer> integersByKey(String key) {
        Map<String, Integer> map = new LinkedHashMap<>();
        forEachField(key, (name, node) -> map.put(name, integer(key + "." + name, node)));
        return map;
    }

    /** The fields of an inner object by key, each an object itself; a missing key is refused. */
    public Map<String, Fields> objectsByKey(String key) {
        Fields inner = object(key);
        Map<String, Fields> map = new LinkedHashMap<>();
        properties(inner.object).keySet().forEach(name -> map.put(name, inner.object(name)));
        return map;
    }

    private void forEachField(String key, BiConsumer<String, Object> use) {
        if (!has(key)) {
            return;
        }
        Object node = at(object, key);
        if (!(node instanceof Map)) {
            refuse(key, node, "an object in { }");
        }
        properties(node).forEach(use);
    }

    private <T> List<T> elements(String key, BiFunction<String, Object, T> read) {
        Object node = at(object, key);
        List<T> list = new ArrayList<>();
        if (!(node instanceof List<?> elements)) {
            refuse(key, node, "a list in [ ]");
            return list;
        }
        for (Object element : elements) {
            list.add(read.apply(key + "[" + list.size() + "]", element));
        }
        return list;
    }

    public void refuses(String key, String found, String expected) {
        refusals.add(new Refusal(at(key), found, expected));
    }

    private void refuse(String key, Object found, String expected) {
        refuses(key, found == NOTHING ? "nothing" : shortened(spelt(found)), expected);
    }

    private String at(String key) {
        return path.isEmpty() ? key : key.isEmpty() ? path : path + "." + key;
    }

    /** A value as a file spells it. */
    private static String spelt(Object value) {
        if (value instanceof String text) {
            return "\"" + text + "\"";
        }
        if (value instanceof List<?> list) {
            return "[" + list.stream().map(Fields::spelt).collect(Collectors.joining(",")) + "]";
        }
        if (value instanceof Map) {
            return "{"
                    + properties(value).entrySet().stream()
                            .map(field -> "\"" + field.getKey() + "\":" + spelt(field.getValue()))
                            .collect(Collectors.joining(","))
                    + "}";
        }
        return String.valueOf(value);
    }

    private static String shortened(String text) {
        int most = 60;
        return text.length() <= most ? text : text.substring(0, most) + " …";
    }
}
