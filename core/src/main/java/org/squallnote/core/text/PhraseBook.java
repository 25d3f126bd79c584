package org.squallnote.core.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Phrases by label, read from data files; finds all that stand in a sentence, looking only at those that begin with a
 * word that stands there.
 *
 * <p>A file has lines {@code words NAME: words} and rules: {@code rule LABEL.NAME}, and for each of its forms
 * {@code takes} with a phrase and {@code yes} with a sentence in which it stands; see {@link Phrase} for how a phrase is written and
 * {@link Lexicon} for classes of words. Every word of a phrase has a number, so that matching compares numbers and looks each
 * word of a sentence up once.
 */
public final class PhraseBook {

    private static final WordSet NO_WORDS = WordSet.of();

    /** Without a word: for text in which only dates are looked for. */
    static final PhraseBook EMPTY = of(List.of());

    /** The number of a word that stands in no phrase. */
    static final int UNKNOWN = 0;

    private final Lexicon lexicon = new Lexicon(Map.of());
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<List<Phrase>> byFirstWord = new ArrayList<>(List.of(List.of()));
    /** By the numbers of the first word and the one behind it; words without phrases have an empty row. */
    private Candidates[][] byFirstTwo = {};
    /** The numbers here by those in the vocabulary. */
    private int[] byVocabulary = {};

    private WordSet all = NO_WORDS;
    private final Map<WordClass, WordSet> sets = new EnumMap<>(WordClass.class);

    /**
     * Phrases that may begin at a place.
     *
     * @param needs of each phrase, one after the other, two of the words further on without which it cannot match
     */
    private record Candidates(Phrase[] phrases, long[] needs) {

        static Candidates of(Phrase[] phrases) {
            long[] needs = new long[2 * phrases.length];
            for (int i = 0; i < phrases.length; i++) {
                needs[2 * i] = phrases[i].need(0);
                needs[2 * i + 1] = phrases[i].need(1);
            }
            return new Candidates(phrases, needs);
        }
    }

    private final List<PhraseOrigin> origins = new ArrayList<>();
    private final List<Phrase> phrases = new ArrayList<>();
    private final Set<String> rules = new HashSet<>();
    private String rule = "";
    private String form = "";

    private PhraseBook() {}

    /** Reads files that lie beside a class, in their order: classes of words have to come before their use. */
    public static PhraseBook of(Class<?> beside, String... files) {
        return of(Stream.of(files)
                .flatMap(file -> WordList.lines(beside, file).stream())
                .toList());
    }

    /** The same from lines, without remarks and white space at their ends. */
    static PhraseBook of(List<String> lines) {
        PhraseBook book = new PhraseBook();
        lines.forEach(book::take);
        book.requireExample();
        book.index();
        return book;
    }

    private void take(String line) {
        int space = line.indexOf(' ');
        String key = line.substring(0, Math.max(space, 0));
        String rest = line.substring(space + 1).strip();
        switch (key) {
            case "words" -> lexicon.add(rest);
            case "rule" -> {
                requireExample();
                if (!rules.add(rest)) {
                    throw new IllegalStateException("Two rules are called " + rest);
                }
                rule = rest;
            }
            case "takes" -> {
                requireExample();
                form = rest;
            }
            case "yes" -> add(new PhraseOrigin(rule, form, rest));
            default -> throw new IllegalStateException("No list of phrases has such a line: " + line);
        }
    }

    private void requireExample() {
        if (!form.isEmpty()) {
            throw new IllegalStateException("A form of " + rule + " has no example: " + form);
        }
    }

    private void add(PhraseOrigin origin) {
        if (!origin.name().contains(".") || origin.written().isEmpty()) {
            throw new IllegalStateException("This example belongs to no form of a rule: " + origin.example());
        }
        origins.add(origin);
        Phrase phrase = new Phrase(origin, lexicon, this::numberOf);
        phrases.add(phrase);
        for (String first : phrase.firstWords()) {
            byFirstWord.get(numberOf(first)).add(phrase);
        }
        form = "";
    }

    /** All forms of all rules, in the order of the lists. */
    public List<PhraseOrigin> origins() {
        return List.copyOf(origins);
    }

