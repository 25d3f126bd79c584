package org.squallnote.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Writes an mbox of office mail: threads of a few messages, plain and HTML, some with files, over sixty days. */
final class GeneratedMbox {

    private static final String[] WORDS =
            "the berth crane plan for pontoon invoice please could you send me quote week slipway boat harbour winter mooring we have need by with on and it is to"
                    .split(" ");

    private GeneratedMbox() {}

    /** Writes the file; the seed makes two files with different messages. */
    static Path write(int messages, long seed, Instant end) throws IOException {
        return write(messages, seed, end, false);
    }

    /** Writes a file of nothing but plain text. */
    static Path writePlain(int messages, long seed, Instant end) throws IOException {
        return write(messages, seed, end, true);
    }

    private static Path write(int messages, long seed, Instant end, boolean plain) throws IOException {
        Path file = Files.createTempFile("squallnote-bench", ".mbox");
        Random random = new Random(seed);
        List<String> open = new ArrayList<>();
        try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.US_ASCII)) {
            for (int i = 0; i < messages; i++) {
                Instant sentAt = end.minus(Duration.ofMinutes(60L * 24 * 60 * (messages - i) / messages));
                String id = "m" + i + "." + seed + "@bench.example";
                boolean answer = !open.isEmpty() && random.nextInt(3) > 0;
                String chain = answer ? open.remove(random.nextInt(open.size())) : "";
                writeMessage(out, random, i, id, chain, sentAt, plain);
                if (chain.length() < 400) {
                    open.add(chain.isEmpty() ? "<" + id + ">" : chain + " <" + id + ">");
                }
                if (open.size() > 200) {
                    open.remove(0);
                }
            }
        }
        return file;
    }

    private static void writeMessage(
            BufferedWriter out, Random random, int number, String id, String chain, Instant sentAt, boolean plain)
            throws IOException {
        String text = words(random, 80 + random.nextInt(200));
        out.write("From writer@bench.example Mon Mar  2 10:00:00 2026\n");
        out.write("Received: from mx.bench.example by mail.merrowquay.example; Mon, 2 Mar 2026 10:00:00 +0000\n");
        out.write("Message-ID: <" + id + ">\n");
        out.write("From: Writer " + number % 300 + " <writer" + number % 300 + "@bench.example>\n");
        out.write("To: Ines Calloway <ines.calloway@merrowquay.example>\n");
        out.write("Subject: " + (chain.isEmpty() ? "" : "Re: ") + words(random, 5) + "\n");
        out.write("Date: " + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC)) + "\n");
        if (!chain.isEmpty()) {
            out.write("References: " + chain + "\n");
        }
        out.write("MIME-Version: 1.0\n");
        if (plain || number % 3 == 0) {
            out.write("Content-Type: text/plain; charset=utf-8\n\n" + text + "\n\n");
            return;
        }
        out.write(
                "Content-Type: multipart/mixed; boundary=m\n\n--m\nContent-Type: multipart/alternative; boundary=a\n\n");
        out.write("--a\nContent-Type: text/plain; charset=utf-8\n\n" + text + "\n");
        out.write("--a\nContent-Type: text/html; charset=utf-8\n\n<html><body><p>" + text
                + "</p></body></html>\n--a--\n");
        if (number % 3 == 1) {
            out.write("--m\nContent-Type: application/pdf; name=plan.pdf\nContent-Transfer-Encoding: base64\n"
                    + "Content-Disposition: attachment; filename=plan.pdf\n\n");
            for (int i = 0; i < 60; i++) {
                out.write("JVBERi0xLjQKJeLjz9MKMSAwIG9iago8PC9UeXBlL0NhdGFsb2cvUGFnZXMgMiAwIFI+\n");
            }
        }
        out.write("--m--\n\n");
    }

    private static String words(Random random, int count) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < count; i++) {
            text.append(WORDS[random.nextInt(WORDS.length)])
                    .append(i % 14 == 13 ? (random.nextInt(6) == 0 ? "?\n" : ".\n") : " ");
        }
        return text.toString().strip().replace("\nfrom ", "\nof ");
    }
}
