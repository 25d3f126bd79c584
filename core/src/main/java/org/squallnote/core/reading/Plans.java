package org.squallnote.core.reading;

import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows a sentence that says how far a thing has come, or what happens at a time to come: "in an hour". */
final class Plans {

    /** The rules that say so: of the thing, of what the writer still has to do, of what others do, that they come. */
    static final Set<String> LABELS = Set.of("plans", "to-do", "others-do", "attends");

    private static final int LONGEST_FRAGMENT = 8;

    /** More words are no mere time. */
    private static final int LONGEST_TIME = 12;

    private Plans() {}

    static boolean isOne(ReadSentence read, DateContext context) {
        Sentence sentence = read.sentence();
        if (sentence.isQuestion() || !read.found().isEmpty() || sentence.at(0).is("since")) {
            return false; // "Since the update on Friday."
        }
        if (isSaid(read) || isOnlyACondition(read) || isBeingDone(sentence)) {
            return true;
        }
        if (lastAhead(read, context).isEmpty()) {
            return false;
        }
        if (isOnlyATime(read) || isWhereAndWhen(sentence) || isWhatAndByWhen(read)) {
            return true;
        }
        // "The printer was down; it goes out today": the first part tells of what has been, the second does not.
        Set<Integer> goneBy = new HashSet<>();
        for (int i = 1; i < sentence.size(); i++) {
            if (WordClass.GONE_BY.has(sentence, i)) {
                goneBy.add(read.parts().unitOf(i));
            }
        }
        for (int i = 1; i < sentence.size(); i++) {
            if (!goneBy.contains(read.parts().unitOf(i)) && happens(sentence, i)) {
                return true;
            }
        }
        return false;
    }

    /** The last time that it names, where that is still ahead. */
    static Optional<LocalDateTime> lastAhead(ReadSentence read, DateContext context) {
        Optional<LocalDateTime> found = Optional.empty();
        for (DatePhrase phrase : read.dates()) {
            if (!phrase.end().isBefore(context.sentAt())) {
                found = Optional.of(phrase.end());
            }
        }
        return found;
    }

    /** "It's almost ready", "not before Thursday"; "you will find them on our site" tells where they are. */
    private static boolean isSaid(ReadSentence read) {
        return read.acts().stream()
                .anyMatch(act -> LABELS.contains(act.label())
                        && !WordClass.TOLD_OF_YOU.has(read.sentence(), act.fromInclusive() - 1));
    }

    /** "Printing.", "I'm comparing prices", "ordering now", but not "I'm attaching it". */
    private static boolean isBeingDone(Sentence sentence) {
        if (sentence.size() == 1) {
            return WordClass.IN_THE_WORKS.has(sentence, 0);
        }
        for (int i = 0; i < sentence.size() - 1; i++) {
            boolean mine = sentence.at(i).is("i'm", "we're");
            int at = mine ? i + 1 : i;
            while (mine && WordClass.BETWEEN_WILL_AND_VERB.has(sentence, at)) {
                at++;
            }
            boolean bare = i == 0 && sentence.at(1).is("now", "it", "them", "that", "this");
            if ((mine || bare) && sentence.norm(at).endsWith("ing") && !WordClass.HANDING_OVER.has(sentence, at)) {
                return true;
            }
        }
        return false;
    }

    /** "When I'm done with the crane", "sure, after the crane": no more than what comes before. */
    static boolean isOnlyACondition(ReadSentence read) {
        Sentence sentence = read.sentence();
        int start = behindAYes(read);
        if (sentence.size() - start > LONGEST_FRAGMENT || !sentence.at(start).is("when", "whenever", "once", "after")) {
            return false;
        }
        for (int i = start + 1; i < sentence.size(); i++) {
            if (sentence.at(i).followsMark()) {
                return isOnlyAroundATime(sentence, i);
            }
        }
        return true;
    }

    /** "When the scanner works again, sorry." */
    private static boolean isOnlyAroundATime(Sentence sentence, int from) {
        for (int i = from; i < sentence.size(); i++) {
            if (!WordClass.AROUND_A_TIME.has(sentence, i)) {
                return false;
            }
        }
        return true;
    }

    private static int behindAYes(ReadSentence read) {
        boolean yes = read.acts().stream()
                .anyMatch(act -> act.fromInclusive() == 0
                        && (act.label().equals("willing")
                                || act.label().equals("agrees")
                                || act.label().equals("confirm")));
        for (int i = 1; yes && i < read.sentence().size(); i++) {
            if (read.sentence().at(i).followsMark()) {
                return i;
            }
        }
        return 0;
    }

