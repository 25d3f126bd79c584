package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.rule.Reason;

/** Asks that are told by the shape of a sentence and by no phrase of a list, each by its name and an example. */
final class AskShapes {

    static final Reason EMPHATIC = new Reason("request.emphatic", "Do let me know.");
    static final Reason IMPERATIVE = new Reason("request.imperative", "Send me the list.");
    static final Reason BEHIND_A_CONDITION = new Reason("request.behind-a-condition", "If it doesn't fit tell me.");
    static final Reason PLEASE_BEHIND = new Reason("request.please-behind", "Two coffees, please.");
    static final Reason TO_ME_BY_THEN = new Reason("request.to-me-by-then", "Counts to me by Friday night.");
    static final Reason BARE_NEED = new Reason("need.bare", "need bill number before 1");
    static final Reason TASK = new Reason("request.task", "Ines: raffle prizes. Tom: tables.");
    static final Reason NAMED_TASK = new Reason("request.named-task", "Ines to bring the keys.");
    static final Reason AWAITED_FROM = new Reason("need.awaited-from", "still waiting for Ines on the valve");
    static final Reason TOLD = new Reason("request.told", "Ines check the valve");
    static final Reason SAME_AGAIN =
            new Reason("request.same-again", "Tom, could you send your hours? Ines, same for you.");
    static final Reason VERB_LEFT_OUT =
            new Reason("request.verb-left-out", "Tom, please bring the projector, and Ines the screen.");
    static final Reason QUESTION = new Reason("question.question", "Which day suits you?");

    private AskShapes() {}

    static List<Reason> all() {
        return List.of(
                EMPHATIC,
                IMPERATIVE,
                BEHIND_A_CONDITION,
                PLEASE_BEHIND,
                TO_ME_BY_THEN,
                BARE_NEED,
                TASK,
                NAMED_TASK,
                AWAITED_FROM,
                TOLD,
                SAME_AGAIN,
                VERB_LEFT_OUT,
                QUESTION);
    }
}
