package org.squallnote.core.rule;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.Lexicon;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/**
 * A pattern over words that stand one behind the other. What stands before {@code >} and behind {@code <} has to be there
 * and does not belong to it.
 */
final class Sequence {

    private static final int FAILED = -1;

    private final Element[] before;
    private final Element[] elements;
    /** One of these stands first, or a word of one of the kinds; absent where any word may. */
    private final @Nullable WordSet first;

    private final List<String> firstKinds;
    /** One of these stands second, where that is known. */
    private final @Nullable WordSet second;

    Sequence(String line, Lexicon lexicon) {
        List<Element> all = Stream.of(line.split("\\s+"))
                .map(piece -> Element.of(piece, lexicon))
                .toList();
        int begins = all.indexOf(Element.of(">", lexicon));
        before = all.subList(0, Math.max(begins, 0)).toArray(Element[]::new);
        elements = all.subList(begins + 1, all.size()).toArray(Element[]::new);
        boolean readable = Stream.of(before).allMatch(Sequence::isOneWord)
                && Stream.of(elements).allMatch(Sequence::canStandHere);
        if (elements.length == 0 || !readable) {
            throw new IllegalStateException("This names nothing: " + line);
        }
        List<Element> beginning = from(0);
        boolean any = beginning.stream().anyMatch(element -> isOpen(element) && element.sort() != Element.Sort.KIND);
        first = any ? null : wordsOf(beginning);
        firstKinds = beginning.stream()
                .filter(element -> element.sort() == Element.Sort.KIND)
                .map(Element::kind)
                .toList();
        List<Element> behind = IntStream.range(0, beginning.size())
                .mapToObj(i -> from(i + 1))
                .flatMap(List::stream)
                .toList();
        boolean alone = IntStream.range(0, beginning.size())
                .anyMatch(i -> Stream.of(elements).skip(i + 1L).allMatch(Element::optional));
        boolean open = alone || !firstKinds.isEmpty() || behind.stream().anyMatch(Sequence::isOpen);
        second = open ? null : wordsOf(behind);
    }

    private static boolean isOneWord(Element element) {
        return element.sort() == Element.Sort.WORD || element.sort() == Element.Sort.KIND;
    }

    private static boolean canStandHere(Element element) {
        return switch (element.sort()) {
            case WORD, KIND, ENDS -> true;
            default -> false;
        };
    }

    /** The elements that can stand next behind so many. */
    private List<Element> from(int index) {
        int last = index;
        while (last < elements.length - 1 && elements[last].optional()) {
            last++;
        }
        return index < elements.length ? List.of(elements).subList(index, last + 1) : List.of();
    }

    /** Whether it stands for more than its listed words. */
    private static boolean isOpen(Element element) {
        return element.sort() != Element.Sort.WORD
                || element.negated()
                || !element.endings().isEmpty();
    }

    private static WordSet wordsOf(List<Element> elements) {
        return WordSet.of(elements.stream()
                .flatMap(element -> element.words().words().stream())
                .collect(Collectors.toSet()));
    }

    /** Whether it may begin with a word, whatever kind that is of. */
    boolean mayBeginWith(String word) {
        return first == null || first.has(word);
    }

    /** The kinds of words that it can begin with. */
    List<String> firstKinds() {
        return firstKinds;
    }

    /** The listed words that it can begin with. */
    Stream<String> firstWords() {
        return first == null ? Stream.empty() : first.words().stream();
    }

    /**
     * The place behind its last word where it begins at a place; negative where it does not stand there.
     *
     * @param found takes where each kind begins
     */
    int at(Sentence sentence, int place, Kinds kinds, Map<String, Integer> found) {
        boolean mayStand = (first == null || !firstKinds.isEmpty() || first.has(sentence, place))
                && (second == null || second.has(sentence, place + 1));
        if (!mayStand) {
            return FAILED;
        }
        for (int i = 0; i < before.length; i++) {
            int at = place - before.length + i;
            boolean stands = before[i].sort() == Element.Sort.KIND
                    ? kinds.endOf(before[i].kind(), at) >= 0
                    : before[i].takesWord(sentence, at);
            if (!stands) {
                return FAILED;
            }
        }
        return forward(sentence, 0, place, kinds, found);
    }

    private int forward(Sentence sentence, int index, int place, Kinds kinds, Map<String, Integer> found) {
        if (index == elements.length) {
            return place;
        }
        Element element = elements[index];
        return switch (element.sort()) {
            case ENDS -> forward(sentence, index + 1, place, kinds, found) < 0 ? FAILED : place;
            case KIND -> {
                int next = kinds.endOf(element.kind(), place);
                int end = next < 0 ? FAILED : forward(sentence, index + 1, next, kinds, found);
                if (end >= 0) {
                    found.put(element.kind(), place);
                }
                yield end < 0 && element.optional() ? forward(sentence, index + 1, place, kinds, found) : end;
            }
            default -> {
                int end = element.takesWord(sentence, place)
                        ? forward(sentence, index + 1, place + 1, kinds, found)
                        : FAILED;
                yield end < 0 && element.optional() ? forward(sentence, index + 1, place, kinds, found) : end;
            }
        };
    }
}
