package org.squallnote.formats.paged;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.logging.Level;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * A document that is printed: headings, paragraphs and tables, which become a tagged PDF (ISO 14289-1, PDF/UA) with its
 * fonts in it and the page numbers below. It loads nothing from anywhere.
 */
public final class PagedDocument {

    private static final int NORMAL = 400;
    private static final int SEMI_BOLD = 600;

    static {
        // It tells of each font and each second of its work.
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
    }

    private final Document page;

    /**
     * An empty one.
     *
     * @param title as the reader's window has it and as its first heading
     * @param description what it is, for whoever has it read aloud
     * @param foot what stands at the foot of each page
     */
    public PagedDocument(String title, String description, String foot) {
        page = Document.createShell("");
        page.outputSettings().charset(StandardCharsets.UTF_8);
        page.title(printable(title));
        Element html = page.selectFirst("html");
        if (html != null) {
            html.attr("lang", "en");
        }
        page.head().appendElement("meta").attr("name", "description").attr("content", printable(description));
        page.head().appendElement("style").appendText(css());
        page.body().appendElement("div").addClass("foot").text(printable(foot));
        add("h1", title);
    }

    /** Adds a paragraph or a heading. */
    public Element add(String tag, String text) {
        return page.body().appendElement(tag).text(printable(text));
    }

    /** Adds words as they were written, with their lines. */
    public void words(String text) {
        Element words = page.body().appendElement("div").addClass("words");
        String[] lines = printable(text).split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            if (i > 0) {
                words.appendElement("br");
            }
            words.appendText(lines[i]);
        }
    }

    /** Adds a table with the names of its columns, to be filled by {@link #row}. */
    public Element table(Iterable<String> heading) {
        Element table = page.body().appendElement("table");
        Element names = table.appendElement("thead").appendElement("tr");
        heading.forEach(name -> names.appendElement("th").text(printable(name)));
        return table.appendElement("tbody");
    }

    /** Adds a row to a table. */
    public static Element row(Element body, Iterable<String> cells) {
        Element row = body.appendElement("tr");
        cells.forEach(cell -> row.appendElement("td").text(printable(cell)));
        return row;
    }

    /**
     * Writes it as PDF.
     *
     * @throws IOException when it cannot be written
     */
    public void write(OutputStream to) throws IOException {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.usePdfUaAccessibility(true);
        builder.useUriResolver((base, uri) -> null);
        builder.withProducer("Squallnote");
        font(builder, "SourceSans3-Regular.ttf", "Source Sans 3", NORMAL);
        font(builder, "SourceSans3-SemiBold.ttf", "Source Sans 3", SEMI_BOLD);
        font(builder, "DejaVuSans.ttf", "DejaVu Sans", NORMAL);
        builder.withW3cDocument(new W3CDom().fromJsoup(page), "");
        builder.toStream(to);
        builder.run();
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(() -> resource(file), family, weight, FontStyle.NORMAL, true);
    }

    private static InputStream resource(String name) {
        InputStream found = PagedDocument.class.getResourceAsStream(name);
        if (found == null) {
            throw new IllegalStateException("Missing in the application: " + name);
        }
        return found;
    }

    private static String css() {
        try (InputStream css = resource("paged.css")) {
            return new String(css.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Without what no document may hold: control characters and halves of characters. */
    private static String printable(String text) {
        StringBuilder kept = new StringBuilder(text.length());
        text.codePoints()
                .filter(point -> point == '\n' || point == '\t' || !Character.isISOControl(point))
                .filter(point -> Character.getType(point) != Character.SURROGATE && (point & 0xFFFE) != 0xFFFE)
                .forEach(kept::appendCodePoint);
        return kept.toString();
    }
}
