package org.goldthistle.platform;

import jakarta.validation.Valid;
import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * What whoever runs the server can set, each as {@code goldthistle.…}, or as an environment variable; told in
 * {@code docs/settings.md}.
 *
 * @param hashCost of passphrases, as the exponent of bcrypt
 * @param sheets folder with further group sheets that are loaded at the start; empty: none
 * @param lead who leads, made at the first start
 * @param receiver host:port of a position receiver that speaks NMEA 0183; empty: a simulated one
 * @param authority file with the certificate of the authority that signed the server's; empty: there is none to offer
 * @param outlook when the months ahead of contested calls are played through
 * @param invitationsLast how long a link works that lets somebody in
 * @param laboratory that samples are sent to
 * @param readingsHeldBack for how long at most a reading may have waited on a device; one that says more counts as so old
 * @param sessionsLast how long a session lives at most, however busy
 * @param limits of what is kept
 */
@Validated
@ConfigurationProperties("goldthistle")
public record Settings(
        @DefaultValue("12") @Min(4) @Max(16) int hashCost,
        @DefaultValue("") @NotNull String sheets,
        @DefaultValue @NotNull @Valid Lead lead,
        @DefaultValue("") @NotNull String receiver,
        @DefaultValue("") @NotNull String authority,
        @DefaultValue @NotNull @Valid Outlook outlook,
        @DefaultValue("7d") @NotNull Duration invitationsLast,
        @DefaultValue("60d") @NotNull Duration readingsHeldBack,
        @DefaultValue("30d") @NotNull Duration sessionsLast,
        @DefaultValue @NotNull @Valid Laboratory laboratory,
        @DefaultValue @NotNull @Valid Limits limits) {

    /** The first lead's call sign, empty where nobody is to be made, and passphrase. */
    public record Lead(
            @DefaultValue("") @NotNull String callSign,
            @DefaultValue("") @NotNull String passphrase) {}

    /** How long a call is left alone before its months are played through. */
    public record Outlook(@DefaultValue("20s") @NotNull Duration rest) {}

    /**
     * The laboratory at the other end of a line, as {@code docs/laboratory.md} describes it.
     *
     * @param url where it answers; empty: none is connected, and parcels go by hand
     * @param secret that both know; each request is signed with it
     * @param every how often it is told of parcels and asked what it found
     */
    public record Laboratory(
            @DefaultValue("") @NotNull String url,
            @DefaultValue("") @NotNull String secret,
            @DefaultValue("30s") @NotNull Duration every) {
        private static final int SHORTEST_SECRET = 16;

        /** Whether nobody can send in a laboratory's name: a secret that can be guessed is none. */
        @AssertTrue(message = "a laboratory that is connected needs a secret of 16 characters or more") boolean isSecret() {
            return url.isEmpty() || secret.length() >= SHORTEST_SECRET;
        }
    }

    /**
     * What is kept at most.
     *
     * @param photosOfACall photos
     * @param tokensOfAnObserver for scripts
     */
    public record Limits(
            @DefaultValue("60") @Min(0) int photosOfACall,
            @DefaultValue("20") @Min(0) int tokensOfAnObserver) {}
}
