package org.squallnote.formats.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class CsvTableTest {

    @Test
    void linesQuotesAndCommasStandAsTheyAre() {
        assertThat(CsvTable.write(List.of("Title", "Note"), List.of(List.of("Ring Bob", "say \"hello\",\nthen go"))))
                .isEqualTo("\ufeffTitle,Note\r\nRing Bob,\"say \"\"hello\"\",\nthen go\"\r\n");
    }

    @Test
    void nothingIsComputedWhereItIsOpened() {
        assertThat(CsvTable.write(
                        List.of("Title"), List.of(List.of("=1+1"), List.of("@cmd"), List.of("-5"), List.of("5-3"))))
                .isEqualTo("\ufeffTitle\r\n'=1+1\r\n'@cmd\r\n'-5\r\n5-3\r\n");
    }
}
