package org.squallnote.core.turn;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.squallnote.core.message.Nature;

/**
 * The messages of one thread in sent order with the state after each. Not safe for use by several threads of execution.
 */
public final class TurnFold {

    private final List<TurnEvent> events = new ArrayList<>();
    private final List<TurnState> states = new ArrayList<>();
    private final Map<UUID, TurnEvent> byId = new HashMap<>();

    /** The reactions that were taken back, by the events that did. */
    private final Map<UUID, UUID> takenBack = new HashMap<>();

    private final Map<UUID, AnswerWord> words;

    /** Nothing was said by hand of any message. */
    public TurnFold() {
        this(List.of());
    }

    /** @param words what was said by hand of messages that counted as answers */
    public TurnFold(Collection<AnswerWord> words) {
        this.words = words.stream()
                .filter(word -> word.kind() != AnswerWord.Kind.ANSWER)
                .collect(Collectors.toMap(AnswerWord::messageId, Function.identity()));
    }

    /** The fold over some messages, in whatever order they are given. */
    public static TurnFold over(Collection<TurnEvent> messages) {
        return over(messages, List.of());
    }

    /** The same where something was said by hand of some of them. */
    public static TurnFold over(Collection<TurnEvent> messages, Collection<AnswerWord> words) {
        TurnFold fold = new TurnFold(words);
        List<TurnEvent> sorted = new ArrayList<>(messages);
        sorted.sort(TurnEvent.IN_SENT_ORDER);
        sorted.forEach(fold::add);
        return fold;
    }

    /** Takes one message in; one that was sent last costs one step, an older one the steps after it too. */
    public void add(TurnEvent event) {
        int at = events.size();
        while (at > 0 && TurnEvent.IN_SENT_ORDER.compare(events.get(at - 1), event) > 0) {
            at--;
        }
        events.add(at, event);
        byId.put(event.messageId(), event);
        while (states.size() > at) {
            states.remove(states.size() - 1);
        }
        events.subList(at, events.size()).forEach(later -> takenBack.remove(later.messageId()));
        for (int i = at; i < events.size(); i++) {
            TurnState before = i == 0 ? TurnState.START : states.get(i - 1);
            Optional<TurnEvent> taken = takenBackBy(i);
            states.add(
                    taken.isPresent()
                            ? without(taken.get(), i)
                            : step(i, before).after(events.get(i)));
        }
    }

    private TurnStep step(int index, TurnState before) {
        return new TurnStep(new Earlier(events.subList(0, index), byId, words), before);
    }

    /** The reaction that an event takes back, where that was seen before it. */
    private Optional<TurnEvent> takenBackBy(int index) {
        TurnEvent event = events.get(index);
        if (event.takenBack().isEmpty()) {
            return Optional.empty();
        }
        Set<UUID> gone = goneBefore(index);
        for (int i = index - 1; i >= 0; i--) {
            TurnEvent earlier = events.get(i);
            if (earlier.reaction()
                    && earlier.takenBack().isEmpty()
                    && !gone.contains(earlier.messageId())
                    && earlier.from().isSameAs(event.from())
                    && earlier.answers().equals(event.answers())) {
                return Optional.of(earlier);
            }
        }
        return Optional.empty();
    }

    private Set<UUID> goneBefore(int index) {
        Set<UUID> gone = new HashSet<>();
        for (int i = 0; i < index && !takenBack.isEmpty(); i++) {
            Optional.ofNullable(takenBack.get(events.get(i).messageId())).ifPresent(gone::add);
        }
        return gone;
    }

    /** As if a reaction had not been. */
    private TurnState without(TurnEvent reaction, int last) {
        takenBack.put(events.get(last).messageId(), reaction.messageId());
        Set<UUID> gone = goneBefore(last + 1);
        TurnState state = TurnState.START;
        for (int i = 0; i <= last; i++) {
            if (!gone.contains(events.get(i).messageId())) {
                state = step(i, state).after(events.get(i));
            }
        }
        return state;
    }

    /** The last thing that somebody wrote, where it is a closing word: thanks, or that the matter is settled. */
    public Optional<TurnEvent> closingWord() {
        for (int i = events.size() - 1; i >= 0; i--) {
            TurnEvent event = events.get(i);
            if (!event.reaction() && event.facts().nature() == Nature.PERSON && !event.reminder()) {
                Facts facts = event.facts();
                boolean closes = facts.thanksOnly() || facts.acknowledges() || facts.solved() || facts.overtaken();
                return closes ? Optional.of(event) : Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** The state after the message at that place in sent order. */
    public TurnState after(int index) {
        return states.get(index);
    }

    /** The messages in sent order. */
    public List<TurnEvent> events() {
        return List.copyOf(events);
    }

    /** The state now, without any decision by hand. */
    public TurnState state() {
        return states.isEmpty() ? TurnState.START : states.get(states.size() - 1);
    }

    /** The state now, with the last decision made by hand, where there is one. */
    public TurnState state(Optional<HandDecision> decision) {
        if (decision.isEmpty()) {
            return state();
        }
        HandDecision hand = decision.get();
        int known = 0;
        while (known < events.size() && !isNewer(events.get(known), hand.lastKnownSentAt())) {
            known++;
        }
        TurnState state =
                HandStep.after(hand, known == 0 ? TurnState.START : states.get(known - 1), events.subList(0, known));
        for (int i = known; i < events.size(); i++) {
            state = HandStep.next(state, step(i, state), events.get(i));
        }
        return state;
    }

    private static boolean isNewer(TurnEvent event, Instant moment) {
        return event.sentAt().isAfter(moment);
    }
}
