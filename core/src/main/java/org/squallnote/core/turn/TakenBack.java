package org.squallnote.core.turn;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.turn.Debt.Reason;
import org.squallnote.core.turn.TurnState.Paused;

/** What somebody takes back of what they asked me. */
final class TakenBack {

    private static final int SHORTEST_TELLING_WORD = 4;

    private final Earlier earlier;
    private final List<Debt> debts;
    private final List<Paused> paused;

    /** It changes these lists. */
    TakenBack(Earlier earlier, List<Debt> debts, List<Paused> paused) {
        this.earlier = earlier;
        this.debts = debts;
        this.paused = paused;
    }

    /**
     * Incoming 6: what they asked, and my promise about it; "my last message" only what that one asked, and so what only
     * tells that it is there, unless it names it.
     */
    void by(TurnEvent event) {
        String about = about(event.facts());
        Set<UUID> theirs = new HashSet<>();
        for (Debt debt : debts) {
            if (debt.to().isSameAs(event.from()) && debt.reason() != Reason.BOUNCED) {
                theirs.add(debt.messageId());
            }
        }
        UUID last = theirs.stream()
                .flatMap(id -> earlier.message(id).stream())
                .filter(one -> one.from().isSameAs(event.from()))
                .max(TurnEvent.IN_SENT_ORDER)
                .map(TurnEvent::messageId)
                .orElse(event.messageId());
        boolean lastOnly = event.facts().withdraws()
                ? event.facts().withdrawsLastOnly()
                : mentioned(theirs, about).isEmpty();
        if (!lastOnly && takesBackAPart(event)) {
            return;
        }
        Set<UUID> meant = new HashSet<>(theirs);
        if (lastOnly && theirs.contains(last)) {
            meant.retainAll(Set.of(last));
        } else {
            Set<UUID> named = mentioned(theirs, about);
            if (!named.isEmpty()) {
                meant = named;
            } else if (isAnotherThing(about)) {
                return;
            }
        }
        Set<UUID> gone = meant;
        boolean all = gone.containsAll(theirs);
        debts.removeIf(debt -> debt.to().isSameAs(event.from())
                && debt.reason() != Reason.BOUNCED
                && (gone.contains(debt.messageId()) || all));
        paused.removeIf(rest -> rest.debt().to().isSameAs(event.from()));
    }

    /** What it says of the thing that is not needed any more, or is there. */
    private static String about(Facts facts) {
        return facts.withdraws() ? facts.withdrawsAbout() : facts.thingThere();
    }

    /** "Don't worry about the spelling", to whom was asked for a list. */
    private static boolean isAnotherThing(String about) {
        return about.startsWith("the ") && !tellingWords(about).isEmpty();
    }

    /** Whether what is said names something that was asked for: "got the list", behind "could you send the list?". */
    static boolean speakOfTheSame(String said, String ask) {
        Set<String> words = tellingWords(said);
        return tellingWords(ask).stream().anyMatch(words::contains);
    }

    /** "Forget the pump": of a message that asked for the pump and for the code the code is still owed. */
    private boolean takesBackAPart(TurnEvent event) {
        Set<String> words = tellingWords(about(event.facts()));
        for (int i = 0; i < debts.size(); i++) {
            Debt debt = debts.get(i);
            List<String> asks = asksOf(debt);
            List<String> left = asks.stream()
                    .filter(ask -> tellingWords(ask).stream().noneMatch(words::contains))
                    .toList();
            if (debt.to().isSameAs(event.from()) && !left.isEmpty() && left.size() < asks.size()) {
                debts.set(i, DebtBuilder.builder(debt).what(left.get(0)).build());
                return true;
            }
        }
        return false;
    }

    /** What a message asks that has not been taken back before. */
    private List<String> asksOf(Debt debt) {
        List<String> asks = new ArrayList<>(List.of(debt.what()));
        earlier.message(debt.messageId())
                .ifPresent(asked -> asks.addAll(asked.facts().besides()));
        Set<String> gone = new HashSet<>();
        for (TurnEvent one : earlier.recent()) {
            if (one.from().isSameAs(debt.to())) {
                gone.addAll(tellingWords(about(one.facts())));
            }
        }
        return asks.stream()
                .distinct()
                .filter(ask -> tellingWords(ask).stream().noneMatch(gone::contains))
                .toList();
    }

    private Set<UUID> mentioned(Set<UUID> ids, String about) {
        Set<String> words = tellingWords(about);
        Set<UUID> named = new HashSet<>();
        for (Debt debt : debts) {
            if (ids.contains(debt.messageId())
                    && tellingWords(debt.what()).stream().anyMatch(words::contains)) {
                named.add(debt.messageId());
            }
        }
        return named;
    }

    private static Set<String> tellingWords(String text) {
        Set<String> words = new HashSet<>();
        for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
            if (word.length() >= SHORTEST_TELLING_WORD) {
                words.add(word);
            }
        }
        words.removeAll(Set.of(
                "could",
                "would",
                "please",
                "that",
                "this",
                "what",
                "with",
                "your",
                "have",
                "send",
                "from",
                "about",
                "message",
                "just",
                "asked",
                "need",
                "needed",
                "longer",
                "forward",
                "forwarded"));
        return words;
    }
}
