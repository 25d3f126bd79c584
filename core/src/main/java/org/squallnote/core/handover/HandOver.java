package org.squallnote.core.handover;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A message that was handed over by mail. It belongs to two, each of whom can do their part.
 *
 * @param identity the Message-ID of the mail that hands it over, by which its taker is asked
 * @param giver the account that handed it over
 * @param giverMessage the giver's message
 * @param takerAddress to which address it went, lower case
 * @param takerName their name, empty where only the address is known
 * @param word what the taker said last: why not, or what came of it
 * @param changedAt when it came into its state
 * @param wantedDay by when the giver wants it
 * @param theirDay by when the taker means to do it
 * @param followUp the taker's follow-up for it
 * @param parent the hand-over that this one hands on
 * @param untold who of the two has not been told of its state
 */
@RecordBuilder
public record HandOver(
        String identity,
        UUID giver,
        UUID giverMessage,
        String takerAddress,
        String takerName,
        State state,
        String word,
        Instant offeredAt,
        Instant changedAt,
        @Nullable LocalDate wantedDay,
        @Nullable LocalDate theirDay,
        @Nullable UUID followUp,
        @Nullable String parent,
        Side untold) {

    private static final String IDENTITY = "over.";

    /** What became of it. */
    public enum State {
        OFFERED,
        SEEN,
        ACCEPTED,
        WORKING,
        /** The taker has given it to somebody else, and waits for them. */
        HANDED_ON,
        DONE,
        DECLINED,
        TAKEN_BACK;

        /** Whether something is still to come of it. */
        public boolean isOpen() {
            return compareTo(DONE) < 0;
        }
    }

    /** Whose part it is. */
    public enum Side {
        GIVER,
        TAKER,
        NOBODY
    }

    private static final Map<State, Set<State>> BY_TAKER = Map.of(
            State.OFFERED, EnumSet.of(State.SEEN, State.ACCEPTED, State.DECLINED, State.HANDED_ON, State.DONE),
            State.SEEN, EnumSet.of(State.ACCEPTED, State.DECLINED, State.HANDED_ON, State.DONE),
            State.ACCEPTED, EnumSet.of(State.WORKING, State.DONE, State.DECLINED, State.HANDED_ON),
            State.WORKING, EnumSet.of(State.ACCEPTED, State.DONE, State.DECLINED, State.HANDED_ON),
            State.HANDED_ON, EnumSet.of(State.ACCEPTED, State.DONE, State.DECLINED));

    /** The Message-ID of a mail that hands something over begins so. */
    public static String identity(String rest) {
        return IDENTITY + rest;
    }

    /** Whether a mail of mine hands something over. */
    public static boolean isHandOver(String messageId) {
        return messageId.startsWith(IDENTITY);
    }

    /** Whether one of the two can bring it into another state now. */
    public boolean allows(State next, Side by) {
        return switch (by) {
            case TAKER -> BY_TAKER.getOrDefault(state, Set.of()).contains(next);
            case GIVER -> state.isOpen() && next == State.TAKEN_BACK;
            case NOBODY -> false;
        };
    }

    /**
     * The same in another state, of which the other side has to be told.
     *
     * @throws IllegalStateException when that side cannot bring it there
     */
    public HandOver to(State next, Side by, String said, Instant at) {
        if (!allows(next, by)) {
            throw new IllegalStateException(
                    state.isOpen()
                            ? "That cannot be said of it now. Nothing was changed."
                            : "It has ended already. Nothing was changed.");
        }
        return in(next, said, at, by == Side.TAKER ? Side.GIVER : Side.TAKER);
    }

    /** The same in a state that it had before, for what is taken back. */
    public HandOver backTo(State before, String said, Instant at) {
        return in(before, said, at, Side.GIVER);
    }

    private HandOver in(State next, String said, Instant at, Side toTell) {
        return HandOverBuilder.builder(this)
                .state(next)
                .word(said.strip())
                .changedAt(at)
                .untold(toTell)
                .build();
    }

    /** The same with the taker's day and follow-up. */
    public HandOver taken(@Nullable LocalDate day, @Nullable UUID theirFollowUp) {
        return HandOverBuilder.builder(this)
                .theirDay(day)
                .followUp(theirFollowUp)
                .build();
    }

    /** Whether the taker means to do it later than it is wanted. */
    public boolean isLaterThanWanted() {
        return wantedDay != null && theirDay != null && theirDay.isAfter(wantedDay);
    }

    /** The taker as people name them. */
    public String taker() {
        return takerName.isEmpty() ? takerAddress : takerName;
    }
}
