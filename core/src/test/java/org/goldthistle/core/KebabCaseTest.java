package org.goldthistle.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Pattern;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.Chars;
import net.jqwik.api.constraints.StringLength;

class KebabCaseTest {
    private static final Pattern WORDS = Pattern.compile("[a-z0-9]+(-[a-z0-9]+)*");

    @Property
    void words_and_single_hyphens_as_a_pattern_would_say(
            @ForAll @StringLength(max = 6) @CharRange(from = 'a', to = 'c') @Chars({'-', '0', 'A', ' ', 'é'})
                    String text) {
        assertThat(KebabCase.is(text)).isEqualTo(WORDS.matcher(text).matches());
    }
}
