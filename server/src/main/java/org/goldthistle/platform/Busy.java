package org.goldthistle.platform;

import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;

/** Counts what each address has going on, up to a limit. */
final class Busy {
    private final int most;
    private final ConcurrentMap<String, Integer> going = new ConcurrentHashMap<>();

    Busy(int most) {
        this.most = most;
    }

    /** Whether one more may go on for an address, which is to leave again afterwards. */
    boolean enter(String address) {
        boolean[] entered = {false};
        going.compute(address, (key, now) -> {
            int count = now == null ? 0 : now;
            entered[0] = count < most;
            return entered[0] ? Integer.valueOf(count + 1) : now;
        });
        return entered[0];
    }

    void leave(String address) {
        going.compute(address, (key, now) -> now == null || now == 1 ? null : Integer.valueOf(now - 1));
    }
}
