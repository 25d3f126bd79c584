package org.squallnote.store.portable;

import java.util.List;
import java.util.Set;

/**
 * A table whose rows an account takes along.
 *
 * @param owner the column that names the account
 * @param without columns that hold for this installation only: secrets sealed by its key, and how its engines stand
 */
public record PortableTable(String name, String owner, Set<String> without) {

    /** All of them, each after those that it refers to. */
    public static final List<PortableTable> ALL = List.of(
            of("account_settings"),
            of("preference"),
            of("phrase"),
            of("party_rule"),
            of("category"),
            new PortableTable(
                    "source", "owner", Set.of("secret", "status", "status_text", "progress_done", "progress_total")),
            of("source_cursor"),
            of("chat_gap"),
            of("chat_room"),
            of("thread"),
            of("message"),
            of("reading"),
            of("message_place"),
            of("message_link"),
            of("reaction"),
            of("chat_change"),
            of("thread_party"),
            of("thread_shape"),
            of("answer_time"),
            of("answer_word"),
            of("answer_rule"),
            of("chase"),
            of("follow_up"),
            of("follow_up_message"),
            of("follow_up_order"),
            of("follow_up_file"),
            of("follow_up_web_link"),
            of("follow_up_relation"),
            of("record_note"),
            of("planned"),
            of("stint"),
            of("series"),
            of("reminder"),
            of("meeting_told"),
            of("calendar"),
            of("calendar_object"),
            of("meeting"),
            of("block_written"),
            of("todo_link"),
            of("scheduling"),
            of("invitation_answer"),
            of("recipe"),
            of("recipe_run"),
            of("draft"),
            of("draft_file"),
            of("kept_search"),
            of("arrangement"),
            of("round_kept"),
            of("person_address"),
            of("person_note"),
            of("person_card"),
            new PortableTable("hand_over", "giver", Set.of()),
            new PortableTable("office_word", "account", Set.of()),
            of("command"),
            of("history"));

    /**
     * What stays: who signs in and with what, sessions, addresses and tokens that are secrets, what happened lately, letters on their way out, the index of
     * Find, and the bytes of messages, which go along as files.
     */
    public static final Set<String> STAYING = Set.of(
            "account",
            "installation",
            "second_factor",
            "recovery_code",
            "passkey",
            "spring_session",
            "spring_session_attributes",
            "feed",
            "access_token",
            "webhook",
            "event",
            "outbox",
            "search_pending",
            "message_raw",
            "message_content",
            "flyway_schema_history");

    private static PortableTable of(String name) {
        return new PortableTable(name, "owner", Set.of());
    }
}
