package org.squallnote.core.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Cuts lines of text into sentences.
 *
 * <p>A sentence ends at {@code . ? !}, at a blank line, at the end of a line that does not look as if a mail program
 * had wrapped it there, and before the next entry of a list. Abbreviations, decimal numbers and dates such as
 * {@code 30.8.} do not end one.
 */
public final class SentenceSplitter {

    /** A line at least this long that ends without a mark was probably wrapped by the mail program. */
    private static final int FIRST_FACE = 0x1F600;

    private static final int LAST_FACE = 0x1F64F;
    private static final int FIRST_HAND = 0x1F446;
    private static final int LAST_HAND = 0x1F44F;

    /** Joins pictures to one. */
    private static final char JOINER = '\u200d';

    private static final int WRAPPED_LINE = 55;

    /** No sentence has more words than this; longer ones are cut. */
    private static final int MOST_WORDS = 120;

    /** So many words are cut into sentences: some sixty pages. Nobody asks for something behind them. */
    private static final int MOST_WORDS_OF_A_TEXT = 30_000;

    private static final Map<String, String> ABBREVIATIONS = abbreviations();

    private final PhraseBook book;
    private final String text;
    private final char[] chars;
    private final char[] folded;
    private final List<Sentence> sentences = new ArrayList<>();
    private final List<Word> words = new ArrayList<>();
    private char mark = Word.NOTHING;
    /** Whether a face or a hand stands behind the last word. */
    private boolean faceBefore;

    private boolean inQuotes;
    private boolean amountFollows;
    private boolean startsLine = true;
    private int paragraph;
    private int wordsSoFar;

    private SentenceSplitter(String text, PhraseBook book) {
        this.book = book;
        this.text = text;
        this.chars = text.toCharArray();
        this.folded = Letters.folded(chars);
    }

    /**
     * The sentences of some lines of a text, in their order.
     *
     * @param lines the lines to look at; lines that are left out end a paragraph
     * @param most no line is looked at once there are so many sentences
     * @param book the phrases and words of the language that is read
     */
    public static List<Sentence> split(String text, List<Span> lines, int most, PhraseBook book) {
        SentenceSplitter splitter = new SentenceSplitter(text, book);
        int expected = -1;
        for (int i = 0; i < lines.size() && splitter.sentences.size() < most && !splitter.isFull(); i++) {
            Span line = lines.get(i);
            boolean gap = expected >= 0 && line.fromInclusive() > expected;
            boolean wrapped = i > 0 && !gap && splitter.continues(lines.get(i - 1), line);
            if (gap || splitter.isBlank(line)) {
                splitter.endParagraph();
            } else if (!wrapped) {
                splitter.endSentence(Word.NOTHING);
            }
            splitter.startsLine = splitter.words.isEmpty();
            splitter.line(line);
            // One line end may be two characters.
            expected = line.toExclusive() + 2;
        }
        splitter.endParagraph();
        return splitter.sentences;
    }

    /** The sentences of a whole text. */
    public static List<Sentence> split(String text) {
        return split(text, PhraseBook.EMPTY);
    }

    /** The sentences of a whole text in a language. */
    public static List<Sentence> split(String text, PhraseBook book) {
        return split(text, linesOf(text), Integer.MAX_VALUE, book);
    }

    /** Whether these sentences are all that is cut of a text: what stands behind them was not looked at. */
    public static boolean isCutOff(List<Sentence> sentences) {
        return sentences.stream().mapToInt(Sentence::size).sum() >= MOST_WORDS_OF_A_TEXT;
    }

    /** The lines of a text without their ends. */
    public static List<Span> linesOf(String text) {
        List<Span> lines = new ArrayList<>();
        int start = 0;
        int end = text.indexOf('\n');
        while (end >= 0) {
            lines.add(new Span(start, end > start && text.charAt(end - 1) == '\r' ? end - 1 : end));
            start = end + 1;
            end = text.indexOf('\n', start);
        }
        boolean carriageReturn = text.length() > start && text.charAt(text.length() - 1) == '\r';
        lines.add(new Span(start, carriageReturn ? text.length() - 1 : text.length()));
        return lines;
    }

    private boolean isFull() {
        return wordsSoFar >= MOST_WORDS_OF_A_TEXT;
    }

