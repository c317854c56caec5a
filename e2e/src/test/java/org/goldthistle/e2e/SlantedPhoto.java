package org.goldthistle.e2e;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.Kernel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import javax.imageio.ImageIO;

/** A photo of twelve megapixels that nobody took: a leaf on the scale card, seen by a camera that is held askew, a little blurred. */
final class SlantedPhoto {
    /** On the card, in mm. */
    static final double[][] CROSSES = {{0, 0}, {90, 0}, {90, 60}, {0, 60}};

    /** The two ends of the bar on the card, in mm. */
    static final double[][] BAR = {{20, 74}, {70, 74}};

    private static final int WIDE = 4000;
    private static final int HIGH = 3000;
    private static final double LENS = 7000; // pixels
    private static final double AWAY = 260; // mm
    private static final int BLUR = 5;

    private final double tilt;

    SlantedPhoto(double degrees) {
        this.tilt = Math.toRadians(degrees);
    }

    /** Where a place of the card, in mm, is on the photo, in its pixels. */
    double[] sees(double[] onCard) {
        double across = onCard[0] - 45;
        double up = onCard[1] - 30;
        double away = AWAY + Math.sin(tilt) * up;
        return new double[] {WIDE / 2.0 + LENS * across / away, HIGH / 2.0 + LENS * Math.cos(tilt) * up / away};
    }

    byte[] jpeg() {
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
        Graphics2D paper = image.createGraphics();
        paper.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        paper.setColor(new Color(0xf4f1e8));
        paper.fillRect(0, 0, WIDE, HIGH);
        paper.setColor(new Color(0x7d9a55));
        paper.fill(path(leaf()));
        paper.setColor(Color.BLACK);
        paper.setStroke(new BasicStroke(5));
        for (double[] cross : CROSSES) {
            paper.draw(path(new double[][] {{cross[0] - 5, cross[1]}, {cross[0] + 5, cross[1]}}));
            paper.draw(path(new double[][] {{cross[0], cross[1] - 5}, {cross[0], cross[1] + 5}}));
        }
        paper.draw(path(BAR));
        paper.dispose();
        float[] even = new float[BLUR * BLUR];
        Arrays.fill(even, 1f / even.length);
        BufferedImage blurred =
                new ConvolveOp(new Kernel(BLUR, BLUR, even), ConvolveOp.EDGE_NO_OP, null).filter(image, null);
        var content = new ByteArrayOutputStream();
        try {
            ImageIO.write(blurred, "jpeg", content);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return content.toByteArray();
    }

    private static double[][] leaf() {
        double[][] edge = new double[60][];
        for (int i = 0; i < edge.length; i++) {
            double angle = 2 * Math.PI * i / edge.length;
            edge[i] = new double[] {42 + 26 * Math.cos(angle), 30 + 17 * Math.sin(angle)};
        }
        return edge;
    }

    private Path2D path(double[][] onCard) {
        Path2D path = new Path2D.Double();
        for (int i = 0; i < onCard.length; i++) {
            double[] at = sees(onCard[i]);
            if (i == 0) {
                path.moveTo(at[0], at[1]);
            } else {
                path.lineTo(at[0], at[1]);
            }
        }
        return path;
    }
}
