package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.List;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/**
 * A pattern over the words around a date. It is tried at one place: at its date, or where a word is marked with
 * {@code @}, at that word. How it is written stands in {@code docs/rules-of-reading.md}.
 */
final class Pattern {

    private static final int FAILED = -1;

    private final Element[] elements;
    private final int anchor;
    /** Without one word of each of these it matches nowhere. */
    private final WordSet[] needed;

    /** @param marked whether it is tried at the word marked with {@code @} and not at its date */
    Pattern(String line, boolean marked, Lexicon lexicon) {
        List<Element> all = new ArrayList<>();
        int at = FAILED;
        for (String piece : line.split("\\s+")) {
            boolean here = piece.startsWith(marked ? "@" : "{date");
            if (here) {
                at = all.size();
            }
            all.add(Element.of(piece.startsWith("@") ? piece.substring(1) : piece, lexicon));
        }
        if (at == FAILED) {
            throw new IllegalStateException("A pattern without " + (marked ? "@" : "{date}") + ": " + line);
        }
        elements = all.toArray(Element[]::new);
        anchor = at;
        needed = all.stream().filter(Element::needsItsWords).map(Element::words).toArray(WordSet[]::new);
    }

    /** Whether it may match in a sentence, as far as the words that stand there tell. */
    boolean mayMatchIn(Sentence sentence) {
        for (WordSet words : needed) {
            if (!words.mayStandIn(sentence)) {
                return false;
            }
        }
        return true;
    }

    /** Where the words begin that belong to what is found there; negative where it does not match. */
    int at(Setting setting, int place) {
        Element here = elements[anchor];
        if (here.sort() == Element.Sort.DATE ? place != setting.from() : !here.takes(setting, place)) {
            return FAILED;
        }
        Match match = new Match(setting);
        return match.forward(anchor, place) && match.backward(anchor - 1, place) ? match.begin : FAILED;
    }

    private final class Match {

        private final Setting setting;
        private int begin;

        Match(Setting setting) {
            this.setting = setting;
            this.begin = setting.from();
        }

        /** Whether the elements from one on stand at a place and behind it. */
        boolean forward(int index, int place) {
            if (index == elements.length) {
                return true;
            }
            Element element = elements[index];
            return switch (element.sort()) {
                case WORD, KIND ->
                    (element.takes(setting, place) && forward(index + 1, place + 1))
                            || (element.optional() && forward(index + 1, place));
                case GAP, CLAUSE_GAP, BETWEEN -> gapForward(element, index, place);
                case DATE -> place == setting.from() && element.takesDate(setting) && forward(index + 1, setting.to());
                default -> stands(element.sort(), place) && forward(index + 1, place);
            };
        }

        private boolean gapForward(Element gap, int index, int place) {
            for (int i = 0; i <= gap.most(); i++) {
                if (gap.sort() == Element.Sort.CLAUSE_GAP && isOtherClause(place - 1, place + i)) {
                    return false;
                }
                if (forward(index + 1, place + i)) {
                    return true;
                }
                if (place + i >= setting.unitEnd() || !gap.takes(setting, place + i)) {
                    return false;
                }
            }
            return false;
        }

        /** Whether the elements up to one stand before a place. */
        boolean backward(int index, int place) {
            if (index < 0) {
                return true;
            }
            Element element = elements[index];
            return switch (element.sort()) {
                case WORD, KIND ->
                    (element.takes(setting, place - 1) && backward(index - 1, place - 1))
                            || (element.optional() && backward(index - 1, place));
                case GAP, CLAUSE_GAP, BETWEEN -> gapBackward(element, index, place);
                case DATE -> place == setting.to() && element.takesDate(setting) && backward(index - 1, setting.from());
                case BEGINS -> {
                    begin = place;
                    yield backward(index - 1, place);
                }
                default -> stands(element.sort(), place) && backward(index - 1, place);
            };
        }

        private boolean gapBackward(Element gap, int index, int place) {
            for (int i = 0; i <= gap.most(); i++) {
                boolean apart = gap.sort() == Element.Sort.CLAUSE_GAP && isOtherClause(place, place - i - 1);
                if (apart || (gap.sort() == Element.Sort.BETWEEN && isCutOff(place - i))) {
                    return false;
                }
                if (backward(index - 1, place - i)) {
                    return true;
                }
                if (place - i - 1 < setting.unitStart() || !gap.takes(setting, place - i - 1)) {
                    return false;
                }
            }
            return false;
        }

        private boolean isCutOff(int place) {
            Sentence sentence = setting.sentence();
            return place > 0 && place < sentence.size() && sentence.at(place).isCutOff();
        }

        private boolean isOtherClause(int place, int other) {
            int size = setting.sentence().size();
            boolean both = place >= 0 && other >= 0 && place < size && other < size;
            return both && setting.clauseOf(place) != setting.clauseOf(other);
        }

        private boolean stands(Element.Sort sort, int place) {
            boolean end = place >= setting.sentence().size();
            boolean mark = !end && place > 0 && setting.sentence().at(place).followsMark();
            return switch (sort) {
                case OPENS -> setting.opens(place);
                case FIRST -> place == 0;
                case CLAUSE -> place == 0 || (!end && setting.clauseOf(place - 1) != setting.clauseOf(place));
                case MARK -> mark;
                case CLOSES -> end || mark;
                case LAST -> end;
                default -> true;
            };
        }
    }
}
