package org.squallnote.core.dates;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.SentenceSplitter;

/** A date as somebody types it into a field: "fri", "in 3 days", "end of month noon", "12/3". */
public final class TypedDate {

    /** Longer input is no date. */
    private static final int LONGEST = 80;

    private static final Pattern BARE_HOUR = Pattern.compile(" (\\d{1,2})$");

    private static final Pattern BEFORE = Pattern.compile("^before ", Pattern.CASE_INSENSITIVE);

    /** What is short for what in a field, where nothing else can be meant. */
    private static final Map<Pattern, String> SHORT_FORMS = shortForms(
            "^tod\\b", "today",
            "^tom\\b", "tomorrow",
            "(\\d) ?d$", "$1 days",
            "(\\d) ?w$", "$1 weeks",
            "(\\d) ?wd$", "$1 working days",
            "^(\\d{1,2}(?:st|nd|rd|th))$", "the $1",
            "^(\\p{L}+), ?", "$1 ",
            "\\bmarch\\b", "March",
            "\\bmay\\b", "May",
            "(\\d{1,2} \\p{L}{3,}) (\\d{2})$", "$1 20$2",
            "(\\p{L}+ \\d{1,2})\\.(\\d{2})$", "$1:$2");

    private TypedDate() {}

    /**
     * The day, with its time where one was typed, absent when the words name none or one that has passed.
     *
     * @param typed what stands in the field; words before the date are allowed, words after it are not
     */
    public static Optional<DatePhrase> read(String typed, DateContext context) {
        if (typed.isBlank() || typed.length() > LONGEST) {
            return Optional.empty();
        }
        String words = typed.strip();
        return BEFORE.matcher(words).find()
                ? inWords(words, context).map(phrase -> phrase.before(context))
                : inWords(words, context);
    }

    private static Optional<DatePhrase> inWords(String words, DateContext context) {
        return plainly(words, context).or(() -> {
            String whole = inFull(words);
            return whole.equals(words) ? Optional.empty() : plainly(whole, context);
        });
    }

    private static String inFull(String words) {
        String whole = words;
        for (Map.Entry<Pattern, String> form : SHORT_FORMS.entrySet()) {
            whole = form.getKey().matcher(whole).replaceFirst(form.getValue());
        }
        return whole;
    }

    private static Optional<DatePhrase> plainly(String words, DateContext context) {
        // Behind "by" a bare hour is a time, and "3 days" means within them.
        return dateIn("by " + words, context)
                .or(() -> dateIn("within " + words, context))
                .or(() -> dateIn(BARE_HOUR.matcher("by " + words).replaceFirst(" at $1"), context));
    }

    private static Map<Pattern, String> shortForms(String... pairs) {
        Map<Pattern, String> forms = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            forms.put(Pattern.compile(pairs[i], Pattern.CASE_INSENSITIVE), pairs[i + 1]);
        }
        return forms;
    }

    private static Optional<DatePhrase> dateIn(String words, DateContext context) {
        return SentenceSplitter.split(words).stream()
                .limit(1)
                .flatMap(sentence -> DateScanner.in(sentence, context).stream()
                        .filter(phrase -> phrase.toExclusive() == sentence.size() && phrase.form() != Form.PAST))
                .findFirst();
    }
}
