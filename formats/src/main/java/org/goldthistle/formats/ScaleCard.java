package org.goldthistle.formats;

import java.util.Locale;
import org.goldthistle.core.measure.PhotoScale;

/** The card that is laid beside a leaf, drawn as SVG in millimetres: A6, four to an A4 page that lies on its side. */
public final class ScaleCard {
    private static final double WIDE = 148.5; // of a card, in mm
    private static final double HIGH = 105;
    private static final double TOP = 18; // of the crosses, from the card's edge
    private static final double BAR = 92; // from the card's upper edge

    private ScaleCard() {}

    /** The page. */
    public static String svg() {
        StringBuilder cards = new StringBuilder();
        for (int i = 0; i < 4; i++) {
            cards.append(format("<g transform=\"translate(%s %s)\">", i % 2 * WIDE, i / 2 * HIGH))
                    .append(card())
                    .append("</g>");
        }
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"297mm\" height=\"210mm\" viewBox=\"0 0 297 210\""
                + " font-family=\"sans-serif\"><rect width=\"297\" height=\"210\" fill=\"#fff\"/>" + cards + "</svg>\n";
    }

    private static String card() {
        double left = (WIDE - PhotoScale.CARD_LONG) / 2;
        StringBuilder card = new StringBuilder(format(
                "<rect width=\"%s\" height=\"%s\" fill=\"none\" stroke=\"#999\" stroke-width=\"0.2\"/>", WIDE, HIGH));
        for (double x : new double[] {left, left + PhotoScale.CARD_LONG}) {
            for (double y : new double[] {TOP, TOP + PhotoScale.CARD_SHORT}) {
                card.append(format(
                        "<g transform=\"translate(%s %s)\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.35\">"
                                + "<path d=\"M-7 0H7M0 -7V7\"/><circle r=\"4\"/></g>",
                        x, y));
            }
        }
        double from = (WIDE - PhotoScale.CARD_BAR) / 2;
        card.append(format("<rect x=\"%s\" y=\"%s\" width=\"%s\" height=\"2\"/>", from, BAR, PhotoScale.CARD_BAR));
        card.append(text(BAR - 1.5, format("%.0f mm: check the printer by it", PhotoScale.CARD_BAR)));
        card.append(text(
                TOP + PhotoScale.CARD_SHORT / 2,
                format("%.0f × %.0f mm between the crosses", PhotoScale.CARD_LONG, PhotoScale.CARD_SHORT)));
        return card.toString();
    }

    private static String text(double y, String words) {
        return format("<text x=\"%s\" y=\"%s\" text-anchor=\"middle\" font-size=\"3.6\">%s</text>", WIDE / 2, y, words);
    }

    private static String format(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }
}