    private boolean isBlank(Span line) {
        for (int i = line.fromInclusive(); i < line.toExclusive(); i++) {
            if (!Letters.isSpace(chars[i])) {
                return false;
            }
        }
        return true;
    }

    private boolean continues(Span previous, Span line) {
        int length = previous.toExclusive() - previous.fromInclusive();
        if (isBlank(previous) || isBlank(line) || startsListEntry(line)) {
            return false;
        }
        char last = chars[previous.toExclusive() - 1];
        if (last == '.' || last == '?' || last == '!' || last == ':') {
            return false;
        }
        int first = firstNonSpace(line);
        return length >= WRAPPED_LINE || (length >= 30 && Character.isLowerCase(chars[first]));
    }

    private int firstNonSpace(Span line) {
        int i = line.fromInclusive();
        while (i < line.toExclusive() && Letters.isSpace(chars[i])) {
            i++;
        }
        return i;
    }

    private boolean startsListEntry(Span line) {
        int i = firstNonSpace(line);
        if (i >= line.toExclusive()) {
            return false;
        }
        char c = chars[i];
        if (c == '*'
                || c == '•'
                || c == '·'
                || c == '–'
                || (c == '-' && i + 1 < line.toExclusive() && chars[i + 1] == ' ')) {
            return true;
        }
        int digits = i;
        while (digits < line.toExclusive() && Letters.isDigit(chars[digits]) && digits - i < 2) {
            digits++;
        }
        return digits > i
                && digits + 1 < line.toExclusive()
                && (chars[digits] == '.' || chars[digits] == ')')
                && chars[digits + 1] == ' ';
    }

    private void line(Span line) {
        int i = firstNonSpace(line);
        int end = line.toExclusive();
        if (startsListEntry(line)) {
            while (i < end && !Letters.isSpace(chars[i])) {
                i++;
            }
        }
        while (i < end && !isFull()) {
            if (Letters.isSpace(chars[i])) {
                i++;
                continue;
            }
            int from = i;
            i++;
            while (i < end && !Letters.isSpace(chars[i])) {
                i++;
            }
            chunk(from, i, end);
        }
    }

    /** One stretch without white space: marks before, a word with what joins it, marks after. */
    private void chunk(int from, int to, int lineEnd) {
        int i = from;
        while (i < to) {
            if (isWordStart(i, to)) {
                i = word(i, to, lineEnd);
            } else {
                i = markAt(i, to);
            }
        }
    }

    private boolean isWordStart(int i, int to) {
        char c = chars[i];
        boolean and = c == '&' && i + 1 == to && i > 0 && Letters.isSpace(chars[i - 1]);
        return and || Letters.isLetterOrDigit(c) || (c == '@' && i + 1 < to && Letters.isLetterOrDigit(chars[i + 1]));
    }

    private int markAt(int i, int to) {
        char c = chars[i];
        faceBefore &= isPicture(c) || c == JOINER;
        switch (c) {
            case '?', '!' -> {
                char ending = c;
                int j = i;
                while (j < to && (chars[j] == '?' || chars[j] == '!')) {
                    ending = chars[j] == '?' ? '?' : ending;
                    j++;
                }
                endSentenceAt(j, ending);
                return j;
            }
            case '.', '…' -> {
                int j = i;
                while (j < to && (chars[j] == '.' || chars[j] == '…')) {
                    j++;
                }
                boolean pause = j - i > 1 || c == '…';
                if (pause && j < to) {
                    stronger('-');
                } else {
                    endSentenceAt(j, '.');
                }
                return j;
            }
            case '"', '“', '”', '„', '«', '»' -> {
                boolean inches = i > 0 && Letters.isDigit(chars[i - 1]) && !inQuotes;
                if (!inches) {
                    inQuotes = c == '“' || c == '„' || c == '«' || (c == '"' && !inQuotes);
                }
                stronger('"');
                return i + 1;
            }
            case ',' -> stronger(',');
            case ';' -> stronger(';');
            case ':' -> stronger(':');
            case '(', '[' -> stronger('(');
            case ')', ']' -> stronger(')');
            case '-', '–', '—', '~', '|', '/', '=' -> stronger('-');
            case '%', '‰', '€', '£', '$', '°' -> amount(c, i + 1 < to && Letters.isDigit(chars[i + 1]));
            default -> {
                if (isPicture(c)) {
                    faceBefore |= isFace(i);
                    stronger('*');
                }
            }
        }
        return i + 1;
    }

