package app.velvetcrock.label;

import app.velvetcrock.core.label.Face;
import app.velvetcrock.core.label.Laid;
import app.velvetcrock.core.label.Paper;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.util.Matrix;

/** Draws laid out labels as a PDF: its faces embedded, only what is used of them; its text is selectable. */
final class PdfSheets {

    private static final float POINTS = 72 / 25.4f;
    private static final float LINE = 0.2f;

    private PdfSheets() {}

    static void write(Printing.Job job, String title, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(title);
            document.getDocumentCatalog().setLanguage("en");
            Map<Face, PDType0Font> fonts = new EnumMap<>(Face.class);
            for (Face face : Face.values()) {
                try (InputStream file = Objects.requireNonNull(
                        PdfSheets.class.getResourceAsStream("/label/%s.ttf".formatted(face.file())))) {
                    fonts.put(face, PDType0Font.load(document, file, true));
                }
            }
            Paper.Size size = job.paper().sheet();
            for (int sheet = 0; sheet < job.sheets(); sheet++) {
                PDPage page =
                        new PDPage(new PDRectangle((float) size.width() * POINTS, (float) size.height() * POINTS));
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    for (Printing.Placed placed : on(job, sheet)) {
                        draw(content, placed, size.height(), fonts);
                    }
                }
            }
            document.save(out);
        }
    }

    private static List<Printing.Placed> on(Printing.Job job, int sheet) {
        List<Printing.Placed> on = new ArrayList<>();
        for (Printing.Placed one : job.placed()) {
            if (one.sheet() == sheet) {
                on.add(one);
            }
        }
        return on;
    }

    private static void draw(
            PDPageContentStream content, Printing.Placed placed, double height, Map<Face, PDType0Font> fonts)
            throws IOException {
        for (Laid.Run run : placed.label().runs()) {
            PDType0Font font = Objects.requireNonNull(fonts.get(run.face()));
            content.beginText();
            content.setFont(font, (float) (run.size() * POINTS));
            int[] signs = run.text().codePoints().toArray();
            for (int i = 0; i < signs.length; i++) {
                // Every glyph is placed by itself, where the layout put it: the page and the paper agree.
                content.setTextMatrix(Matrix.getTranslateInstance(
                        (float) (placed.x() + run.xs().get(i)) * POINTS,
                        (float) (height - placed.y() - run.y()) * POINTS));
                content.showText(Character.toString(signs[i]));
            }
            content.endText();
        }
        content.setLineWidth(LINE * POINTS);
        for (Laid.Box box : placed.label().boxes()) {
            content.addRect(
                    (float) (placed.x() + box.x()) * POINTS,
                    (float) (height - placed.y() - box.y() - box.height()) * POINTS,
                    (float) box.width() * POINTS,
                    (float) box.height() * POINTS);
            content.stroke();
        }
    }
}
