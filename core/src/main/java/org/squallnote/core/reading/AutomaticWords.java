package org.squallnote.core.reading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;

/** What automatic replies and delivery reports say. */
final class AutomaticWords {

    private static final int LONGEST_BOUNCE = 8_000;

    private AutomaticWords() {}

    /** The day on which somebody away is back: the date after "until", "back on", "return". */
    static Optional<LocalDate> returnsOn(List<ReadSentence> sentences, DateContext context) {
        Optional<LocalDate> found = Optional.empty();
        for (ReadSentence read : sentences) {
            for (DatePhrase phrase : read.dates()) {
                Sentence sentence = read.sentence();
                for (int i = phrase.fromInclusive() - 1; i >= Math.max(0, phrase.fromInclusive() - 6); i--) {
                    String norm = sentence.norm(i);
                    boolean back = norm.equals("until")
                            || norm.equals("till")
                            || norm.equals("back")
                            || norm.startsWith("return")
                            || norm.equals("reopen")
                            || norm.equals("reopens");
                    if (back && !phrase.day().isBefore(context.today())) {
                        return Optional.of(phrase.day());
                    }
                }
                if (phrase.form() == DatePhrase.Form.RANGE && found.isEmpty()) {
                    found = Optional.of(
                            context.workingTime().onOrAfter(phrase.day().plusDays(1)));
                }
            }
        }
        return found;
    }

    /** The addresses that a delivery report names as failed (RFC 3464 section 2.3.2), mine and the mail system's left out. */
    static List<String> failedRecipients(String whole, Me me) {
        Set<String> found = new LinkedHashSet<>();
        String text = whole.length() > LONGEST_BOUNCE ? whole.substring(0, LONGEST_BOUNCE) : whole;
        List<Sentence> lines = new ArrayList<>();
        for (Span line : SentenceSplitter.linesOf(text)) {
            String bare = line.in(text).strip().toLowerCase(Locale.ROOT);
            if ((bare.startsWith("---") && (bare.contains("copy of") || bare.contains("original")))
                    || bare.startsWith("--- below")
                    || bare.startsWith("from:")) {
                break;
            }
            lines.addAll(SentenceSplitter.split(line.in(text)));
        }
        for (Sentence line : lines) {
            for (int i = 0; i < line.size(); i++) {
                String word = line.norm(i);
                int at = word.indexOf('@');
                boolean address = at > 0 && word.indexOf('.', at) > 0;
                boolean system = word.startsWith("postmaster@") || word.startsWith("mailer-daemon@");
                if (address && !system && !me.addresses().contains(word)) {
                    found.add(word);
                }
            }
        }
        return List.copyOf(found);
    }
}
