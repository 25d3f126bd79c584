package org.squallnote.core.turn;

import java.util.Locale;
import java.util.regex.Pattern;

/** Tells an ask that wants something done from one that wants to know something. */
final class Wanted {

    private static final String WHAT = "(when|what|which|where|who|whose|how|why|whether|if)\\b";

    /** "Could you tell me when", "please let us know your time of arrival": known, though it is told to do. */
    private static final Pattern TO_TELL =
            Pattern.compile("\\b(tell|know|say|confirm|advise|remind)\\b( [\\p{L}\\d']+){0,5} " + WHAT
                    + "|\\b(tell|let) (me|us) (know )?(your|the) (time|date|day|hour|number|name|size)\\b");

    /** What is thought of something is known only once it was looked at. */
    private static final Pattern OPINION = Pattern.compile(
            "\\b((what|how) (do )?you (think|feel|find|like)|your (comments|thoughts|opinion|feedback|view))\\b");

    /** "When could you send it?" is answered by a day. */
    private static final Pattern ASKS_WHAT =
            Pattern.compile("(^|[,:;.!] ?)(and |or |but |so )?(when|what|which|where|who|whose|how|why)\\b");

    /** "When can I have it?" is answered by it: a day is a promise. */
    private static final Pattern TO_BE_GIVEN =
            Pattern.compile("\\bwhen (can|could|may) (i|we) (have|see|collect)\\b|^where('s| is| are) (my|our) ");

    private static final Pattern DOING = Pattern.compile(
            "\\b((can|could|may|might) [a-z' ]{1,40}\\bbe [a-z]+(ed|en|wn|nt|pt|ld|ut)\\b|(can|could|would|will|might|may) (you|[a-z]+ please)|you (can|could|would|might)|please|kindly|would you mind|i need|we need|need you"
                    + "|want you|like you|ask you)\\b");

    private static final Pattern QUESTION = Pattern.compile("(^|[,:;.!] ?|\\bso )(and |or |but )?(" + WHAT
            + "|(is|are|am|was|were|do|does|did|has|have|had|may|shall|should|will|can|could|would|must) )");

    /** "How do I open it?", "Shall we keep it?" */
    private static final Pattern WHAT_TO_DO = Pattern.compile(
            "\\b(how|what|where|which|when|whom?) [\\p{L}\\d' ]{0,40}\\b(do|can|could|should|shall|must|may) (i|we)\\b"
                    + "|(^|[,:;.!] ?|\\b(and|or|so) )((shall|should|may|can|could|must) (i|we)|(do|will) (i|we) (have|need) to)\\b|\\bwhat to do\\b");

    /** "Please write to its chairman", "ask Tom". */
    private static final Pattern ELSEWHERE = Pattern.compile(
            "\\b((write|turn|talk|speak|apply|go) to|ask|contact|call|ring|phone|mail|email) (?!(me|us|back|you|if|whether|for)\\b)[\\p{L}']");

    private static final Pattern ASKS_WHEN =
            Pattern.compile("\\b(when|which|what (day|time)s?|how (soon|early|late)|day or|or \\w+day)\\b");

    /** "Tuesday afternoon, please." */
    private static final Pattern CHOICE = Pattern.compile(
            "^[^\\p{L}\\d]*[\\p{L}\\d:']+( [\\p{L}\\d:']+){0,3},? please([^\\p{L}\\d]*$|[,;:.]? (because|since|as|if|otherwise|or)\\b|[,;:.] (i|i'm|i've|we|it|it's|that|my|our|the)\\b)");

    /** "Could you answer my question about the scaffolding?", "any news?": about what was asked before. */
    private static final Pattern REMINDS = Pattern.compile(
            "\\b(answer|reply to|respond to) my (question|mail|email|message|letter)\\b|^(any|is there any) (news|word|update|progress)\\b"
                    + "|\\bdid (you|my \\w+) (get|receive|reach|arrive)\\b|\\breminder\\b");

    /** What comes before a thing that anybody may know. */
    private static final Pattern DO_YOU_KNOW = Pattern.compile(
            "\\b((do|would|might) (either of |any of |one of )?you( both| two)? (happen to )?know|(can|could) (either of |any of |one of )?you (tell|say)( me| us)?)\\b");

    private static final Pattern YOURS = Pattern.compile("\\b(you|your|yours|you're|you've|you'll|you'd)\\b");

    /** Whoever wants something back asks, however it is put. */
    private static final Pattern WANTED_BACK =
            Pattern.compile("\\?|\\b(me|us|know|reply|answer|confirm|return|need|want|could|can|would|will)\\b");

    /** "I'll tell the band": whoever hears it gets nothing by it, unless there is something for them too. */
    private static final Pattern TOLD_TO_OTHERS = Pattern.compile(
            "^(?!.*\\byour?\\b).*\\b(tell|inform|warn|remind|thank) (the|them|him|her|my|our|everybody|everyone)\\b",
            Pattern.DOTALL);

