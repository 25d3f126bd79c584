package org.squallnote.core.text;

import java.util.Arrays;
import java.util.Collection;
import org.jspecify.annotations.Nullable;

/**
 * The words that rules know, each with a number, so that rules compare numbers where they would compare letters.
 *
 * <p>Rules add their words when their classes are loaded; the table that a reader sees never changes. A sentence that
 * was cut before a word was added does not know its number: {@link Word#number} says as of which edition it was unknown.
 */
final class Vocabulary {

    /**
     * A word as it may be written.
     *
     * @param hash the hash of how it is written
     * @param letters how it is written, in lower case, with straight apostrophes
     * @param norm how it is written right
     * @param number the number of {@code norm}, from 1; 0 where that is two words: "lemme" is "let me"
     */
    record Known(int hash, char[] letters, String norm, int number) {

        Known(String written, String norm, int number) {
            this(written.hashCode(), written.toCharArray(), norm, number);
        }

        /** Whether it is two words in one. */
        boolean isTwo() {
            return number == 0;
        }
    }

    /** An open hash table, at most a third full; never changed once it is seen. */
    private record Table(@Nullable Known[] slots, int size, int numbers) {

        Table(int capacity) {
            this(new @Nullable Known[capacity], 0, 0);
        }

        private int slotOf(int hash, char[] letters) {
            int slot = hash & (slots.length - 1);
            Known there = slots[slot];
            while (there != null && !Arrays.equals(there.letters(), letters)) {
                slot = (slot + 1) & (slots.length - 1);
                there = slots[slot];
            }
            return slot;
        }

        @Nullable
        Known get(String written) {
            return slots[slotOf(written.hashCode(), written.toCharArray())];
        }

        Table roomier(int more) {
            int capacity = slots.length;
            while (capacity < 3 * (size + more)) {
                capacity *= 2;
            }
            Table copy = new Table(new @Nullable Known[capacity], size, numbers);
            for (Known known : slots) {
                if (known != null) {
                    copy.slots[copy.slotOf(known.hash(), known.letters())] = known;
                }
            }
            return copy;
        }

        Table with(String word) {
            return with(new Known(word, word, numbers + 1));
        }

        Table with(Known known) {
            slots[slotOf(known.hash(), known.letters())] = known;
            return new Table(slots, size + 1, Math.max(numbers, known.number()));
        }
    }

    private static volatile Table table = spellings();

    private Vocabulary() {}

    private static Table spellings() {
        Table spellings = new Table(1 << 14);
        for (String line : WordList.lines(Vocabulary.class, "spellings.txt")) {
            String[] sides = line.split("\\s*=\\s*", 2);
            for (String word : sides[0].split(" ")) {
                spellings = spellings.get(word) == null ? spellings.with(word) : spellings;
            }
            Known right = spellings.get(sides[0]);
            int number = right == null ? 0 : right.number();
            for (String variant : sides[1].split("\\s+")) {
                spellings = spellings.with(new Known(variant, sides[0], number));
            }
        }
        return spellings;
    }

    /** Gives each of these words a number that has none. */
    static synchronized void add(Collection<String> words) {
        Table next = table.roomier(words.size());
        for (String word : words) {
            Known known = next.get(word);
            if (known == null) {
                next = next.with(word);
            } else if (!known.norm().equals(word)) {
                throw new IllegalStateException("A rule waits for \"" + word + "\", which is read as " + known.norm());
            }
        }
        table = next;
    }

    /** The number of a word that was added. */
    static int numberOf(String word) {
        Known known = table.get(word);
        if (known == null) {
            throw new IllegalStateException("Not in the vocabulary: " + word);
        }
        return known.number();
    }

    /** A word as it is written right, or nothing. */
    static @Nullable Known of(String word) {
        return table.get(word);
    }

    /** Whether a word is no known way to write another one. */
    static boolean isWrittenRight(String word) {
        Known known = table.get(word);
        return known == null || known.norm().equals(word);
    }

    /** How many words there are: grows when one is added. */
    static int edition() {
        return table.numbers();
    }

    /**
     * The word that stands in a text, or nothing.
     *
     * @param folded the text in lower case with straight apostrophes
     */
    static @Nullable Known at(char[] folded, int fromInclusive, int toExclusive) {
        @Nullable Known[] slots = table.slots();
        int hash = 0;
        for (int i = fromInclusive; i < toExclusive; i++) {
            hash = 31 * hash + folded[i];
        }
        int slot = hash & (slots.length - 1);
        Known there = slots[slot];
        while (there != null) {
            if (there.hash() == hash
                    && Arrays.equals(there.letters(), 0, there.letters().length, folded, fromInclusive, toExclusive)) {
                return there;
            }
            slot = (slot + 1) & (slots.length - 1);
            there = slots[slot];
        }
        return null;
    }
}
