package org.squallnote.core.reading;

import java.util.Locale;
import java.util.function.Predicate;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.rule.Setting;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** One date of a sentence, as rules look at it. */
final class DateSetting implements Setting {

    private static final WordSet ASKING_ALONG = WordSet.of("when", "what");

    private final Sentence sentence;
    private final Parts parts;
    private final DatePhrase phrase;
    private final int from;
    private final int unit;
    private final Predicate<String> conditions;

    /**
     * A date of a sentence.
     *
     * @param from where it begins: at the date itself, or at what leads to it, as in "by Friday"
     * @param conditions which conditions of rules hold
     */
    DateSetting(Sentence sentence, Parts parts, DatePhrase phrase, int from, Predicate<String> conditions) {
        this.sentence = sentence;
        this.parts = parts;
        this.phrase = phrase;
        this.from = from;
        this.unit = parts.unitOf(phrase.fromInclusive());
        this.conditions = conditions;
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }

    @Override
    public int from() {
        return from;
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
            case "stranger" ->
                sentence.at(place).capital()
                        && !NotNames.isOne(sentence, place)
                        && !Phrases.BOOK.holds(sentence.at(place));
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
                case "first" -> sentence.norm(phrase.fromInclusive()).equals(word);
                case "second" -> sentence.norm(phrase.fromInclusive() + 1).equals(word);
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
        return conditions.test(condition);
    }
}
