package app.velvetcrock.label;

import app.velvetcrock.core.label.Code;
import app.velvetcrock.core.label.Face;
import app.velvetcrock.core.label.Laid;
import app.velvetcrock.core.label.Mark;
import app.velvetcrock.core.label.Paper;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.IntConsumer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;
import org.apache.pdfbox.util.Matrix;

/**
 * Draws laid out labels as a PDF: its faces embedded, only what is used of them; its text is selectable. Each label is drawn once,
 * however often it is printed.
 */
final class PdfSheets implements AutoCloseable {

    private static final float POINTS = 72 / 25.4f;
    private static final float LINE = 0.2f;

    private final PDDocument document = new PDDocument();
    private final Map<Face, PDType0Font> fonts = new EnumMap<>(Face.class);
    private final Map<Laid, PDFormXObject> drawn = new IdentityHashMap<>();
    private final Optional<PDImageXObject> picture;

    private PdfSheets(String title, Optional<byte[]> png) throws IOException {
        document.getDocumentInformation().setTitle(title);
        document.getDocumentCatalog().setLanguage("en");
        for (Face face : Face.values()) {
            try (InputStream file = Objects.requireNonNull(
                    PdfSheets.class.getResourceAsStream("/label/%s.ttf".formatted(face.file())))) {
                fonts.put(face, PDType0Font.load(document, file, true));
            }
        }
        picture = png.isPresent()
                ? Optional.of(PDImageXObject.createFromByteArray(document, png.orElseThrow(), "mark"))
                : Optional.empty();
    }

    /** Writes all of a stack; {@code told} hears how many labels stand so far. */
    static void write(Printing.Stack stack, String title, Optional<byte[]> png, IntConsumer told, OutputStream out)
            throws IOException {
        try (PdfSheets sheets = new PdfSheets(title, png)) {
            sheets.all(stack, told);
            sheets.document.save(out);
        }
    }

    /**
     * A page with a ruler along each edge, in mm from the edges of the sheet, to see where the printer puts it.
     *
     * @param words what is to be done with it
     */
    static void ruler(Paper.Size size, List<String> words, OutputStream out) throws IOException {
        try (PdfSheets sheets = new PdfSheets("Ruler", Optional.empty())) {
            PDPage page = sheets.page(size);
            try (PDPageContentStream content = new PDPageContentStream(sheets.document, page)) {
                content.setLineWidth(LINE * POINTS);
                float high = (float) size.height() * POINTS;
                for (int at = 0; at <= Math.min(size.width(), size.height()); at++) {
                    float place = at * POINTS;
                    float tick = (at % 10 == 0 ? 8 : at % 5 == 0 ? 5 : 3) * POINTS;
                    content.moveTo(place, high);
                    content.lineTo(place, high - tick);
                    content.moveTo(0, high - place);
                    content.lineTo(tick, high - place);
                    if (at % 10 == 0 && at > 0) {
                        sheets.say(content, String.valueOf(at), place, high - 11 * POINTS);
                        sheets.say(content, String.valueOf(at), 9 * POINTS, high - place);
                    }
                }
                content.stroke();
                float y = high - 40 * POINTS;
                for (String line : words) {
                    sheets.say(content, line, 30 * POINTS, y);
                    y -= 6 * POINTS;
                }
            }
            sheets.document.save(out);
        }
    }

    private void say(PDPageContentStream content, String text, float x, float y) throws IOException {
        content.beginText();
        content.setFont(Objects.requireNonNull(fonts.get(Face.REGULAR)), 3.5f * POINTS);
        content.newLineAtOffset(x, y);
        content.showText(text);
        content.endText();
    }

    private PDPage page(Paper.Size size) {
        PDPage page = new PDPage(new PDRectangle((float) size.width() * POINTS, (float) size.height() * POINTS));
        document.addPage(page);
        return page;
    }

