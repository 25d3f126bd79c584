package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.Lexicon;
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
    /** Whether another gap stands between an element and the place where the pattern is tried. */
    private final boolean[] isBehindGap;
    /** Where its date stands among the elements. */
    private final int date;
    /** How many words away its date may stand. */
    private final int reach;

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
        date = indexOfDate(all);
        reach = all.subList(Math.min(at, date + 1), Math.max(at + 1, date)).stream()
                .mapToInt(Element::most)
                .sum();
        isBehindGap = new boolean[elements.length];
        for (int i = 0; i < elements.length; i++) {
            isBehindGap[i] =
                    all.subList(Math.min(i + 1, at), Math.max(i, at)).stream().anyMatch(Pattern::isGap);
        }
        needed = all.stream().filter(Element::needsItsWords).map(Element::words).toArray(WordSet[]::new);
    }

    private static int indexOfDate(List<Element> elements) {
        for (int i = 0; i < elements.size(); i++) {
            if (elements.get(i).sort() == Element.Sort.DATE) {
                return i;
            }
        }
        return FAILED;
    }

    private static boolean isGap(Element element) {
        return switch (element.sort()) {
            case GAP, CLAUSE_GAP, BETWEEN -> true;
            default -> false;
        };
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
        if (isOutOfReach(setting, place)) {
            return FAILED;
        }
        Match match = new Match(setting, place);
        return match.forward(anchor, place) && match.backward(anchor - 1, place) ? match.begin : FAILED;
    }

    private boolean isOutOfReach(Setting setting, int place) {
        if (date == FAILED || date == anchor) {
            return false;
        }
        int apart = anchor < date ? setting.from() - place : place - setting.to() + 1;
        return apart < 0 || apart > reach;
    }

    private final class Match {

        private final Setting setting;
        private final int tried;
        private int begin;
        /** Which gaps have failed where, so that gaps behind gaps do not try the same words over and over. */
        private @Nullable BitSet failed;

        Match(Setting setting, int tried) {
            this.setting = setting;
            this.tried = tried;
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
                case GAP, CLAUSE_GAP, BETWEEN ->
                    !hasFailed(index, place) && (gapForward(element, index, place) || fails(index, place));
                case DATE -> place == setting.from() && element.takesDate(setting) && forward(index + 1, setting.to());
                default -> stands(element.sort(), place) && forward(index + 1, place);
            };
        }

        private boolean hasFailed(int index, int place) {
            return failed != null && failed.get(keyOf(index, place));
        }

        /** Keeps in mind that a gap fails there; of the first gap there is only one try. */
        private boolean fails(int index, int place) {
            if (isBehindGap[index]) {
                if (failed == null) {
                    failed = new BitSet();
                }
                failed.set(keyOf(index, place));
            }
            return false;
        }

        private int keyOf(int index, int place) {
            return Math.abs(place - tried) * elements.length + index;
        }

        private boolean gapForward(Element gap, int index, int place) {
            for (int i = 0; i <= gap.most(); i++) {
                if (gap.sort() == Element.Sort.CLAUSE_GAP && isOtherClause(place - 1, place + i)) {
                    return false;
                }
                if (forward(index + 1, place + i)) {
                    return true;
                }
                boolean passed = index < date && place + i >= setting.from();
                if (passed || place + i >= setting.unitEnd() || !gap.takes(setting, place + i)) {
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
                case GAP, CLAUSE_GAP, BETWEEN ->
                    !hasFailed(index, place) && (gapBackward(element, index, place) || fails(index, place));
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
