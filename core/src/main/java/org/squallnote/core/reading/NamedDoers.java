package org.squallnote.core.reading;

import java.util.LinkedHashSet;
import java.util.Set;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Finds who is named as the one who is to do something. */
final class NamedDoers {

    private final People people;

    NamedDoers(People people) {
        this.people = people;
    }

    /** Whether an ask may name who is to do it: "could Tom send it" does, "could you send it" does not. */
    static boolean mayStandIn(Sentence sentence, SentenceAsks.FoundAsk ask) {
        return ask.kind() != Ask.Kind.REQUEST || !sentence.norm(ask.from() + 1).equals("you");
    }

    /** Somebody named as the one who is to do it: "could Ines send …", "I need Ines to sign". */
    Addressees in(Sentence sentence, int from, boolean need) {
        for (int at = Math.max(from, 0); at < Math.min(sentence.size() - 1, from + 6); at++) {
            String norm = sentence.norm(at);
            boolean waiting = sentence.at(at).is("for", "on")
                    && sentence.at(Math.max(0, at - 1)).is("waiting", "wait");
            boolean before = waiting
                    || WordClass.MODAL.has(sentence, at)
                    || norm.equals("need")
                    || norm.equals("want")
                    || norm.equals("like")
                    || norm.equals("from");
            if (!before) {
                continue;
            }
            People.FoundName found = people.at(sentence, at + 1);
            if (found.isSomebody()) {
                boolean modal = WordClass.MODAL.has(sentence, at);
                boolean to = sentence.norm(found.toExclusive()).equals("to");
                if (need && norm.equals("from")) {
                    return Addressees.of(from(sentence, at));
                }
                if (modal || to || waiting) {
                    return Addressees.of(found.addresses());
                }
            }
        }
        return Addressees.UNSAID;
    }

    /** "I need the figures from Ines and the accounts from Rhona." */
    private Set<String> from(Sentence sentence, int first) {
        Set<String> addresses = new LinkedHashSet<>();
        for (int at = first; at < sentence.size() - 1; at++) {
            if (sentence.norm(at).equals("from")) {
                addresses.addAll(people.at(sentence, at + 1).addresses());
            }
        }
        return addresses;
    }
}
