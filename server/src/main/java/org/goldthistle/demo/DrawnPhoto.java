package org.goldthistle.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.goldthistle.core.measure.Estimate;
import org.goldthistle.core.measure.PhotoScale;
import org.goldthistle.core.measure.PhotoValue;
import org.goldthistle.core.measure.Point;
import org.goldthistle.core.sheet.Measured;

/**
 * A photo that nobody took: leaves in a row beside the scale card on a board, seen by a camera that is held askew, and
 * tapped by somebody whose finger is not quite steady. What was measured is drawn on it.
 */
final class DrawnPhoto {
    private static final int WIDE = 1600;
    private static final int HIGH = 1100;
    private static final double LENS = 2000; // pixels
    private static final double AWAY = 420; // mm
    private static final double TILT = Math.toRadians(24);
    private static final double TURN = Math.toRadians(-4);
    private static final Point AIM = new Point(84, 6); // of the camera, mm from the middle of the card
    private static final double SHAKE = 0.6; // pixels, one standard deviation
    private static final double GAP = 9; // mm between two leaves
    private static final double FOOT = 45; // mm below the middle of the card, where the leaves' feet lie
    private static final double STALK = 14; // mm
    private static final int EDGE = 60; // points of half a leaf's outline
    private static final double FULLEST = 0.8; // above 1 the greatest width lies nearer to the foot

    private static final Color BOARD = new Color(0xb59a74);
    private static final Color GRAIN = new Color(0x9c8260);
    private static final Color PAPER = new Color(0xf7f4ea);
    private static final Color LEAF = new Color(0x68894a);
    private static final Color VEIN = new Color(0xa9bd84);
    private static final Color MEASURE = new Color(0x65397f);

    private static final List<Point> CROSSES =
            List.of(new Point(-45, -30), new Point(45, -30), new Point(45, 30), new Point(-45, 30));

    private final Random random;
    private final BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
    private final Graphics2D paper = image.createGraphics();
    private final PhotoScale card;
    private double next = CROSSES.get(1).x() + 30; // mm, where the next leaf's left edge lies

    DrawnPhoto(Random random) {
        this.random = random;
        paper.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        drawBoard();
        drawCard();
        card = PhotoScale.card(CROSSES.stream().map(this::tapped).toList());
    }

    /**
     * Lays a leaf beside the others and measures its length, over its greatest width where that is asked for.
     *
     * @param measured the way: a line, or a ratio of the two
     * @param length of its blade, mm
     * @param width of it, mm
     */
    Estimate measureLeaf(Measured measured, double length, double width) {
        double x = next + width / 2;
        next += width + GAP;
        Point foot = new Point(x, FOOT);
        Point tip = new Point(x, FOOT - length);
        double widest = widestAt();
        Point left = new Point(x - width / 2, FOOT - widest * length);
        Point right = new Point(x + width / 2, FOOT - widest * length);
        drawLeaf(foot, length, width);
        List<Point> along = List.of(tapped(foot), tapped(tip));
        List<List<Point>> taps = measured instanceof Measured.Line
                ? List.of(along)
                : List.of(along, List.of(tapped(left), tapped(right)));
        taps.forEach(this::drawMeasure);
        return new PhotoValue(measured, taps, card).estimate(1);
    }

