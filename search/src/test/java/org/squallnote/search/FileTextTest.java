package org.squallnote.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The text of the kinds of files that come with mail. */
class FileTextTest {

    private final FileText files = new FileText();

    @AfterEach
    void close() {
        files.close();
    }

    private String text(String name, byte[] content) throws InterruptedException {
        return files.of(name, new ByteArrayInputStream(content));
    }

    private String text(String name, String content) throws InterruptedException {
        return text(name, content.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void plainTextAndHtml() throws InterruptedException {
        assertThat(text("a.txt", "The crane costs 400.")).isEqualTo("The crane costs 400.");
        assertThat(text("a.html", "<html><script>no()</script><p>The <b>crane</b></p>"))
                .isEqualTo("The crane");
    }

    @Test
    void pdf() throws IOException, InterruptedException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            document.addPage(page);
            try (PDPageContentStream stream = new PDPageContentStream(document, page)) {
                stream.beginText();
                stream.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
                stream.newLineAtOffset(50, 700);
                stream.showText("Certificate of the crane");
                stream.endText();
            }
            document.save(out);
        }
        assertThat(text("certificate.pdf", out.toByteArray())).isEqualTo("Certificate of the crane");
    }

    @Test
    void officeDocuments() throws IOException, InterruptedException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (XWPFDocument document = new XWPFDocument()) {
            document.createParagraph().createRun().setText("Offer for the breakwater");
            document.write(out);
        }
        assertThat(text("offer.docx", out.toByteArray())).isEqualTo("Offer for the breakwater");
        assertThat(text("list.odt", openDocument("The berth list"))).contains("The berth list");
    }

    private static byte[] openDocument(String words) throws IOException {
        Map<String, String> parts = new TreeMap<>(Map.of(
                "mimetype",
                "application/vnd.oasis.opendocument.text",
                "content.xml",
                "<?xml version=\"1.0\"?><office:document-content"
                        + " xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
                        + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\"><office:body><office:text>"
                        + "<text:p>" + words + "</text:p></office:text></office:body></office:document-content>"));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (String name : java.util.List.of("mimetype", "content.xml")) {
                zip.putNextEntry(new ZipEntry(name));
                zip.write(parts.getOrDefault(name, "").getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    @Test
    void whatIsDamagedOrNothingToReadHasNoText() throws InterruptedException {
        assertThat(text("a.pdf", "%PDF-1.7 nonsense")).isEmpty();
        assertThat(text("a.docx", "PK nonsense")).doesNotContain("Exception");
        assertThat(text("a.bin", new byte[] {0, 1, 2, 3, 0, 0, 7})).isEmpty();
    }

    @Test
    void aLongTextIsCut() throws InterruptedException {
        assertThat(text("a.txt", "word ".repeat(200_000))).hasSizeBetween(FileText.LONGEST - 10, FileText.LONGEST);
    }
}
