package org.squallnote.formats.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;

/** A mail that does not lie in memory is read as one that does. */
class LargeMailTest {

    private static final byte[] PLAN = new byte[700_000];

    static {
        new Random(1).nextBytes(PLAN);
    }

    private static final byte[] MAIL =
            ("""
            From: Tilda <tilda@brandt-cranes.example>\r
            To: ines@merrowquay.example\r
            Subject: The plan\r
            Content-Type: multipart/mixed; boundary="outer"\r
            \r
            --outer\r
            Content-Type: multipart/alternative; boundary="inner"\r
            \r
            --inner\r
            Content-Type: text/plain\r
            \r
            Could you look at the plan?\r
            --inner\r
            Content-Type: text/html\r
            \r
            <p>Could you look at the <b>plan</b>?</p>\r
            --inner--\r
            --outer\r
            Content-Type: application/pdf; name="plan.pdf"\r
            Content-Disposition: attachment\r
            Content-Transfer-Encoding: base64\r
            \r
            """ + Base64.getMimeEncoder().encodeToString(PLAN) + """
            \r
            --outer\r
            Content-Type: message/rfc822\r
            \r
            Subject: an old one\r
            \r
            Hello.\r
            --outer--\r
            """).getBytes(StandardCharsets.US_ASCII);

    /** A mail in a file, without the file; notes the most that was asked for at once, and what is still open. */
    private static final class Elsewhere implements RawMail, RawMail.Opened {

        private final byte[] bytes;
        private int most;
        private int open;

        Elsewhere(byte[] bytes) {
            this.bytes = bytes;
        }

        @Override
        public long size() {
            return bytes.length;
        }

        @Override
        public Optional<byte[]> inMemory() {
            return Optional.empty();
        }

        @Override
        public Opened open() {
            open++;
            return this;
        }

        @Override
        public String sha256() {
            return RawMail.of(bytes).sha256();
        }

        @Override
        public int read(long position, byte[] into, int from, int length) throws IOException {
            most = Math.max(most, length);
            return RawMail.of(bytes).open().read(position, into, from, length);
        }

        @Override
        public void close() {
            open--;
        }
    }

    @Test
    void readsTheSameFromAFile() {
        Elsewhere elsewhere = new Elsewhere(MAIL);
        assertThat(MailParser.parse(elsewhere)).usingRecursiveComparison().isEqualTo(MailParser.parse(MAIL));
        assertThat(MailParser.html(elsewhere)).isEqualTo(MailParser.html(RawMail.of(MAIL)));
        assertThat(elsewhere.most).as("bytes at once").isLessThanOrEqualTo(64 * 1024);
        assertThat(elsewhere.open).as("left open").isZero();
    }

    @Test
    void handsOutItsFilesPieceByPiece() throws IOException {
        Elsewhere elsewhere = new Elsewhere(MAIL);
        List<ParsedMail.Attachment> files = MailParser.parse(elsewhere).attachments();
        assertThat(files).extracting(ParsedMail.Attachment::name).containsExactly("plan.pdf", "message.eml");
        try (InputStream plan =
                MailParser.attachment(elsewhere, files.get(0).index()).orElseThrow()) {
            assertThat(elsewhere.open).isEqualTo(1);
            assertThat(plan).hasBinaryContent(PLAN);
        }
        try (InputStream all = MailParser.whole(elsewhere)) {
            assertThat(all).hasBinaryContent(MAIL);
        }
        assertThat(MailParser.attachment(elsewhere, 99)).isEmpty();
        assertThat(elsewhere.most).isLessThanOrEqualTo(64 * 1024);
        assertThat(elsewhere.open).as("left open").isZero();
    }

    @Test
    void damagedFromAFileIsReadAsDamagedInMemory() {
        for (long seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            byte[] raw = MAIL.clone();
            for (int i = 0; i < 40; i++) {
                raw[random.nextInt(random.nextBoolean() ? 700 : raw.length)] = (byte) random.nextInt(256);
            }
            assertThat(MailParser.parse(new Elsewhere(raw)))
                    .as("seed %d", seed)
                    .usingRecursiveComparison()
                    .isEqualTo(MailParser.parse(raw));
        }
    }

    @Test
    void boundsAreSeenAcrossTheEdgesOfWhatIsReadAtOnce() {
        StringBuilder mail = new StringBuilder("Content-Type: multipart/mixed; boundary=\"edge\"\r\n\r\n");
        for (int i = 0; i < 700; i++) {
            mail.append("--edge\r\nContent-Type: text/plain\r\n\r\n")
                    .append("x".repeat(i))
                    .append("\r\n");
        }
        byte[] raw = mail.append("--edge--\r\n").toString().getBytes(StandardCharsets.US_ASCII);
        ParsedMail parsed = MailParser.parse(new Elsewhere(raw));
        assertThat(parsed).usingRecursiveComparison().isEqualTo(MailParser.parse(raw));
        assertThat(parsed.notices()).anyMatch(notice -> notice.contains("more than 500 parts"));
    }

    @Test
    void aWriterKeepsASmallMailInMemoryAndSpoolsALargeOne() throws IOException {
        List<Integer> begun = new ArrayList<>();
        MailSpool spool = () -> {
            begun.add(1);
            return MailSpool.inMemory().begin();
        };
        try (RawMailWriter writer = new RawMailWriter(spool)) {
            writer.add(MAIL, 0, 1_000);
            assertThat(writer.take().inMemory())
                    .hasValueSatisfying(bytes -> assertThat(bytes).isEqualTo(java.util.Arrays.copyOf(MAIL, 1_000)));
            assertThat(begun).isEmpty();
            for (int at = 0; at < MAIL.length; at += 997) {
                writer.add(MAIL, at, Math.min(997, MAIL.length - at));
            }
            assertThat(writer.take().sha256()).isEqualTo(RawMail.of(MAIL).sha256());
            assertThat(begun).hasSize(1);
        }
    }

    @Test
    void ofWhatIsTooLargeTheBeginningIsKept() throws IOException {
        MailSpool nowhere = () -> new MailSpool.Writing() {
            private long size;

            @Override
            public void write(byte[] bytes, int from, int length) {
                size += length;
            }

            @Override
            public RawMail end() {
                assertThat(size).isLessThanOrEqualTo(MailLimits.LARGEST_MESSAGE);
                return RawMail.of(new byte[0]);
            }

            @Override
            public void close() {
                // Nothing is kept.
            }
        };
        byte[] piece = new byte[1 << 20];
        try (RawMailWriter writer = new RawMailWriter(nowhere)) {
            for (int i = 0; i < 101; i++) {
                writer.add(piece, 0, piece.length);
            }
            assertThat(writer.cut()).isTrue();
            writer.take();
            assertThat(writer.cut()).isFalse();
        }
    }

    @Test
    void anMboxWithALargeMailIsReadWhole() throws IOException {
        String mbox = "From a@x.example Mon Mar  2 10:00:00 2026\n"
                + new String(MAIL, StandardCharsets.US_ASCII).replace("\r\n", "\n")
                + "\nFrom b@x.example Mon Mar  2 11:00:00 2026\nSubject: two\n\ntext\n";
        List<Long> sizes = new ArrayList<>();
        MboxReader.forEach(
                new ByteArrayInputStream(mbox.getBytes(StandardCharsets.US_ASCII)),
                MailSpool.inMemory(),
                message -> sizes.add(message.raw().size()));
        assertThat(sizes).hasSize(2);
        assertThat(sizes.get(0)).isGreaterThan(700_000);
    }
}
