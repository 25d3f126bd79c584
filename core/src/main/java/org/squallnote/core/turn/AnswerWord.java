package org.squallnote.core.turn;

import java.util.UUID;

/**
 * What somebody said by hand of a message that counted as an answer.
 *
 * @param messageId the message
 * @param missing what is still missing, empty where everything is
 */
public record AnswerWord(UUID messageId, Kind kind, String missing) {

    /** What it is instead. */
    public enum Kind {
        /** It is not what was asked: its writer owes that as if they had not written. */
        NO_ANSWER,
        /** It is a part of that: its writer owes the rest. */
        PARTLY,
        /** It is an answer, whatever was said of such messages. */
        ANSWER
    }

    /** Longer words are refused. */
    public static final int LONGEST = 2_000;

    /** Checks the length. */
    public AnswerWord {
        missing = missing.strip();
        if (missing.length() > LONGEST) {
            throw new IllegalArgumentException("Say in fewer words what is still missing.");
        }
    }
}
