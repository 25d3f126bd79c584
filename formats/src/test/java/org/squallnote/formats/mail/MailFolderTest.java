package org.squallnote.formats.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.squallnote.core.message.MailSpool;

class MailFolderTest {

    private static final String HEAD = "From: a@x.example\nSubject: %s\nMessage-ID: <%s@x.example>\n\n";

    private static final MailSpool NO_SPOOL = () -> {
        throw new AssertionError("These are small.");
    };

    private static void put(Path file, String text) throws IOException {
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
        Files.setLastModifiedTime(file, FileTime.from(Instant.parse("2026-03-04T10:40:00Z")));
    }

    private static List<MboxMessage> read(Path folder) throws IOException {
        List<MboxMessage> messages = new ArrayList<>();
        try (MailFolder all = MailFolder.open(folder)) {
            MboxReader.forEach(all, NO_SPOOL, messages::add);
        }
        return messages;
    }

    /** Without the empty lines at its end: the one between two messages is read with the first of them. */
    private static String text(MboxMessage message) {
        return new String(message.raw().inMemory().orElseThrow(), StandardCharsets.UTF_8).stripTrailing();
    }

    @Test
    void theMessagesOfAMaildirComeAsTheyLieThere(@TempDir Path folder) throws IOException {
        String first =
                HEAD.formatted("one", "1") + "Hello\n\nFrom here it goes on\n>From there too\n>>From both\nend\n";
        String second = HEAD.formatted("two", "2") + "no line end";
        String third = HEAD.formatted("three", "3") + "x\r\n\r\nFrom a line of Windows\r\n";
        put(folder.resolve("cur/1.a:2,S"), first);
        put(folder.resolve("new/2.a"), second);
        put(folder.resolve(".Archive/cur/3.a:2,"), third);
        put(folder.resolve("tmp/4.a"), HEAD.formatted("unfinished", "4"));
        put(folder.resolve("dovecot-uidlist"), "3 V1");

        List<MboxMessage> messages = read(folder);

        assertThat(messages)
                .extracting(MailFolderTest::text)
                .containsExactlyInAnyOrder(first.stripTrailing(), second, third.stripTrailing());
        assertThat(messages)
                .extracting(MboxMessage::deliveredAt)
                .allSatisfy(at -> assertThat(at).contains(Instant.parse("2026-03-04T10:40:00Z")));
    }

    @Test
    void ofAnotherFolderTheEmlFilesAreRead(@TempDir Path folder) throws IOException {
        put(folder.resolve("a/one.EML"), HEAD.formatted("one", "1") + "x\n");
        put(folder.resolve("a/readme.txt"), "no mail");
        assertThat(read(folder)).hasSize(1);
        assertThatThrownBy(() -> MailFolder.open(folder.resolve("nowhere"))).isInstanceOf(IOException.class);
        Path empty = Files.createDirectories(folder.resolve("empty"));
        assertThatThrownBy(() -> MailFolder.open(empty))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no Maildir");
    }
}
