package org.squallnote.formats.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.RawMail;

class MailParserTest {

    private static final String WHOLE = """
            Message-ID: <a@cranefirm.example>
            From: =?UTF-8?Q?Tilda_Br=C3=A4ndt?= <Tilda@cranefirm.example>
            To: "Calloway, Ines" <ines@merrowquay.example>, office@merrowquay.example
            Cc: Bo <bo@merrowquay.example>
            Subject: =?UTF-8?B?S3LDpG4=?= quote
            Date: Mon, 2 Mar 2026 10:00:00 +0100
            In-Reply-To: <first@merrowquay.example>
            MIME-Version: 1.0
            Content-Type: multipart/mixed; boundary=m

            --m
            Content-Type: multipart/alternative; boundary=a

            --a
            Content-Type: text/plain; charset=utf-8

            Dear Ines
            --a
            Content-Type: text/html; charset=utf-8

            <p>Dear <b>Ines</b></p>
            --a--
            --m
            Content-Type: application/pdf; name="../quote.pdf"
            Content-Transfer-Encoding: base64
            Content-Disposition: attachment

            SGVsbG8=
            --m--
            """;

    @Test
    void readsTheParts() {
        ParsedMail mail = parse(WHOLE);

        assertThat(mail.messageId()).contains("a@cranefirm.example");
        assertThat(mail.references()).containsExactly("first@merrowquay.example");
        assertThat(mail.from()).isEqualTo(new Party("Tilda Brändt", "tilda@cranefirm.example"));
        assertThat(mail.to())
                .containsExactly(
                        new Party("Calloway, Ines", "ines@merrowquay.example"),
                        new Party("", "office@merrowquay.example"));
        assertThat(mail.subject()).isEqualTo("Krän quote");
        assertThat(mail.sentAt()).contains(Instant.parse("2026-03-02T09:00:00Z"));
        assertThat(mail.text()).isEqualTo("Dear Ines");
        assertThat(mail.hasHtml()).isTrue();
        assertThat(mail.attachments()).singleElement().satisfies(file -> {
            assertThat(file.name()).isEqualTo(".._quote.pdf");
            assertThat(file.type()).isEqualTo("application/pdf");
            assertThat(MailParser.attachment(RawMail.of(bytes(WHOLE)), file.index())
                            .orElseThrow())
                    .hasContent("Hello");
        });
        assertThat(mail.notices()).isEmpty();
        assertThat(MailParser.html(RawMail.of(bytes(WHOLE))).orElseThrow()).contains("<b>Ines</b>");
    }

    @Test
    void aPlainPartInWhichParagraphsRunTogetherIsMendedByItsHtml() {
        String plain =
                "Dear Ines, the proof of the booklet is attached and the sponsors have seen it. Please check pages"
                        + " 4 and 5 and the names of the sponsors. To have it in time we go to press on Thursday. Could you give us"
                        + " your approval until then? Greta Holm Holm Print";
        String html = "<p>Dear Ines,</p><p>the proof of the booklet is attached and the sponsors have seen it. Please"
                + " check <b>pages 4 and 5</b> and the names of the sponsors.</p><p>To have it in time we go to press on"
                + " Thursday. Could you give us your approval until then?</p><p>Greta Holm<br>Holm Print</p>";
        assertThat(alternatives(plain, html))
                .startsWith("Dear Ines,\n\nthe proof")
                .endsWith("until then?\n\nGreta Holm\nHolm Print");
        assertThat(alternatives(plain, html.replace("Thursday", "Friday, which is nearly a week from now, so there")))
                .as("what says something else is left alone")
                .isEqualTo(plain);
        assertThat(alternatives("Dear Ines,\n\nall is well.", "<p>Dear Ines,</p><p>all</p><p>is</p><p>well</p>"))
                .isEqualTo("Dear Ines,\n\nall is well.");
    }

    private static String alternatives(String plain, String html) {
        return parse("Content-Type: multipart/alternative; boundary=b\n\n--b\nContent-Type: text/plain\n\n" + plain
                        + "\n--b\nContent-Type: text/html\n\n" + html + "\n--b--\n")
                .text();
    }

