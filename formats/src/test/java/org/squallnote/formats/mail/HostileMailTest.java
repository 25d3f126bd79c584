package org.squallnote.formats.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.message.Channel;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.time.WorkingTime;

/**
 * Small messages that cost a careless reader minutes or all memory. None does: the guard is far above what a slow
 * machine needs, and far below what a quadratic step takes.
 */
@Timeout(90)
class HostileMailTest {

    private static final String HEAD = "From: A <a@x.example>\r\nTo: <ines@merrowquay.example>\r\n"
            + "Date: Mon, 2 Mar 2026 09:00:00 +0000\r\nMessage-ID: <h@x.example>\r\n";
    private static final String PLAIN = HEAD + "Subject: x\r\n\r\n";
    private static final String MIXED =
            HEAD + "Subject: x\r\nMIME-Version: 1.0\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n";
    private static final String HTML =
            HEAD + "Subject: x\r\nMIME-Version: 1.0\r\nContent-Type: text/html; charset=utf-8\r\n\r\n";

    private static final Reader READER = new Reader(
            new Me("Ines Calloway", Set.of("ines@merrowquay.example"), List.of()),
            false,
            WorkingTime.officeHours(ZoneId.of("Europe/London")));

    private static String numbered(int count, IntFunction<String> each) {
        return IntStream.range(0, count).mapToObj(each).collect(Collectors.joining());
    }

    private static Arguments of(String name, String mail) {
        return Arguments.of(name, mail);
    }

    static Stream<Arguments> messages() {
        return Stream.of(
                of("parentheses in From", "From: " + "(".repeat(200_000) + " a@x.example\r\nSubject: x\r\n\r\nhi\r\n"),
                of("comments in From", "From: " + "(a) ".repeat(100_000) + " a@x.example\r\n\r\nhi\r\n"),
                of("groups in Cc", HEAD + "Cc: " + "a:b@x.example;,".repeat(50_000) + "\r\n\r\nhi\r\n"),
                of("angle brackets in To", HEAD + "Cc: " + "<".repeat(200_000) + "\r\n\r\nhi\r\n"),
                of("folds in the subject", HEAD + "Subject: " + "a\r\n ".repeat(200_000) + "\r\n\r\nhi\r\n"),
                of("encoded words", HEAD + "Subject: " + "=?utf-8?q?a?= ".repeat(100_000) + "\r\n\r\nhi\r\n"),
                of("header fields", HEAD + numbered(150_000, i -> "X-A" + i + ": b\r\n") + "\r\nhi\r\n"),
                of("references", HEAD + "References: " + "<a@b> ".repeat(250_000) + "\r\n\r\nhi\r\n"),
                of("could you", PLAIN + "could you ".repeat(90_000)),
                of("please send me", PLAIN + "please send me ".repeat(60_000)),
                of("let me know if you can", PLAIN + "let me know if you can ".repeat(40_000)),
                of("short questions", PLAIN + "could you? ".repeat(80_000)),
                of("quoted lines", PLAIN + "> a\r\n".repeat(180_000)),
                of("attributions", PLAIN + "On Mon Bo wrote:\r\n".repeat(50_000)),
                of("empty parts", MIXED + "--b\r\n\r\n".repeat(200_000)),
                of(
                        "levels of one boundary",
                        MIXED + "--b\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n".repeat(3_000)),
                of(
                        "levels of many boundaries",
                        MIXED
                                + numbered(
                                        3_000,
                                        i -> "--b" + (i == 0 ? "" : i - 1)
                                                + "\r\nContent-Type: multipart/mixed; boundary=\"b" + i
                                                + "\"\r\n\r\n")),
                of("messages in messages", HEAD + "Content-Type: message/rfc822\r\n\r\n".repeat(20_000)),
                of(
                        "parameters",
                        HEAD + "Content-Type: text/plain; " + numbered(80_000, i -> "a*" + i + "*=x; ") + "\r\n\r\nhi"),
                of("nested divs", HTML + "<div>".repeat(100_000)),
                of("nested quotations", HTML + "<blockquote>a".repeat(40_000)),
                of("nested signatures", HTML + "<div class=signature>a".repeat(30_000)),
                of("open angle brackets", HTML + "<".repeat(1_000_000)));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("messages")
    void aSmallMessageIsReadInTime(String name, String mail) {
        byte[] raw = mail.getBytes(StandardCharsets.ISO_8859_1);
        ParsedMail parsed = MailParser.parse(raw);
        assertThat(parsed.text().length()).isLessThanOrEqualTo(MailLimits.LONGEST_TEXT);
        assertThat(READER.read(MessageToReadBuilder.builder()
                        .channel(Channel.MAIL)
                        .from(parsed.from())
                        .to(parsed.to())
                        .cc(parsed.cc())
                        .sentAt(Instant.parse("2026-03-02T09:00:00Z"))
                        .subject(parsed.subject())
                        .headers(parsed.headers())
                        .text(parsed.text())
                        .calendarMethod(parsed.calendarMethod())
                        .deliveryAction(parsed.deliveryAction())
                        .mentions(Set.of())
                        .known(List.of())
                        .build()))
                .isNotNull();
    }

    @Test
    void whatIsCutSaysSo() {
        ParsedMail parts = MailParser.parse((MIXED + "--b\r\n\r\na\r\n".repeat(600)).getBytes(StandardCharsets.UTF_8));
        assertThat(parts.notices()).anyMatch(notice -> notice.contains("more than 500 parts"));
    }

    @Test
    void anOrdinaryMessageWithManyFilesIsReadToItsEnd() {
        String file =
                "--b\r\nContent-Type: application/pdf\r\nContent-Disposition: attachment; filename=f%d.pdf\r\n\r\nx\r\n";
        ParsedMail mail = MailParser.parse(
                (MIXED + numbered(300, file::formatted) + "--b--\r\n").getBytes(StandardCharsets.UTF_8));
        assertThat(mail.attachments()).hasSize(300);
        assertThat(mail.notices()).isEmpty();
    }
}
