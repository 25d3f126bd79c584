package org.squallnote.core.text;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;

/**
 * A pattern over the words of a sentence, one line of a phrase list.
 *
 * <p>Its elements, apart by spaces: {@code word}; {@code one|or|other}; {@code <set>} for any word of a set;
 * {@code [..]} around one of these where it may be missing; {@code *} for any one word; {@code *ed|en} for one that ends
 * so; {@code !one|or} for one that is none of these; {@code ..} for up to {@value #LONGEST_GAP} words without a strong
 * mark between; {@code ^} at the front where the phrase has to start a part of the sentence, {@code $} at the end where it
 * has to end one; {@code >} before the words that say what is wanted; {@code ,} where a mark has to stand.
 */
final class Phrase {

    static final int LONGEST_GAP = 5;

    /** Where fewer letters than these match, everything is near: "on this" says little of "working on this". */
    private static final int FEWEST_LETTERS = 7;

    private static final int FEWEST_WORDS = 3;

    private enum Sort {
        WORDS,
        ANY,
        ENDING,
        OTHER,
        GAP,
        END,
        MARK
    }

    /**
     * An element.
     *
     * @param words what it takes, where it takes words; how these end, where it takes endings
     * @param numbers the numbers of these words
     * @param only the number of the word where it takes just one, or -1
     */
    private record Element(Sort sort, Set<String> words, BitSet numbers, int only, boolean optional) {

        static Element mark(Sort sort) {
            return new Element(sort, Set.of(), new BitSet(), -1, false);
        }

        boolean ends(String norm) {
            return words.stream().anyMatch(norm::endsWith);
        }

        /** Whether the word at that place of a sentence, with this number, can stand there. */
        boolean takes(Sentence sentence, int place, int number) {
            return switch (sort) {
                case ANY -> true;
                case ENDING -> ends(sentence.norm(place));
                case OTHER -> !takes(number);
                default -> takes(number);
            };
        }

        boolean takes(int number) {
            return only >= 0 ? number == only : numbers.get(number);
        }
    }

    /** Where nothing was said of what is wanted. */
    private static final int NO_PLACE = 0xffff;

    /** What a match says that failed. */
    private static final long FAILED = -1;

    private final String label;
    private final PhraseOrigin origin;
    private final Element[] elements;
    private final boolean startsPart;
    private int wantedAt = -1;
    private final BitSet second;
    private final long[] needs;

    Phrase(PhraseOrigin origin, Lexicon lexicon, ToIntFunction<String> numberOf) {
        this.label = origin.label();
        this.origin = origin;
        String line = origin.written();
        List<Element> all = new ArrayList<>();
        boolean anchored = false;
        for (String piece : line.split("\\s+")) {
            switch (piece) {
                case "^" -> anchored = true;
                case "$" -> all.add(Element.mark(Sort.END));
                case ">" -> wantedAt = all.size();
                case "*" -> all.add(Element.mark(Sort.ANY));
                case "[*]" -> all.add(new Element(Sort.ANY, Set.of(), new BitSet(), -1, true));
                case ".." -> all.add(Element.mark(Sort.GAP));
                case "," -> all.add(Element.mark(Sort.MARK));
                default -> all.add(piece.startsWith("*") ? ending(piece) : words(piece, lexicon, numberOf));
            }
        }
        startsPart = anchored;
        elements = all.toArray(Element[]::new);
        if (elements.length == 0 || elements[0].sort() != Sort.WORDS) {
            throw new IllegalStateException("A phrase has to begin with a word: " + line);
        }
        second = possiblySecond();
        needs = needed();
    }

    private Phrase(Phrase other, Element[] changed) {
        this.label = other.label;
        this.origin = other.origin;
        this.startsPart = other.startsPart;
        this.wantedAt = other.wantedAt;
        this.elements = changed;
        this.second = new BitSet();
        this.needs = new long[0];
    }

    /** The numbers of all words that can stand second in a match; empty where any word or none can. */
    BitSet secondWords() {
        return second;
    }

