package org.squallnote.core.recipe;

import java.util.List;
import java.util.Optional;

/** The steps of a recipe, in order. */
public record Steps(List<Step> list) {

    /** Copies the list. */
    public Steps {
        list = List.copyOf(list);
    }

    /** What keeps them from being a recipe, one sentence. */
    public Optional<String> problem() {
        if (list.isEmpty()) {
            return Optional.of("A recipe needs at least one step.");
        }
        long ways = list.stream()
                .map(Step::kind)
                .filter(kind -> kind == Step.Kind.PUT_OFF || kind == Step.Kind.NOTHING || kind == Step.Kind.HAND_OVER)
                .count();
        boolean others =
                list.stream().anyMatch(step -> step.kind() == Step.Kind.FOLLOW_UP || step.kind() == Step.Kind.ANSWER);
        boolean contradicts = ways > 1
                || (others
                        && list.stream()
                                .anyMatch(
                                        step -> step.kind() == Step.Kind.PUT_OFF || step.kind() == Step.Kind.NOTHING));
        if (contradicts) {
            return Optional.of("A message cannot be decided in two ways: put off, nothing to do and handing over"
                    + " exclude each other, and the first two leave no follow-up or answer.");
        }
        return list.stream().flatMap(step -> step.problem().stream()).findFirst();
    }
}
