package org.goldthistle.core.balance;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Measure;
import org.junit.jupiter.api.Test;

/** Balances of so many replicates that the shares run out of digits. */
class ManyReplicatesTest {
    private static final double EXACT = 1e-12;

    @Test
    void however_many_replicates_the_lead_stays_with_whom_they_speak_for() {
        // beyond both, nearer to b: none-of-these gains some 2 nats each time, so both shares run out of digits
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("length")
                        .numbers(Measure.LENGTH)
                        .range("a", 10, 12, 18, 20)
                        .range("b", 11, 13, 19, 21)
                        .replication(100, 0)
                        .build());
        Double[] values = new Double[2000];
        Arrays.fill(values, 23.5);

        Balance balance = Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, Sheets.wildInJune(), List.of(Sheets.measured("length", values))),
                        Optional.empty())
                .featuresAlone();

        assertEquals(0, balance.posterior(0) + balance.posterior(1));
        assertEquals(1, balance.lead());
        assertEquals(0, balance.rival());
        assertEquals(1, balance.amongTaxa()[1], EXACT);
    }
}