    private BitSet possiblySecond() {
        BitSet numbers = new BitSet();
        if (elements[0].optional()) {
            return numbers;
        }
        for (int i = 1; i < elements.length; i++) {
            Element element = elements[i];
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

    /**
     * A word behind the first one without which it cannot match, one bit for each that may stand there; all bits where
     * there are fewer such words.
     *
     * @param rank zero for the rarest of them, one for the next
     */
    long need(int rank) {
        return rank < needs.length ? needs[rank] : -1L;
    }

    private long[] needed() {
        return Stream.of(elements)
                .skip(1)
                .filter(element -> element.sort() == Sort.WORDS && !element.optional())
                .map(element ->
                        element.numbers().stream().mapToLong(n -> 1L << n).reduce(0, (a, b) -> a | b))
                .sorted(Comparator.comparingInt(Long::bitCount))
                .mapToLong(Long::longValue)
                .toArray();
    }

    private static Element ending(String piece) {
        return new Element(Sort.ENDING, Set.of(piece.substring(1).split("\\|")), new BitSet(), -1, false);
    }

    private static Element words(String piece, Lexicon lexicon, ToIntFunction<String> numberOf) {
        boolean optional = piece.startsWith("[");
        boolean other = piece.startsWith("!");
        String inner = optional ? piece.substring(1, piece.length() - 1) : piece.substring(other ? 1 : 0);
        Set<String> words = new HashSet<>();
        for (String alternative : inner.split("\\|")) {
            if (alternative.startsWith("<")) {
                words.addAll(lexicon.words(alternative));
            } else {
                words.add(alternative);
            }
        }
        BitSet numbers = new BitSet();
        words.forEach(word -> numbers.set(numberOf.applyAsInt(word)));
        int only = words.size() == 1 ? numbers.nextSetBit(0) : -1;
        return new Element(other ? Sort.OTHER : Sort.WORDS, Set.copyOf(words), numbers, only, optional);
    }

    String label() {
        return label;
    }

    /** The words that a match can begin with. */
    Set<String> firstWords() {
        Set<String> first = new HashSet<>();
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
        long found = match(sentence, words, from, from, 0, NO_PLACE);
        if (found == FAILED) {
            return PhraseMatch.NONE;
        }
        int end = (int) found;
        int wanted = (int) (found >>> Integer.SIZE);
        return new PhraseMatch(label, from, end, wanted == NO_PLACE ? end : wanted, origin);
    }

    /** Where it would begin at a word, were exactly one of the words that it names another one; nothing where it matches. */
    Optional<NearMatch> nearlyAt(Sentence sentence, int[] words, int from, boolean atStartOfPart) {
        List<Integer> required = required();
        if (required.size() < FEWEST_WORDS
                || (startsPart && !atStartOfPart)
                || at(sentence, words, from, true).toExclusive() > 0) {
            return Optional.empty();
        }
        for (int index : required) {
            PhraseMatch match = with(index, Element.mark(Sort.ANY)).at(sentence, words, from, atStartOfPart);
            for (int i = from; i < match.toExclusive(); i++) {
                boolean stands = with(index, only(words[i]))
                                .at(sentence, words, from, atStartOfPart)
                                .toExclusive()
                        == match.toExclusive();
                int letters = lettersBeside(sentence, match, i);
                if (stands && !elements[index].takes(words[i]) && letters >= FEWEST_LETTERS) {
                    return Optional.of(new NearMatch(origin, from, match.toExclusive(), i, written(index), letters));
                }
            }
        }
        return Optional.empty();
    }

    private static int lettersBeside(Sentence sentence, PhraseMatch match, int left) {
        int letters = 0;
        for (int i = match.fromInclusive(); i < match.toExclusive(); i++) {
            letters += i == left ? 0 : sentence.norm(i).length();
        }
        return letters;
    }

    /** The places of the elements that name words which have to stand. */
    private List<Integer> required() {
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < elements.length; i++) {
            if (elements[i].sort() == Sort.WORDS && !elements[i].optional()) {
                places.add(i);
            }
        }
        return places;
    }

    private static Element only(int number) {
        return new Element(Sort.WORDS, Set.of(), new BitSet(), number, false);
    }

    private Phrase with(int index, Element other) {
        Element[] changed = elements.clone();
        changed[index] = other;
        return new Phrase(this, changed);
    }

    /** How an element is written in the file. */
    private String written(int index) {
        return Stream.of(origin.written().split("\\s+"))
                .filter(piece -> !piece.equals("^") && !piece.equals(">"))
                .skip(index)
                .findFirst()
                .orElse("");
    }

    /** Matches the elements from one on; answers the end and, in the upper half, where that begins which is wanted. */
    private long match(Sentence s, int[] words, int from, int place, int first, int wantedSoFar) {
        int at = place;
        int wanted = wantedSoFar;
        for (int index = first; index < elements.length; index++) {
            if (index == wantedAt) {
                wanted = at;
            }
            Element element = elements[index];
            switch (element.sort()) {
                case END -> {
                    if (at < s.size() && !s.at(at).followsMark()) {
                        return FAILED;
                    }
                }
                case MARK -> {
                    if (at >= s.size() || !s.at(at).followsMark()) {
                        return FAILED;
                    }
                }
                case GAP -> {
                    return gap(s, words, from, at, index + 1, wanted);
                }
                default -> {
                    boolean fits = at < s.size()
                            && element.takes(s, at, words[at])
                            && (at == from || !isApart(s.at(at).before()) || mayBeApart(index));
                    if (fits && element.optional()) {
                        long found = match(s, words, from, at + 1, index + 1, wanted);
                        if (found != FAILED) {
                            return found;
                        }
                    } else if (fits) {
                        at++;
                    } else if (!element.optional()) {
                        return FAILED;
                    }
                }
            }
        }
        int end = elements.length == wantedAt ? at : wanted;
        return (long) end << Integer.SIZE | at;
    }

    private long gap(Sentence s, int[] words, int from, int at, int next, int wanted) {
        for (int skip = 0; skip <= LONGEST_GAP && at + skip <= s.size(); skip++) {
            if (skip > 0 && at + skip > 1 && isStrong(s.at(at + skip - 1).before())) {
                return FAILED;
            }
            long found = match(s, words, from, at + skip, next, wanted);
            if (found != FAILED) {
                return found;
            }
        }
        return FAILED;
    }

    /** Where a mark or a gap is written before the element, a mark may stand. */
    private boolean mayBeApart(int index) {
        Sort previous = elements[index - 1].sort();
        return previous == Sort.MARK || previous == Sort.GAP;
    }

    /** No mark stands inside a phrase, unless it says so. */
    private static boolean isApart(char mark) {
        return mark != Word.NOTHING && mark != '"';
    }

    private static boolean isStrong(char mark) {
        return mark == ';' || mark == ':' || mark == '(' || mark == ')' || mark == '-' || mark == '*';
    }
}
