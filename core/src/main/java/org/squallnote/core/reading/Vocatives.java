package org.squallnote.core.reading;

import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Word;
import org.squallnote.core.text.WordClass;

/** Finds who is called by name in a sentence: "Tom, could you …", "@tom can you", "could you check, Tom?", "Hi Tom". */
final class Vocatives {

    private final People people;
    private final CalledNames names;

    /**
     * A call.
     *
     * @param who those called
     * @param toExclusive index after it; the sentence goes on there
     */
    record Call(Addressees who, int toExclusive) {

        static final Call NONE = new Call(Addressees.UNSAID, -1);

        boolean isOne() {
            return toExclusive >= 0;
        }
    }

    Vocatives(People people) {
        this.people = people;
        this.names = new CalledNames(people);
    }

    /** The one greeted; nobody greets himself: "Dear Supplier" from Supplier Services calls the reader. */
    Call greeting(Sentence sentence, String writer) {
        Call call = leading(sentence, 0);
        boolean writerOnly =
                call.who().addresses().size() == 1 && call.who().addresses().contains(writer);
        return writerOnly ? Call.NONE : call;
    }

    /** The call with which a part of the sentence begins at a word, or none. */
    Call leading(Sentence sentence, int start) {
        int i = start;
        boolean greeted = false;
        while (i < sentence.size() && (Salutations.isGreeting(sentence, i) || isSkipped(sentence, i))) {
            greeted |= Salutations.isGreeting(sentence, i) && !isSkipped(sentence, i);
            i++;
        }
        if (WordClass.LABEL.has(sentence, i)) {
            return labelled(sentence, i);
        }
        Addressees who = Addressees.UNSAID;
        int at = i;
        while (at < sentence.size()) {
            Call one = names.one(sentence, at, greeted);
            if (!one.isOne()) {
                break;
            }
            who = who.and(one.who());
            at = one.toExclusive();
            boolean joined =
                    sentence.norm(at).equals("and") || sentence.norm(at).equals("or");
            boolean comma = at < sentence.size() && sentence.at(at).before() == ',';
            int next = joined ? at + 1 : at;
            while (next < sentence.size() && Salutations.isGreeting(sentence, next)) {
                next++;
            }
            if (!joined && !comma && !(at < sentence.size() && sentence.at(at).isMention())) {
                break;
            }
            if (!names.one(sentence, next, greeted).isOne() || (comma && !joined && !isListOfNames(sentence, next))) {
                break;
            }
            at = next;
        }
        if (!who.areSaid() || at <= i) {
            return Call.NONE;
        }
        return isCall(sentence, i, at, greeted, who) ? new Call(who, at) : Call.NONE;
    }

    /** "For Ines:", "Question for Ines:", "Action Ines:". */
    private Call labelled(Sentence sentence, int from) {
        int i = from;
        while (WordClass.LABEL.has(sentence, i)) {
            i++;
        }
        People.FoundName found = people.at(sentence, i);
        boolean colon = found.isSomebody()
                && found.toExclusive() < sentence.size()
                && (sentence.at(found.toExclusive()).before() == ':'
                        || sentence.at(found.toExclusive()).before() == '-');
        return colon ? new Call(Addressees.of(found.addresses()), found.toExclusive()) : Call.NONE;
    }

    private boolean isListOfNames(Sentence sentence, int at) {
        Word word = sentence.at(at);
        return word.isMention() || people.at(sentence, at).isSomebody();
    }

    /** Words that stand in front of a name without greeting: "ok Tom, …", "and Tom, …", "Sorry Tom". */
    private boolean isSkipped(Sentence sentence, int i) {
        return !WordClass.EVERYBODY.has(sentence, i)
                && (Clauses.isLeadIn(sentence, i) || Clauses.isConjunction(sentence, i))
                && !people.at(sentence, i).isSomebody();
    }

