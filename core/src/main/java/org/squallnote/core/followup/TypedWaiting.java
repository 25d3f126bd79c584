package org.squallnote.core.followup;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.message.Party;

/** What a follow-up is to wait for, as it is typed: "until Bob has answered, at the latest Monday", "the thread", "fri". */
public final class TypedWaiting {

    /** Longer input says nothing. */
    public static final int LONGEST = 120;

    private static final Pattern LATEST =
            Pattern.compile("(?i)[,;]?\\s*\\b(at the latest|but not after|not later than|latest|or)\\b\\s*");
    private static final Pattern OPENING = Pattern.compile("(?i)^(wait )?(until|till|for)\\s+");
    private static final Pattern WRITES = Pattern.compile(
            "(?i)\\s+(has |have |had )?(answer(s|ed)?|writes?|wrote|written|repl(y|ies|ied)|comes? back|said something)\\b.*$");
    private static final Pattern THREAD = Pattern.compile(
            "(?i)^((an|any|the next) (answer|reply|word)|somebody|someone|anybody|anyone|(something )?(in )?(the|this) thread)$");

    private TypedWaiting() {}

    /**
     * What was typed.
     *
     * @param person somebody known, or only by the name that was typed
     * @param thread whether anybody's word in its thread will do
     */
    public record Typed(Optional<Party> person, boolean thread, Optional<LocalDate> until) {}

    /**
     * Reads what was typed.
     *
     * @param known people who may be meant, the likeliest first
     * @param day reads a date
     * @return absent where it says nothing to wait for
     */
    public static Optional<Typed> read(String typed, List<Party> known, Function<String, Optional<LocalDate>> day) {
        if (typed.length() > LONGEST || typed.isBlank()) {
            return Optional.empty();
        }
        String words = OPENING.matcher(typed.strip()).replaceFirst("");
        Matcher latest = LATEST.matcher(words);
        if (latest.find()) {
            Optional<LocalDate> until = day.apply(words.substring(latest.end()).strip());
            if (until.isPresent()) {
                String first = words.substring(0, latest.start()).strip();
                return Optional.of(
                        first.isEmpty() ? new Typed(Optional.empty(), false, until) : some(first, known, until));
            }
        }
        Optional<LocalDate> only = day.apply(words);
        return only.isPresent()
                ? Optional.of(new Typed(Optional.empty(), false, only))
                : Optional.of(some(words, known, Optional.empty()));
    }

    private static Typed some(String words, List<Party> known, Optional<LocalDate> until) {
        String who = WRITES.matcher(words).replaceFirst("").strip();
        if (who.isEmpty()
                || THREAD.matcher(words).matches()
                || THREAD.matcher(who).matches()) {
            return new Typed(Optional.empty(), true, until);
        }
        return new Typed(Optional.of(person(who, known)), false, until);
    }

    private static Party person(String who, List<Party> known) {
        String folded = who.toLowerCase(Locale.ROOT);
        return known.stream()
                .filter(party -> party.address().equals(folded)
                        || party.name().toLowerCase(Locale.ROOT).equals(folded))
                .findFirst()
                .or(() ->
                        known.stream().filter(party -> isCalled(party, folded)).findFirst())
                .orElseGet(() -> folded.contains("@") ? new Party("", folded) : new Party(who, ""));
    }

    /** Whether a word of their name begins so. */
    private static boolean isCalled(Party party, String folded) {
        String name = party.name().toLowerCase(Locale.ROOT);
        return name.startsWith(folded) || name.contains(" " + folded);
    }
}
