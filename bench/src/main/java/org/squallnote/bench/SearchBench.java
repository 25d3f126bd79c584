package org.squallnote.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;
import org.squallnote.core.message.Party;
import org.squallnote.core.search.Filter;
import org.squallnote.core.search.Kind;
import org.squallnote.core.search.Standing;
import org.squallnote.search.Entry;
import org.squallnote.search.EntryBuilder;
import org.squallnote.search.Found;
import org.squallnote.search.OwnerIndex;
import org.squallnote.search.Snippets;
import org.squallnote.search.Wanted;

/** What finding costs among ten years of mail: words are as often in it as words of a language are. */
final class SearchBench {

    private static final int MESSAGES = 100_000;
    private static final int FOLLOW_UPS = 10_000;
    private static final int WORDS = 60_000;
    private static final int QUERIES = 500;
    private static final int LOOKED_FOR = 1_000;
    private static final int SHOWN = 30;
    private static final Instant NOW = Instant.parse("2026-03-04T10:00:00Z");

    private final Random random = new Random(7);
    private final String[] words = new String[WORDS];
    private final List<String> texts = new ArrayList<>();
    private final Map<String, Integer> often = new HashMap<>();

    private SearchBench() {
        Set<String> made = new HashSet<>();
        for (int i = 0; i < WORDS; i++) {
            String word = word();
            while (!made.add(word)) {
                word = word() + word();
            }
            words[i] = word;
        }
    }

    static void run() throws IOException {
        Path folder = Files.createTempDirectory("squallnote-search");
        try {
            new SearchBench().measure(folder);
        } finally {
            FileSystemUtils.deleteRecursively(folder);
        }
    }

    private String word() {
        StringBuilder word = new StringBuilder();
        for (int i = 0; i < 2 + random.nextInt(3); i++) {
            word.append("bcdfghklmnprstvw".charAt(random.nextInt(16))).append("aeiou".charAt(random.nextInt(5)));
        }
        return word.append(random.nextInt(3) == 0 ? "ing" : "").toString();
    }

    /** The first words are the common ones, by Zipf's law. */
    private String someWord() {
        return words[(int) Math.min(WORDS - 1, Math.exp(random.nextDouble() * Math.log(WORDS)) - 1)];
    }

    private String sentences(int length) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < length; i++) {
            text.append(someWord()).append(i % 12 == 11 ? ". " : " ");
        }
        return text.toString();
    }

    private Entry entry(int number, Kind kind, String title, String text) {
        int writer = random.nextInt(400);
        return EntryBuilder.builder()
                .kind(kind)
                .id(id(kind, number))
                .title(title)
                .text(text)
                .kept("")
                .people(List.of(new Party("Writer " + words[writer], "writer" + writer + "@bench.example")))
                .at(NOW.minus(Duration.ofMinutes(random.nextInt(5_000_000))))
                .sourceId(new UUID(9, number % 3))
                .standing(kind == Kind.MESSAGE ? Standing.DECIDED : Standing.ENDED)
                .withFile(number % 5 == 0)
                .linked(number % 10 == 0)
                .links(Set.of())
                .build();
    }

    private static String id(Kind kind, int number) {
        return new UUID(kind == Kind.MESSAGE ? 1 : 2, number).toString();
    }

    private void measure(Path folder) throws IOException {
        List<Entry> entries = new ArrayList<>();
        long size = 0;
        for (int i = 0; i < MESSAGES; i++) {
            String text = sentences(60 + random.nextInt(120));
            texts.add(text);
            size += text.length();
            entries.add(entry(i, Kind.MESSAGE, sentences(5), text));
        }
        for (int i = 0; i < FOLLOW_UPS; i++) {
            entries.add(entry(i, Kind.FOLLOW_UP, sentences(6), sentences(10)));
        }
        long start = System.nanoTime();
        for (String text : texts) {
            for (String word : text.split("\\W+")) {
                often.merge(word, 1, Integer::sum);
            }
        }
        double reading = seconds(start);
        start = System.nanoTime();
        try (OwnerIndex index = OwnerIndex.in(folder)) {
            for (int from = 0; from < entries.size(); from += 400) {
                index.put(entries.subList(from, Math.min(entries.size(), from + 400)));
                index.commit();
            }
            double building = seconds(start);
            print(
                    "index of %,d messages and %,d follow-ups: %.1f s, %.1f times reading their words",
                    MESSAGES, FOLLOW_UPS, building, building / reading);
            print("its size: %.0f MB, %.2f times the text", size(folder) / 1e6, size(folder) / (double) size);
            queries(index);
            foundAgain(index);
        }
    }

    private void queries(OwnerIndex index) throws IOException {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < QUERIES + 200; i++) {
            String query = query(i);
            long start = System.nanoTime();
            Found found = index.search(wanted(query, SHOWN));
            Snippets snippets = new Snippets(query, found.similar());
            for (Found.Hit hit : found.hits()) {
                if (hit.kind() == Kind.MESSAGE) {
                    snippets.of(texts.get((int) UUID.fromString(hit.id()).getLeastSignificantBits()));
                }
            }
            if (i >= 200) {
                times.add((System.nanoTime() - start) / 1e6);
            }
        }
        Collections.sort(times);
        print(
                "%d queries, each with chips and %d sentences: median %.1f ms (goal 20), 99th percentile %.1f ms (goal 80)",
                QUERIES, SHOWN, times.get(QUERIES / 2), times.get(QUERIES * 99 / 100));
    }

    /** One to three words: whole, begun, with a slip, or two that stand together in quotes. */
    private String query(int number) {
        String first = someWord();
        return switch (number % 5) {
            case 0 -> first;
            case 1 -> first + " " + someWord().substring(0, 3);
            case 2 -> first + " " + someWord() + " " + someWord();
            case 3 -> first.substring(1);
            default -> {
                String[] text = texts.get(random.nextInt(MESSAGES)).split("\\W+");
                yield "\"" + text[3] + " " + text[4] + "\"";
            }
        };
    }

    private void foundAgain(OwnerIndex index) throws IOException {
        int found = 0;
        for (int i = 0; i < LOOKED_FOR; i++) {
            int number = random.nextInt(MESSAGES);
            String[] rare = Arrays.stream(texts.get(number).split("\\W+"))
                    .distinct()
                    .sorted((one, other) -> Integer.compare(often.getOrDefault(one, 0), often.getOrDefault(other, 0)))
                    .limit(3)
                    .toArray(String[]::new);
            String id = id(Kind.MESSAGE, number);
            if (index.search(wanted(String.join(" ", rare), 5)).hits().stream()
                    .anyMatch(hit -> hit.id().equals(id))) {
                found++;
            }
        }
        print(
                "found again by three of their rarer words, among the first five: %d of %d (goal 98 of 100)",
                found, LOOKED_FOR);
    }

    private static Wanted wanted(String words, int most) {
        return new Wanted(words, Filter.ALL, ZoneId.of("Europe/London"), NOW, false, most);
    }

    private static long size(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile)
                    .mapToLong(file -> {
                        try {
                            return Files.size(file);
                        } catch (IOException e) {
                            throw new UncheckedIOException(e);
                        }
                    })
                    .sum();
        }
    }

    private static double seconds(long start) {
        return (System.nanoTime() - start) / 1e9;
    }

    private static void print(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
