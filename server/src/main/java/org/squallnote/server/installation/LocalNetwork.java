package org.squallnote.server.installation;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.server.secret.Reaches;
import org.squallnote.sources.Reach;
import org.squallnote.store.account.AccountStore;

/**
 * Servers inside the local network see a request that comes from inside, so only administrators may name them, or
 * everybody where an administrator has said so.
 */
@Component
public class LocalNetwork implements Reaches {

    private final Installation installation;
    private final AccountStore accounts;

    LocalNetwork(Installation installation, AccountStore accounts) {
        this.installation = installation;
        this.accounts = accounts;
    }

    @Override
    public Reach of(UUID owner) {
        return host -> reach(owner).check(host);
    }

    private Reach reach(UUID owner) {
        boolean everywhere = installation.localNetworkForAll()
                || accounts.byId(owner).filter(Account::administrator).isPresent();
        return everywhere ? Reach.ANYWHERE : Reach.OUTSIDE;
    }
}
