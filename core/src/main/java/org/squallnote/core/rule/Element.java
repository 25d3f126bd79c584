package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.squallnote.core.text.Lexicon;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/**
 * One element of a pattern.
 *
 * @param words those that may stand there (with {@code negated}: that may not)
 * @param endings how such words may end
 * @param most of a gap: so many words
 * @param said what has to hold of a date, each with its alternatives
 */
record Element(
        Sort sort,
        WordSet words,
        List<String> endings,
        boolean negated,
        boolean optional,
        int most,
        List<List<Said>> said) {

    /** One thing that may be said of a date: {@code day}, or {@code first} with its word. */
    record Said(String what, String word) {

        static Said of(String piece) {
            int equals = piece.indexOf('=');
            return equals < 0 ? new Said(piece, "") : new Said(piece.substring(0, equals), piece.substring(equals + 1));
        }
    }

    enum Sort {
        /** One word. */
        WORD,
        /** A word of a kind that no list tells. */
        KIND,
        /** Any number of words in the same part of the sentence. */
        GAP,
        /** Any number of words in the same clause. */
        CLAUSE_GAP,
        /** Words between "by" and its date: "by the very latest Friday". */
        BETWEEN,
        /** The date. */
        DATE,
        /** A part of the sentence begins here. */
        OPENS,
        /** The sentence begins here. */
        FIRST,
        /** A clause begins here. */
        CLAUSE,
        /** A mark stands here. */
        MARK,
        /** A mark or the end of the sentence stands here. */
        CLOSES,
        /** The sentence ends here. */
        LAST,
        /** Here the words begin that belong to what is found. */
        BEGINS,
        /** Here they end. */
        ENDS
    }

    /** A gap spans so many words at the most, so that a pattern looks at a bounded stretch. */
    private static final int LONGEST_GAP = 40;

    private static final WordSet NONE = WordSet.of();

    static Element of(String piece, Lexicon lexicon) {
        return switch (piece) {
            case "^" -> mark(Sort.OPENS);
            case "^^" -> mark(Sort.FIRST);
            case "/" -> mark(Sort.CLAUSE);
            case "," -> mark(Sort.MARK);
            case "$" -> mark(Sort.CLOSES);
            case "$$" -> mark(Sort.LAST);
            case ">" -> mark(Sort.BEGINS);
            case "<" -> mark(Sort.ENDS);
            case "~" -> gap(Sort.BETWEEN, "=<between>", lexicon);
            default -> wordOrGap(piece, lexicon);
        };
    }

    private static Element wordOrGap(String piece, Lexicon lexicon) {
        if (piece.startsWith("{date")) {
            return date(piece);
        }
        if (piece.startsWith("{") || piece.startsWith("[{")) {
            boolean optional = piece.startsWith("[");
            int mark = optional ? 2 : 1;
            String kind = piece.substring(mark, piece.length() - mark);
            return new Element(Sort.KIND, NONE, List.of(kind), false, optional, 1, List.of());
        }
        if (piece.startsWith("..")) {
            return gap(Sort.GAP, piece.substring(2), lexicon);
        }
        if (piece.startsWith("::")) {
            return gap(Sort.CLAUSE_GAP, piece.substring(2), lexicon);
        }
        boolean optional = piece.startsWith("[");
        String inner = optional ? piece.substring(1, piece.length() - 1) : piece;
        return word(Sort.WORD, inner, optional, 1, lexicon);
    }

    private static Element mark(Sort sort) {
        return new Element(sort, NONE, List.of(), false, false, 0, List.of());
    }

    /** {@code {date:day|end,timed}}: every part has to hold, of its alternatives one. */
    private static Element date(String piece) {
        int colon = piece.indexOf(':');
        List<List<Said>> said = new ArrayList<>();
        if (colon > 0) {
            for (String part : piece.substring(colon + 1, piece.length() - 1).split(",")) {
                said.add(Stream.of(part.split("\\|")).map(Said::of).toList());
            }
        }
        return new Element(Sort.DATE, NONE, List.of(), false, false, 0, said);
    }

    /** {@code ..}, {@code ..4}; {@code ..!the|a} for words that are none of these, {@code ..=the|a} for words that are. */
    private static Element gap(Sort sort, String rest, Lexicon lexicon) {
        int digits = 0;
        while (digits < rest.length() && Character.isDigit(rest.charAt(digits))) {
            digits++;
        }
        int most = digits == 0 ? LONGEST_GAP : Integer.parseInt(rest.substring(0, digits));
        String of = rest.substring(digits);
        return word(sort, of.isEmpty() ? "*" : of.startsWith("=") ? of.substring(1) : of, true, most, lexicon);
    }

    private static Element word(Sort sort, String piece, boolean optional, int most, Lexicon lexicon) {
        boolean negated = piece.startsWith("!");
        Set<String> words = new HashSet<>();
        List<String> endings = new ArrayList<>();
        for (String alternative : (negated ? piece.substring(1) : piece).split("\\|")) {
            if (alternative.startsWith("<")) {
                words.addAll(lexicon.words(alternative));
            } else if (alternative.startsWith("*")) {
                endings.add(alternative.substring(1));
            } else {
                words.add(alternative);
            }
        }
        return new Element(sort, WordSet.of(words), List.copyOf(endings), negated, optional, most, List.of());
    }

    /** Whether nothing but its listed words can stand for it. */
    boolean needsItsWords() {
        return sort == Sort.WORD && !optional && !negated && endings.isEmpty();
    }

    /** The kind of words that it stands for. */
    String kind() {
        return endings.get(0);
    }

    /** Whether it can stand for the word at that place. */
    boolean takes(Setting setting, int place) {
        Sentence sentence = setting.sentence();
        boolean inside = place >= 0 && place < sentence.size();
        return sort == Sort.KIND ? inside && setting.isKind(kind(), place) : takesWord(sentence, place);
    }

    /** Whether the word at that place of a sentence is one that it stands for. */
    boolean takesWord(Sentence sentence, int place) {
        return place >= 0 && place < sentence.size() && isOne(sentence, place) != negated;
    }

    private boolean isOne(Sentence sentence, int place) {
        if (words.has(sentence, place)) {
            return true;
        }
        for (int i = 0; i < endings.size(); i++) {
            if (sentence.norm(place).endsWith(endings.get(i))) {
                return true;
            }
        }
        return false;
    }

    /** Whether the date is one that it stands for. */
    boolean takesDate(Setting setting) {
        for (int all = 0; all < said.size(); all++) {
            List<Said> alternatives = said.get(all);
            boolean one = false;
            for (int i = 0; i < alternatives.size() && !one; i++) {
                one = setting.isDate(
                        alternatives.get(i).what(), alternatives.get(i).word());
            }
            if (!one) {
                return false;
            }
        }
        return true;
    }
}
