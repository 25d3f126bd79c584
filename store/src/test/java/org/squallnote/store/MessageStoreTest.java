package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.intake.IntakeCount;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.message.ChatChange;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.LinkRow;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Place;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.ReadingSummary;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;

class MessageStoreTest extends StoreTest {

    private final UUID thread = UUID.randomUUID();

    @Test
    void aMessageIsFoundByItsIdentityAndByNobodyElse() {
        StoredMessage message = insertMail("a@x", thread, 1, Decision.UNDECIDED);
        assertThat(messages.idOf(owner, message.identity())).contains(message.id());
        assertThat(messages.byId(owner, message.id())).contains(message);
        assertThat(messages.idOf(stranger, message.identity())).isEmpty();
        assertThat(messages.byId(stranger, message.id())).isEmpty();
        assertThat(messages.byIds(stranger, List.of(message.id()))).isEmpty();
    }

    @Test
    void whatIsWantedFirstComesFirstAndTheCutIsMadeThere() {
        StoredMessage late = insertMail("late@x", thread, 1, Decision.UNDECIDED);
        StoredMessage soon = insertMail("soon@x", thread, 2, Decision.UNDECIDED);
        StoredMessage some = insertMail("some@x", thread, 3, Decision.UNDECIDED);
        found(late, DAY.plusDays(9).atStartOfDay());
        found(soon, DAY.atTime(9, 0));
        assertThat(messages.intakeByWanted(owner, Heap.ASKS_YOU, DAY, 2))
                .extracting(IntakeRow::id)
                .containsExactly(soon.id(), late.id());
        assertThat(messages.intakeByWanted(owner, Heap.ASKS_YOU, DAY, 9))
                .extracting(IntakeRow::id)
                .containsExactly(soon.id(), late.id(), some.id());
        assertThat(messages.intakeByWanted(stranger, Heap.ASKS_YOU, DAY, 9)).isEmpty();
    }

    private void found(StoredMessage message, LocalDateTime wantedBy) {
        messages.found(
                owner,
                message.id(),
                new ReadingSummary(Nature.PERSON, true, "Could you?", wantedBy.toLocalDate(), null, false, wantedBy));
    }

    @Test
    void whatIsPutOffIsAwayUntilItsDay() {
        StoredMessage message = insertMail("p@x", thread, 1, Decision.UNDECIDED);
        messages.putOff(owner, message.id(), DAY.plusDays(2));
        assertThat(messages.intake(owner, Heap.ASKS_YOU, DAY.plusDays(1), 9)).isEmpty();
        assertThat(messages.putOffBeyond(owner, DAY.plusDays(1)))
                .extracting(IntakeRow::id)
                .containsExactly(message.id());
        assertThat(messages.intake(owner, Heap.ASKS_YOU, DAY.plusDays(2), 9)).hasSize(1);
        assertThat(messages.intakeCounts(owner, DAY.plusDays(2)))
                .extracting(IntakeCount::count)
                .containsExactly(1);
        messages.decide(owner, message.id(), Decision.NOTHING, CLOCK_CHANGE);
        assertThat(messages.byId(owner, message.id()).orElseThrow().putOffUntil())
                .isNull();
        assertThat(messages.intakeCounts(owner, DAY.plusDays(2))).isEmpty();
    }

    @Test
    void anotherAccountDecidesNothing() {
        StoredMessage message = insertMail("o@x", thread, 1, Decision.UNDECIDED);
        assertThat(messages.decide(stranger, message.id(), Decision.NOTHING, CLOCK_CHANGE))
                .isZero();
        assertThat(messages.putOff(stranger, message.id(), DAY)).isZero();
        assertThat(messages.correct(stranger, message.id(), null)).isZero();
        assertThat(messages.remove(stranger, message)).isZero();
        assertThat(messages.byId(owner, message.id())).contains(message);
    }

    @Test
    void whatItsWriterHasRemovedSaysAndAsksNothing() {
        StoredMessage message = insertMail("r@x", thread, 1, Decision.UNDECIDED);
        messages.remove(owner, message);
        assertThat(messages.edit(owner, message.id(), "again", "again")).isZero();
        StoredMessage now = messages.byId(owner, message.id()).orElseThrow();
        assertThat(now.body()).isEmpty();
        assertThat(now.asksMe()).isFalse();
        assertThat(now.removed()).isTrue();
    }

    @Test
    void aThreadComesInTheOrderSent() {
        insertMail("second@x", thread, 20, Decision.UNDECIDED);
        insertMail("first@x", thread, 10, Decision.UNDECIDED);
        insertMail("elsewhere@x", UUID.randomUUID(), 5, Decision.UNDECIDED);
        assertThat(messages.inThread(owner, thread))
                .extracting(StoredMessage::messageId)
                .containsExactly("first@x", "second@x");
        assertThat(messages.threadingInThread(owner, thread))
                .extracting(ThreadingRow::messageId)
                .containsExactly("first@x", "second@x");
        assertThat(messages.undecidedInThread(owner, thread, CLOCK_CHANGE.plusSeconds(15)))
                .extracting(StoredMessage::messageId)
                .containsExactly("first@x");
        assertThat(messages.inThread(stranger, thread)).isEmpty();
    }

