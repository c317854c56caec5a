package org.goldthistle.batch;

import org.goldthistle.core.Coded;

/** How results are written. */
enum OutputFormat implements Coded {
    JSON("json"),
    TABLE("table");

    private final String code;

    OutputFormat(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
