package app.velvetcrock.pictures;

import app.velvetcrock.core.look.ColourBeside;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;

/**
 * Two spots of one picture: the oil and the plain oil beside it, in hundredths from its left and from its top.
 *
 * @param x of the oil, {@code px} of the plain oil
 */
record Spots(@Nullable Integer x, @Nullable Integer y, @Nullable Integer px, @Nullable Integer py) {

    /** So much of the picture's width is taken together: one point alone is noise. */
    private static final int PATCH = 40;

    boolean isSaid() {
        return x != null && y != null && px != null && py != null;
    }

    /** Where one stands before it is said. */
    public int xOr(int otherwise) {
        return x == null ? otherwise : inside(x);
    }

    public int yOr(int otherwise) {
        return y == null ? otherwise : inside(y);
    }

    public int pxOr(int otherwise) {
        return px == null ? otherwise : inside(px);
    }

    public int pyOr(int otherwise) {
        return py == null ? otherwise : inside(py);
    }

    /** One of them, as it is drawn over the picture. */
    record Spot(int x, int y) {}

    public List<Spot> both() {
        return List.of(new Spot(xOr(30), yOr(50)), new Spot(pxOr(70), pyOr(50)));
    }

    private static int inside(int hundredth) {
        return Math.max(0, Math.min(100, hundredth));
    }

    ColourBeside of(byte[] picture) {
        try {
            BufferedImage seen = ImageIO.read(new ByteArrayInputStream(picture));
            return ColourBeside.of(colour(seen, xOr(0), yOr(0)), colour(seen, pxOr(0), pyOr(0)));
        } catch (IOException ownPictureCannotBeRead) {
            throw new UncheckedIOException(ownPictureCannotBeRead);
        }
    }

    private static int[] colour(BufferedImage seen, int x, int y) {
        int patch = Math.max(1, seen.getWidth() / PATCH);
        int left = Math.max(0, Math.min(seen.getWidth() - patch, seen.getWidth() * x / 100 - patch / 2));
        int top = Math.max(0, Math.min(Math.max(0, seen.getHeight() - patch), seen.getHeight() * y / 100 - patch / 2));
        long[] sum = new long[3];
        int points = 0;
        for (int row = top; row < Math.min(seen.getHeight(), top + patch); row++) {
            for (int column = left; column < left + patch; column++) {
                int rgb = seen.getRGB(column, row);
                sum[0] += rgb >> 16 & 0xff;
                sum[1] += rgb >> 8 & 0xff;
                sum[2] += rgb & 0xff;
                points++;
            }
        }
        return new int[] {(int) (sum[0] / points), (int) (sum[1] / points), (int) (sum[2] / points)};
    }
}
