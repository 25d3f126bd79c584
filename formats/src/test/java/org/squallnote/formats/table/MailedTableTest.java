package org.squallnote.formats.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class MailedTableTest {

    private static final MailedTable TABLE = new MailedTable(
            "Follow-ups",
            "Here is the list.",
            List.of("What", "By", "Who"),
            List.of(
                    new MailedTable.Group("Late", List.of(List.of("=Ring <Otto>", "2 Mar", ""))),
                    new MailedTable.Group("Today", List.of(List.of("Send the plan", "4 Mar", "Tilda")))));

    @Test
    void readsAsPlainText() {
        assertThat(TABLE.text()).isEqualTo("""
                Here is the list.

                Late
                - =Ring <Otto> · 2 Mar

                Today
                - Send the plan · 4 Mar · Tilda
                """);
    }

    @Test
    void isATableInHtmlInWhichNothingOfItsWordsRuns() {
        assertThat(TABLE.html())
                .contains("<td", "=Ring &lt;Otto&gt;", "Here is the list.")
                .doesNotContain("<Otto>");
    }

    @Test
    void isDefusedForOtherPrograms() {
        assertThat(TABLE.csv()).contains("Group,What,By,Who", "Late,'=Ring <Otto>,2 Mar,");
    }
}
