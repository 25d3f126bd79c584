package org.squallnote.server.arrival;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Snapshot;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.recipe.RecipeStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * Leaves nothing of what a writer has taken back, but for what somebody here has kept by hand: a follow-up that a recipe
 * made by itself stays, without the words.
 */
@Component
class TakenBack {

    private final MessageStore messages;
    private final RawMails rawMails;
    private final RecipeStore recipes;
    private final FollowUpStore followUps;
    private final JsonMapper json;

    TakenBack(MessageStore messages, RawMails rawMails, RecipeStore recipes, FollowUpStore followUps, JsonMapper json) {
        this.messages = messages;
        this.rawMails = rawMails;
        this.recipes = recipes;
        this.followUps = followUps;
        this.json = json;
    }

    void forget(UUID owner, StoredMessage message) {
        messages.remove(owner, message);
        rawMails.forget(owner, message.id());
        recipes.forgetAbout(owner, message.id());
        messages.byId(owner, message.id())
                .ifPresent(gone -> followUps.forgetWhatRecipesKept(
                        owner,
                        message.id(),
                        json.writeValueAsString(Snapshot.of(gone)),
                        "What " + message.from().displayName() + " has taken back"));
    }
}
