package org.goldthistle.formats;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.goldthistle.core.plot.GeoPosition;

/**
 * Where a positioning receiver says it is: the GGA sentence of NMEA 0183.
 *
 * @param position WGS 84
 * @param altitudeMetres above the sea; empty: the receiver does not know
 * @param satellites in use
 * @param dilution horizontal dilution of precision, 1 is good and above 5 poor; 0: unknown
 */
public record NmeaFix(GeoPosition position, OptionalDouble altitudeMetres, int satellites, double dilution) {
    private static final int FIELDS = 10; // up to the altitude

    /**
     * Reads a sentence.
     *
     * @param sentence a line from {@code $} to the checksum
     * @return empty if it is another sentence, damaged, or the receiver has no fix
     */
    public static Optional<NmeaFix> read(String sentence) {
        String line = sentence.strip();
        int star = line.lastIndexOf('*');
        if (!line.startsWith("$")
                || star < 0
                || !checksum(line.substring(1, star)).equalsIgnoreCase(line.substring(star + 1))) {
            return Optional.empty();
        }
        String[] fields = line.substring(1, star).split(",", -1);
        boolean isFix =
                fields.length >= FIELDS && fields[0].endsWith("GGA") && !fields[6].equals("0") && !fields[6].isEmpty();
        return isFix ? fix(fields) : Optional.empty();
    }

    private static Optional<NmeaFix> fix(String[] fields) {
        try {
            double latitude = degrees(fields[2], 2) * (fields[3].equals("S") ? -1 : 1);
            double longitude = degrees(fields[4], 3) * (fields[5].equals("W") ? -1 : 1);
            return Optional.of(new NmeaFix(
                    new GeoPosition(latitude, longitude),
                    fields[9].isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(fields[9])),
                    fields[7].isEmpty() ? 0 : Integer.parseInt(fields[7]),
                    fields[8].isEmpty() ? 0 : Double.parseDouble(fields[8])));
        } catch (IllegalArgumentException garbled) {
            return Optional.empty(); // a sentence that passed its checksum and still makes no sense: as good as none
        }
    }

    /** The sentence that says this. */
    public String toSentence(String timeOfDay) {
        String body = String.format(
                Locale.ROOT,
                "GPGGA,%s,%s,%s,%s,%s,1,%02d,%.1f,%s,M,,M,,",
                timeOfDay,
                minutes(Math.abs(position.latitude()), 2),
                position.latitude() < 0 ? "S" : "N",
                minutes(Math.abs(position.longitude()), 3),
                position.longitude() < 0 ? "W" : "E",
                satellites,
                dilution,
                altitudeMetres.isPresent() ? String.format(Locale.ROOT, "%.1f", altitudeMetres.getAsDouble()) : "");
        return "$" + body + "*" + checksum(body);
    }

    /** Degrees of {@code ddmm.mmmm}, where the degrees have that many digits. */
    private static double degrees(String text, int digits) {
        return Integer.parseInt(text.substring(0, Math.min(digits, text.length())))
                + Double.parseDouble(text.substring(Math.min(digits, text.length()))) / 60;
    }

    private static String minutes(double degrees, int digits) {
        long tenThousandths = Math.round(degrees * 60 * 10_000); // of a minute, so that 59.99999 does not become 60
        return String.format(
                Locale.ROOT,
                "%0" + digits + "d%02d.%04d",
                tenThousandths / 600_000,
                tenThousandths / 10_000 % 60,
                tenThousandths % 10_000);
    }

    /** Two hex digits: all characters between $ and * combined by exclusive or. */
    private static String checksum(String body) {
        int sum = 0;
        for (int i = 0; i < body.length(); i++) {
            sum ^= body.charAt(i);
        }
        return String.format(Locale.ROOT, "%02X", sum);
    }
}
