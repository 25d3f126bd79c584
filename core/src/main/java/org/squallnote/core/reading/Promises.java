package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.reading.DateRoles.Role;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Finds what a writer promises, to whom and by when. */
final class Promises {

    private final DateContext context;
    private final People people;

    Promises(DateContext context, People people) {
        this.context = context;
        this.people = people;
    }

    /** "If you send me the receipt, I'll pay you back": owed once they have sent it. */
    Optional<Promise> inReturn(List<ReadSentence> said) {
        for (ReadSentence read : said) {
            for (PhraseMatch act : read.acts()) {
                if (act.label().equals("promise")
                        && isFirstPerson(read.sentence(), act)
                        && ConditionalPromises.isForSomethingInReturn(read, act)) {
                    return Optional.of(promise(read, act, false));
                }
            }
        }
        return Optional.empty();
    }

    /** At most one for each sentence. */
    List<Promise> in(List<ReadSentence> said) {
        List<Promise> promises = new ArrayList<>();
        boolean asked = false;
        for (ReadSentence read : said) {
            asked |= !read.found().isEmpty();
            in(read, asked).ifPresent(promises::add);
        }
        return promises;
    }

    Optional<Promise> in(ReadSentence read) {
        return in(read, false);
    }

    /** @param asked whether the writer has asked for something in the same message: what they do with it binds nobody */
    private Optional<Promise> in(ReadSentence read, boolean asked) {
        Sentence sentence = read.sentence();
        if (sentence.isQuestion()) {
            return Optional.empty();
        }
        for (PhraseMatch act : read.acts()) {
            boolean answer = act.label().equals("holding") && !read.dates().isEmpty();
            if ((!act.label().equals("promise") && !answer)
                    || sentence.at(act.fromInclusive()).quoted()) {
                continue;
            }
            if (isFirstPerson(sentence, act) && !isDenied(read, act) && !ConditionalPromises.isOne(read, act)) {
                return Optional.of(promise(read, act, asked));
            }
        }
        return Optional.empty();
    }

    private Promise promise(ReadSentence read, PhraseMatch act, boolean asked) {
        int unit = read.parts().unitOf(act.fromInclusive());
        return new Promise(
                read.sentence().span(),
                promisedBy(read, act),
                read.hasIn("holding", unit),
                !read.isToReader() || isToAnother(read, act),
                !read.spokenTo().areSaid() && !isToAnother(read, act),
                isForOneself(read, unit, asked),
                new Reason(act.origin().name(), act.origin().example()));
    }

    /** "I'll read it at the weekend", and not "I'll read it and let you know"; "I'll collect them" behind an ask for them. */
    private static boolean isForOneself(ReadSentence read, int unit, boolean asked) {
        for (PhraseMatch act : read.acts()) {
            boolean alone =
                    act.label().equals("for-oneself") || (asked && act.label().equals("collects"));
            if (alone && read.parts().unitOf(act.fromInclusive()) == unit) {
                Sentence sentence = read.sentence();
                for (int i = act.toExclusive(); i < sentence.size(); i++) {
                    if (sentence.at(i).is("you", "your")) {
                        return false;
                    }
                }
                return true;
            }
        }
        return false;
    }

    private static boolean isDenied(ReadSentence read, PhraseMatch promise) {
        for (PhraseMatch act : read.acts()) {
            boolean near = act.fromInclusive() >= promise.fromInclusive() - 1
                    && act.fromInclusive() <= promise.fromInclusive() + 1;
            boolean none = act.label().equals("no-promise") || act.label().equals("attends");
            // "I'll see" is none, "I'll see to it" is one.
            if (none && near && act.toExclusive() >= promise.toExclusive()) {
                return true;
            }
        }
        Sentence sentence = read.sentence();
        for (int i = promise.fromInclusive(); i < Math.min(sentence.size(), promise.toExclusive() + 1); i++) {
            if (sentence.norm(i).equals("not") || sentence.norm(i).equals("never")) {
                return true;
            }
        }
        String before = sentence.norm(promise.fromInclusive() - 1);
        return before.equals("if")
                || before.equals("hope")
                || before.equals("that")
                || before.equals("what")
                || before.equals("think");
    }

    /** "Our Mr Ek will be with you" speaks of somebody else; "will be with you" and "I also will" of the writer. */
    static boolean isFirstPerson(Sentence sentence, PhraseMatch act) {
        int at = act.fromInclusive();
        String norm = sentence.norm(at);
        boolean bare = norm.equals("will") || norm.equals("shall") || norm.equals("'ll") || norm.equals("can");
        if (!bare || sentence.startsClause(at) || sentence.norm(at + 1).equals("follow")) {
            return true;
        }
        String before = sentence.norm(at - 1);
        return before.equals("i")
                || before.equals("we")
                || before.equals("also")
                || before.equals("then")
                || before.equals("just");
    }

    private Optional<Deadline> promisedBy(ReadSentence read, PhraseMatch promise) {
        DateRoles roles = new DateRoles(
                read.sentence(),
                read.parts(),
                read.acts(),
                context,
                read.language().purposes());
        int unit = read.parts().unitOf(promise.fromInclusive());
        Optional<Deadline> found = Optional.empty();
        for (DatePhrase phrase : read.dates()) {
            Dated dated = roles.roleOf(phrase, read.dates().size(), true);
            boolean ahead = !phrase.end().isBefore(context.sentAt());
            if (dated.role() != Role.MENTION
                    && ahead
                    && (found.isEmpty() || read.parts().unitOf(phrase.fromInclusive()) == unit)) {
                found = Optional.of(Deadlines.deadline(read.sentence(), dated, false));
            }
        }
        return found;
    }

    /** "I'll send it to Tom": somebody else than those written to gets it. */
    private boolean isToAnother(ReadSentence read, PhraseMatch promise) {
        Sentence sentence = read.sentence();
        for (int i = promise.toExclusive() - 1; i < sentence.size(); i++) {
            String norm = sentence.norm(i);
            if (norm.equals("you") || norm.equals("your")) {
                return false;
            }
            boolean to = norm.equals("to") || WordClass.GIVING_FORMS.has(sentence, i);
            if (to && i + 1 < sentence.size()) {
                People.FoundName somebody = people.at(sentence, i + 1);
                if (somebody.isSomebody() && !people.isMe(somebody.addresses())) {
                    return true;
                }
            }
        }
        return false;
    }
}
