package org.squallnote.server.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.squallnote.core.account.Account;
import org.squallnote.server.Squallnote;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.search.Pending;
import org.squallnote.store.search.SearchStore;

class StopWhileIndexingTest {

    @TempDir
    Path data;

    /** An index that is opened once more while the application stops would never be closed, and its marks would be lost. */
    @Test
    void whatIsMarkedWhileTheApplicationStopsStaysMarked() {
        try (ConfigurableApplicationContext application = SpringApplication.run(
                Squallnote.class,
                "--data=" + data,
                "--server.port=0",
                "--logging.level.root=error",
                "--spring.profiles.active=command")) {
            Indexes indexes = application.getBean(Indexes.class);
            Indexing indexing = application.getBean(Indexing.class);
            JdbcTemplate jdbc = application.getBean(JdbcTemplate.class);
            UUID owner = UUID.randomUUID();
            application
                    .getBean(AccountStore.class)
                    .insert(new Account(owner, "ines", "Ines", "none", "Europe/London", false, Instant.EPOCH));
            application.getBean(SearchStore.class).mark(owner, Pending.What.MESSAGE, UUID.randomUUID());
            indexes.close();

            assertThatThrownBy(indexing::catchUp).isInstanceOf(UncheckedIOException.class);

            assertThat(jdbc.queryForObject("select count(*) from search_pending", Integer.class))
                    .isEqualTo(1);
            assertThat(data.resolve("search").resolve(owner.toString())).doesNotExist();
        }
    }
}
