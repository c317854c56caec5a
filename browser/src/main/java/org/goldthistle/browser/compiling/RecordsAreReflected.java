package org.goldthistle.browser.compiling;

import org.teavm.extension.spi.reflection.SimpleReflectionPolicy;

/** Keeps the names of what crosses to the browser: the components of calls' records. */
public final class RecordsAreReflected extends SimpleReflectionPolicy {
    @Override
    protected void setup() {
        selectPackage("org.goldthistle.call", true)
                .reflectableFields(INSTANCE::test)
                .reflectableMethods(method -> "<init>".equals(method.name()));
        selectPackage("org.goldthistle.browser")
                .reflectableFields(INSTANCE::test)
                .reflectableMethods(method -> "<init>".equals(method.name()));
        selectClass("org.goldthistle.core.Refusal").reflectableFields(INSTANCE::test);
    }
}
