package app.velvetcrock.label;

import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.web.Refused;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Base64;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;

/** A picture of the household's own for its labels: measured before it is decoded, and written anew, so that nothing of the file stays. */
final class OwnPicture {

    static final String FIELD = "picture";

    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'};
    private static final int MOST_BYTES = 190_000;

    /** Wider ones are a waste on a label, and a way to fill a memory: 16 MB decoded at most. */
    private static final int WIDEST = 2_000;

    private static final int KEPT = 600;
    private static final String INSTEAD = "a PNG of at most 190 kB, no side longer than 2,000 dots";

    private OwnPicture() {}

    /**
     * Reads it as a form sends it.
     *
     * @throws Refused in words, where it is no PNG or too large
     */
    static LabelLooks.Picture read(String base64) {
        byte[] file;
        try {
            file = Base64.getUrlDecoder().decode(base64.strip());
        } catch (IllegalArgumentException garbled) {
            throw refused("That file did not arrive whole.");
        }
        if (file.length == 0) {
            throw refused("No picture was chosen.");
        }
        if (file.length > MOST_BYTES) {
            throw refused("That file is too large.");
        }
        for (int i = 0; i < PNG.length; i++) {
            if (file.length <= i || file[i] != PNG[i]) {
                throw refused("That is no PNG.");
            }
        }
        return anew(decoded(file));
    }

    private static BufferedImage decoded(byte[] file) {
        Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName("png");
        ImageReader reader = readers.next();
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
            // What is written about the picture is not looked at: it could unfold to anything.
            reader.setInput(in, true, true);
            int wide = reader.getWidth(0);
            int high = reader.getHeight(0);
            if (wide < 1 || high < 1 || wide > WIDEST || high > WIDEST) {
                throw refused("That picture is %d × %d dots.".formatted(wide, high));
            }
            return reader.read(0);
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof Refused said) {
                throw said;
            }
            throw refused("That PNG cannot be read: it is broken.");
        } finally {
            reader.dispose();
        }
    }

    /** On white, as it is printed. */
    private static LabelLooks.Picture anew(BufferedImage read) {
        double scale = Math.min(1, KEPT / (double) Math.max(read.getWidth(), read.getHeight()));
        int wide = (int) Math.max(1, Math.round(read.getWidth() * scale));
        int high = (int) Math.max(1, Math.round(read.getHeight() * scale));
        BufferedImage drawn = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = drawn.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, wide, high);
        pen.drawImage(read, 0, 0, wide, high, null);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(drawn, "png", out);
        } catch (IOException cannot) {
            throw refused("That picture cannot be written anew.");
        }
        return new LabelLooks.Picture(out.toByteArray(), wide, high);
    }

    private static Refused refused(String why) {
        return new Refused(FIELD, why, INSTEAD);
    }
}
