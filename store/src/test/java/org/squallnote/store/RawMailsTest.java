package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.store.content.ContentFiles;
import org.squallnote.store.content.DamagedContentException;
import org.squallnote.store.message.RawMailStore;
import org.squallnote.store.message.RawMails;

class RawMailsTest extends StoreTest {

    private static final byte[] LARGE = bytes(300_000);

    @TempDir
    private Path data;

    @Autowired
    private RawMailStore rows;

    private ContentFiles files;
    private RawMails mails;

    @BeforeEach
    void prepare() throws IOException {
        open(Optional.empty());
    }

    private void open(Optional<String> key) throws IOException {
        files = new ContentFiles(data, key, Clock.fixed(CLOCK_CHANGE, ZoneOffset.UTC));
        files.prepare();
        mails = new RawMails(rows, files);
    }

    private static byte[] bytes(int length) {
        byte[] bytes = new byte[length];
        new Random(length).nextBytes(bytes);
        return bytes;
    }

    private UUID message(String name) {
        StoredMessage message = insertMail(name, UUID.randomUUID(), 1, Decision.UNDECIDED);
        return message.id();
    }

    private List<Path> onDisk() throws IOException {
        try (Stream<Path> all = Files.walk(data)) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    private byte[] read(UUID id) {
        RawMail mail = mails.of(owner, id).orElseThrow();
        return mail.head((int) mail.size());
    }

    @Test
    void aSmallMailLiesInTheDatabaseAndALargeOneBesideIt() throws IOException {
        UUID small = message("small@x");
        UUID large = message("large@x");
        mails.keep(owner, small, RawMail.of(bytes(20)));
        mails.keep(owner, large, RawMail.of(LARGE));

        assertThat(read(small)).isEqualTo(bytes(20));
        assertThat(read(large)).isEqualTo(LARGE);
        assertThat(onDisk())
                .singleElement()
                .satisfies(file ->
                        assertThat(file).hasFileName(RawMail.of(LARGE).sha256()).hasBinaryContent(LARGE));
    }

    @Test
    void nobodyElseGetsIt() {
        UUID small = message("mine@x");
        UUID large = message("mine too@x");
        mails.keep(owner, small, RawMail.of(bytes(20)));
        mails.keep(owner, large, RawMail.of(LARGE));
        assertThat(mails.of(stranger, small)).isEmpty();
        assertThat(mails.of(stranger, large)).isEmpty();
    }

    @Test
    void theSameMailOfTwoAccountsIsOneFile() throws IOException {
        UUID one = message("one@x");
        UUID other = message("other@x");
        mails.keep(owner, one, RawMail.of(LARGE));
        mails.keep(owner, other, RawMail.of(LARGE));
        assertThat(onDisk()).hasSize(1);
        assertThat(read(one)).isEqualTo(read(other));
    }

    @Test
    void aFileThatIsNotWhatItWasIsNoticed() throws IOException {
        UUID id = message("damaged@x");
        mails.keep(owner, id, RawMail.of(LARGE));
        byte[] changed = LARGE.clone();
        changed[200_000]++;
        Files.write(onDisk().get(0), changed);
        assertThatThrownBy(() -> read(id)).hasCauseInstanceOf(DamagedContentException.class);

        // Coming in again mends it.
        mails.keep(owner, message("again@x"), RawMail.of(LARGE));
        assertThat(read(id)).isEqualTo(LARGE);

        Files.delete(onDisk().get(0));
        assertThatThrownBy(() -> read(id)).hasCauseInstanceOf(DamagedContentException.class);
    }

    @Test
    void anEncryptedFileSaysNothing() throws IOException {
        byte[] words = "Dear Ines, ".repeat(30_000).getBytes(StandardCharsets.US_ASCII);
        UUID id = message("secret@x");
        mails.keep(owner, id, RawMail.of(words));
        open(Optional.of("the key"));

        // What was there before is encrypted now, under a name that cannot be guessed from what it holds.
        assertThat(read(id)).isEqualTo(words);
        Path file = onDisk().get(0);
        assertThat(onDisk()).hasSize(1);
        assertThat(file.getFileName().toString())
                .endsWith(".encrypted")
                .doesNotContain(RawMail.of(words).sha256());
        assertThat(new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1))
                .doesNotContain("Dear");

        // From any place, and never when a bit has changed.
        byte[] some = new byte[11];
        try (RawMail.Opened opened = mails.of(owner, id).orElseThrow().open()) {
            assertThat(opened.read(11 * 20_000, some, 0, 11)).isEqualTo(11);
        }
        assertThat(some).isEqualTo(Arrays.copyOf(words, 11));
        byte[] stored = Files.readAllBytes(file);
        stored[stored.length / 2] ^= 1;
        Files.write(file, stored);
        assertThatThrownBy(() -> read(id)).hasCauseInstanceOf(DamagedContentException.class);

        open(Optional.of("another key"));
        assertThatThrownBy(() -> read(id)).hasCauseInstanceOf(DamagedContentException.class);
    }

    @Test
    void whatWasNeverEndedLeavesNothing() throws IOException {
        try (MailSpool.Writing writing = files.begin()) {
            writing.write(LARGE, 0, LARGE.length);
        }
        assertThat(onDisk()).isEmpty();

        // As after a kill.
        files.begin().write(LARGE, 0, LARGE.length);
        assertThat(onDisk()).hasSize(1);
        open(Optional.empty());
        assertThat(onDisk()).isEmpty();
    }

    @Test
    void onlyOldFilesThatNothingRefersToAreSwept() throws IOException {
        UUID id = message("kept@x");
        mails.keep(owner, id, RawMail.of(LARGE));
        try (MailSpool.Writing writing = files.begin()) {
            writing.write(LARGE, 1, 290_000);
            writing.end();
        }
        assertThat(files.sweep(mails.used(), CLOCK_CHANGE.minus(Duration.ofDays(1))))
                .isZero();
        assertThat(files.sweep(mails.used(), CLOCK_CHANGE.plus(Duration.ofDays(1))))
                .isEqualTo(1);
        assertThat(read(id)).isEqualTo(LARGE);
    }
}
