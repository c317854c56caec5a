package org.goldthistle.batch;

import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;

/** Words of the command line that stand for a closed choice. */
final class Codes {
    private Codes() {}

    private static <T extends Coded> T find(T[] all, String code) {
        return Coded.find(all, code)
                .orElseThrow(() -> new TypeConversionException("found \"" + code + "\", expected " + Coded.codes(all)));
    }

    static final class OfTier implements ITypeConverter<Tier> {
        @Override
        public Tier convert(String code) {
            return find(Tier.values(), code);
        }
    }

    static final class OfSchool implements ITypeConverter<School> {
        @Override
        public School convert(String code) {
            return find(School.values(), code);
        }
    }

    static final class OfStage implements ITypeConverter<LifeStage> {
        @Override
        public LifeStage convert(String code) {
            return find(LifeStage.values(), code);
        }
    }

    static final class OfFormat implements ITypeConverter<OutputFormat> {
        @Override
        public OutputFormat convert(String code) {
            return find(OutputFormat.values(), code);
        }
    }
}
