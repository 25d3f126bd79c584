package org.squallnote.server.installation;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.squallnote.server.account.Sessions;
import org.squallnote.store.installation.InstallationStore;

/** The settings of the installation. */
@Component
public class Installation {

    private static final String HOSTS = "hosts";
    private static final String LOCAL_NETWORK = "local-network";
    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]", "::1", "0:0:0:0:0:0:0:1");

    private final InstallationStore store;
    private final TransactionTemplate transaction;
    private volatile @Nullable List<String> hosts;

    Installation(InstallationStore store, TransactionTemplate transaction) {
        this.store = store;
        this.transaction = transaction;
    }

    /** The names that it answers by beside those of this machine; empty until the first visit. */
    public List<String> hosts() {
        List<String> known = hosts;
        if (known == null) {
            known = store.setting(HOSTS).map(Installation::list).orElse(List.of());
            hosts = known;
        }
        return known;
    }

    private static List<String> list(String text) {
        return Arrays.stream(text.split(" ")).filter(name -> !name.isEmpty()).toList();
    }

    /** Whether a name stands for the machine that it runs on, by which it is always answered. */
    public static boolean isThisMachine(String host) {
        return THIS_MACHINE.contains(host.toLowerCase(Locale.ROOT));
    }

    /** Whether it answers a request for this name. Until a first name is known it answers any. */
    public boolean answersBy(String host) {
        return isThisMachine(host) || hosts().isEmpty() || hosts().contains(host.toLowerCase(Locale.ROOT));
    }

    /** Keeps the name by which somebody first came in, where it is not this machine's. */
    @EventListener
    public void noteHost(Sessions.Started started) {
        String name = started.host().toLowerCase(Locale.ROOT);
        if (hosts().isEmpty() && !isThisMachine(name)) {
            setHosts(List.of(name));
        }
    }

    /** Sets the names that it answers by. */
    public void setHosts(List<String> names) {
        save(HOSTS, String.join(" ", names));
        hosts = List.copyOf(names);
    }

    /** Whether accounts that are no administrators may connect to servers inside the local network. */
    public boolean localNetworkForAll() {
        return store.setting(LOCAL_NETWORK).filter("all"::equals).isPresent();
    }

    /** Sets that. */
    public void setLocalNetworkForAll(boolean forAll) {
        save(LOCAL_NETWORK, forAll ? "all" : "administrators");
    }

    private void save(String name, String setting) {
        transaction.executeWithoutResult(status -> {
            if (store.update(name, setting) == 0) {
                store.insert(name, setting);
            }
        });
    }
}
