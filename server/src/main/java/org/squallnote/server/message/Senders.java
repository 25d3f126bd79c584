package org.squallnote.server.message;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.SenderDoubts;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Gathers what is known around the sender of a mail. */
@Component
class Senders {

    private final MessageStore messages;
    private final SourceStore sources;
    private final AccountStore accounts;

    /** Looking through all mail for them would make each message slower to open, the more mail there is. */
    private final Cache<UUID, Set<String>> colleagues = Caffeine.newBuilder()
            .maximumSize(1_000)
            .expireAfterWrite(Duration.ofMinutes(10))
            .build();

    Senders(MessageStore messages, SourceStore sources, AccountStore accounts) {
        this.messages = messages;
        this.sources = sources;
        this.accounts = accounts;
    }

    /** What to know before trusting who a message says it is from; in a chat the server vouches for that. */
    List<String> doubtsAbout(StoredMessage message) {
        if (message.channel() != Channel.MAIL || message.direction() != Direction.INCOMING) {
            return List.of();
        }
        UUID owner = message.owner();
        Set<String> domains = sources.addresses(owner).stream()
                .map(address -> address.substring(address.lastIndexOf('@') + 1))
                .filter(domain -> !domain.isEmpty())
                .collect(Collectors.toSet());
        boolean first = !messages.hasEarlierFrom(owner, message.fromAddress(), message.sentAt());
        return SenderDoubts.of(
                message.from(),
                message.recipients().replyTo(),
                message.listAddress() != null,
                new SenderDoubts.Known(first, domains, colleagues.get(owner, its -> colleagues(its, domains))));
    }

    private Set<String> colleagues(UUID owner, Set<String> domains) {
        return Stream.concat(
                        accounts.all().stream().map(Account::name),
                        domains.stream().flatMap(domain -> messages.namesAt(owner, "%@" + domain).stream()))
                .map(name -> name.toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
    }
}
