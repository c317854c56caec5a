package org.goldthistle.position;

import java.io.IOException;
import java.time.Duration;
import org.goldthistle.formats.NmeaFix;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The position of the receiver that is plugged in where the server runs, as on a crew's own laptop. */
@RestController
class ReceiverController {
    private static final Duration PATIENCE = Duration.ofSeconds(4);

    private final PositionReceiver receiver;
    private final ReceiverConfiguration configuration;

    ReceiverController(PositionReceiver receiver, ReceiverConfiguration configuration) {
        this.receiver = receiver;
        this.configuration = configuration;
    }

    /** The next fix. */
    @GetMapping("/api/receiver/fix")
    @ForObservers
    FixDto showFix() {
        try {
            return receiver.next(PATIENCE)
                    .map(fix -> FixDto.of(fix, configuration.isSimulated()))
                    .orElseThrow(() -> Problem.conflict(
                            ProblemType.NO_FIX,
                            "The receiver has no fix, as under dense canopy. Step into the open and try again, or type"
                                    + " the position."));
        } catch (IOException away) {
            throw Problem.conflict(
                    ProblemType.RECEIVER_AWAY,
                    "The receiver cannot be reached. Check that it is on and connected, or type the position.");
        }
    }

    /** WGS 84 degrees, metres above the sea; simulated: made up, since no receiver is set up. */
    record FixDto(
            double latitude,
            double longitude,
            @Nullable Double altitudeMetres,
            int satellites,
            double dilution,
            boolean simulated) {
        static FixDto of(NmeaFix fix, boolean simulated) {
            return new FixDto(
                    fix.position().latitude(),
                    fix.position().longitude(),
                    fix.altitudeMetres().isPresent() ? fix.altitudeMetres().getAsDouble() : null,
                    fix.satellites(),
                    fix.dilution(),
                    simulated);
        }
    }
}
