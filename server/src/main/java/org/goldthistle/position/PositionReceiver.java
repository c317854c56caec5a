package org.goldthistle.position;

import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.goldthistle.formats.NmeaFix;

/** A device that knows where it is. */
interface PositionReceiver {
    /**
     * Waits for the next fix.
     *
     * @return empty if it has none within that time, as under dense canopy
     * @throws IOException if the device cannot be reached
     */
    Optional<NmeaFix> next(Duration patience) throws IOException;
}