    @Test
    void seesReportsAndInvitations() {
        ParsedMail bounce = parse("""
                Content-Type: multipart/report; report-type=delivery-status; boundary=b

                --b
                Content-Type: text/plain

                Could not be delivered.
                --b
                Content-Type: message/delivery-status

                Reporting-MTA: dns; mx.example

                Final-Recipient: rfc822; bo@gone.example
                Action: Failed
                --b--
                """);
        assertThat(bounce.deliveryAction()).contains("failed");

        ParsedMail invitation = parse("""
                Content-Type: multipart/alternative; boundary=b

                --b
                Content-Type: text/plain

                Meeting
                --b
                Content-Type: text/calendar; method=REQUEST

                BEGIN:VCALENDAR
                METHOD:REQUEST
                END:VCALENDAR
                --b--
                """);
        assertThat(invitation.calendarMethod()).contains("REQUEST");
        assertThat(invitation.attachments()).isEmpty();
    }

    @Test
    void decodesWhateverTheCharsetClaims() {
        assertThat(parse("Content-Type: text/plain; charset=made-up\n\ncafé").text())
                .isEqualTo("café");
        byte[] western = "Content-Type: text/plain\n\ncafé".getBytes(StandardCharsets.ISO_8859_1);
        assertThat(MailParser.parse(western).text()).isEqualTo("café");
        assertThat(parse("Subject: café\n\nx").subject()).isEqualTo("café");
    }

    @Test
    void htmlOnlyMailIsReadAsText() {
        ParsedMail mail =
                parse("Content-Type: text/html\n\n<div>One</div><blockquote><p>Two<br>Three</p></blockquote>Four");

        assertThat(mail.text()).isEqualTo("One\n> Two\n> Three\n\nFour");
    }

    @Test
    void brokenMailStillComesOut() {
        assertThat(parse("").from().address()).isEmpty();
        assertThat(parse("From: not an address at all <<>\nDate: yesterday\n\nText")
                        .text())
                .isEqualTo("Text");
        assertThat(parse("Content-Type: multipart/mixed; boundary=never\n\nno parts here")
                        .text())
                .contains("no parts here");
        assertThat(parse("Content-Transfer-Encoding: base64\n\n!!not base64!!").sentAt())
                .isEmpty();
        assertThat(parse("Content-Type: text/plain\n\na\0b").text()).isEqualTo("ab");
        StringBuilder deep = new StringBuilder();
        for (int i = 0; i < 60; i++) {
            deep.append("Content-Type: multipart/mixed; boundary=b%d\n\n--b%d\n".formatted(i, i));
        }
        assertThat(parse(deep.toString()).notices()).isNotEmpty();
    }

    @Test
    void randomBytesNeverFail() throws IOException {
        for (long seed = 0; seed < 400; seed++) {
            Random random = new Random(seed);
            byte[] raw = bytes(WHOLE);
            for (int i = 0; i < 1 + random.nextInt(30); i++) {
                raw[random.nextInt(raw.length)] = (byte) random.nextInt(256);
            }
            ParsedMail mail = MailParser.parse(raw);
            assertThat(mail.text()).as("seed %d", seed).doesNotContain("\0");
            for (ParsedMail.Attachment file : mail.attachments()) {
                MailParser.attachment(RawMail.of(raw), file.index());
            }
        }
    }

    @Test
    void anMboxIsSplitAtItsSeparators() throws IOException {
        String mbox = """
                From tilda@cranefirm.example Mon Mar  2 10:00:00 2026
                Subject: one

                >From here on
                From the pier: no separator, no empty line before it

                From bo@merrowquay.example Mon Mar  2 11:00:00 2026
                Subject: two

                text
                """;
        List<String> messages = new ArrayList<>();

        long count = MboxReader.forEach(
                new ByteArrayInputStream(bytes(mbox)),
                MailSpool.inMemory(),
                message -> messages.add(new String(message.raw().inMemory().orElseThrow(), StandardCharsets.UTF_8)));

        assertThat(count).isEqualTo(2);
        assertThat(messages.get(0)).startsWith("Subject: one").contains("\nFrom here on\nFrom the pier");
        assertThat(messages.get(1)).startsWith("Subject: two");
        assertThat(MboxReader.forEach(
                        new ByteArrayInputStream(bytes("nothing of the kind")), MailSpool.inMemory(), message -> {}))
                .isZero();
    }

