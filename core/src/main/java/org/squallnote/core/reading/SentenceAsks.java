package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** The asks of one sentence, whomever they are for: by phrases, by the form of a question, by a bare imperative. */
final class SentenceAsks {

    /**
     * An ask of the sentence.
     *
     * @param kind how it asks
     * @param from index of the first word that makes it one
     * @param to index after the last of these
     * @param wanted index of the first word that says what is wanted
     * @param because the phrase or shape that makes it one
     */
    record FoundAsk(Ask.Kind kind, int from, int to, int wanted, Reason because) {}

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> matches;
    private final boolean goesOn;

    /**
     * Looks at a sentence.
     *
     * @param matches the phrases that stand in it
     * @param goesOn whether another sentence follows in the same paragraph that answers a question or goes on with it
     */
    SentenceAsks(Sentence sentence, List<PhraseMatch> matches, boolean goesOn) {
        this.sentence = sentence;
        this.parts = new Parts(sentence);
        this.matches = matches;
        this.goesOn = goesOn;
    }

    Parts parts() {
        return parts;
    }

    /** All phrases of the sentence, those of other things than asks too. */
    List<PhraseMatch> matches() {
        return matches;
    }

    /** Whether a rule of a label stands at a word. */
    boolean has(String label, int at) {
        return PhraseMatch.isAt(matches, label, at);
    }

    /** The asks in the order of their first words. */
    List<FoundAsk> all() {
        List<FoundAsk> found = new ArrayList<>();
        for (PhraseMatch match : matches) {
            if (isAsk(match.label()) && !sentence.at(match.fromInclusive()).quoted() && !isVoid(match)) {
                found.add(new FoundAsk(
                        Ask.Kind.valueOf(match.label().toUpperCase(Locale.ROOT)),
                        match.fromInclusive(),
                        match.toExclusive(),
                        match.wantedAt(),
                        new Reason(match.origin().name(), match.origin().example())));
            }
        }
        Imperatives imperatives = new Imperatives(sentence, parts, this);
        imperatives.imperatives(found);
        VerblessAsks verbless = new VerblessAsks(sentence, parts, this);
        verbless.trailingPlease(found);
        verbless.toMeByThen(found);
        imperatives.afterCondition(found);
        if (found.isEmpty()) {
            verbless.bareNeed(found);
        }
        new Questions(sentence, parts, matches, goesOn).question(found);
        if (found.size() > 1) {
            found.sort(Comparator.comparingInt(FoundAsk::from));
        }
        return found;
    }

    static boolean isAsk(String label) {
        return switch (label) {
            case "request", "need", "wish", "condition", "offer" -> true;
            default -> false;
        };
    }

    /** Whether a courtesy or reported speech takes the ask back. */
    private boolean isVoid(PhraseMatch ask) {
        return isVoid(ask.fromInclusive(), ask.label());
    }

    boolean isVoid(int at, String label) {
        if (label.equals("need") && WordClass.OFTEN_OF_OTHERS.has(sentence, at) && isPutOff(at)) {
            // "I'm waiting for the maker's price and will come back to you" waits for somebody else; "the boat has to
            // be out by Friday, we'll take care of that" is done by the writer.
            return true;
        }
        for (PhraseMatch match : matches) {
            boolean sameClause = parts.clauseOf(match.fromInclusive()) == parts.clauseOf(at);
            if (match.fromInclusive() == at + 1 && WordClass.HOPING.has(sentence, at)) {
                continue; // "I was hoping you would be willing to write": courteous, and asked.
            }
            switch (match.label()) {
                case "courtesy" -> {
                    if (match.fromInclusive() == at && WordClass.THANKS.has(sentence, at) && label.equals("request")) {
                        continue; // "Thanks for letting me know by Friday": asked ahead.
                    }
                    if (sameClause && (match.covers(at) || at >= match.fromInclusive() - 2)) {
                        return true;
                    }
                }
                case "formula" -> {
                    // "Please note that we need the form": only the "please" asks nothing.
                    if (match.covers(at)) {
                        return true;
                    }
                }
                case "courtesy-if" -> {
                    // "If you want me to sign it, I need it by then" needs it all the same.
                    boolean needed = label.equals("need") && !sameClause;
                    if (parts.unitOf(match.fromInclusive()) == parts.unitOf(at) && !needed) {
                        return true;
                    }
                }
                case "reported" -> {
                    if (sameClause && match.fromInclusive() < at && !isMineToAsk(match)) {
                        return true;
                    }
                }
                case "rhetorical", "small-talk" -> {
                    if (match.covers(at) && label.equals("request")) {
                        return true;
                    }
                }
                default -> {}
            }
        }
        return false;
    }

    private boolean isPutOff(int at) {
        for (PhraseMatch match : matches) {
            boolean later = match.label().equals("promise") || match.label().equals("holding");
            if (later && !match.covers(at)) {
                return true;
            }
        }
        return false;
    }

    /** "I wanted to ask whether", "I'd like to know if": the writer's own question, not one that is reported. */
    private boolean isMineToAsk(PhraseMatch reported) {
        String before = sentence.norm(reported.fromInclusive() - 1);
        return reported.label().equals("reported")
                && sentence.at(reported.fromInclusive()).is("want", "wanted", "meant", "mean", "forgot")
                && (before.equals("i") || before.equals("we") || before.equals("just"));
    }
}