    private void index() {
        Map<String, Set<String>> classes = lexicon.classes();
        for (WordClass each : WordClass.values()) {
            Set<String> words = classes.get(each.label());
            if (words != null) {
                sets.put(each, WordSet.of(words));
            }
        }
        Set<String> words = new HashSet<>(numbers.keySet());
        lexicon.all().forEach(words::add);
        all = WordSet.of(words);
        byVocabulary = new int[Vocabulary.edition() + 1];
        numbers.forEach((word, number) -> byVocabulary[Vocabulary.numberOf(word)] = number);
        byFirstTwo = new Candidates[byFirstWord.size()][];
        for (int first = 0; first < byFirstTwo.length; first++) {
            List<Phrase> phrases = byFirstWord.get(first);
            byFirstTwo[first] = phrases.isEmpty() ? new Candidates[0] : rowOf(phrases);
        }
    }

    private Candidates[] rowOf(List<Phrase> phrases) {
        BitSet seconds = new BitSet();
        phrases.forEach(phrase -> seconds.or(phrase.secondWords()));
        Candidates[] row = new Candidates[byFirstWord.size()];
        Arrays.fill(row, those(phrases, UNKNOWN));
        for (int second = seconds.nextSetBit(0); second >= 0; second = seconds.nextSetBit(second + 1)) {
            row[second] = those(phrases, second);
        }
        return row;
    }

    private static Candidates those(List<Phrase> phrases, int second) {
        return Candidates.of(phrases.stream()
                .filter(phrase ->
                        phrase.secondWords().isEmpty() || phrase.secondWords().get(second))
                .toArray(Phrase[]::new));
    }

    private int numberOf(String word) {
        return numbers.computeIfAbsent(word, any -> {
            byFirstWord.add(new ArrayList<>());
            return byFirstWord.size() - 1;
        });
    }

    /** All classes of words by their names. */
    public Map<String, Set<String>> classes() {
        return lexicon.classes();
    }

    /** The words of a class; none where this language does not name it. */
    WordSet set(WordClass words) {
        return sets.getOrDefault(words, NO_WORDS);
    }

    /** Whether the word stands in any phrase or set. */
    public boolean holds(Word word) {
        return all.has(word);
    }

    /** The same of a word that stands in no sentence. */
    public boolean holds(String norm) {
        return all.has(norm);
    }

    /** All phrases in the sentence, in the order of their first words. */
    public List<PhraseMatch> in(Sentence sentence) {
        int size = sentence.size();
        int[] words = new int[size];
        // At each place a bit for every word that stands there or further on.
        long[] ahead = new long[size + 1];
        for (int i = size - 1; i >= 0; i--) {
            words[i] = numberOf(sentence.at(i));
            ahead[i] = ahead[i + 1] | 1L << words[i];
        }
        List<PhraseMatch> found = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            Candidates[] row = byFirstTwo[words[i]];
            if (row.length > 0) {
                match(sentence, words, i, row[i + 1 < size ? words[i + 1] : UNKNOWN], ahead[i], found);
            }
        }
        return found;
    }

    /** Forms that would stand in the sentence, were one word another one; those of which the most stands first. */
    public List<NearMatch> nearlyIn(Sentence sentence, int most) {
        int[] words = new int[sentence.size()];
        for (int i = 0; i < words.length; i++) {
            words[i] = numberOf(sentence.at(i));
        }
        List<NearMatch> near = new ArrayList<>();
        for (Phrase phrase : phrases) {
            for (int i = 0; i < words.length; i++) {
                phrase.nearlyAt(sentence, words, i, sentence.startsClause(i)).ifPresent(near::add);
            }
        }
        return near.stream()
                .sorted(Comparator.comparingInt(NearMatch::letters).reversed())
                .limit(most)
                .toList();
    }

    private int numberOf(Word word) {
        int number = word.number();
        if (number >= 0) {
            return number < byVocabulary.length ? byVocabulary[number] : UNKNOWN;
        }
        return -number < byVocabulary.length - 1 ? numbers.getOrDefault(word.norm(), UNKNOWN) : UNKNOWN;
    }

    private static void match(
            Sentence sentence, int[] words, int at, Candidates candidates, long ahead, List<PhraseMatch> found) {
        boolean startsPart = sentence.startsClause(at);
        long[] needs = candidates.needs();
        for (int i = 0; i < candidates.phrases().length; i++) {
            if ((needs[2 * i] & ahead) != 0 && (needs[2 * i + 1] & ahead) != 0) {
                PhraseMatch match = candidates.phrases()[i].at(sentence, words, at, startsPart);
                if (match.toExclusive() > 0) {
                    found.add(match);
                }
            }
        }
    }
}
