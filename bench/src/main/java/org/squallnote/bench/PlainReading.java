package org.squallnote.bench;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.MboxReader;
import org.squallnote.formats.mail.ReadableMail;

/** As a process of its own: parses a file as the application does and reads every message, and stores nothing. */
final class PlainReading {

    private static final Reader READER = new Reader(
            new Me("Bench", Set.of("bench@bench.example"), List.of()), false, WorkingTime.officeHours(ZoneOffset.UTC));

    private PlainReading() {}

    /** Prints the number of asks, so that nothing can be left out. */
    public static void main(String[] args) throws IOException {
        long[] asks = {0};
        try (InputStream in = Files.newInputStream(Path.of(args[0]))) {
            MboxReader.forEach(
                    in,
                    MailSpool.inMemory(),
                    message -> asks[0] += READER.read(ReadableMail.of(MailParser.parse(message.raw())))
                            .asks()
                            .size());
        }
        System.out.println(asks[0]);
    }
}
