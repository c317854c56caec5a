package org.goldthistle.browser.compiling;

import org.teavm.extension.spi.substitution.SubstitutionPolicy;
import org.teavm.extension.spi.substitution.SubstitutionSink;

/** Puts the stand-ins in the place of the platform's classes. */
public final class StandIns implements SubstitutionPolicy {
    @Override
    public void contribute(SubstitutionSink sink) {
        sink.selectClasses("java.util.SplittableRandom"::equals)
                .replacePackage("java.util", "org.goldthistle.browser.standin")
                .simpleNamePrefix("T");
    }
}
