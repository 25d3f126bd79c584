package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows a message that holds nothing but questions about what was asked. */
final class QuestionsBack {

    private final Promises promises;

    QuestionsBack(Promises promises) {
        this.promises = promises;
    }

    /** Whether besides greetings, thanks, an introduction, promises and reasons there are only questions. */
    boolean areAll(List<ReadSentence> said) {
        boolean asked = false;
        boolean may = said.stream().anyMatch(QuestionsBack::asksPermission);
        // "I never got it. @noa could you send it to me?": what somebody else is asked says nothing to whoever wanted
        // to know.
        boolean named = said.stream().anyMatch(read -> !read.asks().isEmpty() && mentions(read.sentence()));
        for (ReadSentence read : said) {
            boolean question = asks(read, Ask.Kind.QUESTION)
                    || (read.sentence().isQuestion() && !read.found().isEmpty());
            if (question && isAboutWhatWasSent(read.sentence())) {
                return false;
            }
            if (question && !startsWithAnswer(read)) {
                asked = true;
                continue;
            }
            // "Of course you may. Do you need benches?" has answered.
            boolean allows = read.has("willing") && read.sentence().hasWord("you");
            boolean aside = (read.consistsOf("thanks", "willing", "praise", "apology") && !allows)
                    || read.has("introduction")
                    || (read.has("reason") && !named && !read.sentence().at(0).is("no", "nope"))
                    || (promises.in(read).isPresent() && read.found().isEmpty())
                    || (asked && isReasonBehind(read))
                    || (may && isObstacle(read))
                    || isGreetingOnly(read);
            // "I'd need the date for that. When would you like to begin?"
            // "Sure, if you give me the receipt."
            boolean onCondition = asks(read, Ask.Kind.CONDITION) && SpeechActs.saysYesOrNo(read.sentence());
            boolean clarify = onCondition
                    || asks(read, Ask.Kind.NEED)
                    || (asks(read, Ask.Kind.REQUEST) && clarifies(read.sentence()));
            if (clarify) {
                asked = true;
            } else if (!aside) {
                return false;
            }
        }
        return asked;
    }

    private static boolean mentions(Sentence sentence) {
        for (int i = 0; i < sentence.size(); i++) {
            if (sentence.at(i).isMention()) {
                return true;
            }
        }
        return false;
    }

    private static boolean asks(ReadSentence read, Ask.Kind kind) {
        for (SentenceAsks.FoundAsk ask : read.found()) {
            if (ask.kind() == kind) {
                return true;
            }
        }
        return false;
    }

    /** "Did you get it?", "Have you seen my answer?": the writer has done what was asked; not "have you got a bigger one?" */
    private static boolean isAboutWhatWasSent(Sentence sentence) {
        for (int i = 0; i < sentence.size() - 2; i++) {
            boolean has = sentence.at(i + 2).is("got") && !WordClass.NAMES_WHAT_WAS_SENT.has(sentence, i + 3);
            if (!has
                    && sentence.at(i).is("did", "have", "has")
                    && sentence.at(i + 1).is("you", "it", "they")
                    && sentence.at(i + 2).is("get", "got", "receive", "received", "arrive", "arrived", "seen", "see")) {
                return true;
            }
        }
        return false;
    }

    /** "Which Tuesdays? I'm away for two of them." */
    private static boolean isReasonBehind(ReadSentence read) {
        return WordClass.BEGINS_A_REASON.has(read.sentence(), 0)
                && !read.has("confirm")
                && !read.has("solved")
                && !read.has("promise")
                && !read.has("holding");
    }

    private static boolean asksPermission(ReadSentence read) {
        return read.sentence().isQuestion()
                && read.has("permission")
                && !read.found().isEmpty();
    }

    /** "I have no printer at home. Can I drop in and sign it?" */
    private static boolean isObstacle(ReadSentence read) {
        return read.asks().isEmpty()
                && !SpeechActs.saysYesOrNo(read.sentence())
                && WordClass.WRITER.hasAnyOf(read.sentence())
                && WordClass.DENYING.hasAnyOf(read.sentence());
    }

    private static boolean isGreetingOnly(ReadSentence read) {
        return read.sentence().size() <= 7
                && (read.sentence().norm(0).equals("hope")
                        || read.sentence().norm(1).equals("hope"));
    }

    private static boolean clarifies(Sentence sentence) {
        for (int i = 0; i < sentence.size(); i++) {
            String norm = sentence.norm(i);
            if (norm.equals("clarify")
                    || norm.equals("which")
                    || norm.equals("whether")
                    || norm.equals("mean")
                    || norm.equals("specify")) {
                return true;
            }
        }
        return false;
    }

    private static boolean startsWithAnswer(ReadSentence read) {
        // "Sure, by when?" is willing, and asks back.
        return SpeechActs.saysYesOrNo(read.sentence())
                && !read.sentence().norm(0).equals("sure")
                && !Clauses.isConjunction(read.sentence(), 1);
    }
}
