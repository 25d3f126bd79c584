package org.squallnote.core.text;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntFunction;

/**
 * A pattern over the words of a sentence, one line of a phrase list.
 *
 * <p>Its elements, apart by spaces: {@code word}; {@code one|or|other}; {@code <set>} for any word of a set;
 * {@code [..]} around one of these where it may be missing; {@code *} for any one word; {@code ..} for up to
 * {@value #LONGEST_GAP} words without a strong mark between; {@code ^} at the front where the phrase has to start a
 * part of the sentence, {@code $} at the end where it has to end one; {@code >} before the words that say what is
 * wanted; {@code ,} where a mark has to stand.
 */
final class Phrase {

    static final int LONGEST_GAP = 5;

    private enum Sort {
        WORDS,
        ANY,
        GAP,
        END,
        MARK
    }

    private record Element(Sort sort, Set<String> words, BitSet numbers, boolean optional) {

        static Element mark(Sort sort) {
            return new Element(sort, Set.of(), new BitSet(), false);
        }
    }

    private final String label;
    private final List<Element> elements = new ArrayList<>();
    private final boolean startsPart;
    private int wantedAt = -1;
    private final BitSet second;

    Phrase(String label, String line, Map<String, Set<String>> sets, ToIntFunction<String> numberOf) {
        this.label = label;
        boolean anchored = false;
        for (String piece : line.split("\\s+")) {
            switch (piece) {
                case "^" -> anchored = true;
                case "$" -> elements.add(Element.mark(Sort.END));
                case ">" -> wantedAt = elements.size();
                case "*" -> elements.add(Element.mark(Sort.ANY));
                case ".." -> elements.add(Element.mark(Sort.GAP));
                case "," -> elements.add(Element.mark(Sort.MARK));
                default -> elements.add(words(piece, sets, numberOf));
            }
        }
        startsPart = anchored;
        if (elements.isEmpty() || elements.get(0).sort() != Sort.WORDS) {
            throw new IllegalStateException("A phrase has to begin with a word: " + line);
        }
        second = possiblySecond();
    }

    /** The numbers of all words that can stand second in a match; empty where any word or none can. */
    BitSet secondWords() {
        return second;
    }

    private BitSet possiblySecond() {
        BitSet numbers = new BitSet();
        if (elements.get(0).optional()) {
            return numbers;
        }
        for (int i = 1; i < elements.size(); i++) {
            Element element = elements.get(i);
            if (element.sort() != Sort.WORDS) {
                return new BitSet();
            }
            numbers.or(element.numbers());
            if (!element.optional()) {
                return numbers;
            }
        }
        return new BitSet();
    }

    private static Element words(String piece, Map<String, Set<String>> sets, ToIntFunction<String> numberOf) {
        boolean optional = piece.startsWith("[");
        String inner = optional ? piece.substring(1, piece.length() - 1) : piece;
        Set<String> words = new java.util.HashSet<>();
        for (String alternative : inner.split("\\|")) {
            if (alternative.startsWith("<")) {
                Set<String> set = sets.get(alternative.substring(1, alternative.length() - 1));
                if (set == null) {
                    throw new IllegalStateException("No set " + alternative + " for " + piece);
                }
                words.addAll(set);
            } else {
                words.add(alternative);
            }
        }
        BitSet numbers = new BitSet();
        words.forEach(word -> numbers.set(numberOf.applyAsInt(word)));
        return new Element(Sort.WORDS, Set.copyOf(words), numbers, optional);
    }

    String label() {
        return label;
    }

    /** The words that a match can begin with. */
    Set<String> firstWords() {
        Set<String> first = new java.util.HashSet<>();
        for (Element element : elements) {
            first.addAll(element.words());
            if (!element.optional()) {
                break;
            }
        }
        return first;
    }

    /**
     * The match that begins at a word, or nothing.
     *
     * @param words the numbers of the sentence's words
     * @param atStartOfPart whether a part of the sentence begins at that word
     */
    PhraseMatch at(Sentence sentence, int[] words, int from, boolean atStartOfPart) {
        if (startsPart && !atStartOfPart) {
            return PhraseMatch.NONE;
        }
        int[] wanted = {-1};
        int end = match(sentence, words, from, from, 0, wanted);
        return end < 0 ? PhraseMatch.NONE : new PhraseMatch(label, from, end, wanted[0] < 0 ? end : wanted[0]);
    }

    private int match(Sentence s, int[] words, int from, int at, int index, int[] wanted) {
        if (index == wantedAt) {
            wanted[0] = at;
        }
        if (index == elements.size()) {
            return at;
        }
        Element element = elements.get(index);
        boolean joined = element.sort() == Sort.WORDS || element.sort() == Sort.ANY;
        if (joined && at > from && at < s.size() && isApart(s.at(at).before())) {
            Sort previous = elements.get(index - 1).sort();
            if (previous != Sort.MARK && previous != Sort.GAP) {
                return element.optional() ? match(s, words, from, at, index + 1, wanted) : -1;
            }
        }
        return switch (element.sort()) {
            case END -> at == s.size() || s.at(at).followsMark() ? match(s, words, from, at, index + 1, wanted) : -1;
            case MARK -> at < s.size() && s.at(at).followsMark() ? match(s, words, from, at, index + 1, wanted) : -1;
            case ANY -> at < s.size() ? match(s, words, from, at + 1, index + 1, wanted) : -1;
            case GAP -> gap(s, words, from, at, index, wanted);
            case WORDS -> words(s, words, from, at, index, wanted);
        };
    }

    private int words(Sentence s, int[] words, int from, int at, int index, int[] wanted) {
        Element element = elements.get(index);
        if (at < s.size() && element.numbers().get(words[at])) {
            int end = match(s, words, from, at + 1, index + 1, wanted);
            if (end >= 0) {
                return end;
            }
        }
        return element.optional() ? match(s, words, from, at, index + 1, wanted) : -1;
    }

    private int gap(Sentence s, int[] words, int from, int at, int index, int[] wanted) {
        for (int skip = 0; skip <= LONGEST_GAP && at + skip <= s.size(); skip++) {
            if (skip > 0 && at + skip > 1 && isStrong(s.at(at + skip - 1).before())) {
                return -1;
            }
            int end = match(s, words, from, at + skip, index + 1, wanted);
            if (end >= 0) {
                return end;
            }
        }
        return -1;
    }

    /** No mark stands inside a phrase, unless it says so. */
    private static boolean isApart(char mark) {
        return mark != Word.NOTHING && mark != '"';
    }

    private static boolean isStrong(char mark) {
        return mark == ';' || mark == ':' || mark == '(' || mark == ')' || mark == '-' || mark == '*';
    }
}
