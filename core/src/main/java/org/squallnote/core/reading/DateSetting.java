package org.squallnote.core.reading;

import java.util.List;
import java.util.Locale;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.rule.Setting;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** One date of a sentence, as the rules about what dates are for look at it. */
final class DateSetting implements Setting {

    private static final WordSet ASKING_ALONG = WordSet.of("when", "what");

    private static final WordSet SMALL =
            WordSet.of("if", "possible", "on", "at", "for", "can", "you", "in", "some", "time");

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> acts;
    private final Softness softness;
    private final DatePhrase phrase;
    private final boolean needed;
    private final int unit;

    /** @param needed whether the ask before the date is one of having something */
    DateSetting(
            Sentence sentence,
            Parts parts,
            List<PhraseMatch> acts,
            Softness softness,
            DatePhrase phrase,
            boolean needed) {
        this.sentence = sentence;
        this.parts = parts;
        this.acts = acts;
        this.softness = softness;
        this.phrase = phrase;
        this.needed = needed;
        this.unit = parts.unitOf(phrase.fromInclusive());
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }

    @Override
    public int from() {
        return phrase.fromInclusive();
    }

    @Override
    public int to() {
        return phrase.toExclusive();
    }

    @Override
    public int unitStart() {
        return parts.firstOfUnit(unit);
    }

    @Override
    public int unitEnd() {
        return parts.endOfUnit(unit);
    }

    @Override
    public int clauseOf(int place) {
        return parts.clauseOf(place);
    }

    @Override
    public boolean opens(int place) {
        if (place < unitStart() || place >= sentence.size()) {
            return false;
        }
        for (int i = unitStart(); i < place; i++) {
            if (!Clauses.isLeadIn(sentence, i) && !ASKING_ALONG.has(sentence, i)) {
                return false;
            }
        }
        return true;
    }

    @Override
    public boolean isKind(String kind, int place) {
        return switch (kind) {
            case "name" -> sentence.at(place).capital() && !NotNames.isOne(sentence, place);
            case "noun" -> sentence.norm(place).length() > 3 && !NotNames.isOne(sentence, place);
            default -> throw new IllegalStateException("No rule can speak of a {" + kind + "}");
        };
    }

    @Override
    public boolean isDate(String said) {
        int equals = said.indexOf('=');
        if (equals > 0) {
            String word = said.substring(equals + 1);
            return switch (said.substring(0, equals)) {
                case "first" -> sentence.norm(from()).equals(word);
                case "second" -> sentence.norm(from() + 1).equals(word);
                case "last" -> sentence.norm(to() - 1).equals(word);
                default -> throw new IllegalStateException("Of a date no rule can say " + said);
            };
        }
        return switch (said) {
            case "timed" -> phrase.time().isPresent();
            case "untimed" -> phrase.time().isEmpty();
            default -> phrase.form() == DatePhrase.Form.valueOf(said.toUpperCase(Locale.ROOT));
        };
    }

    @Override
    public boolean holds(String condition) {
        return switch (condition) {
            case "question" -> sentence.isQuestion();
            case "who" -> sentence.at(0).is("who", "who's");
            case "hard" -> softness.isHard(phrase);
            case "softened" -> isSoftenedPeriod();
            case "needed" -> needed || isSoftenedPeriod();
            case "asked" -> hasAct(act -> SentenceAsks.isAsk(act.label()));
            case "requested" -> hasAct(act -> act.label().equals("request"));
            case "said" -> isSaid();
            default -> throw new IllegalStateException("No rule can hold when " + condition);
        };
    }

    private boolean isSoftenedPeriod() {
        return phrase.form() == DatePhrase.Form.PERIOD && softness.isRightBehindSoftening(phrase);
    }

    /** Whether something of that kind is done before the date, in the same part of the sentence. */
    private boolean hasAct(java.util.function.Predicate<PhraseMatch> kind) {
        return acts.stream()
                .anyMatch(act ->
                        act.fromInclusive() < from() && parts.unitOf(act.fromInclusive()) == unit && kind.test(act));
    }

    /** Whether the clause of the date says something before it. */
    private boolean isSaid() {
        int telling = 0;
        for (int i = parts.firstOfClause(parts.clauseOf(from())); i < from(); i++) {
            boolean small =
                    Clauses.isLeadIn(sentence, i) || DateRoles.SKIPPED.has(sentence, i) || SMALL.has(sentence, i);
            telling += small ? 0 : 1;
        }
        return telling > 1;
    }
}
