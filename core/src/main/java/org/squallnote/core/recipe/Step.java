package org.squallnote.core.recipe;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One step of a recipe.
 *
 * @param kind what it does
 * @param title of a follow-up: a pattern with fields, empty for the proposed title
 * @param workingDays of a follow-up: reply by in so many working days, absent for the proposed date; of putting off: for
 *     how long
 * @param categoryId of a follow-up
 * @param effortMinutes of a follow-up
 * @param place of a follow-up
 * @param phraseId of an answer: the saved phrase
 * @param folder to which a mail is moved
 * @param address to whom it is handed over
 * @param note what is said with it
 */
public record Step(
        Kind kind,
        String title,
        @Nullable Integer workingDays,
        @Nullable UUID categoryId,
        @Nullable Integer effortMinutes,
        String place,
        @Nullable UUID phraseId,
        String folder,
        String address,
        String note) {

    /** What a step does. */
    public enum Kind {
        FOLLOW_UP,
        ANSWER,
        HAND_OVER,
        PUT_OFF,
        NOTHING,
        ARCHIVE,
        MARK_READ,
        MOVE
    }

    /** What is missing or wrong, one sentence. */
    Optional<String> problem() {
        return switch (kind) {
            case ANSWER ->
                phraseId == null
                        ? Optional.of("An answer needs one of the saved phrases. Choose one.")
                        : Optional.empty();
            case HAND_OVER ->
                address.contains("@")
                        ? Optional.empty()
                        : Optional.of("Handing over needs the mail address of somebody. Say whose.");
            case PUT_OFF ->
                workingDays == null || workingDays < 1
                        ? Optional.of("Putting off needs a number of working days, one or more.")
                        : Optional.empty();
            case MOVE -> folder.isBlank() ? Optional.of("Moving needs the name of a folder.") : Optional.empty();
            case FOLLOW_UP, NOTHING, ARCHIVE, MARK_READ -> Optional.empty();
        };
    }
}
