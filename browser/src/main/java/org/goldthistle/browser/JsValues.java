package org.goldthistle.browser;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;
import org.teavm.jso.core.JSBoolean;
import org.teavm.jso.core.JSNumber;
import org.teavm.jso.core.JSObjects;
import org.teavm.jso.core.JSString;

/** What JSON can say, from the browser's values to plain ones and back. */
final class JsValues {
    private JsValues() {}

    /** A value of the browser as maps, lists, text, numbers, true and false. */
    static Object read(JSObject value) {
        return switch (kind(value)) {
            case "string" -> ((JSString) value).stringValue();
            case "number" -> ((JSNumber) value).doubleValue();
            case "boolean" -> ((JSBoolean) value).booleanValue();
            case "array" -> list(value);
            case "object" -> map(value);
            default -> null;
        };
    }

    private static List<Object> list(JSObject array) {
        int length = length(array);
        List<Object> list = new ArrayList<>(length);
        for (int i = 0; i < length; i++) {
            list.add(read(element(array, i)));
        }
        return list;
    }

    private static Map<String, Object> map(JSObject object) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (String key : JSObjects.getOwnPropertyNames(object)) {
            map.put(key, read(get(object, key)));
        }
        return map;
    }

    /** Plain values as those of the browser. */
    static JSObject write(Object value) {
        if (value instanceof String text) {
            return JSString.valueOf(text);
        }
        if (value instanceof Number number) {
            return JSNumber.valueOf(number.doubleValue());
        }
        if (value instanceof Boolean flag) {
            return JSBoolean.valueOf(flag);
        }
        if (value instanceof Collection<?> all) {
            JSObject array = array();
            all.forEach(one -> push(array, write(one)));
            return array;
        }
        if (value instanceof Map<?, ?> all) {
            JSObject object = JSObjects.create();
            all.forEach((key, one) -> set(object, (String) key, write(one)));
            return object;
        }
        return nothing();
    }

    @JSBody(
            params = "value",
            script = "return value === null ? 'null' : Array.isArray(value) ? 'array' : typeof value;")
    private static native String kind(JSObject value);

    @JSBody(script = "return [];")
    private static native JSObject array();

    @JSBody(script = "return undefined;")
    private static native JSObject nothing();

    @JSBody(params = "array", script = "return array.length;")
    private static native int length(JSObject array);

    @JSBody(
            params = {"array", "i"},
            script = "return array[i];")
    private static native JSObject element(JSObject array, int i);

    @JSBody(
            params = {"array", "value"},
            script = "array.push(value);")
    private static native void push(JSObject array, JSObject value);

    @JSBody(
            params = {"object", "key"},
            script = "return object[key];")
    private static native JSObject get(JSObject object, String key);

    @JSBody(
            params = {"object", "key", "value"},
            script = "object[key] = value;")
    private static native void set(JSObject object, String key, JSObject value);
}
