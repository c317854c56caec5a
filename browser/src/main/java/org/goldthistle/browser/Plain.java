package org.goldthistle.browser;

import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.Coded;

/**
 * Records to plain values (maps, lists, text, numbers) and back, by the names of their components: the same that the
 * server's answers spell in JSON, where nothing stands for what is not there.
 */
final class Plain {
    private Plain() {}

    /** A value as plain ones. */
    static Object write(Object value) {
        if (value == null || value instanceof String || value instanceof Number || value instanceof Boolean) {
            return value;
        }
        if (value instanceof Coded coded) {
            return coded.code();
        }
        if (value instanceof Collection<?> all) {
            List<Object> list = new ArrayList<>(all.size());
            all.forEach(one -> list.add(write(one)));
            return list;
        }
        if (value instanceof Map<?, ?> all) {
            Map<String, Object> map = new LinkedHashMap<>();
            all.forEach((key, one) -> map.put(String.valueOf(key), write(one)));
            return map;
        }
        if (value instanceof UUID id) {
            return id.toString();
        }
        if (value instanceof Instant moment) {
            return Moments.write(moment);
        }
        Map<String, Object> map = new LinkedHashMap<>();
        for (Field component : componentsOf(value.getClass())) {
            Object written = write(valueOf(component, value));
            if (written != null) {
                map.put(component.getName(), written);
            }
        }
        return map;
    }

    /**
     * A record of plain values; keys that it does not know are left out.
     *
     * @throws IllegalArgumentException if a value is of another kind
     */
    static <T> T read(Class<T> type, Object plain) {
        return type.cast(readAs(type, plain));
    }

    private static Object readAs(Type type, Object plain) {
        if (type instanceof ParameterizedType generic) {
            return readAll(generic, plain);
        }
        Class<?> asked = (Class<?>) type;
        if (plain == null) {
            if (asked == boolean.class) {
                return false; // it is left out of what is short
            }
            return null;
        }
        if (asked == int.class || asked == Integer.class) {
            return ((Number) plain).intValue();
        }
        if (asked == double.class || asked == Double.class) {
            return ((Number) plain).doubleValue();
        }
        if (asked == boolean.class || asked == Boolean.class || asked == String.class) {
            return plain;
        }
        if (asked == UUID.class) {
            return UUID.fromString((String) plain);
        }
        if (asked == Instant.class) {
            return Moments.read((String) plain);
        }
        if (asked.isEnum()) {
            return constant(asked, (String) plain);
        }
        return readRecord(asked, plain);
    }

    private static Object readAll(ParameterizedType generic, Object plain) {
        Class<?> raw = (Class<?>) generic.getRawType();
        Type[] of = generic.getActualTypeArguments();
        if (plain == null) {
            return null;
        }
        if (raw == Map.class) {
            Map<String, Object> map = new LinkedHashMap<>();
            ((Map<?, ?>) plain).forEach((key, one) -> map.put((String) key, readAs(of[1], one)));
            return map;
        }
        Collection<Object> all = raw == Set.class ? new LinkedHashSet<>() : new ArrayList<>();
        ((List<?>) plain).forEach(one -> all.add(readAs(of[0], one)));
        return all;
    }

    private static Object constant(Class<?> type, String code) {
        for (Object one : type.getEnumConstants()) {
            if (((Coded) one).code().equals(code)) {
                return one;
            }
        }
        throw new IllegalArgumentException("no such code: " + code);
    }

    private static Object readRecord(Class<?> type, Object plain) {
        Map<?, ?> map = (Map<?, ?>) plain;
        List<Field> components = componentsOf(type);
        Class<?>[] types = new Class<?>[components.size()];
        Object[] values = new Object[components.size()];
        for (int i = 0; i < values.length; i++) {
            types[i] = components.get(i).getType();
            values[i] = readAs(
                    components.get(i).getGenericType(),
                    map.get(components.get(i).getName()));
        }
        try {
            Constructor<?> canonical = type.getDeclaredConstructor(types);
            canonical.setAccessible(true);
            return canonical.newInstance(values);
        } catch (ReflectiveOperationException broken) {
            throw new IllegalArgumentException(type.getName() + " cannot be made of " + map.keySet(), broken);
        }
    }

    /** The fields of a record, which are its components in their order. */
    private static List<Field> componentsOf(Class<?> type) {
        List<Field> components = new ArrayList<>();
        for (Field field : type.getDeclaredFields()) {
            if (!Modifier.isStatic(field.getModifiers())) {
                components.add(field);
            }
        }
        return components;
    }

    private static Object valueOf(Field component, Object record) {
        try {
            component.setAccessible(true);
            return component.get(record);
        } catch (IllegalAccessException broken) {
            throw new IllegalStateException(component.getName() + " cannot be read", broken);
        }
    }
}
