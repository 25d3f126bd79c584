package org.squallnote.server.reading;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.settings.SettingsStore;
import org.squallnote.store.source.SourceStore;

/** Makes the readers of accounts. */
@Component
public class AccountReaders {

    private final AccountStore accounts;
    private final SourceStore sources;
    private final SettingsStore settings;
    private final WorkingTimes workingTimes;

    AccountReaders(AccountStore accounts, SourceStore sources, SettingsStore settings, WorkingTimes workingTimes) {
        this.accounts = accounts;
        this.sources = sources;
        this.settings = settings;
        this.workingTimes = workingTimes;
    }

    /** The reader of an account as its settings and sources are now. */
    public AccountReader of(UUID owner) {
        Account account = accounts.byId(owner).orElseThrow(() -> Refusal.notFound("account"));
        AccountSettings its = workingTimes.settings(owner);
        List<String> addresses = sources.addresses(owner);
        Map<String, PartyRule> rules =
                settings.rules(owner).stream().collect(Collectors.toMap(PartyRule::party, Function.identity()));
        Set<String> unheard = rules.values().stream()
                .flatMap(rule -> rule.unheardWay().stream())
                .collect(Collectors.toSet());
        return new AccountReader(
                new Me(account.name(), new HashSet<>(addresses), its.nicknames()),
                its.monthFirst(),
                workingTimes.of(owner),
                its.replyDays(),
                rules,
                unheard,
                version(account, its, addresses, unheard));
    }

    /** The engine's version, and a digest of everything else that a reading depends on. */
    private static String version(Account account, AccountSettings its, List<String> addresses, Set<String> unheard) {
        String calendar = account.name() + "\n" + account.zone() + "\n" + new TreeSet<>(addresses) + "\n"
                + its.nicknames() + "\n" + its.monthFirst() + "\n" + new TreeMap<>(its.week()) + "\n" + its.region()
                + "\n" + new TreeSet<>(its.daysOff()) + "\n" + its.replyDays()
                + (unheard.isEmpty() ? "" : "\n" + new TreeSet<>(unheard));
        return Reader.VERSION + "-" + UUID.nameUUIDFromBytes(calendar.getBytes(StandardCharsets.UTF_8));
    }
}
