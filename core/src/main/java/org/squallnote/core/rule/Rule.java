package org.squallnote.core.rule;

import java.util.List;

/**
 * A rule, as it stands in a file.
 *
 * @param id its name, which also groups it: {@code stated.by}
 * @param takes patterns; it holds where one of them matches
 * @param not and none of these
 * @param when and these conditions hold; one with {@code !} in front must not
 * @param gives what it says
 * @param over the rule that would decide about its first example without it; empty where none would
 * @param yes sentences for which it decides
 * @param no sentences for which it does not
 */
public record Rule(
        String id,
        List<String> takes,
        List<String> not,
        List<String> when,
        String gives,
        String over,
        List<String> yes,
        List<String> no) {

    /** Its name and its first example. */
    public Reason reason() {
        return new Reason(id, yes.get(0));
    }
}
