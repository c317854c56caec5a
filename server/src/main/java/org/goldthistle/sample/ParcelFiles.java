package org.goldthistle.sample;

import com.lowagie.text.BadElementException;
import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.Image;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.BarcodeDatamatrix;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.formats.ParcelCsv;
import org.librepdf.openpdf.fonts.Liberation;
import org.springframework.stereotype.Component;

/** Labels to cut out and stick on bags, and what goes with a parcel. */
@Component
class ParcelFiles {
    private static final float MM = 72 / 25.4f; // points
    private static final float MARGIN = 10 * MM;
    private static final int ACROSS = 3;
    private static final float LABEL_HIGH = 34 * MM;
    private static final float CODE_WIDE = 14 * MM; // of the Data Matrix, so that a phone reads it
    private static final float QUIET = 2 * MM; // that a reader needs around it
    private static final int LARGE = 13;
    private static final int PLAIN = 9;

    /** Labels of samples, three in a row on A4. */
    byte[] labels(List<SampleDto> samples) throws IOException {
        return document(page -> {
            PdfPTable table = new PdfPTable(ACROSS);
            table.setWidthPercentage(100);
            for (SampleDto sample : samples) {
                table.addCell(label(sample));
            }
            for (int i = samples.size(); i % ACROSS != 0; i++) {
                table.addCell(new PdfPCell());
            }
            page.add(table);
        });
    }

    private static PdfPCell label(SampleDto sample) throws IOException {
        PdfPTable inside = new PdfPTable(new float[] {CODE_WIDE + 3 * QUIET, 60 * MM - CODE_WIDE - 3 * QUIET});
        PdfPCell code = new PdfPCell(dataMatrix(sample.code()), false);
        code.setBorder(PdfPCell.NO_BORDER);
        code.setPadding(QUIET);
        inside.addCell(code);
        PdfPCell words = new PdfPCell();
        words.setBorder(PdfPCell.NO_BORDER);
        words.setPaddingLeft(2 * MM);
        words.addElement(new Paragraph(sample.code(), font(LARGE, Font.BOLD)));
        words.addElement(line(sample.plotCode() + ", tree " + sample.tag()));
        words.addElement(line(sample.tissue() + ", for " + sample.analysis()));
        words.addElement(line(takenOn(sample).map(day -> "taken " + day).orElse("taken on ______________")));
        inside.addCell(words);
        PdfPCell label = new PdfPCell(inside);
        label.setFixedHeight(LABEL_HIGH);
        label.setPadding(1.5f * MM);
        return label;
    }

    private static Image dataMatrix(String code) {
        try {
            BarcodeDatamatrix matrix = new BarcodeDatamatrix();
            matrix.generate(code);
            Image image = matrix.createImage();
            image.scaleToFit(CODE_WIDE, CODE_WIDE);
            return image;
        } catch (IOException | BadElementException unwritable) {
            throw new IllegalStateException("a label's code fits a Data Matrix", unwritable);
        }
    }

    private static Paragraph line(String text) throws IOException {
        return new Paragraph(text, font(PLAIN, Font.NORMAL));
    }

    private static Font font(int size, int style) throws IOException {
        Font font = (style == Font.BOLD ? Liberation.SANS_BOLD : Liberation.SANS).create();
        font.setSize(size);
        return font;
    }

    private static Optional<LocalDate> takenOn(SampleDto sample) {
        return sample.life().stream()
                .filter(step -> step.step() == SampleStep.TAKEN)
                .reduce((earlier, later) -> later)
                .map(step -> step.at().atZone(ZoneOffset.UTC).toLocalDate());
    }

    /** What lies in a parcel, to go with it. */
    byte[] list(ParcelDto parcel, List<SampleDto> samples) throws IOException {
        return document(page -> {
            page.add(new Paragraph("Parcel " + parcel.code(), font(LARGE, Font.BOLD)));
            page.add(line(samples.size() + (samples.size() == 1 ? " sample" : " samples")));
            PdfPTable table = new PdfPTable(new float[] {2, 4, 1, 1, 2, 2});
            table.setSpacingBefore(4 * MM);
            table.setWidthPercentage(100);
            table.setHeaderRows(1);
            for (String head : ParcelCsv.HEADINGS) {
                table.addCell(cell(head, Font.BOLD));
            }
            for (SampleDto sample : samples) {
                for (String text : row(sample)) {
                    table.addCell(cell(text, Font.NORMAL));
                }
            }
            page.add(table);
        });
    }

    private static PdfPCell cell(String text, int style) throws IOException {
        PdfPCell cell = new PdfPCell(new Phrase(text, font(PLAIN, style)));
        cell.setPadding(1.5f * MM);
        cell.setVerticalAlignment(Element.ALIGN_MIDDLE);
        return cell;
    }

    private static List<String> row(SampleDto sample) {
        return List.of(
                sample.code(),
                sample.plotCode(),
                String.valueOf(sample.tag()),
                sample.tissue(),
                takenOn(sample).map(LocalDate::toString).orElse(""),
                sample.analysis());
    }

    /** The same list as a table. */
    byte[] csv(List<SampleDto> samples) throws IOException {
        return ParcelCsv.of(samples.stream().map(ParcelFiles::row).toList()).getBytes(StandardCharsets.UTF_8);
    }

    private interface Page {
        void fill(Document page) throws IOException;
    }

    private static byte[] document(Page filled) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Document page = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN)) {
            PdfWriter.getInstance(page, bytes);
            page.open();
            filled.fill(page);
        } catch (DocumentException unwritable) {
            throw new IllegalStateException("nothing in it keeps a page from being written", unwritable);
        }
        return bytes.toByteArray();
    }
}
