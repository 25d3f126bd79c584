package org.squallnote.core.todo;

import java.util.Optional;
import org.squallnote.core.followup.FollowUpState;

/** What is to be done about a follow-up and its task, of which at least one has changed. */
public enum TodoStep {
    /** Both are there: they are to say the same. */
    MERGE,
    /** The task is to be written; it is not there. */
    WRITE,
    /** The task is to be taken away, since the follow-up was taken back. */
    REMOVE,
    /** The follow-up is to be dropped, since the task was taken away. */
    DROP,
    /** The task is to become a follow-up. */
    TAKE_IN,
    /** Both stay as they are, and are looked at again when the task changes. */
    LEAVE,
    /** They have nothing to do with each other any more. */
    PART;

    /** When so many tasks are gone at once, and half of all, nobody has taken them away one by one. */
    private static final int MANY = 5;

    /**
     * What is to be done.
     *
     * @param link how they stood; absent where the task, or the follow-up, was never seen
     * @param mine what the follow-up says; absent where there is none
     * @param theirs what the task says; absent where there is none
     */
    public static TodoStep of(Optional<TodoLink> link, Optional<Todo> mine, Optional<Todo> theirs) {
        if (mine.isPresent() && theirs.isPresent()) {
            return MERGE;
        }
        Optional<Todo> base = link.flatMap(TodoLink::agreed);
        if (theirs.isPresent()) {
            boolean wasFollowUp = link.filter(it -> it.followUpId() != null).isPresent();
            if (!wasFollowUp) {
                return theirs.get().state() == FollowUpState.OPEN ? TAKE_IN : LEAVE;
            }
            if (link.filter(TodoLink::isOwn).isEmpty()) {
                // Somebody took back that it was taken in.
                return LEAVE;
            }
            if (!theirs.equals(base)) {
                return TAKE_IN;
            }
            return link.filter(TodoLink::isLeft).isPresent() ? LEAVE : REMOVE;
        }
        if (mine.isEmpty() || mine.get().state() != FollowUpState.OPEN) {
            return PART;
        }
        // Who took back that it was made, and then that, wants it there again.
        boolean wasThere = link.filter(it -> it.wasThere() && !it.isLeft()).isPresent();
        return wasThere && mine.equals(base) ? DROP : WRITE;
    }

    /**
     * Whether so many tasks are gone that it was a mishap: they are written again then.
     *
     * @param gone how many are gone at once
     * @param left how many are there still
     */
    public static boolean isMishap(int gone, int left) {
        return gone >= MANY && gone > left;
    }
}
