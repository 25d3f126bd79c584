package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Method;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.SqlCommandType;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.search.Filter;
import org.squallnote.core.search.KeptSearch;
import org.squallnote.core.search.Kind;
import org.squallnote.store.followup.AttachedStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.search.Pending;
import org.squallnote.store.search.SearchMarks;
import org.squallnote.store.search.SearchStore;

/** What changes is marked for the index, whatever way it comes; searches are kept. */
class SearchStoreTest extends StoreTest {

    @Autowired
    private SearchStore search;

    @Autowired
    private FollowUpStore followUps;

    @Autowired
    private SqlSessionFactory sessions;

    @Autowired
    private PlatformTransactionManager transactions;

    private List<Pending> mine() {
        return search.pending(100_000).stream()
                .filter(each -> each.owner().equals(owner))
                .toList();
    }

    private void forget() {
        List<Long> all = mine().stream().map(Pending::seq).toList();
        if (!all.isEmpty()) {
            search.taken(all);
        }
    }

    /** Each of these is marked, or named as one that changes nothing by which it is found. */
    @Test
    void everyStatementThatChangesWhatIsFoundIsKnown() {
        assertThat(changing(MessageStore.class)).isEqualTo(both(SearchMarks.OF_MESSAGES, SearchMarks.NOT_OF_MESSAGES));
        assertThat(changing(FollowUpStore.class))
                .isEqualTo(both(SearchMarks.OF_FOLLOW_UPS, SearchMarks.NOT_OF_FOLLOW_UPS));
        assertThat(changing(AttachedStore.class)).isEqualTo(both(SearchMarks.OF_ATTACHED, SearchMarks.NOT_OF_ATTACHED));
    }

    private static Set<String> both(Set<String> some, Set<String> others) {
        Set<String> all = new TreeSet<>(some);
        all.addAll(others);
        return all;
    }

    private Set<String> changing(Class<?> store) {
        return Arrays.stream(store.getMethods())
                .map(Method::getName)
                .filter(name -> sessions.getConfiguration().hasStatement(store.getName() + "." + name))
                .filter(name -> {
                    MappedStatement statement =
                            sessions.getConfiguration().getMappedStatement(store.getName() + "." + name);
                    return statement.getSqlCommandType() != SqlCommandType.SELECT;
                })
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void aChangeIsMarkedWithItsTransaction() {
        StoredMessage message = insertMail("m" + owner, UUID.randomUUID(), 1, Decision.UNDECIDED);
        assertThat(mine()).extracting(Pending::subjectId).containsExactly(message.id());
        forget();
        messages.decide(owner, message.id(), Decision.NOTHING, CLOCK_CHANGE);
        assertThat(mine()).extracting(Pending::what).containsExactly(Pending.What.MESSAGE);
        forget();
        new TransactionTemplate(transactions).executeWithoutResult(status -> {
            messages.decide(owner, message.id(), Decision.NOTHING, CLOCK_CHANGE);
            status.setRollbackOnly();
        });
        assertThat(mine()).isEmpty();
    }

    @Test
    void aFollowUpIsMarkedByAllThatChangesIt() {
        StoredMessage message = insertMail("m" + owner, UUID.randomUUID(), 1, Decision.UNDECIDED);
        FollowUp followUp = followUp("Send it", DAY, LocalTime.NOON);
        forget();
        followUps.insert(followUp);
        followUps.insertLink(owner, new FollowUpLink(followUp.id(), message.id(), CLOCK_CHANGE, "", "{}"));
        followUps.update(followUp);
        followUps.retitle(owner, followUp.id(), followUp.title(), "Other");
        followUps.deleteLinks(owner, followUp.id());
        followUps.delete(owner, followUp.id());
        assertThat(mine())
                .hasSize(6)
                .allMatch(each -> each.what() == Pending.What.FOLLOW_UP
                        && each.subjectId().equals(followUp.id()));
    }

    @Test
    void everythingOfOneAccountIsMarked() {
        insertMail("m" + owner, UUID.randomUUID(), 1, Decision.UNDECIDED);
        followUps.insert(followUp("Send it", DAY, LocalTime.NOON));
        forget();
        search.markMessages(owner);
        search.markFollowUps(owner);
        search.mark(owner, Pending.What.FILES, UUID.randomUUID());
        search.markMessages(stranger);
        assertThat(mine())
                .extracting(Pending::what)
                .as("files are read apart")
                .containsExactly(Pending.What.MESSAGE, Pending.What.FOLLOW_UP);
        assertThat(search.pendingFiles(9)).extracting(Pending::what).contains(Pending.What.FILES);
        assertThat(search.count(owner)).isEqualTo(3);
        assertThat(search.count(stranger)).isZero();
    }

    @Test
    void aSearchIsKeptChangedAndDeletedByItsOwnerOnly() {
        KeptSearch kept = new KeptSearch(
                UUID.randomUUID(),
                owner,
                "Crane",
                "crane \"quote\"",
                new Filter(Kind.MESSAGE, "a@x.example", null, null, null, null, DAY, null, true, null));
        search.insert(kept);
        assertThat(search.kept(owner)).containsExactly(kept);
        assertThat(search.kept(stranger)).isEmpty();
        assertThat(search.update(new KeptSearch(kept.id(), stranger, "Mine", "", Filter.ALL)))
                .isZero();
        assertThat(search.delete(stranger, kept.id())).isZero();
        KeptSearch changed = new KeptSearch(kept.id(), owner, "Cranes", "", Filter.ALL);
        assertThat(search.update(changed)).isEqualTo(1);
        assertThat(search.keptById(owner, kept.id())).contains(changed);
        assertThat(search.delete(owner, kept.id())).isEqualTo(1);
    }
}