    /** "On my round at four", "after lunch on Monday": no clause, but when it will be. */
    private static boolean isWhereAndWhen(Sentence sentence) {
        if (sentence.size() > LONGEST_FRAGMENT
                || !sentence.at(0).is("on", "at", "in", "after", "before", "during", "with", "over")) {
            return false;
        }
        for (int i = 1; i < sentence.size(); i++) {
            boolean clause = WordClass.DOER.has(sentence, i)
                    || sentence.at(i).is("i", "we", "you", "he", "she", "they", "it", "is", "are", "was", "were")
                    || WordClass.GONE_BY.has(sentence, i);
            if (clause) {
                return false;
            }
        }
        return true;
    }

    /** "New proof by this afternoon.": a thing and its day, without a verb. */
    private static boolean isWhatAndByWhen(ReadSentence read) {
        Sentence sentence = read.sentence();
        DatePhrase last = read.dates().get(read.dates().size() - 1);
        if (sentence.size() > LONGEST_FRAGMENT
                || last.toExclusive() < sentence.size()
                || last.form() == DatePhrase.Form.TIME) {
            return false;
        }
        for (int i = 0; i < last.fromInclusive(); i++) {
            boolean verb = WordClass.DOER.has(sentence, i)
                    || WordClass.AUXILIARY.has(sentence, i)
                    || WordClass.GONE_BY.has(sentence, i)
                    || WordClass.DENYING.has(sentence, i)
                    || sentence.norm(i).endsWith("s")
                    || sentence.norm(i).endsWith("ed")
                    || sentence.norm(i).indexOf('\'') >= 0;
            if (verb) {
                return false;
            }
        }
        return sentence.at(last.fromInclusive() - 1).is("by", "on", "for");
    }

    /** "In an hour", "Tomorrow by noon", "Friday at the latest." */
    private static boolean isOnlyATime(ReadSentence read) {
        if (read.sentence().size() > LONGEST_TIME) {
            return false;
        }
        for (int i = 0; i < read.sentence().size(); i++) {
            int at = i;
            if (i > 0 && read.sentence().at(i).followsMark() && WordClass.OPENS_A_CONDITION.has(read.sentence(), i)) {
                return true; // "Tonight, when the children are in bed."
            }
            boolean dated =
                    read.dates().stream().anyMatch(phrase -> phrase.fromInclusive() <= at && at < phrase.toExclusive());
            if (!dated && !WordClass.AROUND_A_TIME.has(read.sentence(), i)) {
                return false;
            }
        }
        return true;
    }

    /** "The post takes it along", "I bring it", "you get it", "our driver is bringing it". */
    private static boolean happens(Sentence sentence, int at) {
        String norm = sentence.norm(at);
        if (WordClass.GOES.has(sentence, at) || (at > 1 && WordClass.FORETELLING.has(sentence, at))) {
            return true;
        }
        String before = sentence.norm(at - 1);
        boolean will =
                before.equals("will") || before.equals("shall") || before.equals("should") || before.endsWith("'ll");
        if (will && norm.equals("be")) {
            // "They'll be ready by Wednesday"; what "will be with you" is on its way.
            return !sentence.norm(at + 1).equals("with");
        }
        // "Nils will bring it tomorrow"; "I will" promises, and what you will do is up to you.
        if (will && at >= 2 && isDeed(sentence, at) && !WordClass.DOER.has(sentence, at - 2)) {
            return true;
        }
        if (WordClass.SAID_BY_IT.has(sentence, at)) {
            return false;
        }
        if (WordClass.DOER.has(sentence, at - 1)) {
            return isDeed(sentence, at);
        }
        boolean several = before.length() > 3 && before.endsWith("s") && !before.endsWith("'s") && at >= 2;
        if (several && (WordClass.GO.has(sentence, at) || WordClass.GIVING_FORMS.has(sentence, at))) {
            return true;
        }
        boolean being = before.equals("is") || before.equals("are") || before.endsWith("'s") || before.endsWith("'re");
        if (being && norm.endsWith("ing") && !WordClass.STATE_IN_ING.has(sentence, at)) {
            return true;
        }
        return norm.endsWith("s")
                && !norm.endsWith("ss")
                && WordClass.THIRD_PERSON.has(sentence, at)
                && !sentence.at(at).capital();
    }

    private static boolean isDeed(Sentence sentence, int at) {
        return WordClass.GO.has(sentence, at)
                || WordClass.GIVING_FORMS.has(sentence, at)
                || WordClass.IMPERATIVE.has(sentence, at);
    }
}
