package org.squallnote.e2e;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.MerrowQuay;

/** Mail of a pier office: a hundred that wait after two days off, and what has lain for years. */
final class PierMail {

    private static final int MORE = 100;

    private PierMail() {}

    /** A hundred messages of every heap. */
    static void fill(MailStandIn mail) {
        Instant now = Days.WORKING_DAY;
        for (int i = 0; i < MORE; i++) {
            String text = switch (i % 4) {
                case 0 -> "Hello Ines,\r\n\r\ncould you send me the tide sheet for week " + i + "?";
                case 1 -> "Hello Ines,\r\n\r\nthe gangway at slip " + i + " was painted yesterday.";
                case 2 -> "Hello Ines,\r\n\r\nplease tell me by Friday whether slip " + i + " is free.";
                default -> "All berths of pier " + i + " at a glance.";
            };
            String headers = i % 4 == 3 ? "List-Unsubscribe: <https://pier.example/off>\r\n" : "";
            Instant sentAt = now.minusSeconds(3_600L + i * 900L);
            String raw = "Message-ID: <sitting" + i + "@pier.example>\r\nFrom: Pier Office " + i % 12 + " <office"
                    + i % 12
                    + "@pier.example>\r\nTo: <" + MerrowQuay.OWN + ">\r\nSubject: Slip " + i + "\r\n" + headers
                    + "Date: "
                    + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC)) + "\r\n\r\n" + text
                    + "\r\n";
            mail.put(MerrowQuay.OWN, "INBOX", raw.getBytes(StandardCharsets.UTF_8), sentAt);
        }
    }

    /** What has lain in the mailbox for weeks and waits for nobody. */
    static Path old(Path folder, int count) throws IOException {
        Path file = folder.resolve("old.mbox");
        Instant now = Days.WORKING_DAY;
        try (BufferedWriter out = Files.newBufferedWriter(file)) {
            for (int i = 0; i < count; i++) {
                Instant sentAt = now.minus(Duration.ofDays(20)).minusSeconds(i * 200L);
                out.write("From pier@pier.example Mon Mar  2 10:00:00 2026\nMessage-ID: <old" + i
                        + "@pier.example>\nFrom: Pier Office " + i % 40 + " <pier" + i % 40
                        + "@pier.example>\nTo: <" + MerrowQuay.OWN + ">\nSubject: Pier log " + i + "\nDate: "
                        + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC))
                        + "\n\nThe pier was swept on day " + i + " and nothing was found but a glove.\n\n");
            }
        }
        return file;
    }
}
