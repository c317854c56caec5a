package org.goldthistle.browser;

import java.util.LinkedHashMap;
import java.util.Map;
import org.goldthistle.core.RefusedException;
import org.goldthistle.formats.plain.CaliperLines;

/** Reads what instruments send; plain values out. */
final class InstrumentDesk {
    private final CaliperLines caliper = new CaliperLines();

    /**
     * What a line of a caliper comes to.
     *
     * @param at when it came, in milliseconds
     * @return {@code value} in mm; {@code refused}: why it is none; neither: it is the press before once more
     */
    Map<String, Object> caliperLine(String line, double at) {
        Map<String, Object> told = new LinkedHashMap<>();
        try {
            caliper.read(line, at).ifPresent(value -> told.put("value", value));
        } catch (RefusedException refused) {
            told.put("refused", refused.getMessage());
        }
        return told;
    }
}
