package org.squallnote.formats.paged;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

class PagedDocumentTest {

    private static PDDocument read(PagedDocument document) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        document.write(bytes);
        return Loader.loadPDF(bytes.toByteArray());
    }

    private static PagedDocument hundreds() {
        PagedDocument document = new PagedDocument("Proof", "What was asked", "Made for Ines");
        Element table = document.table(List.of("No.", "What"));
        for (int i = 0; i < 200; i++) {
            PagedDocument.row(table, List.of(String.valueOf(i), "Row " + i));
        }
        return document;
    }

    @Test
    void isTaggedInItsLanguageAndTitledAndHasItsFontsInIt() throws IOException {
        try (PDDocument pdf = read(hundreds())) {
            assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
            assertThat(pdf.getDocumentCatalog().getStructureTreeRoot()).isNotNull();
            assertThat(pdf.getDocumentCatalog().getLanguage()).isEqualTo("en");
            assertThat(pdf.getDocumentInformation().getTitle()).isEqualTo("Proof");
            for (PDPage page : pdf.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    assertThat(page.getResources().getFont(name).isEmbedded()).isTrue();
                }
            }
        }
    }

    @Test
    void saysOnEachPageWhichItIsAndRepeatsTheNamesOfTheColumns() throws IOException {
        try (PDDocument pdf = read(hundreds())) {
            int pages = pdf.getNumberOfPages();
            assertThat(pages).isGreaterThan(2);
            PDFTextStripper text = new PDFTextStripper();
            for (int i = 1; i <= pages; i++) {
                text.setStartPage(i);
                text.setEndPage(i);
                assertThat(text.getText(pdf)).contains(i + " / " + pages, "Made for Ines", "No. What");
            }
        }
    }

    @Test
    void showsOtherScriptsAndLeavesOutWhatNoDocumentMayHold() throws IOException {
        PagedDocument document = new PagedDocument("Grüße", "Words", "");
        document.words("Łódź, Ελλάδα, Київ \u2192 ok\u0000\u0007\ud800\nsecond line <b>not bold</b> & so on");
        try (PDDocument pdf = read(document)) {
            String text = new PDFTextStripper().getText(pdf);
            assertThat(text).contains("Grüße", "Łódź, Ελλάδα, Київ \u2192 ok", "second line <b>not bold</b> & so on");
        }
    }

    @Test
    void whatIsLongerThanALineIsBrokenAndNotCut() throws IOException {
        PagedDocument document = new PagedDocument("Long", "Words", "");
        document.words("x".repeat(400));
        try (PDDocument pdf = read(document)) {
            assertThat(new PDFTextStripper().getText(pdf).chars().filter(each -> each == 'x'))
                    .hasSize(400);
        }
    }
}
