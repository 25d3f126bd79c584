package org.squallnote.server.event;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.event.Event;
import org.squallnote.core.event.Subjects;
import org.squallnote.core.event.Topics;
import org.squallnote.core.event.Webhook;
import org.squallnote.core.event.WebhookSignature;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.Reaches;
import org.squallnote.server.secret.Seals;
import org.squallnote.server.time.UuidV7;
import org.squallnote.sources.webhook.WebhookCourier;
import org.squallnote.store.event.EventStore;
import org.squallnote.store.event.WebhookStore;
import tools.jackson.databind.json.JsonMapper;

/** The addresses of an account to which events are sent. */
@Component
class Webhooks {

    static final int MOST = 20;

    private static final int SECRET_BYTES = 32;

    private final WebhookStore store;
    private final EventStore events;
    private final Seals seals;
    private final Reaches reaches;
    private final Commands commands;
    private final OwnerLocks locks;
    private final UuidV7 ids;
    private final Clock clock;
    private final JsonMapper json;
    private final SecureRandom random = new SecureRandom();
    private final WebhookCourier courier = new WebhookCourier();

    Webhooks(
            WebhookStore store,
            EventStore events,
            Seals seals,
            Reaches reaches,
            Commands commands,
            OwnerLocks locks,
            UuidV7 ids,
            Clock clock,
            JsonMapper json) {
        this.store = store;
        this.events = events;
        this.seals = seals;
        this.reaches = reaches;
        this.commands = commands;
        this.locks = locks;
        this.ids = ids;
        this.clock = clock;
        this.json = json;
    }

    /** Made, with its secret, which is shown this once. */
    record Made(Webhook webhook, String secret) {}

    List<Webhook> of(UUID owner) {
        return store.of(owner);
    }

    /** Makes one that is told of what happens from now on. */
    Made make(SignedIn me, String name, String url, Set<Topic> only) {
        String problem = WebhookCourier.problemOf(url);
        if (!problem.isEmpty()) {
            throw Refusal.field("url", problem);
        }
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        UUID owner = me.accountId();
        return locks.write(owner, () -> {
            if (store.of(owner).size() >= MOST) {
                throw Refusal.conflict("There are " + MOST + " webhooks already. Take one away first.");
            }
            Set<String> names = new TreeSet<>();
            only.forEach(topic -> names.add(topic.name()));
            Webhook webhook = new Webhook(
                    ids.next(),
                    owner,
                    name,
                    url.strip(),
                    seals.encrypted(owner, secret),
                    new Topics(names),
                    clock.instant(),
                    events.last(owner).orElse(0L),
                    0,
                    null,
                    "",
                    false,
                    null);
            store.insert(webhook);
            return new Made(
                    webhook, WebhookSignature.SECRET_MARK + Base64.getEncoder().encodeToString(secret));
        });
    }

    Done goOn(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "webhook-goes-on", changes -> {
            Webhook webhook = get(me, id);
            store.update(webhook.goingOn());
            changes.label("Goes on: " + webhook.name()).touch(Topic.SETTINGS);
        });
    }

    Done end(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "webhook-ended", changes -> {
            Webhook webhook = get(me, id);
            store.delete(me.accountId(), id);
            changes.label("Told no more: " + webhook.name()).touch(Topic.SETTINGS);
        });
    }

    Webhook get(SignedIn me, UUID id) {
        return store.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("webhook"));
    }

    /** Sends something that did not happen. */
    WebhookCourier.Outcome tryOut(Webhook webhook) {
        Instant now = clock.instant();
        Event event = new Event(
                0,
                webhook.owner(),
                now,
                Event.TRIED,
                null,
                null,
                "Squallnote tries whether this arrives.",
                new Subjects(List.of()),
                new Topics(Set.of()));
        return send(webhook, event, webhook.id() + "-trial-" + now.toEpochMilli());
    }

    WebhookCourier.Outcome send(Webhook webhook, Event event) {
        return send(webhook, event, webhook.id() + "-" + event.seq());
    }

    private WebhookCourier.Outcome send(Webhook webhook, Event event, String id) {
        return courier.send(
                webhook.url(),
                seals.decrypted(webhook.owner(), webhook.sealedSecret()),
                id,
                clock.instant(),
                json.writeValueAsString(HappenedView.of(event)),
                reaches.of(webhook.owner()));
    }
}