    /** As people type it in a chat. */
    private static final Pattern SHORT_YOU = Pattern.compile("\\b(u|ya)\\b");

    /** "Send it please" says more than when. */
    private static final Pattern DOING_NOW = Pattern.compile(
            "\\b(send|call|ring|tell|give|bring|come|let|do|make|ask|check|wait|it|me|us|him|her|them)\\b");

    /** "Please call us on channel 12" says how it is done. */
    private static final Pattern CALL_US =
            Pattern.compile("\\b(call|ring|phone|hail) (me|us) (on|at|via|by)\\b|\\bneeded\\b");

    /** "M or L?", "a new one or your money back?" */
    private static final Pattern ONE_OR_OTHER = Pattern.compile("\\bor\\b[^?]*\\?");

    private static final Pattern ON_ITS_WAY = Pattern.compile(
            "\\b(post|posted|courier|parcel|envelope|mailed|on (its|their|the) way)\\b|\\bgo(es)? (out|off)\\b");

    private static final Pattern THE_SAME =
            Pattern.compile("\\b(it|its|it's|them|that|this|these|those|one|ones|him|her)\\b");

    private static final Pattern OF_US = Pattern.compile("\\b(we|you|us)\\b|\\b(shall|should|may|can|could) i\\b");

    private Wanted() {}

    /** Whether it wants something done; an invitation wants an answer. */
    static boolean isToBeDone(String ask) {
        String words = SHORT_YOU.matcher(inSmall(ask)).replaceAll("you");
        if (OPINION.matcher(words).find() || TO_BE_GIVEN.matcher(words).find()) {
            return true;
        }
        if (words.isBlank()
                || ASKS_WHAT.matcher(words).find()
                || TO_TELL.matcher(words).find()) {
            return false;
        }
        if (DOING.matcher(words).find()) {
            return !words.contains("would you mind if");
        }
        return words.indexOf('?') < 0 && !QUESTION.matcher(words).find();
    }

    /** Whether something that is promised comes by itself: "it goes in the post tomorrow". */
    static boolean isOnItsWay(String promise) {
        return ON_ITS_WAY.matcher(inSmall(promise)).find();
    }

    /** Whether it wants to be told what to do. */
    static boolean asksWhatToDo(String ask) {
        return WHAT_TO_DO.matcher(inSmall(ask)).find();
    }

    /** Whether a promise is about what others will be told. */
    static boolean isToldToOthers(String promise) {
        return TOLD_TO_OTHERS.matcher(inSmall(promise)).find();
    }

    /** Whether it tells somebody what to do and wants nothing back. */
    static boolean isInstruction(String ask) {
        return !ask.isBlank()
                && !WANTED_BACK
                        .matcher(CALL_US.matcher(inSmall(ask)).replaceAll(""))
                        .find();
    }

    /** Whether it tells somebody to turn to somebody else, and wants nothing back. */
    static boolean refersElsewhere(String ask) {
        return isInstruction(ask) && ELSEWHERE.matcher(inSmall(ask)).find();
    }

    /** "Do you know where the maps are?", asked of several: once one has told, nobody needs to. */
    static boolean isToldByAnyone(String ask) {
        return !isToBeDone(ask)
                && !YOURS.matcher(DO_YOU_KNOW.matcher(inSmall(ask)).replaceAll(""))
                        .find();
    }

    /** Whether it may only say when: "Tuesday afternoon, please". */
    static boolean isChoice(String ask) {
        String words = inSmall(ask);
        return CHOICE.matcher(words).find() && !DOING_NOW.matcher(words).find();
    }

    /** Whether it wants one thing out of several to be named: a day, a place, a number. */
    static boolean asksForAChoice(String ask) {
        String words = inSmall(ask);
        return asksWhichOf(ask) || (!isToBeDone(ask) && ASKS_WHAT.matcher(words).find());
    }

    /** Whether it wants one of two things, or a day: "ten, please" to "how many?" orders them, "Friday, please" orders nothing. */
    static boolean asksWhichOf(String ask) {
        String words = inSmall(ask);
        return ONE_OR_OTHER.matcher(words).find() || ASKS_WHEN.matcher(words).find();
    }

    /** "Are we still on for tonight?", "are you free on Friday?": another day is an answer as well. */
    static boolean isAboutAPlan(String ask) {
        String words = inSmall(ask);
        return !isToBeDone(ask)
                && !ASKS_WHAT.matcher(words).find()
                && OF_US.matcher(words).find();
    }

    /** "I need it by Friday": about what the words before it name. */
    static boolean isAboutTheSame(String ask) {
        return THE_SAME.matcher(inSmall(ask)).find();
    }

    /** Whether it only comes back to what was asked before. */
    static boolean reminds(String ask) {
        return REMINDS.matcher(inSmall(ask)).find();
    }

    private static String inSmall(String words) {
        return words.toLowerCase(Locale.ROOT).replace('\u2019', '\'');
    }
}
