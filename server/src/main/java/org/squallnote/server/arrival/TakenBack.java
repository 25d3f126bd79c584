package org.squallnote.server.arrival;

import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Snapshot;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.live.EventLog;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.history.HistoryStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.recipe.RecipeStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Leaves nothing of what a writer has taken back, but for what somebody here has kept by hand: a follow-up that a recipe
 * made by itself stays, without the words.
 */
@Component
class TakenBack {

    private static final String TITLE = "title";

    private final MessageStore messages;
    private final RawMails rawMails;
    private final RecipeStore recipes;
    private final FollowUpStore followUps;
    private final HistoryStore history;
    private final EventLog events;
    private final JsonMapper json;

    TakenBack(
            MessageStore messages,
            RawMails rawMails,
            RecipeStore recipes,
            FollowUpStore followUps,
            HistoryStore history,
            EventLog events,
            JsonMapper json) {
        this.messages = messages;
        this.rawMails = rawMails;
        this.recipes = recipes;
        this.followUps = followUps;
        this.history = history;
        this.events = events;
        this.json = json;
    }

    void forget(UUID owner, StoredMessage message) {
        messages.remove(owner, message);
        rawMails.forget(owner, message.id());
        recipes.forgetAbout(owner, message.id());
        String taken = "What " + message.from().displayName() + " has taken back";
        events.relabel(message, taken);
        List<UUID> runs = recipes.ranBy(owner, message.id());
        // What was undone, and done again, says the words again.
        for (List<UUID> changes = runs; !changes.isEmpty(); changes = history.undoneBy(owner, changes)) {
            history.relabel(owner, changes, taken);
            events.relabel(owner, changes, taken);
        }
        List<UUID> made = runs.isEmpty() ? runs : history.madeBy(owner, runs, SubjectType.FOLLOW_UP);
        if (!made.isEmpty()) {
            String snapshot = json.writeValueAsString(
                    Snapshot.of(messages.byId(owner, message.id()).orElseThrow()));
            followUps.keepOtherwise(owner, message.id(), made, snapshot);
            made.forEach(followUp -> withoutWords(owner, message.id(), followUp, snapshot, taken));
        }
    }

    /** Puts other words in place of the title that a recipe made, wherever it stands; one given by hand stays. */
    private void withoutWords(UUID owner, UUID messageId, UUID followUp, String snapshot, String instead) {
        List<HistoryEntry> entries = history.entriesOf(owner, SubjectType.FOLLOW_UP, followUp);
        String title = json.readTree(entries.get(0).after()).path(TITLE).asString("");
        followUps.retitle(owner, followUp, title, instead);
        UnaryOperator<@Nullable String> forgotten = state -> {
            if (state == null || !(json.readTree(state) instanceof ObjectNode fields)) {
                return state;
            }
            if (fields.path(TITLE).asString("").equals(title)) {
                fields.put(TITLE, instead);
            }
            for (JsonNode each : fields.path("links")) {
                if (each instanceof ObjectNode link
                        && link.path("messageId").asString("").equals(messageId.toString())) {
                    link.put("snapshot", snapshot).put("sentence", "");
                }
            }
            return json.writeValueAsString(fields);
        };
        entries.forEach(
                entry -> history.rewrite(entry.with(forgotten.apply(entry.before()), forgotten.apply(entry.after()))));
    }
}