    /** "12 %" and "£12" are amounts: their numbers are no times of day. */
    private void amount(char sign, boolean beforeNumber) {
        if (beforeNumber) {
            amountFollows = true;
            return;
        }
        int last = words.size() - 1;
        if (last >= 0 && mark == Word.NOTHING && words.get(last).isNumber()) {
            Word number = words.get(last);
            words.set(
                    last,
                    new Word(
                            number.norm() + sign,
                            -Vocabulary.edition(),
                            number.span(),
                            number.before(),
                            number.capital(),
                            number.quoted()));
        }
    }

    /** Whether it is an emoji or a part of one. */
    public static boolean isPicture(char c) {
        int type = Character.getType(c);
        return type == Character.SURROGATE || type == Character.OTHER_SYMBOL || type == Character.NON_SPACING_MARK;
    }

    /** Whether a face or a hand stands there: a word behind it begins something else, as behind a full stop. */
    private boolean isFace(int at) {
        if (at + 1 >= chars.length || !Character.isSurrogatePair(chars[at], chars[at + 1])) {
            return false;
        }
        int face = Character.toCodePoint(chars[at], chars[at + 1]);
        return (face >= FIRST_FACE && face <= LAST_FACE) || (face >= FIRST_HAND && face <= LAST_HAND);
    }

    private void stronger(char next) {
        if (mark == Word.NOTHING || next == '*' || mark == ',' || mark == '"') {
            mark = next;
        }
    }

    private int word(int from, int to, int lineEnd) {
        int i = from + 1;
        while (i < to && joins(i, to)) {
            i++;
        }
        boolean dotted = i < to && chars[i] == '.' && !endsSentenceAfter(text.substring(from, i), i, to, lineEnd);
        int end = dotted ? i + 1 : i;
        add(from, i, end);
        return end;
    }

    /** Whether the character at that place belongs to the word that it stands in. */
    private boolean joins(int i, int to) {
        char c = chars[i];
        if (Letters.isLetterOrDigit(c) || c == '_') {
            return true;
        }
        if (i + 1 >= to) {
            return false;
        }
        char next = chars[i + 1];
        boolean between = Letters.isLetterOrDigit(next);
        return switch (c) {
            case '.' -> between && !isMissingSpace(i, next);
            case '-' -> between && !isEnding(i, to);
            case '\'', '’', '/', '@', '+' -> between;
            case ':' -> (Letters.isDigit(next) && Letters.isDigit(chars[i - 1])) || next == '/';
            case ',' -> Letters.isDigit(next) && Letters.isDigit(chars[i - 1]);
            default -> Character.getType(c) == Character.NON_SPACING_MARK;
        };
    }

    /** "Friday-ish" is two words, of which the second makes the first a rough one. */
    private boolean isEnding(int hyphen, int to) {
        boolean ish =
                hyphen + 3 < to && folded[hyphen + 1] == 'i' && folded[hyphen + 2] == 's' && folded[hyphen + 3] == 'h';
        return ish && (hyphen + 4 == to || !Letters.isLetterOrDigit(chars[hyphen + 4]));
    }

    /** "there.Can you" lacks a space; "a.m", "3.5" and addresses do not. */
    private boolean isMissingSpace(int dot, char next) {
        return Character.isUpperCase(next)
                && dot > 1
                && Character.isLowerCase(chars[dot - 1])
                && Character.isLetter(chars[dot - 2]);
    }