    @Test
    void componentsAreJoinedWithTheirLinks() {
        UUID other = UUID.randomUUID();
        insertMail("one@x", thread, 1, Decision.UNDECIDED);
        messages.insertLink(owner, "one@x", thread);
        messages.insertLink(owner, "two@x", other);
        messages.moveLinks(owner, other, thread);
        messages.moveComponent(owner, thread, other);
        assertThat(messages.links(owner, List.of("two@x", "unknown@x"))).containsExactly(new LinkRow("two@x", thread));
        assertThat(messages.links(stranger, List.of("two@x"))).isEmpty();
        assertThat(messages.inComponent(owner, other)).hasSize(1);
        assertThat(messages.aThreadOf(owner, other)).contains(thread);
        assertThat(messages.aThreadOf(owner, thread)).isEmpty();
        assertThat(messages.components(owner)).containsExactly(other);
    }

    @Test
    void aReplyWithoutReferencesWaitsForWhatItAnswers() {
        UUID reply = UUID.randomUUID();
        insertMail("re@x", reply, 50, Decision.UNDECIDED, "Re: Crane", Direction.INCOMING, List.of());
        insertMail(
                "with@x", UUID.randomUUID(), 50, Decision.UNDECIDED, "Re: Crane", Direction.INCOMING, List.of("a@x"));
        insertMail("first@x", UUID.randomUUID(), 50, Decision.UNDECIDED, "Crane", Direction.INCOMING, List.of());
        assertThat(messages.componentsOfUnlinkedReplies(
                        owner, "crane", CLOCK_CHANGE, CLOCK_CHANGE.plus(Duration.ofDays(1))))
                .containsExactly(reply);
        assertThat(messages.componentsBySubject(owner, "crane", CLOCK_CHANGE, CLOCK_CHANGE.plusSeconds(50)))
                .hasSize(3);
        assertThat(messages.componentsBySubject(owner, "crane", CLOCK_CHANGE, CLOCK_CHANGE.plusSeconds(49)))
                .isEmpty();
    }

    @Test
    void subjectsThatDifferInTheirNumbersAreAlike() {
        insertMail("n1@x", thread, 1, Decision.UNDECIDED, "Backup 12 done", Direction.INCOMING, List.of());
        insertMail("n2@x", thread, 2, Decision.UNDECIDED, "Backup 9 done", Direction.INCOMING, List.of());
        insertMail("n3@x", thread, 3, Decision.UNDECIDED, "Backup failed", Direction.INCOMING, List.of());
        assertThat(messages.undecidedLike(owner, "backup # done"))
                .extracting(StoredMessage::messageId)
                .containsExactly("n2@x", "n1@x");
    }

    @Test
    void placesFollowAMessageAndGoWithTheirNumbering() {
        StoredMessage message = insertMail("pl@x", thread, 1, Decision.UNDECIDED);
        messages.savePlace(owner, new Place(source, "INBOX", 1, 5, message.id()));
        messages.savePlace(owner, new Place(source, "INBOX", 1, 5, message.id()));
        messages.savePlace(owner, new Place(source, "Archive", 1, 2, message.id()));
        assertThat(messages.uids(owner, source, "INBOX", 1)).containsExactly(5L);
        messages.deleteOutdatedPlaces(stranger, source, "Archive", 9);
        assertThat(messages.places(owner, message.id())).hasSize(2);
        messages.deleteOutdatedPlaces(owner, source, "INBOX", 2);
        assertThat(messages.places(owner, message.id()))
                .extracting(Place::folder)
                .containsExactly("Archive");
    }

    @Test
    void changesOfAnEventComeInTheOrderInWhichTheyWereMade() {
        messages.saveChange(owner, new ChatChange("$2", "$0", "@t:x", false, "second", CLOCK_CHANGE.plusSeconds(2)));
        messages.saveChange(owner, new ChatChange("$1", "$0", "@t:x", false, "first", CLOCK_CHANGE.plusSeconds(1)));
        assertThat(messages.changesOf(owner, "$0")).extracting(ChatChange::body).containsExactly("first", "second");
        assertThat(messages.changesOf(stranger, "$0")).isEmpty();
    }

    @Test
    void aReactionBelongsToTheThreadOfItsTarget() {
        insertMail("$target", thread, 1, Decision.UNDECIDED);
        messages.saveReaction(owner, new Reaction("$r", "$target", "@t:x", "ok", CLOCK_CHANGE));
        assertThat(messages.reactionsInThread(owner, thread)).hasSize(1);
        assertThat(messages.reaction(stranger, "$r")).isEmpty();
        assertThat(messages.deleteReaction(owner, "$r")).isEqualTo(1);
        assertThat(messages.reactionsInThread(owner, thread)).isEmpty();
    }

    @Test
    void writersAreThoseWhoWroteToMe() {
        insertMail("w1@x", thread, 1, Decision.UNDECIDED);
        insertMail("w2@x", thread, 2, Decision.NOT_ASKED, "x", Direction.OUTGOING, List.of());
        assertThat(messages.writersSince(owner, CLOCK_CHANGE)).containsExactly(TILDA);
        assertThat(messages.writersSince(owner, CLOCK_CHANGE.plusSeconds(1))).isEmpty();
        assertThat(messages.namesAt(owner, "%@brandt-cranes.example")).containsExactly(TILDA.name());
        assertThat(messages.hasEarlierFrom(owner, TILDA.address(), CLOCK_CHANGE.plusSeconds(1)))
                .isFalse();
        assertThat(messages.hasEarlierFrom(owner, TILDA.address(), CLOCK_CHANGE.plusSeconds(2)))
                .isTrue();
        assertThat(messages.countMine(owner, "w2@x")).isEqualTo(1);
        assertThat(messages.countMine(owner, "w1@x")).isZero();
    }
}
