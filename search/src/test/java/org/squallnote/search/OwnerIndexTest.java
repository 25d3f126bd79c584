package org.squallnote.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.store.FSDirectory;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.message.Party;
import org.squallnote.core.search.Filter;
import org.squallnote.core.search.Kind;
import org.squallnote.core.search.Standing;

/** What finds what, and in which order. */
class OwnerIndexTest {

    private static final Instant NOW = Instant.parse("2026-03-04T10:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final Party TILDA = new Party("Tilda Brandt", "tilda@brandt-cranes.example");
    private static final UUID CRANE = new UUID(3, 1);

    @TempDir
    Path folder;

    private OwnerIndex index;

    @BeforeEach
    void open() throws IOException {
        index = OwnerIndex.inMemory();
    }

    @AfterEach
    void close() throws IOException {
        index.close();
    }

    private static Entry message(String id, String title, String text) {
        return message(id, title, text, NOW.minus(Duration.ofDays(3)));
    }

    private static Entry message(String id, String title, String text, Instant at) {
        return EntryBuilder.builder()
                .kind(Kind.MESSAGE)
                .id(id)
                .title(title)
                .text(text)
                .kept("")
                .people(List.of(TILDA))
                .at(at)
                .standing(Standing.DECIDED)
                .links(Set.of())
                .build();
    }

    private static Wanted wanted(String words, Filter filter, boolean newestFirst) {
        return new Wanted(words, filter, ZONE, NOW, newestFirst, 20);
    }

    private List<String> found(String words) throws IOException {
        return found(wanted(words, Filter.ALL, false));
    }

    private List<String> found(Wanted wanted) throws IOException {
        return index.search(wanted).hits().stream().map(Found.Hit::id).toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "crane",
                "CRANES",
                "Kräne quote",
                "quotes",
                "quoting",
                "quot",
                "inspec",
                "spection",
                "inspektion",
                "tilda",
                "tilda@brandt-cranes.example",
                "brandt-cranes",
                "\"of the crane\"",
                "crane quote nonsenseword",
            })
    void theMailAboutTheCraneIsFound(String words) throws IOException {
        index.put(List.of(
                message("crane", "Quote for the lift", "The inspection of the crane costs 400. Kräne are dear."),
                message("boat", "Slipway", "The boat goes into the water.")));
        assertThat(found(words)).first().isEqualTo("crane");
    }

    @ParameterizedTest
    @CsvSource({"'\"crane the of\"'", "'\"of the cranes\"'", "helicopter", "'\"helicopter\"'"})
    void whatIsQuotedIsExactAndWhatIsNotThereIsNotFound(String words) throws IOException {
        index.put(List.of(message("crane", "Quote", "The inspection of the crane costs 400.")));
        assertThat(found(words)).isEmpty();
    }

    @Test
    void whatIsAsTypedComesWithoutWhatIsOnlySimilar() throws IOException {
        index.put(List.of(message("winch", "Winch", ""), message("wench", "Wrench", "")));
        assertThat(found("winch")).containsExactly("winch");
        Found similar = index.search(wanted("wintch", Filter.ALL, false));
        assertThat(similar.asTyped()).isFalse();
        assertThat(similar.hits()).extracting(Found.Hit::id).containsExactly("winch");
    }

    @Test
    void aTitleWeighsMoreThanATextAndNewMoreThanOld() throws IOException {
        index.put(List.of(
                message("text", "Other", "about the crane and much else besides"),
                message("title", "Crane", "about something and much else besides"),
                message("old", "Crane", "about something and much else besides", NOW.minus(Duration.ofDays(400)))));
        assertThat(found("crane")).containsExactly("title", "old", "text");
        assertThat(found(wanted("crane", Filter.ALL, true))).endsWith("old");
    }

    @Test
    void putAgainItStandsInItsOwnPlaceAndTakenOutNowhere() throws IOException {
        index.put(List.of(message("a", "Winch", "")));
        index.put(List.of(message("a", "Slipway", "")));
        assertThat(found("winch")).isEmpty();
        assertThat(found("slipway")).containsExactly("a");
        index.remove(Kind.MESSAGE, "a");
        assertThat(found("slipway")).isEmpty();
        assertThat(found("")).isEmpty();
    }

