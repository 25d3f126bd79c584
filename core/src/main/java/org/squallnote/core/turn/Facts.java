package org.squallnote.core.turn;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.Promise;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.reading.Withdrawal;

/**
 * What a reading means for whose turn it is.
 *
 * @param nature who is behind the message
 * @param asksMe whether it asks me something
 * @param asked addresses of those whom it asks
 * @param askedByName whether they were named
 * @param openToAll whether the first answer from anybody settles it
 * @param what the ask in the writer's words, empty when there is none
 * @param besides what else it asks me that stands for itself, in the writer's words
 * @param asks what each of those asked is asked, in the writer's words, by their address
 * @param askBy the deadline of the ask
 * @param thanksOnly whether it only thanks
 * @param acknowledges whether it thanks or confirms before anything else and asks me nothing
 * @param holding whether it says that an answer will come
 * @param answersLater whether it says so in so many words; a promise in a room is {@code holding} too
 * @param promises whether it promises something to those it is written to
 * @param promisedBy by when
 * @param promised the promise in the writer's words, empty when there is none
 * @param inReturn what it promises for something that it asks for, in the writer's words; empty when there is nothing
 * @param inReturnBy by when
 * @param questionBack whether it holds nothing but questions about what was asked
 * @param solved whether it says that the matter is settled
 * @param withdraws whether it takes an ask back
 * @param withdrawsLastOnly whether it takes back only the last message
 * @param withdrawsAbout the words that say what is no longer needed
 * @param agrees whether it says nothing but yes, willingly
 * @param plans whether it says what happens at a time to come, which {@code promisedBy} is then
 * @param fulfils whether it says that something is done or handed over
 * @param denies whether it says that the writer has or knows nothing of it
 * @param proposes whether it asks whether something else would do
 * @param arrived whether it says that something has come
 * @param opensWithYes whether it says yes before anything else, and besides asks at most
 * @param overtaken whether it says that what was asked for is there already or has fallen away
 * @param thingThere words that say that some thing is there, empty when there are none
 * @param handsTo addresses of those who, as it says, will answer
 * @param returnsOn the day on which somebody away is back
 * @param failedRecipients those whom a bounce names
 */
