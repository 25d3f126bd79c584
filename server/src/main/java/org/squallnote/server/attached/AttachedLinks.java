package org.squallnote.server.attached;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.WebLink;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.followup.AttachedStore;
import tools.jackson.databind.json.JsonMapper;

/** Addresses that belong to follow-ups. */
@Component
class AttachedLinks extends KeptState<WebLink> {

    private static final int MOST = 50;

    private final AttachedStore store;
    private final FollowUps followUps;
    private final Commands commands;

    AttachedLinks(AttachedStore store, FollowUps followUps, Commands commands, JsonMapper json) {
        super(SubjectType.FOLLOW_UP_WEB_LINK, WebLink.class, json);
        this.store = store;
        this.followUps = followUps;
        this.commands = commands;
    }

    List<WebLink> of(UUID owner, UUID followUpId) {
        return store.webLinks(owner, followUpId);
    }

    Done save(SignedIn me, UUID commandId, UUID followUpId, UUID id, String url, String title) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "follow-up-link-kept", changes -> {
            followUps.title(owner, followUpId);
            WebLink link;
            try {
                link = WebLink.typed(id, followUpId, url, title);
            } catch (IllegalArgumentException e) {
                throw Refusal.field("url", String.valueOf(e.getMessage()));
            }
            if (store.webLink(owner, id).isEmpty() && of(owner, followUpId).size() >= MOST) {
                throw Refusal.invalid("There are " + MOST + " links with this follow-up already. Nothing was added.");
            }
            change(owner, id, link, changes);
            changes.label("Link: " + link.title());
        });
    }

    Done remove(SignedIn me, UUID commandId, UUID followUpId, UUID id) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "follow-up-link-removed", changes -> {
            WebLink link = store.webLink(owner, id)
                    .filter(each -> each.followUpId().equals(followUpId))
                    .orElseThrow(() -> Refusal.notFound("link"));
            change(owner, id, null, changes);
            changes.label("Link taken away: " + link.title());
        });
    }

    @Override
    protected @Nullable WebLink state(UUID owner, UUID id) {
        return store.webLink(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable WebLink state) {
        WebLink now = state(owner, id);
        if (now != null) {
            store.deleteWebLink(owner, now.followUpId(), id);
        }
        if (state != null) {
            store.insertWebLink(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.FOLLOW_UPS};
    }
}
