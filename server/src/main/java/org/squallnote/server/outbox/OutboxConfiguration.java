package org.squallnote.server.outbox;

import java.time.Clock;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.outbox.OutboxStore;
import tools.jackson.databind.json.JsonMapper;

/** What the runners of all sources share. */
@Configuration(proxyBeanMethods = false)
class OutboxConfiguration {

    @Bean
    OutboxRunner.Tools outboxTools(
            OutboxStore store,
            Outbox outbox,
            OwnerLocks locks,
            MailArrivals arrivals,
            MessageStore messages,
            RawMails rawMails,
            SourceSecrets secrets,
            LiveEvents live,
            Clock clock,
            JsonMapper json,
            Claims claims,
            DraftMails drafts,
            CalendarWork calendars,
            ApplicationEventPublisher events) {
        return new OutboxRunner.Tools(
                store, outbox, locks, arrivals, messages, rawMails, secrets, live, clock, json, claims, drafts,
                calendars, events);
    }
}
