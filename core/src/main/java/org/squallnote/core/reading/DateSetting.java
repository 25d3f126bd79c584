package org.squallnote.core.reading;

import java.util.function.Predicate;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.rule.Setting;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** One date of a sentence, as rules look at it. */
final class DateSetting implements Setting {

    private final Sentence sentence;
    private final Parts parts;
    private final DatePhrase phrase;
    private final int from;
    private final int unitStart;
    private final int unitEnd;
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
        int unit = parts.unitOf(phrase.fromInclusive());
        this.unitStart = parts.firstOfUnit(unit);
        this.unitEnd = parts.endOfUnit(unit);
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
        return unitStart;
    }

    @Override
    public int unitEnd() {
        return unitEnd;
    }

    @Override
    public int clauseOf(int place) {
        return parts.clauseOf(place);
    }

    @Override
    public boolean opens(int place) {
        if (place < unitStart || place >= sentence.size()) {
            return false;
        }
        for (int i = unitStart; i < place; i++) {
            if (!Clauses.isLeadIn(sentence, i) && !WordClass.ASKING_ALONG.has(sentence, i)) {
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
                        && !sentence.book().holds(sentence.at(place));
            case "noun" -> sentence.norm(place).length() > 3 && !NotNames.isOne(sentence, place);
            default -> throw new IllegalStateException("No rule can speak of a {" + kind + "}");
        };
    }

    @Override
    public boolean isDate(String what, String word) {
        return switch (what) {
            case "first" -> sentence.norm(phrase.fromInclusive()).equals(word);
            case "second" -> sentence.norm(phrase.fromInclusive() + 1).equals(word);
            case "last" -> sentence.norm(to() - 1).equals(word);
            case "timed" -> phrase.time().isPresent();
            case "untimed" -> phrase.time().isEmpty();
            case "day" -> phrase.form() == Form.DAY;
            case "time" -> phrase.form() == Form.TIME;
            case "stretch" -> phrase.form() == Form.STRETCH;
            case "end" -> phrase.form() == Form.END;
            case "period" -> phrase.form() == Form.PERIOD;
            case "range" -> phrase.form() == Form.RANGE;
            case "past" -> phrase.form() == Form.PAST;
            default -> throw new IllegalStateException("Of a date no rule can say " + what);
        };
    }

    @Override
    public boolean holds(String condition) {
        return conditions.test(condition);
    }
}
