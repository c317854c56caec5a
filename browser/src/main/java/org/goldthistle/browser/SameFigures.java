package org.goldthistle.browser;

import java.util.List;
import java.util.Map;

/** Holds what was reckoned here against what the server reckoned. */
final class SameFigures {
    private static final double TOLERANCE = 1e-9; // figures are promised to nine digits

    private SameFigures() {}

    /** The first place where they differ, with both values; empty: they do not. */
    static String difference(Object here, Object there) {
        return difference("", here, there);
    }

    private static String difference(String where, Object here, Object there) {
        if (here instanceof Number one && there instanceof Number other) {
            return Math.abs(one.doubleValue() - other.doubleValue()) <= TOLERANCE ? "" : told(where, here, there);
        }
        if (here instanceof Map<?, ?> one && there instanceof Map<?, ?> other) {
            for (Map.Entry<?, ?> entry : one.entrySet()) {
                String found = difference(where + "." + entry.getKey(), entry.getValue(), other.get(entry.getKey()));
                if (!found.isEmpty()) {
                    return found;
                }
            }
            return "";
        }
        if (here instanceof List<?> one && there instanceof List<?> other && one.size() == other.size()) {
            for (int i = 0; i < one.size(); i++) {
                String found = difference(where + "[" + i + "]", one.get(i), other.get(i));
                if (!found.isEmpty()) {
                    return found;
                }
            }
            return "";
        }
        return here == null
                ? there == null ? "" : told(where, here, there)
                : here.equals(there) ? "" : told(where, here, there);
    }

    private static String told(String where, Object here, Object there) {
        return where + ": " + here + " here, " + there + " there";
    }
}
