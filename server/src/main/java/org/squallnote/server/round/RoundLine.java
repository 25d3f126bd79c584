package org.squallnote.server.round;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something about which one decision is to be made.
 *
 * @param key names it within a walk
 * @param id of the message, follow-up, thread or category; the address of a person or of whom a recipe would be about
 * @param who from whom it is or to whom it goes; empty where there is nobody
 * @param what what is asked or promised, in the writer's words
 * @param title what a follow-up of it is called; empty where none is made of it
 * @param at when it came, was asked or takes place
 * @param day by when it is wanted, was due or comes back
 * @param count how often, of what repeats itself
 * @param version of a category
 */
@RecordBuilder
record RoundLine(
        String key,
        Kind kind,
        String id,
        String name,
        String who,
        String what,
        String title,
        @Nullable Instant at,
        @Nullable LocalDate day,
        @Nullable UUID threadId,
        @Nullable UUID messageId,
        @Nullable UUID categoryId,
        int count,
        int version) {

    /** What it is. */
    enum Kind {
        MESSAGE,
        FOLLOW_UP,
        THREAD,
        PROMISE,
        MEETING,
        PERSON,
        CATEGORY,
        HABIT_LET_GO,
        HABIT_FOLLOW_UP,
        HAND_OVER
    }

    static RoundLine of(Kind kind, String key, String id, String name) {
        return RoundLineBuilder.builder()
                .key(key)
                .kind(kind)
                .id(id)
                .name(name)
                .who("")
                .what("")
                .title("")
                .build();
    }

    RoundLine from(String other, String words) {
        return RoundLineBuilder.builder(this).who(other).what(words).build();
    }

    RoundLine when(@Nullable Instant moment, @Nullable LocalDate wanted) {
        return RoundLineBuilder.builder(this).at(moment).day(wanted).build();
    }

    RoundLine in(@Nullable UUID thread, @Nullable UUID message) {
        return RoundLineBuilder.builder(this)
                .threadId(thread)
                .messageId(message)
                .build();
    }

    RoundLine titled(String followUp) {
        return RoundLineBuilder.builder(this).title(followUp).build();
    }

    RoundLine counted(int times, @Nullable UUID category, int changes) {
        return RoundLineBuilder.builder(this)
                .categoryId(category)
                .count(times)
                .version(changes)
                .build();
    }
}
