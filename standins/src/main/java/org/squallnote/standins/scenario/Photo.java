package org.squallnote.standins.scenario;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** A drawn picture of the quay, for those who send one: a cable with tape around it. */
final class Photo {

    private static final int WIDTH = 480;
    private static final int HEIGHT = 320;

    private Photo() {}

    static byte[] png() {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setPaint(new GradientPaint(0, 0, new Color(0x8FA9B5), 0, HEIGHT, new Color(0x4C6672)));
        g.fillRect(0, 0, WIDTH, HEIGHT);
        g.setColor(new Color(0x8A6B4A));
        for (int y = 190; y < HEIGHT; y += 34) {
            g.fillRect(0, y, WIDTH, 30);
        }
        g.setColor(new Color(0x20262A));
        g.setStroke(new BasicStroke(16, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.drawArc(-120, 60, 520, 220, 250, 130);
        g.drawLine(330, 96, WIDTH, 60);
        g.setColor(new Color(0xD9A24A));
        g.setStroke(new BasicStroke(22, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER));
        g.drawLine(352, 158, 382, 134);
        g.dispose();
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(image, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
