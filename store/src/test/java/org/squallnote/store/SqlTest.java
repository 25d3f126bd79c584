package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.turn.Turn;

/** What holds of every statement of the store. */
class SqlTest extends StoreTest {

    /** Statements about no account, or about all of them. */
    private static final Set<String> FOR_NOBODY = Set.of(
            "access.AccessTokenStore.byToken",
            "account.AccountStore.all",
            "account.AccountStore.byId",
            "account.AccountStore.bySignIn",
            "account.AccountStore.count",
            "account.AccountStore.insert",
            "account.AccountStore.update",
            "account.PasskeyStore.byCredential",
            "account.SecondFactorStore.allOwners",
            "feed.FeedStore.byToken",
            "followup.AttachedStore.fileContents",
            "followup.AttachedStore.forgetFiles",
            "handover.HandOverStore.takers",
            "installation.InstallationStore.insert",
            "installation.InstallationStore.setting",
            "installation.InstallationStore.update",
            "message.RawMailStore.contents",
            // What is said in a mailbox belongs to all who read it.
            "office.OfficeStore.insert",
            "office.OfficeStore.told",
            "office.OfficeStore.untold",
            "office.OfficeStore.update",
            "plan.PlanStore.ownersOfBlocks",
            "reminder.ReminderStore.owners",
            "search.SearchStore.pending",
            "search.SearchStore.pendingFiles",
            "search.SearchStore.taken",
            "source.SourceStore.connected",
            "todo.TodoStore.havingChosen");

    /** What other databases do not know. */
    private static final List<String> OF_ONE_DATABASE =
            List.of("merge ", "regexp_", "clob", "nanosecond", "limit ", "ifnull", "{\"");

    @Autowired
    private SqlSessionFactory sessions;

    private List<MappedStatement> statements;

    @BeforeEach
    void all() {
        org.apache.ibatis.session.Configuration configuration = sessions.getConfiguration();
        // Statements are listed under a short name too, and under that some are ambiguous.
        statements = configuration.getMappedStatementNames().stream()
                .filter(name -> name.contains("."))
                .map(configuration::getMappedStatement)
                .distinct()
                .toList();
    }

    private static String sql(MappedStatement statement) {
        // No value is needed to see the words.
        return statement.getBoundSql(new EverythingIsThere()).getSql().toLowerCase(Locale.ROOT);
    }

    /** Stands for any parameters: each name has a list with one value. */
    private static final class EverythingIsThere extends java.util.HashMap<String, Object> {

        private static final long serialVersionUID = 1L;

        @Override
        public boolean containsKey(Object name) {
            return true;
        }

        @Override
        public Object get(Object name) {
            return name.equals("turn") ? Turn.CLOSED : List.of("x");
        }
    }

    @Test
    void everyOneStandsInAMapper() {
        assertThat(statements).hasSizeGreaterThan(150);
        assertThat(statements).extracting(MappedStatement::getResource).allMatch(resource -> resource.endsWith(".xml"));
    }

    @Test
    void everyOneIsAboutOneAccount() {
        Set<String> others = new TreeSet<>();
        for (MappedStatement statement : statements) {
            String sql = sql(statement);
            // A hand-over belongs to whoever gives.
            boolean named = sql.contains("owner =") || (sql.strip().startsWith("insert") && sql.contains("owner"));
            if (!named && !sql.contains("giver")) {
                others.add(statement.getId().replace("org.squallnote.store.", ""));
            }
        }
        assertThat(others).isEqualTo(FOR_NOBODY);
    }

    @Test
    void noneNeedsOneDatabase() {
        for (MappedStatement statement : statements) {
            String sql = sql(statement);
            assertThat(Stream.concat(OF_ONE_DATABASE.stream(), Stream.of(" key (")))
                    .as(statement.getId())
                    .noneMatch(sql::contains);
        }
    }
}