    @Test
    void anAnswerCarriesTheChain() {
        ParsedMail sent = MailParser.parse(answer("Re: Krän", "Grüße\nInes").toBytes());

        assertThat(sent.messageId()).contains("new@merrowquay.example");
        assertThat(sent.references()).containsExactly("a@x.example", "b@x.example");
        assertThat(sent.subject()).isEqualTo("Re: Krän");
        assertThat(sent.text()).isEqualTo("Grüße\nInes");
        assertThat(sent.to()).containsExactly(new Party("Tilda Brändt", "tilda@cranefirm.example"));
    }

    @Test
    void aLineBreakCannotEnterAHeader() {
        assertThatThrownBy(() -> answer("x\r\nBcc: all@x.example", "").toBytes())
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("line break");
    }

    @Test
    void answerSubjectsDoNotPileUp() {
        assertThat(OutgoingMail.answerSubject("RE: re: Berths")).isEqualTo("Re: Berths");
        assertThat(OutgoingMail.answerSubject("")).isEqualTo("Re: your message");
    }

    private static OutgoingMail answer(String subject, String text) {
        return new OutgoingMail(
                "new@merrowquay.example",
                new Party("Ines", "ines@merrowquay.example"),
                List.of(new Party("Tilda Brändt", "tilda@cranefirm.example")),
                List.of(),
                List.of(),
                subject,
                text,
                Instant.parse("2026-03-02T09:00:00Z").atZone(ZoneId.of("Europe/Berlin")),
                Optional.of("b@x.example"),
                List.of("a@x.example", "b@x.example"),
                List.of(),
                Optional.empty(),
                false);
    }

    @Test
    void anAnswerToACalendarIsReadAsOne() {
        ParsedMail mail = MailParser.parse(new OutgoingMail(
                        "reply@merrowquay.example",
                        new Party("Ines", "ines@merrowquay.example"),
                        List.of(new Party("Tilda", "tilda@cranefirm.example")),
                        List.of(),
                        List.of(),
                        "Accepted: Crane",
                        "Ines comes.",
                        Instant.parse("2026-03-02T09:00:00Z").atZone(ZoneId.of("Europe/Berlin")),
                        Optional.empty(),
                        List.of(),
                        List.of(),
                        Optional.of(new OutgoingMail.SchedulingPart("REPLY", "BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n")),
                        false)
                .toBytes());
        assertThat(mail.calendarMethod()).contains("REPLY");
        assertThat(mail.calendar().orElse("")).startsWith("BEGIN:VCALENDAR");
        assertThat(mail.text().strip()).isEqualTo("Ines comes.");
        assertThat(mail.attachments()).isEmpty();
    }

    @Test
    void filesOfAMailComeOutAsTheyWentIn() throws IOException {
        byte[] raw = new OutgoingMail(
                        "files@merrowquay.example",
                        new Party("Ines", "ines@merrowquay.example"),
                        List.of(new Party("Tilda", "tilda@cranefirm.example")),
                        List.of(),
                        List.of(),
                        "Plan",
                        "Here it is.",
                        Instant.parse("2026-03-02T09:00:00Z").atZone(ZoneId.of("Europe/Berlin")),
                        Optional.empty(),
                        List.of(),
                        List.of(new OutgoingMail.Attachment("Pläne März.pdf", "application/pdf", new byte[] {1, 2, 3})),
                        Optional.empty(),
                        true)
                .toBytes();
        ParsedMail mail = MailParser.parse(raw);

        assertThat(mail.attachments()).extracting(ParsedMail.Attachment::name).containsExactly("Pläne März.pdf");
        assertThat(MailParser.attachment(
                        RawMail.of(raw), mail.attachments().get(0).index()))
                .hasValueSatisfying(content -> assertThat(content).hasBinaryContent(new byte[] {1, 2, 3}));
        assertThat(new String(raw, StandardCharsets.US_ASCII)).contains("Auto-Submitted: auto-replied");
    }