    byte[] jpeg() {
        var content = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "jpeg", content);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return content.toByteArray();
    }

    private static Point sees(Point p) {
        double x = p.x() - AIM.x();
        double y = p.y() - AIM.y();
        double across = Math.cos(TURN) * x - Math.sin(TURN) * y;
        double up = Math.sin(TURN) * x + Math.cos(TURN) * y;
        double away = AWAY + Math.sin(TILT) * up;
        return new Point(WIDE / 2.0 + LENS * across / away, HIGH / 2.0 + LENS * Math.cos(TILT) * up / away);
    }

    private Point tapped(Point onBoard) {
        Point at = sees(onBoard);
        return new Point(at.x() + SHAKE * random.nextGaussian(), at.y() + SHAKE * random.nextGaussian());
    }

    private void drawBoard() {
        paper.setColor(BOARD);
        paper.fillRect(0, 0, WIDE, HIGH);
        paper.setColor(GRAIN);
        for (int y = 0; y < HIGH; y += 4 + random.nextInt(9)) {
            paper.setStroke(new BasicStroke(0.4f + random.nextFloat()));
            double bend = 6 * random.nextGaussian();
            var grain = new Path2D.Double();
            grain.moveTo(0, y);
            grain.curveTo(WIDE / 3.0, y + bend, 2 * WIDE / 3.0, y - bend, WIDE, y + bend);
            paper.draw(grain);
        }
    }

    private void drawCard() {
        paper.setColor(PAPER);
        paper.fill(path(true, new Point(-68, -46), new Point(68, -46), new Point(68, 50), new Point(-68, 50)));
        paper.setColor(Color.BLACK);
        paper.setStroke(new BasicStroke(2));
        for (Point cross : CROSSES) {
            paper.draw(path(false, new Point(cross.x() - 5, cross.y()), new Point(cross.x() + 5, cross.y())));
            paper.draw(path(false, new Point(cross.x(), cross.y() - 5), new Point(cross.x(), cross.y() + 5)));
        }
        paper.setStroke(new BasicStroke(5));
        double half = PhotoScale.CARD_BAR / 2;
        paper.draw(path(false, new Point(-half, 40), new Point(half, 40)));
    }

    private void drawLeaf(Point foot, double length, double width) {
        List<Point> edge = new ArrayList<>();
        for (int side = -1; side <= 1; side += 2) {
            for (int i = 0; i <= EDGE; i++) {
                double up = (double) (side < 0 ? i : EDGE - i) / EDGE;
                double tooth = i % 3 == 0 ? 1 : 0.965;
                edge.add(new Point(foot.x() + side * width / 2 * fullness(up) * tooth, foot.y() - up * length));
            }
        }
        paper.setColor(LEAF);
        paper.fill(path(true, edge.toArray(Point[]::new)));
        paper.setStroke(new BasicStroke(5));
        paper.draw(path(false, foot, new Point(foot.x() + 2, foot.y() + STALK)));
        paper.setColor(VEIN);
        paper.setStroke(new BasicStroke(3));
        paper.draw(path(false, foot, new Point(foot.x(), foot.y() - length)));
        paper.setStroke(new BasicStroke(1.5f));
        for (double up = 0.12; up < 0.8; up += 0.14) {
            double out = width / 2 * 0.8 * fullness(up + 0.1);
            Point from = new Point(foot.x(), foot.y() - up * length);
            paper.draw(path(false, from, new Point(foot.x() - out, foot.y() - (up + 0.12) * length)));
            paper.draw(path(false, from, new Point(foot.x() + out, foot.y() - (up + 0.12) * length)));
        }
    }

    /** How wide a leaf is as a share of its greatest width, that far up its blade. */
    private static double fullness(double up) {
        return Math.sin(Math.PI * Math.pow(Math.min(1, Math.max(0, up)), FULLEST));
    }

    private static double widestAt() {
        return Math.pow(0.5, 1 / FULLEST);
    }

    private void drawMeasure(List<Point> taps) {
        Path2D line = new Path2D.Double();
        line.moveTo(taps.get(0).x(), taps.get(0).y());
        line.lineTo(taps.get(1).x(), taps.get(1).y());
        for (boolean under : new boolean[] {true, false}) {
            paper.setColor(under ? Color.WHITE : MEASURE);
            paper.setStroke(new BasicStroke(under ? 8 : 3));
            paper.draw(line);
            taps.forEach(tap -> paper.draw(new Ellipse2D.Double(tap.x() - 9, tap.y() - 9, 18, 18)));
        }
    }

    private static Path2D path(boolean closed, Point... onBoard) {
        Path2D path = new Path2D.Double();
        for (int i = 0; i < onBoard.length; i++) {
            Point at = sees(onBoard[i]);
            if (i == 0) {
                path.moveTo(at.x(), at.y());
            } else {
                path.lineTo(at.x(), at.y());
            }
        }
        if (closed) {
            path.closePath();
        }
        return path;
    }
}
