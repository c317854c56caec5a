package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.key.WhichGroup;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Trait;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A tree of any group, looked at as it is asked for: few looks lead to one or two of the library's groups. */
class FirstLooksTest {
    private static final List<GroupSheet> LIBRARY = BuiltInLibrary.GROUPS.stream()
            .map(group -> GroupSheetJson.read(BuiltInLibrary.sheetText(group)))
            .toList();

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void few_looks_lead_to_one_or_two_groups(int month) {
        int most = Trait.FRUIT.isShownIn(month) ? 4 : 5;
        for (GroupSheet truth : LIBRARY) {
            assertLeads(truth, new LinkedHashMap<>(), month, most);
        }
    }

    /** Follows every answer that the group can show. */
    private static void assertLeads(GroupSheet truth, Map<Trait, String> answers, int month, int left) {
        WhichGroup which = WhichGroup.of(LIBRARY, answers, month);
        assertThat(which.remaining()).contains(truth);
        if (which.remaining().size() <= 2 || which.next().isEmpty()) {
            assertThat(which.remaining().size())
                    .as("%s after %s in month %d", truth.id(), answers, month)
                    .isLessThanOrEqualTo(2);
            return;
        }
        assertThat(left)
                .as("%s after %s in month %d", truth.id(), answers, month)
                .isPositive();
        Trait next = which.next().get();
        for (String answer : truth.firstLook().shown().getOrDefault(next, next.answers())) {
            Map<Trait, String> further = new LinkedHashMap<>(answers);
            further.put(next, answer);
            assertLeads(truth, further, month, left - 1);
        }
    }
}