    private boolean isCall(Sentence sentence, int from, int at, boolean greeted, Addressees who) {
        if (at >= sentence.size() || sentence.at(at).followsMark() || greeted) {
            return true;
        }
        if (sentence.at(from).isMention()) {
            return true;
        }
        String next = sentence.norm(at);
        boolean asked = sentence.isQuestion() && !who.everybody() && !WordClass.MODAL.has(sentence, from);
        if (asked && (next.equals("you") || sentence.size() - at <= 2 || asksAboutAThing(sentence, at))) {
            return true;
        }
        if (!who.addresses().isEmpty()
                && (NamedTasks.tellsToDo(sentence, at)
                        || NamedTasks.isLetMe(sentence, at)
                        || NamedTasks.hasADuty(sentence, at))) {
            return true;
        }
        if (WordClass.NAME_OR_VERB.has(sentence, from) && !CalledNames.startsAsking(sentence, at)) {
            // Somebody called Will writes "Will do".
            return false;
        }
        if (CalledNames.startsAsking(sentence, at) || isQuestionStart(sentence, at)) {
            return true;
        }
        if (who.everybody()) {
            return false;
        }
        if (next.equals("to") && who.addresses().size() > 0) {
            // "Ines to send the list": a line of minutes.
            return !sentence.norm(at + 1).equals("the");
        }
        return (Clauses.isLeadIn(sentence, at) && !WordClass.BEHIND_A_NAME.has(sentence, at))
                || WordClass.BEHIND_A_CALL.has(sentence, at);
    }

    /** "Ines is the valve open?" */
    private static boolean asksAboutAThing(Sentence sentence, int at) {
        return WordClass.IS_OR_WAS.has(sentence, at) && WordClass.OBJECT.has(sentence, at + 1);
    }

    private static boolean isQuestionStart(Sentence sentence, int at) {
        return (WordClass.OPENS_A_QUESTION.has(sentence, at)
                        && !(sentence.norm(at).equals("which")
                                && sentence.norm(at + 1).equals("is")))
                || (WordClass.OPENS_AN_ASK.has(sentence, at) && WordClass.SPEAKERS.has(sentence, at + 1));
    }

    /** The call with which the sentence ends: "could you check this, Tom?", "can you bring it @tom". */
    Call trailing(Sentence sentence) {
        int last = sentence.size() - 1;
        for (int at = last; at > 0 && at >= last - 2; at--) {
            Word word = sentence.at(at);
            boolean marked = word.before() == ',' || word.before() == '-';
            boolean mention = word.isMention() && !WordClass.BEFORE_A_THIRD_PERSON.has(sentence, at - 1);
            boolean plain = at == last && isCalledAtTheEnd(sentence, at);
            if (!marked && !mention && !plain) {
                continue;
            }
            Call call = names.one(sentence, at, false);
            if (call.isOne() && call.toExclusive() == sentence.size()) {
                return call;
            }
        }
        return Call.NONE;
    }

    /** The call of a sentence that is nothing but mentions, or none. */
    Call mentionsAlone(Sentence sentence) {
        if (!sentence.at(0).isMention()) {
            return Call.NONE;
        }
        Call call = leading(sentence, 0);
        return call.isOne() && call.toExclusive() == sentence.size() ? call : Call.NONE;
    }

    /** "can you check the valve Ines?": a name that nothing before it takes as its object. */
    private boolean isCalledAtTheEnd(Sentence sentence, int at) {
        boolean spokenTo =
                WordClass.TO_YOU.hasAnyOf(sentence) && !WordClass.BEFORE_A_THIRD_PERSON.has(sentence, at - 1);
        return spokenTo
                && !sentence.at(at - 1).capital()
                && !WordClass.GIVING_FORMS.has(sentence, at - 1)
                && people.at(sentence, at).isSomebody();
    }

    /** Somebody called between commas: "could you, Tom, check …", "The plan is not here, Tom, do you have it?". */
    Call between(Sentence sentence) {
        for (int at = 1; at < sentence.size() - 1; at++) {
            if (sentence.at(at).before() == ',') {
                People.FoundName found = people.at(sentence, at);
                if (found.isSomebody()
                        && found.toExclusive() < sentence.size()
                        && sentence.at(found.toExclusive()).before() == ','
                        && (sentence.norm(at - 1).equals("you") || asksYou(sentence, found.toExclusive()))) {
                    return new Call(Addressees.of(found.addresses()), found.toExclusive());
                }
            }
        }
        return Call.NONE;
    }

    private static boolean asksYou(Sentence sentence, int at) {
        return isQuestionStart(sentence, at) && sentence.norm(at + 1).equals("you");
    }
}
