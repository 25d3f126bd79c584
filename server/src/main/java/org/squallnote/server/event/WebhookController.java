package org.squallnote.server.event;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.event.Webhook;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.source.BoundedProbe;
import org.squallnote.server.source.Destinations;

/** Settings › Scripts: webhooks. */
@RestController
class WebhookController {

    private final Webhooks webhooks;
    private final Destinations destinations;
    private final BoundedProbe tests;

    WebhookController(Webhooks webhooks, Destinations destinations, BoundedProbe tests) {
        this.webhooks = webhooks;
        this.destinations = destinations;
        this.tests = tests;
    }

    /** @param only the topics that it is to be told of; empty for everything */
    record WebhookForm(
            @NotBlank @Size(max = 100) String name,
            @NotBlank @Size(max = 2_000) String url,
            @NotNull @Size(max = 20) Set<@NotNull Topic> only) {}

    /**
     * A webhook.
     *
     * @param problem why the last try failed; empty where it did not
     * @param nextAt when it is tried again; null where nothing failed
     * @param stopped whether nothing is sent until somebody says so
     */
    record WebhookView(
            UUID id,
            String name,
            String url,
            List<String> only,
            @Nullable Instant lastTakenAt,
            String problem,
            int attempts,
            @Nullable Instant nextAt,
            boolean stopped) {

        static WebhookView of(Webhook webhook) {
            return new WebhookView(
                    webhook.id(),
                    webhook.name(),
                    webhook.url(),
                    List.copyOf(new TreeSet<>(webhook.only().names())),
                    webhook.lastTakenAt(),
                    webhook.problem(),
                    webhook.attempts(),
                    webhook.nextAt(),
                    webhook.stopped());
        }
    }

    /** @param secret shown once; whoever receives checks signatures by it */
    record WebhookMade(WebhookView webhook, String secret) {}

    /** @param problem empty where it was taken */
    record WebhookTried(String problem) {}

    @GetMapping("/api/webhooks")
    List<WebhookView> all(@CurrentAccount SignedIn me) {
        return webhooks.of(me.accountId()).stream().map(WebhookView::of).toList();
    }

    @PostMapping("/api/webhooks")
    WebhookMade make(@CurrentAccount SignedIn me, @Valid @RequestBody WebhookForm body) {
        destinations.checkAddress(me, body.url(), "url");
        Set<Topic> only = body.only().isEmpty() ? EnumSet.noneOf(Topic.class) : EnumSet.copyOf(body.only());
        Webhooks.Made made = webhooks.make(me, body.name(), body.url(), only);
        return new WebhookMade(WebhookView.of(made.webhook()), made.secret());
    }

    /** Sends something that did not happen, and says whether it was taken. */
    @PostMapping("/api/webhooks/{id}/try")
    CompletableFuture<WebhookTried> tryOut(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        Webhook webhook = webhooks.get(me, id);
        return tests.run(() -> new WebhookTried(webhooks.tryOut(webhook).problem()));
    }

    /** Goes on with what was not taken. */
    @PostMapping("/api/webhooks/{id}/go-on")
    Done goOn(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return webhooks.goOn(me, commandId, id);
    }

    @DeleteMapping("/api/webhooks/{id}")
    Done end(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return webhooks.end(me, commandId, id);
    }
}