    private boolean endsSentenceAfter(String raw, int dot, int to, int lineEnd) {
        if (dot + 1 < to) {
            char next = chars[dot + 1];
            // "a.m.," and "e.g.)" go on; a quotation mark after the dot does not.
            return !(next == ',' || next == ';' || next == ':');
        }
        int following = dot + 1;
        while (following < lineEnd && Letters.isSpace(chars[following])) {
            following++;
        }
        boolean last = following >= lineEnd;
        String lower = raw.toLowerCase(Locale.ROOT);
        String abbreviation = ABBREVIATIONS.getOrDefault(lower, "");
        if (!abbreviation.isEmpty()) {
            char next = last ? Word.NOTHING : chars[following];
            return switch (abbreviation) {
                case "always" -> last;
                // "bill no. before 1": behind another word; "no. that is wrong" and "oh no. shall I" answer.
                case "digit" ->
                    !Letters.isDigit(next) && (last || isFirstOrCried(words) || !Character.isLowerCase(next));
                default -> last || Character.isUpperCase(next);
            };
        }
        boolean digits = Letters.isDigit(raw.charAt(0));
        if (digits && raw.indexOf('.') > 0 && isDigitsAndDots(raw)) {
            // "30.8." is a date; it ends a sentence only before a capital.
            return last || Character.isUpperCase(chars[following]);
        }
        if (digits && raw.length() <= 2 && !last && Character.isLetter(chars[following])) {
            // "22. April", and "is the 22." before a capital that starts a sentence: a month decides.
            return !isMonth(following, lineEnd);
        }
        // A single letter is an initial, unless the line ends with it.
        return raw.length() != 1 || last || digits || raw.equals("I") || raw.equals("a");
    }

    private static boolean isFirstOrCried(List<Word> words) {
        return words.isEmpty() || words.get(words.size() - 1).is("oh", "ah", "no");
    }

    private static boolean isDigitsAndDots(String raw) {
        for (int i = 0; i < raw.length(); i++) {
            if (!Letters.isDigit(raw.charAt(i)) && raw.charAt(i) != '.') {
                return false;
            }
        }
        return true;
    }

    private boolean isMonth(int from, int lineEnd) {
        String word = text.substring(from, Math.min(from + 3, lineEnd)).toLowerCase(Locale.ROOT);
        return "jan feb mar apr may jun jul aug sep oct nov dec".contains(word);
    }

    private void add(int from, int lettersTo, int to) {
        if (faceBefore) {
            endSentence(Word.NOTHING);
            faceBefore = false;
            mark = '*';
        }
        if (words.size() >= MOST_WORDS) {
            endSentenceAt(from, Word.NOTHING);
        }
        Vocabulary.Known known = amountFollows ? null : Vocabulary.at(folded, from, lettersTo);
        if (known != null && known.isTwo()) {
            // "lem|me", "gon|na": the second word is written with two letters.
            int space = known.norm().indexOf(' ');
            add(Vocabulary.of(known.norm().substring(0, space)), from, lettersTo - 2, lettersTo - 2);
            add(Vocabulary.of(known.norm().substring(space + 1)), lettersTo - 2, lettersTo, to);
            return;
        }
        add(known, from, lettersTo, to);
    }

    private void add(Vocabulary.@Nullable Known known, int from, int lettersTo, int to) {
        String norm = known == null ? unknown(from, lettersTo) : known.norm();
        amountFollows = false;
        wordsSoFar++;
        words.add(new Word(
                norm,
                known == null ? -Vocabulary.edition() : known.number(),
                new Span(from, to),
                words.isEmpty() ? (mark == '*' || mark == '"' ? mark : Word.NOTHING) : mark,
                Character.isUpperCase(chars[from]),
                inQuotes));
        mark = Word.NOTHING;
    }

    private String unknown(int from, int to) {
        String lower = new String(folded, from, to - from);
        return amountFollows ? lower + "¤" : lower;
    }

    private void endSentence(char ending) {
        if (!words.isEmpty()) {
            endSentenceAt(words.get(words.size() - 1).span().toExclusive(), ending);
        }
        mark = Word.NOTHING;
    }

    private void endSentenceAt(int end, char ending) {
        if (!words.isEmpty()) {
            Span span = new Span(words.get(0).span().fromInclusive(), end);
            sentences.add(new Sentence(book, words, span, ending, paragraph, startsLine));
            words.clear();
            startsLine = false;
        }
        faceBefore = false;
        mark = Word.NOTHING;
    }

    private void endParagraph() {
        endSentence(Word.NOTHING);
        inQuotes = false;
        paragraph++;
    }

    private static Map<String, String> abbreviations() {
        Map<String, String> kinds = new HashMap<>();
        for (String line : WordList.lines(SentenceSplitter.class, "abbreviations.txt")) {
            String[] words = line.split(" ");
            for (int i = 1; i < words.length; i++) {
                kinds.put(words[i], words[0]);
            }
        }
        return kinds;
    }
}
