package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.WorkingTime;

class OtherVoicesTest {

    private static final Instant SENT = Instant.parse("2026-03-10T10:20:00Z");
    private static final Party ME = new Party("Ines Calloway", "ines@merrowquay.example");
    private static final Party TOM = new Party("Tom Baxter", "tom@merrowquay.example");
    private static final Party LIST = new Party("", "quays@lists.harbours.example");
    static final Reader READER = reader(Hearing.all(ReadingLanguage.ENGLISH));

    static Reader reader(Hearing hearing) {
        return new Reader(
                new Me("Ines Calloway", Set.of(ME.address(), "@ines"), List.of("Nes")),
                false,
                WorkingTime.officeHours(ZoneId.of("Europe/London")),
                hearing);
    }

    static Stream<String> lines() throws IOException {
        List<String> lines = new ArrayList<>();
        for (String file : List.of("other-voices.tsv", "plain-forms.tsv")) {
            try (InputStream in = OtherVoicesTest.class.getResourceAsStream(file)) {
                new String(in.readAllBytes(), StandardCharsets.UTF_8)
                        .lines()
                        .filter(line -> !line.startsWith("#") && !line.isBlank())
                        .forEach(lines::add);
            }
        }
        return lines.stream();
    }

    @ParameterizedTest
    @MethodSource("lines")
    void isReadAsAPersonWouldReadIt(String line) {
        String[] parts = line.split("\t");
        assertThat(read(parts[0], parts[4].replace("\\n", "\n")))
                .as(parts[4])
                .isEqualTo(parts[1] + " " + parts[2] + " " + parts[3]);
    }

    /** "yes 2026-03-13 firm": whether a text asks, by when, and how strictly. */
    static String read(String how, String text) {
        Reading reading = READER.read(message(how, text));
        return (reading.asksMe() ? "yes " : "no ")
                + reading.replyBy().map(FiguresTest::written).orElse("-") + " "
                + reading.replyBy().map(day -> day.firm() ? "firm" : "soft").orElse("-");
    }

    static MessageToRead message(String how, String text) {
        boolean chat = Set.of("c", "g", "ga", "gm").contains(how);
        List<Party> to = switch (how) {
            case "m" -> List.of(ME);
            case "mm" -> List.of(TOM, ME);
            case "cc" -> List.of(TOM);
            case "l" -> List.of(LIST);
            default -> List.of();
        };
        Set<String> mentions = new LinkedHashSet<>();
        Matcher mention = Pattern.compile("@(ines|tom|room)").matcher(chat ? text : "");
        while (mention.find()) {
            mentions.add(mention.group());
        }
        return MessageToReadBuilder.builder()
                .channel(chat ? Channel.CHAT : Channel.MAIL)
                .from(chat ? new Party("Will", "@will") : new Party("Will Harker", "will@harker.example"))
                .to(to)
                .cc(how.equals("cc") ? List.of(ME) : List.of())
                .sentAt(SENT)
                .subject(chat ? "" : "Harbour")
                .headers(
                        how.equals("l")
                                ? Headers.of(Map.of(
                                        "List-Id",
                                        "<quays.lists.harbours.example>",
                                        "List-Post",
                                        "<mailto:quays@lists.harbours.example>"))
                                : Headers.none())
                .text(text)
                .inRoom(chat && !how.equals("c"))
                .mentions(mentions)
                .answersMe(how.equals("ga"))
                .known(List.of())
                .build();
    }
}
