package org.squallnote.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.takein.Row;

class CsvReaderTest {

    @ParameterizedTest
    @ValueSource(chars = {',', ';', '\t', '|'})
    void anySeparatorIsFound(char separator) {
        String text =
                "Task;Due;Note\r\n\"Ring; Bo, now\";2026-03-09;\"He said \"\"soon\"\"\"\r\n".replace(';', separator);
        CsvReader.Table table = CsvReader.read(text);
        assertThat(table.separator()).isEqualTo(separator);
        assertThat(table.rows()).hasSize(2);
        assertThat(table.rows().get(1).cells()).hasSize(3).endsWith("2026-03-09", "He said \"soon\"");
    }

    @Test
    void linesAreCountedThroughCellsOfSeveralLines() {
        CsvReader.Table table = CsvReader.read("a,b\n\"one\ntwo\nthree\",x\n\nlast,y\n");
        assertThat(table.rows()).extracting(Row::line).containsExactly(1, 2, 6);
        assertThat(table.rows().get(1).cells()).containsExactly("one\ntwo\nthree", "x");
    }

    @Test
    void aQuoteThatIsNeverClosedIsSaidWithItsLine() {
        assertThatThrownBy(() -> CsvReader.read("a,b\nx,y\n\"open,z\n"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("after line 2");
    }

    @Test
    void moreRowsThanTheMostAreLeftAndSaid() {
        CsvReader.Table table = CsvReader.read("a\n" + "x\n".repeat(CsvReader.MOST_ROWS + 10));
        assertThat(table.more()).isTrue();
        assertThat(table.rows()).hasSize(CsvReader.MOST_ROWS + 1);
        assertThat(CsvReader.read("").rows()).isEmpty();
    }

    @Test
    void whatIsWrittenHereIsReadBack() {
        String written =
                CsvTable.write(List.of("Task", "Note"), List.of(List.of("Ring \"Bo\"", "a,\nb"), List.of("=x", "")));
        CsvReader.Table table = CsvReader.read(
                UnlabelledText.of(written.getBytes(StandardCharsets.UTF_8)).text());
        assertThat(table.rows())
                .extracting(Row::cells)
                .containsExactly(List.of("Task", "Note"), List.of("Ring \"Bo\"", "a,\nb"), List.of("'=x", ""));
    }

    @Test
    void textIsReadAsItWasEncoded() {
        String text = "Käse für Åse";
        assertThat(UnlabelledText.of(text.getBytes(StandardCharsets.UTF_8)).text())
                .isEqualTo(text);
        assertThat(UnlabelledText.of(text.getBytes(Charset.forName("windows-1252")))
                        .text())
                .isEqualTo(text);
        assertThat(UnlabelledText.of(("\ufeff" + text).getBytes(StandardCharsets.UTF_8))
                        .text())
                .isEqualTo(text);
        assertThat(UnlabelledText.of(("\ufeff" + text).getBytes(StandardCharsets.UTF_16LE))
                        .text())
                .isEqualTo(text);
        assertThat(UnlabelledText.of(("\ufeff" + text).getBytes(StandardCharsets.UTF_16BE))
                        .text())
                .isEqualTo(text);
    }
}