    @Test
    void chipsNarrowAndAreCounted() throws IOException {
        UUID message = new UUID(9, 9);
        Entry followUp = EntryBuilder.builder()
                .kind(Kind.FOLLOW_UP)
                .id(new UUID(1, 1).toString())
                .title("Send the crane quote")
                .text("")
                .kept("")
                .people(List.of(new Party("Bob", "")))
                .at(NOW)
                .categoryId(CRANE)
                .standing(Standing.OPEN)
                .linked(true)
                .links(Set.of(message))
                .build();
        index.put(List.of(
                followUp, message("m", "Crane", ""), message("n", "Crane", "", NOW.minus(Duration.ofDays(40)))));
        Found all = index.search(wanted("crane", Filter.ALL, false));
        assertThat(all.total()).isEqualTo(3);
        assertThat(all.chips().kinds()).containsExactly(new Found.Chip("MESSAGE", 2), new Found.Chip("FOLLOW_UP", 1));
        assertThat(all.chips().people()).containsExactly(new Found.Chip(TILDA.address(), 2));
        assertThat(all.chips().categories()).containsExactly(new Found.Chip(CRANE.toString(), 1));
        assertThat(found(wanted(
                        "crane",
                        new Filter(Kind.FOLLOW_UP, null, CRANE, null, null, Standing.OPEN, null, null, null, true),
                        false)))
                .containsExactly(followUp.id());
        LocalDate day = LocalDate.of(2026, 3, 1);
        assertThat(found(wanted("crane", new Filter(null, null, null, null, null, null, day, day, null, null), false)))
                .containsExactly("m");
        assertThat(index.count(wanted(
                        "",
                        new Filter(null, "TILDA@brandt-cranes.example", null, null, null, null, null, null, null, null),
                        false)))
                .isEqualTo(2);
        assertThat(index.links(new UUID(1, 1))).containsExactly(message);
    }

    @Test
    void aFileIsFoundByTheTextThatIsKeptOfIt() throws IOException {
        UUID message = new UUID(5, 5);
        String id = message + ":1";
        index.put(List.of(file(id, "")));
        assertThat(found("certificate.html")).containsExactly(id);
        assertThat(found("\"the gantry\"")).isEmpty();
        index.put(List.of(file(id, "Certificate of the gantry")));
        assertThat(found("\"the gantry\"")).containsExactly(id);
        assertThat(index.kept(Kind.FILE, id)).isEqualTo("Certificate of the gantry");
        assertThat(index.hasFilesOf(message)).isTrue();
        index.removeFilesOf(message);
        assertThat(found("certificate.html")).isEmpty();
    }

    private static Entry file(String id, String text) {
        return EntryBuilder.builder()
                .kind(Kind.FILE)
                .id(id)
                .title("certificate.html")
                .text("")
                .kept(text)
                .people(List.of(TILDA))
                .at(NOW)
                .withFile(true)
                .links(Set.of())
                .build();
    }

    @Test
    void whatWasCommittedIsThereWhenItIsOpenedAgain() throws IOException {
        Path place = folder.resolve("a");
        try (OwnerIndex first = OwnerIndex.in(place)) {
            assertThat(first.isFresh()).isTrue();
            first.put(List.of(message("a", "Crane", "")));
            first.commit();
        }
        try (OwnerIndex again = OwnerIndex.in(place)) {
            assertThat(again.isFresh()).isFalse();
            assertThat(again.isBroken()).isFalse();
            assertThat(again.size()).isEqualTo(1);
            again.close();
            assertThat(again.isBroken()).isTrue();
        }
    }

    @Test
    void ofWhatWasTakenOutNoWordIsLeftInTheFiles() throws IOException {
        Path place = folder.resolve("c");
        try (OwnerIndex filled = OwnerIndex.in(place)) {
            List<Entry> many = new ArrayList<>(List.of(message("secret", "Zeppelin", "the airship lands")));
            for (int i = 0; i < 40; i++) {
                many.add(message("b" + i, "Boat", ""));
            }
            filled.put(many);
            filled.commit();
            filled.remove(Kind.MESSAGE, "secret");
            filled.commit();
            assertThat(words(place)).as("not found, and still there").contains("zeppelin");
            filled.purge();
            assertThat(words(place)).contains("boat").doesNotContain("zeppelin", "airship");
        }
    }

    private static Set<String> words(Path place) throws IOException {
        try (DirectoryReader reader = DirectoryReader.open(FSDirectory.open(place))) {
            return Set.copyOf(Vocabulary.of(reader).words());
        }
    }

    @Test
    void aDamagedIndexIsMadeAnew() throws IOException {
        Path place = folder.resolve("b");
        try (OwnerIndex first = OwnerIndex.in(place)) {
            first.put(List.of(message("a", "Crane", "")));
        }
        try (var files = Files.list(place)) {
            for (Path each : files.filter(file -> file.getFileName().toString().startsWith("segments"))
                    .toList()) {
                Files.writeString(each, "nonsense");
            }
        }
        try (OwnerIndex again = OwnerIndex.in(place)) {
            assertThat(again.isFresh()).isTrue();
            assertThat(again.size()).isZero();
        }
    }

    @Test
    void theSentenceAroundTheWordsIsShown() {
        Snippet snippet = new Snippets("cranes quoted", Map.of())
                .of("Hello Ines.\nThe boat is fine.\nCould you send\nthe quote for the crane? Thank you.");
        assertThat(snippet.text()).isEqualTo("Could you send the quote for the crane?");
        assertThat(snippet.hits().stream().map(hit -> snippet.text().substring(hit.from(), hit.to())))
                .containsExactly("quote", "crane");
        assertThat(new Snippets("cranes", Map.of()).of("Nothing of that.").text())
                .isEmpty();
        assertThat(new Snippets("\"the crane", Map.of()).of("It is the crane.").hits())
                .isNotEmpty();
    }
}
