package org.goldthistle.platform;

/** Signs in JSON that no text has and the database cannot keep: NUL and other controls, and halves of pairs. */
final class TextSigns {
    private static final int HEX_DIGITS = 4;
    private static final int HEX = 16;
    private static final int LAST_CONTROL = 0x1F;

    private TextSigns() {}

    /** @throws Problem if JSON holds such a sign, as it is or as an escape */
    static void requireText(byte[] json) {
        int pending = 0; // the first half of a pair that the next escape must complete
        int at = 0;
        while (at < json.length) {
            int sign = escaped(json, at);
            if (json[at] == 0 || pending != 0 && sign < 0) {
                throw Problem.noText();
            }
            pending = sign < 0 ? 0 : next(pending, (char) sign);
            at += sign >= 0 ? 2 + HEX_DIGITS : json[at] == '\\' ? 2 : 1;
        }
        if (pending != 0) {
            throw Problem.noText();
        }
    }

    /** The sign that an escape such as \\u0041 at a place stands for; -1: there is none. */
    private static int escaped(byte[] json, int at) {
        boolean begins = json[at] == '\\' && at + 1 < json.length && json[at + 1] == 'u';
        return begins ? hex(json, at + 2) : -1;
    }

    private static int next(int pending, char sign) {
        if (pending != 0 != Character.isLowSurrogate(sign) || isControl(sign)) {
            throw Problem.noText();
        }
        return Character.isHighSurrogate(sign) ? sign : 0;
    }

    private static boolean isControl(char sign) {
        return sign <= LAST_CONTROL && sign != '\t' && sign != '\n' && sign != '\r';
    }

    private static int hex(byte[] json, int from) {
        if (from + HEX_DIGITS > json.length) {
            return -1;
        }
        int value = 0;
        for (int i = from; i < from + HEX_DIGITS; i++) {
            int digit = Character.digit(json[i], HEX);
            if (digit < 0) {
                return -1;
            }
            value = value * HEX + digit;
        }
        return value;
    }
}
