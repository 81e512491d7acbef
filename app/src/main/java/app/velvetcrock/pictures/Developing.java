package app.velvetcrock.pictures;

import app.velvetcrock.web.Refused;
import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.event.IIOReadProgressListener;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;

/**
 * Makes of what was sent two pictures of our own: nothing of what came is kept but what is to be seen. How large it is is asked before it
 * is decoded; it is decoded small; two at a time, and each has only so long.
 */
final class Developing {

    private static final long MOST_PIXELS = 12_000_000;
    private static final int LONGEST_SIDE = 20_000;
    private static final int SHORTEST_SIDE = 16;
    private static final int WHOLE = 1600;
    private static final int SMALL = 240;
    private static final int MOST_BYTES = 2_097_152;
    private static final int MOST_SMALL_BYTES = 131_072;
    private static final Duration PATIENCE = Duration.ofSeconds(10);
    private static final float[] QUALITIES = {0.85f, 0.7f, 0.5f, 0.3f};

    private static final Semaphore AT_ONCE = new Semaphore(2);

    private static final String NO_PICTURE = "That is no picture in JPEG or PNG.";
    private static final String BROKEN = "That picture cannot be read: it is cut short or broken. Take it once more.";

    static {
        ImageIO.setUseCache(false);
    }

    private Developing() {}

    /** What is kept: the picture as JPEG, at most 1600 points either way, and a small one. */
    record Developed(int width, int height, byte[] whole, byte[] small) {}

