package org.squallnote.server.feed;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.calendar.Feed;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.message.Sha256;
import org.squallnote.core.plan.Block;
import org.squallnote.core.plan.Planned;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.formats.calendar.CalendarWriter;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.secret.Seals;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.feed.FeedStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.plan.PlanStore;

/** Gives an account's dates out under an address that only its owner knows. */
@Component
class Feeds {

    private static final int TOKEN_BYTES = 32;

    private final FeedStore store;
    private final AccountStore accounts;
    private final FollowUpStore followUps;
    private final PlanStore plans;
    private final Seals seals;
    private final Commands commands;
    private final SecureRandom random = new SecureRandom();

    Feeds(
            FeedStore store,
            AccountStore accounts,
            FollowUpStore followUps,
            PlanStore plans,
            Seals seals,
            Commands commands) {
        this.store = store;
        this.accounts = accounts;
        this.followUps = followUps;
        this.plans = plans;
        this.seals = seals;
        this.commands = commands;
    }

    /** The token of an account's address, absent where nothing is given out. */
    Optional<String> token(SignedIn me) {
        return store.of(me.accountId())
                .map(feed -> new String(seals.decrypted(me.accountId(), feed.sealedToken()), StandardCharsets.UTF_8));
    }

    /** Makes an address; one that was there before is worth nothing any more. */
    Done renew(SignedIn me, UUID commandId) {
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        return commands.run(me, commandId, "feed", changes -> {
            store.delete(me.accountId());
            store.insert(new Feed(
                    me.accountId(),
                    hash(token),
                    seals.encrypted(me.accountId(), token.getBytes(StandardCharsets.UTF_8))));
            changes.label("A new address for your dates").touch(Topic.CALENDARS);
        });
    }

    /** Gives nothing out any more. */
    Done end(SignedIn me, UUID commandId) {
        return commands.run(me, commandId, "feed", changes -> {
            store.delete(me.accountId());
            changes.label("Your dates are not given out any more").touch(Topic.CALENDARS);
        });
    }

    /** The calendar that a token gives out; absent where nobody has it. */
    Optional<String> calendar(String token) {
        return store.byToken(hash(token))
                .flatMap(feed -> accounts.byId(feed.owner()))
                .map(this::write);
    }

    private String write(Account account) {
        Map<UUID, Planned> planned = new HashMap<>();
        plans.ofOpen(account.id()).forEach(plan -> planned.put(plan.followUpId(), plan));
        ZoneId zone = ZoneId.of(account.zone());
        List<CalendarWriter.Event> events = new ArrayList<>();
        for (FollowUp followUp : followUps.open(account.id())) {
            followUp.replyBy().ifPresent(by -> events.add(replyBy(followUp, by, zone)));
            Optional.ofNullable(planned.get(followUp.id()))
                    .flatMap(plan -> block(followUp, plan, zone))
                    .ifPresent(events::add);
        }
        return CalendarWriter.write("Squallnote, " + account.name(), events);
    }

    private static CalendarWriter.Event replyBy(FollowUp followUp, ReplyBy by, ZoneId zone) {
        return new CalendarWriter.Event(
                followUp.id() + "-reply-by@squallnote",
                followUp.title(),
                by.firm() ? "Reply by, firm" : "Reply by",
                by.time().isPresent() ? Optional.empty() : Optional.of(by.day()),
                by.time().map(time -> by.day().atTime(time).atZone(zone).toInstant()),
                1,
                false,
                followUp.createdAt());
    }

    private static Optional<CalendarWriter.Event> block(FollowUp followUp, Planned plan, ZoneId zone) {
        return Block.of(plan, followUp.expectedMinutes())
                .map(block -> new CalendarWriter.Event(
                        followUp.id() + "-planned@squallnote",
                        followUp.title(),
                        "",
                        Optional.empty(),
                        Optional.of(block.from(zone)),
                        block.minutes(),
                        true,
                        followUp.createdAt()));
    }

    private static String hash(String token) {
        return Sha256.of(token.getBytes(StandardCharsets.UTF_8));
    }
}