@RecordBuilder
public record Facts(
        Nature nature,
        boolean asksMe,
        Set<String> asked,
        boolean askedByName,
        boolean openToAll,
        String what,
        List<String> besides,
        Map<String, String> asks,
        Optional<LocalDateTime> askBy,
        boolean thanksOnly,
        boolean acknowledges,
        boolean holding,
        boolean answersLater,
        boolean promises,
        Optional<LocalDateTime> promisedBy,
        String promised,
        String inReturn,
        Optional<LocalDateTime> inReturnBy,
        boolean questionBack,
        boolean solved,
        boolean withdraws,
        boolean withdrawsLastOnly,
        String withdrawsAbout,
        boolean agrees,
        boolean plans,
        boolean fulfils,
        boolean denies,
        boolean proposes,
        boolean arrived,
        boolean opensWithYes,
        boolean overtaken,
        String thingThere,
        Set<String> handsTo,
        Optional<LocalDate> returnsOn,
        List<String> failedRecipients) {

    private static final int LONGEST_WORDS = 300;
    private static final int MOST_ASKED = 30;
    private static final int MOST_BESIDES = 5;

    /** Says nothing: a reaction, or a message whose writer has taken it back. */
    public static final Facts SILENT = FactsBuilder.builder()
            .nature(Nature.PERSON)
            .asked(Set.of())
            .what("")
            .besides(List.of())
            .asks(Map.of())
            .promised("")
            .inReturn("")
            .withdrawsAbout("")
            .thingThere("")
            .handsTo(Set.of())
            .failedRecipients(List.of())
            .build();

    /** Copies the collections. */
    public Facts {
        asked = Set.copyOf(asked);
        besides = List.copyOf(besides);
        asks = Map.copyOf(asks);
        handsTo = Set.copyOf(handsTo);
        failedRecipients = List.copyOf(failedRecipients);
    }

    /** The facts of a message that was read. */
    public static Facts of(Reading reading, Direction direction) {
        boolean outgoing = direction == Direction.OUTGOING;
        List<Ask> asks = outgoing
                ? reading.asks()
                : reading.asks().stream().filter(Ask::ofMe).toList();
        List<Promise> toMe = reading.promises().stream()
                .filter(one -> !one.toSomebodyElse() && !one.forOneself())
                .toList();
        // Of "Will do. You will have it on Monday." the second says by when.
        Optional<Promise> promise = toMe.stream()
                .filter(one -> one.by().isPresent())
                .findFirst()
                .or(() -> toMe.stream().findFirst());
        Optional<Withdrawal> withdrawal = reading.withdrawal();
        String text = reading.words().text();
        // "Will do" in a room and "I'll read it on Sunday" put an answer off, but bind nobody to me who was not asked.
        boolean later = reading.holding()
                || reading.takingUp().leavesIt()
                || reading.promises().stream().anyMatch(one -> one.toNobodyByName() || one.forOneself());
        String what = whatOf(reading, asks);
        return FactsBuilder.builder()
                .nature(reading.nature())
                .asksMe(reading.asksMe())
                .asked(asks.stream().flatMap(ask -> ask.asked().stream()).collect(Collectors.toSet()))
                .askedByName(asks.stream().anyMatch(Ask::named))
                .openToAll(areOpenToAll(asks))
                .what(what)
                .besides(outgoing ? List.of() : besides(asks, what, text))
                .asks(outgoing ? asksOf(asks, text) : Map.of())
                .askBy(reading.replyBy().map(Deadline::end))
                .thanksOnly(reading.thanksOnly())
                .acknowledges(reading.opensWithThanks() && !reading.asksMe() && !reading.holding())
                .holding(later)
                .answersLater(reading.holding() || reading.takingUp().leavesIt())
                .promises(promise.isPresent())
                .promisedBy(promise.flatMap(Promise::by)
                        .map(Deadline::end)
                        .or(() -> reading.takingUp().by()))
                .promised(
                        promise.map(one -> bounded(one.words().foldedIn(text))).orElse(""))
                .inReturn(reading.inReturn()
                        .map(one -> bounded(one.words().foldedIn(text)))
                        .orElse(""))
                .inReturnBy(reading.inReturn().flatMap(Promise::by).map(Deadline::end))
                .questionBack(reading.questionBack())
                .solved(reading.solved())
                .withdraws(withdrawal.isPresent())
                .withdrawsLastOnly(withdrawal.map(Withdrawal::lastMessageOnly).orElse(false))
                .withdrawsAbout(withdrawal
                        .map(one -> bounded(one.about().foldedIn(text)))
                        .orElse(""))
                .agrees(reading.takingUp().agrees())
                .plans(reading.takingUp().plans())
                .fulfils(reading.takingUp().fulfils())
                .denies(reading.takingUp().denies())
                .proposes(reading.takingUp().proposes())
                .arrived(reading.takingUp().arrived())
                .opensWithYes(reading.takingUp().opensWithYes())
                .overtaken(reading.takingUp().overtaken())
                .thingThere(reading.takingUp()
                        .thingThere()
                        .map(span -> bounded(span.foldedIn(text)))
                        .orElse(""))
                .handsTo(reading.takingUp().handsTo())
                .returnsOn(reading.returnsOn())
                .failedRecipients(reading.failedRecipients())
                .build();
    }

    /**
     * Whether it says that something will come, and is not it yet: "sure" and "the post takes it along on Monday" are that
     * where something was to be done, and an answer where something was to be known.
     *
     * @param ask what was asked, in the asker's words
     */
    public boolean putsOff(String ask) {
        return holding || promises || ((agrees || (plans && !solved)) && Wanted.isToBeDone(ask));
    }

    /** Whether it is an answer to something, in its own words. */
    boolean saysSomething() {
        return !thanksOnly && !questionBack && nature == Nature.PERSON && asked.isEmpty();
    }

    /** Whether it answers now, and not later. */
    boolean answersNow() {
        return saysSomething() && !holding && !promises;
    }

    /** Whether it asks something, and nobody in so many words. */
    boolean asksNobodyByName() {
        return asked.isEmpty() && !askedByName && !openToAll && !what.isEmpty();
    }

    /** The same with the user's own word on whether it asks them, which holds against what was read. */
    public Facts asking(boolean me) {
        if (me == asksMe) {
            return this;
        }
        boolean fromProgram = nature == Nature.BULK || nature == Nature.AUTO_REPLY;
        return FactsBuilder.builder(this)
                .nature(me && fromProgram ? Nature.PERSON : nature)
                .asksMe(me)
                .asked(me ? asked : Set.of())
                .askedByName(me && askedByName)
                .openToAll(me && openToAll)
                .what(me ? what : "")
                .besides(me ? besides : List.of())
                .askBy(me ? askBy : Optional.empty())
                .thanksOnly(thanksOnly && !me)
                .acknowledges(acknowledges && !me)
                .questionBack(questionBack && me)
                .build();
    }

    private static String whatOf(Reading reading, List<Ask> asks) {
        String text = reading.words().text();
        return asks.stream()
                // Of "I'd need the date. When shall we begin?" the question says what is to be answered.
                .filter(ask -> !reading.questionBack() || ask.kind() == Ask.Kind.QUESTION)
                .map(ask -> bounded(ask.sentence().foldedIn(text)))
                // "Please do book it. When may we arrive?" wants something back.
                .filter(words -> !Wanted.isInstruction(words))
                .findFirst()
                .or(() -> asks.stream()
                        .findFirst()
                        .map(ask -> bounded(ask.sentence().foldedIn(text))))
                .orElse("");
    }

    /** "I need it by Friday" goes with the ask before it. */
    private static List<String> besides(List<Ask> asks, String what, String text) {
        return asks.stream()
                .map(ask -> bounded(ask.sentence().foldedIn(text)))
                .distinct()
                .filter(words -> !words.equals(what) && !Wanted.isAboutTheSame(words))
                .limit(MOST_BESIDES)
                .toList();
    }

    /** The first thing that each is asked, of a sensible number of people. */
    private static Map<String, String> asksOf(List<Ask> asks, String text) {
        Map<String, String> found = new HashMap<>();
        for (Ask ask : asks) {
            for (String address : ask.asked()) {
                if (found.size() < MOST_ASKED) {
                    found.putIfAbsent(address, bounded(ask.sentence().foldedIn(text)));
                }
            }
        }
        return found;
    }

    /** What somebody is asked. */
    String asked(Party party) {
        return asks.getOrDefault(party.address(), what);
    }

    /** "We're short of cars. Could either of you take three?": what is needed is asked of whoever does it. */
    private static boolean areOpenToAll(List<Ask> asks) {
        return asks.stream().anyMatch(Ask::openToAll)
                && asks.stream()
                        .allMatch(ask -> ask.openToAll()
                                || (ask.kind() == Ask.Kind.NEED && ask.asked().size() > 1));
    }

    private static String bounded(String words) {
        return words.length() > LONGEST_WORDS ? words.substring(0, LONGEST_WORDS) : words;
    }
}
