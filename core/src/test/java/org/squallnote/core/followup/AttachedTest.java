package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.message.Party;

/** Addresses and other follow-ups that belong to one, and what is held back by them. */
class AttachedTest {

    private static final UUID A = new UUID(0, 1);
    private static final UUID B = new UUID(0, 2);
    private static final UUID C = new UUID(0, 3);
    private static final Instant NOW = Instant.parse("2026-03-04T10:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 4);

    private static Relation first(UUID held, UUID needed) {
        return new Relation(UUID.randomUUID(), held, needed, Relation.Kind.NEEDED_FIRST);
    }

    @Test
    void nothingIsNeededBeforeItself() {
        List<Relation> all = List.of(first(A, B), first(B, C));
        assertThat(Relation.circles(all, C, A)).isTrue();
        assertThat(Relation.circles(all, A, A)).isTrue();
        assertThat(Relation.circles(all, A, C)).isFalse();
        assertThat(Relation.circles(List.of(first(A, B), new Relation(C, B, C, Relation.Kind.TOGETHER)), C, A))
                .as("what only belongs together holds nothing back")
                .isFalse();
    }

    @Test
    void whatNeedsAnotherIsHeldBackUntilTheLastOfThemHasEnded() {
        Waiting held = Waiting.needing(null, List.of(A, B), "", TODAY, NOW);
        assertThat(held.needed()).containsExactly(A, B);
        assertThat(held.isOver(TODAY)).isFalse();
        Waiting still = Waiting.needing(held, List.of(B), "Order the chain", TODAY, NOW);
        assertThat(still.isOver(TODAY)).isFalse();
        Waiting back = Waiting.needing(still, List.of(), "Order the rope", TODAY, NOW);
        assertThat(back.isOver(TODAY)).isTrue();
        assertThat(back.come().words()).isEqualTo("Order the rope");
        assertThat(Waiting.needing(back, List.of(A), "", TODAY, NOW).isOver(TODAY))
                .as("opened again")
                .isFalse();
    }

    @Test
    void whatElseItWaitsForStays() {
        Waiting tilda = new Waiting(new Party("Tilda", "t@x.example"), null, null, NOW, null, null);
        Waiting both = Waiting.needing(tilda, List.of(A), "", TODAY, NOW);
        assertThat(both.person()).isEqualTo(tilda.person());
        assertThat(Waiting.needing(both, List.of(), "done", TODAY, NOW)).isEqualTo(tilda);
        assertThat(Waiting.needing(tilda, List.of(), "", TODAY, NOW)).isEqualTo(tilda);
        assertThat(Waiting.needing(null, List.of(), "", TODAY, NOW)).isNull();
        assertThat(tilda.heldBackAs(both).needed()).containsExactly(A);
    }

    @ParameterizedTest
    @CsvSource({
        "https://quay.example/berths,, https://quay.example/berths, quay.example/berths",
        "quay.example,, https://quay.example, quay.example",
        "quay.example:8443/a,The plan, https://quay.example:8443/a, The plan",
        "mailto:otto@x.example,, mailto:otto@x.example, otto@x.example",
        "tel:+44123,Otto, tel:+44123, Otto"
    })
    void anAddressIsTakenAsItWasMeant(String typed, String title, String url, String shown) {
        WebLink link = WebLink.typed(A, B, typed, title == null ? "" : title);
        assertThat(link.url()).isEqualTo(url);
        assertThat(link.title()).isEqualTo(shown);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "javascript:alert(1)",
                "data:text/html,x",
                "file:///etc/passwd",
                "https://",
                "not here",
                "https://a:b@x.example"
            })
    void whatNoBrowserShouldOpenIsRefused(String typed) {
        assertThatThrownBy(() -> WebLink.typed(A, B, typed, "x")).isInstanceOf(IllegalArgumentException.class);
    }

    /** A person's word, a day that has come, being put off: none of them lets go what still needs another one first. */
    @Test
    void nothingElseLetsGoWhatNeedsAnotherFirst() {
        Waiting held = Waiting.needing(
                new Waiting(new Party("Tilda", "t@x.example"), null, TODAY, NOW, null, null),
                List.of(A),
                "",
                TODAY.minusDays(1),
                NOW);
        assertThat(held.isOver(TODAY.plusDays(3))).isFalse();
        Waiting afterHerWord = held.ended(B, "Tilda", "Here it is", NOW.plusSeconds(60));
        assertThat(afterHerWord.isOver(TODAY)).isFalse();
        assertThat(afterHerWord.person()).isNull();
        assertThat(Waiting.needing(held, List.of(), "done", TODAY.plusDays(3), NOW)
                        .isOver(TODAY.plusDays(3)))
                .as("its day had come meanwhile")
                .isTrue();
        FollowUp followUp = FollowUp.made(
                        C,
                        A,
                        new Content("Lay the mooring", null, null, false, null, null, null, false, null),
                        Optional.empty(),
                        NOW)
                .waitingFor(afterHerWord)
                .startingOn(TODAY.plusDays(1));
        assertThat(followUp.isWaiting(TODAY.plusDays(1))).isTrue();
    }

    @Test
    void aLongAddressWithoutATitleIsCalledByItsBeginning() {
        assertThat(WebLink.typed(A, B, "https://x.example/" + "a".repeat(1500), "")
                        .title())
                .hasSize(300);
    }
}