    private void all(Printing.Stack stack, IntConsumer told) throws IOException {
        Paper.Size size = stack.paper().sheet();
        int at = 0;
        for (int sheet = 0; sheet < stack.sheets(); sheet++) {
            try (PDPageContentStream content = new PDPageContentStream(document, page(size))) {
                while (at < stack.placed().size() && stack.placed().get(at).sheet() == sheet) {
                    Printing.Placed one = stack.placed().get(at);
                    content.saveGraphicsState();
                    content.transform(Matrix.getTranslateInstance(
                            (float) one.x() * POINTS,
                            (float) (size.height() - one.y() - one.label().of().height()) * POINTS));
                    content.drawForm(form(one.label()));
                    content.restoreGraphicsState();
                    at++;
                    told.accept(at);
                }
            }
        }
    }

    private PDFormXObject form(Laid label) throws IOException {
        PDFormXObject there = drawn.get(label);
        if (there != null) {
            return there;
        }
        PDAppearanceStream form = new PDAppearanceStream(document);
        form.setBBox(new PDRectangle(
                (float) label.of().width() * POINTS, (float) label.of().height() * POINTS));
        form.setResources(new PDResources());
        try (PDPageContentStream content = new PDPageContentStream(document, form)) {
            draw(content, label);
        }
        drawn.put(label, form);
        return form;
    }

    private void draw(PDPageContentStream content, Laid label) throws IOException {
        double high = label.of().height();
        for (Laid.Run run : label.runs()) {
            content.beginText();
            content.setFont(Objects.requireNonNull(fonts.get(run.face())), (float) (run.size() * POINTS));
            int[] signs = run.text().codePoints().toArray();
            for (int i = 0; i < signs.length; i++) {
                // Every glyph is placed by itself, where the layout put it: the page and the paper agree.
                content.setTextMatrix(Matrix.getTranslateInstance(
                        (float) (run.xs().get(i) * POINTS), (float) ((high - run.y()) * POINTS)));
                content.showText(Character.toString(signs[i]));
            }
            content.endText();
        }
        content.setLineWidth(LINE * POINTS);
        for (Laid.Box box : label.boxes()) {
            rectangle(content, box, high);
            content.stroke();
        }
        if (label.badge().isPresent()) {
            badge(content, label.badge().orElseThrow(), high);
        }
        if (label.code().isPresent()) {
            code(content, label.code().orElseThrow(), high);
        }
    }

    private static void rectangle(PDPageContentStream content, Laid.Box box, double high) throws IOException {
        content.addRect(
                (float) box.x() * POINTS,
                (float) (high - box.y() - box.height()) * POINTS,
                (float) box.width() * POINTS,
                (float) box.height() * POINTS);
    }

    private void badge(PDPageContentStream content, Laid.Badge badge, double high) throws IOException {
        Laid.Box at = badge.at();
        if (badge.mark().isEmpty()) {
            if (picture.isPresent()) {
                content.drawImage(
                        picture.orElseThrow(),
                        (float) at.x() * POINTS,
                        (float) (high - at.y() - at.height()) * POINTS,
                        (float) at.width() * POINTS,
                        (float) at.height() * POINTS);
            }
            return;
        }
        float[] to = new float[6];
        for (Mark.Stroke stroke : badge.mark().orElseThrow().strokes()) {
            for (int i = 0; i < stroke.points().size(); i++) {
                double share = stroke.points().get(i) / 100;
                to[i] = (float) (i % 2 == 0 ? at.x() + share * at.width() : high - at.y() - share * at.height())
                        * POINTS;
            }
            switch (stroke.kind()) {
                case 'M' -> content.moveTo(to[0], to[1]);
                case 'L' -> content.lineTo(to[0], to[1]);
                case 'C' -> content.curveTo(to[0], to[1], to[2], to[3], to[4], to[5]);
                default -> content.closePath();
            }
        }
        content.fillEvenOdd();
    }

    private static void code(PDPageContentStream content, Laid.Square square, double high) throws IOException {
        for (Code.Run run : square.code().runs()) {
            rectangle(
                    content,
                    new Laid.Box(
                            square.at().x() + run.column() * square.module(),
                            square.at().y() + run.row() * square.module(),
                            run.length() * square.module(),
                            square.module()),
                    high);
        }
        content.fill();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