    private static ParsedMail parse(String raw) {
        return MailParser.parse(bytes(raw));
    }

    private static byte[] bytes(String raw) {
        return raw.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void aSubjectIsReadWhateverItsBytes() {
        assertThat(MailParser.parse("Subject: Gr\u00fc\u00dfe aus K\u00f6ln\n\nx".getBytes(StandardCharsets.ISO_8859_1))
                        .subject())
                .isEqualTo("Grüße aus Köln");
        assertThat(parse("Subject: =?x-no-such-charset?Q?Gr=C3=BC=C3=9Fe?=\n\nx")
                        .subject())
                .isEqualTo("Grüße");
        assertThat(parse("Subject: =?utf-8?B?R3LDvMM=?=\n =?utf-8?B?n2U=?=\n\nx")
                        .subject())
                .isEqualTo("Grüße");
        assertThat(parse("Subject: =?utf-8*en?q?a_b?= and =?us-ascii?q?c?=\n\nx")
                        .subject())
                .isEqualTo("a b and c");
        assertThat(parse("From: =?x-odd?Q?J=C3=BCrgen?= <j@x.example>\n\nx")
                        .from()
                        .name())
                .isEqualTo("Jürgen");
    }

    @Test
    void theSeparatorOfAnMboxSaysWhenAMailWasDelivered() throws IOException {
        List<MboxMessage> messages = new ArrayList<>();
        String mbox = "From a@x.example Mon Mar  2 10:00:00 2026\nSubject: one\n\nx\n\n"
                + "From b@x.example Tue Mar 3 11:00:00 +0000 2026\n\nx\n\nFrom nobody in particular\n\nx\n";
        MboxReader.forEach(new ByteArrayInputStream(bytes(mbox)), MailSpool.inMemory(), messages::add);
        assertThat(messages)
                .extracting(
                        message -> message.deliveredAt().map(Instant::toString).orElse("none"))
                .containsExactly("2026-03-02T10:00:00Z", "2026-03-03T11:00:00Z", "none");
    }

    @Test
    void flowedTextIsReadAsItWasWritten() {
        String text =
                "Content-Type: text/plain; format=flowed\n\nCould you send \nthe plan\nby Friday?\n>> quoted \n>> line\n"
                        + "> and \n-- \nTilda\n";
        assertThat(parse(text).text())
                .isEqualTo("Could you send the plan\nby Friday?\n>> quoted line\n> and\n-- \nTilda");
        assertThat(parse("Content-Type: text/plain; format=flowed; delsp=yes\n\nhttp://a.exam \nple/x\n")
                        .text())
                .isEqualTo("http://a.example/x");
    }

    @Test
    void aCalendarWithoutWordsSaysWhatItIs() {
        String calendar =
                "From: Bo <bo@x.example>\nContent-Type: text/calendar; method=%s\n\nBEGIN:VCALENDAR\nMETHOD:%s\n"
                        + "BEGIN:VEVENT\nSUMMARY:Harbour\\, mee\n ting\nDTSTART;TZID=Europe/London:20260305T100000\n"
                        + "ATTENDEE;PARTSTAT=%s;CN=Bo:mailto:bo@x.example\nCOMMENT:Sorry\nEND:VEVENT\nEND:VCALENDAR\n";
        assertThat(parse(calendar.formatted("CANCEL", "CANCEL", "ACCEPTED")).text())
                .isEqualTo("Cancelled: Harbour, meeting, Thursday 5 March 2026, 10:00\nSorry");
        assertThat(parse(calendar.formatted("REPLY", "REPLY", "DECLINED")).text())
                .isEqualTo("Declined: Harbour, meeting, Thursday 5 March 2026, 10:00\nSorry");
    }

    @Test
    void anAnswerIsDatedInTheZoneOfItsWriter() {
        assertThat(new String(answer("Re: x", "x").toBytes(), StandardCharsets.UTF_8))
                .contains("Date: Mon, 2 Mar 2026 10:00:00 +0100");
    }
}