    /**
     * Develops one.
     *
     * @throws Refused in words, where it is no such picture, too large, broken, or others are at it
     */
    static Developed of(byte[] came) {
        String kind = kind(came);
        if (!isWhole(came, kind)) {
            throw new Refused(BROKEN);
        }
        try {
            if (!AT_ONCE.tryAcquire(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
                throw new Refused("Too many pictures come in at this moment. Send it again in a little while.");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Refused("It was stopped before it was read. Send it again.");
        }
        try {
            BufferedImage seen = turned(read(came, kind), kind.equals("png") ? 1 : orientation(came));
            BufferedImage whole = within(seen, WHOLE);
            return new Developed(
                    whole.getWidth(),
                    whole.getHeight(),
                    written(whole, MOST_BYTES),
                    written(within(whole, SMALL), MOST_SMALL_BYTES));
        } catch (IOException | IllegalArgumentException | IllegalStateException | IndexOutOfBoundsException broken) {
            throw new Refused(BROKEN);
        } catch (NegativeArraySizeException | NullPointerException | ArithmeticException | ClassCastException broken) {
            // What a decoder does with what nobody meant to be a picture.
            throw new Refused(BROKEN);
        } finally {
            AT_ONCE.release();
        }
    }

    /** By how it begins, whatever it is called. */
    private static String kind(byte[] came) {
        if (stands(came, 0, 0xff, 0xd8, 0xff)) {
            return "jpeg";
        }
        if (stands(came, 0, 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n')) {
            return "png";
        }
        throw new Refused(NO_PICTURE);
    }

    /** Cut short, a decoder would make up what is missing. */
    private static boolean isWhole(byte[] came, String kind) {
        return kind.equals("jpeg")
                ? stands(came, came.length - 2, 0xff, 0xd9)
                : stands(came, came.length - 8, 'I', 'E', 'N', 'D');
    }

    private static boolean stands(byte[] came, int at, int... with) {
        if (at < 0 || came.length < at + with.length) {
            return false;
        }
        for (int n = 0; n < with.length; n++) {
            if ((came[at + n] & 0xff) != with[n]) {
                return false;
            }
        }
        return true;
    }

    private static BufferedImage read(byte[] came, String kind) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName(kind).next();
        try {
            reader.setInput(new MemoryCacheImageInputStream(new ByteArrayInputStream(came)), true, true);
            long width = reader.getWidth(0);
            long height = reader.getHeight(0);
            if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_SIDE) {
                throw new Refused(
                        "That picture has %d by %d points; at most twelve million are taken.".formatted(width, height));
            }
            if (Math.min(width, height) < SHORTEST_SIDE) {
                throw new Refused(
                        "That picture has %d by %d points; nothing can be seen on it.".formatted(width, height));
            }
            int every = (int) Math.max(1, Math.max(width, height) / WHOLE);
            ImageReadParam param = reader.getDefaultReadParam();
            param.setSourceSubsampling(every, every, 0, 0);
            Watch watch = new Watch(System.nanoTime() + PATIENCE.toNanos());
            reader.addIIOReadProgressListener(watch);
            reader.addIIOReadWarningListener((source, warning) -> watch.doubted = true);
            BufferedImage read = reader.read(0, param);
            if (watch.over) {
                throw new Refused("That picture takes too long to read. Take it once more.");
            }
            if (watch.doubted) {
                throw new Refused(BROKEN);
            }
            return read;
        } finally {
            reader.dispose();
        }
    }

    /** How the camera was held, by the picture's own note. */
    private static int orientation(byte[] came) {
        try {
            Metadata notes = JpegMetadataReader.readMetadata(new ByteArrayInputStream(came), List.of(new ExifReader()));
            ExifIFD0Directory first = notes.getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer said = first == null ? null : first.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            return said == null || said < 1 || said > 8 ? 1 : said;
        } catch (ImageProcessingException | IOException | IllegalArgumentException | IndexOutOfBoundsException none) {
            return 1;
        }
    }

    /** As it was seen, without what shines through. */
    private static BufferedImage turned(BufferedImage read, int orientation) {
        int width = read.getWidth();
        int height = read.getHeight();
        boolean aside = orientation >= 5;
        BufferedImage turned =
                new BufferedImage(aside ? height : width, aside ? width : height, BufferedImage.TYPE_INT_RGB);
        Graphics2D paper = turned.createGraphics();
        paper.setColor(Color.WHITE);
        paper.fillRect(0, 0, turned.getWidth(), turned.getHeight());
        paper.drawImage(read, turning(orientation, width, height), null);
        paper.dispose();
        return turned;
    }

    /** By Exif 2.32, tag 0x0112: mirrored, on its head, on its side. */
    private static AffineTransform turning(int orientation, int width, int height) {
        return switch (orientation) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, width, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, width, height);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, height);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, height, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, height, width);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, width);
            default -> new AffineTransform();
        };
    }

    private static BufferedImage within(BufferedImage seen, int most) {
        double by = Math.min(1, (double) most / Math.max(seen.getWidth(), seen.getHeight()));
        if (by == 1) {
            return seen;
        }
        int width = (int) Math.max(1, Math.round(seen.getWidth() * by));
        int height = (int) Math.max(1, Math.round(seen.getHeight() * by));
        // Halved as often as it can be: a single leap would take every fourth point and leave the others out.
        BufferedImage from = seen.getWidth() > 2 * width ? within(seen, 2 * most) : seen;
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D paper = small.createGraphics();
        paper.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        paper.drawImage(from, 0, 0, width, height, null);
        paper.dispose();
        return small;
    }

    private static byte[] written(BufferedImage seen, int most) throws IOException {
        for (float quality : QUALITIES) {
            byte[] written = written(seen, quality);
            if (written.length <= most) {
                return written;
            }
        }
        throw new Refused("That picture does not become small enough. Take one of less.");
    }

    private static byte[] written(BufferedImage seen, float quality) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream into = new MemoryCacheImageOutputStream(out)) {
            writer.setOutput(into);
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(quality);
            writer.write(null, new IIOImage(seen, null, null), param);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** Stops a reading whose time is over: many small passes can be made of few bytes. */
    private static final class Watch implements IIOReadProgressListener {

        private final long until;
        private boolean over;

        /** The decoder had something to say of it: it guessed at what it could not read. */
        private boolean doubted;

        Watch(long until) {
            this.until = until;
        }

        private void look(ImageReader reader) {
            if (System.nanoTime() > until) {
                over = true;
                reader.abort();
            }
        }

        @Override
        public void imageProgress(ImageReader reader, float percent) {
            look(reader);
        }

        @Override
        public void imageStarted(ImageReader reader, int n) {
            look(reader);
        }

        @Override
        public void sequenceStarted(ImageReader reader, int first) {}

        @Override
        public void sequenceComplete(ImageReader reader) {}

        @Override
        public void imageComplete(ImageReader reader) {}

        @Override
        public void thumbnailStarted(ImageReader reader, int n, int thumbnail) {}

        @Override
        public void thumbnailProgress(ImageReader reader, float percent) {}

        @Override
        public void thumbnailComplete(ImageReader reader) {}

        @Override
        public void readAborted(ImageReader reader) {}
    }
}
