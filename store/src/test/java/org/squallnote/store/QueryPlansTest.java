package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.scripting.defaults.DefaultParameterHandler;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.message.Asks;
import org.squallnote.core.turn.Turn;
import org.squallnote.store.access.AccessTokenStore;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.event.EventStore;
import org.squallnote.store.feed.FeedStore;
import org.squallnote.store.figures.FiguresStore;
import org.squallnote.store.followup.AttachedStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.history.HistoryStore;
import org.squallnote.store.invitation.InvitationStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMailStore;
import org.squallnote.store.office.OfficeStore;
import org.squallnote.store.outbox.OutboxStore;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.plan.PlanStore;
import org.squallnote.store.reading.ReadingStore;
import org.squallnote.store.record.ProofStore;
import org.squallnote.store.record.RecordStore;
import org.squallnote.store.reminder.ReminderStore;
import org.squallnote.store.repetition.SeriesStore;
import org.squallnote.store.search.SearchStore;
import org.squallnote.store.spent.SpentStore;
import org.squallnote.store.thread.ThreadStore;
import org.squallnote.store.todo.TodoStore;
import org.squallnote.store.turn.AnswerWordStore;

/** Every query that a page waits for goes over an index, among a hundred thousand messages. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestPropertySource(properties = "spring.datasource.url=jdbc:h2:mem:plans")
class QueryPlansTest extends StoreTest {

    private static final int MESSAGES = 100_000;
    private static final UUID ID = new UUID(1, 1);

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private DataSource database;

    @Autowired
    private SqlSessionFactory mapping;

    /** Made once, see {@link #fill}. */
    @Override
    void twoAccountsAndASource() {}

    /** Ten messages a thread, one in twenty undecided, everything of one account. */
    @BeforeAll
    void fill() {
        super.twoAccountsAndASource();
        String thread = "cast('00000000-0000-0000-0000-' || lpad(cast(x / 10 as varchar), 12, '0') as uuid)";
        jdbc.update(
                "insert into message (id, owner, source_id, channel, identity, direction, nature, from_name, from_address,"
                        + " recipients, subject, base_subject, sent_at, received_at, body, asks_me, ask, has_html, files,"
                        + " notices, message_id, refs, component, thread_id, decision, mentions, reply_firm, edited, removed,"
                        + " version, heap) select random_uuid(), ?, ?, 'MAIL', 'm' || x, 'INCOMING', 'PERSON', 'Writer ' || mod(x,"
                        + " 500), 'writer' || mod(x, 500) || '@x.example', '{}', 'Subject ' || x, 'subject ' || x,"
                        + " dateadd(minute, x, timestamp with time zone '2020-01-01 00:00:00+00'), dateadd(minute, x,"
                        + " timestamp with time zone '2020-01-01 00:00:00+00'), 'Could you?', true, 'Could you?', false,"
                        + " '{\"list\":[]}', '{\"list\":[]}', 'm' || x || '@x.example', '{\"list\":[]}', " + thread
                        + ", "
                        + thread
                        + ", case when mod(x, 20) = 0 then 'UNDECIDED' else 'ANSWERED' end, '{\"list\":[]}', false,"
                        + " false, false, 0, 'ASKS_YOU' from system_range(1, " + MESSAGES + ")",
                owner,
                source);
        jdbc.update("insert into thread (id, owner, channel, subject, turn, since, debts, awaited, last_message_at,"
                + " message_count, version) select distinct thread_id, owner, 'MAIL', 'x', 'WITH_ME', current_timestamp,"
                + " '{}', '{}', current_timestamp, 10, 0 from message");
        jdbc.update(
                "insert into message_link (owner, identity, component) select owner, message_id, component from message");
        jdbc.update("insert into reading (message_id, owner, version, facts) select id, owner, 'v', '{}' from message");
        jdbc.update(
                "insert into answer_time (owner, party, ask, thread_id, asked_at, answered_at) select ?, 'writer' ||"
                        + " mod(x, 500) || '@x.example', random_uuid(), random_uuid(), current_timestamp,"
                        + " current_timestamp from system_range(1, 20000)",
                owner);
        jdbc.update(
                "insert into chase (owner, thread_id, party, source_id, identity) select ?, random_uuid(), 'a@x.example',"
                        + " ?, 'chase.' || x from system_range(1, 5000)",
                owner,
                source);
        jdbc.update(
                "insert into thread_party (owner, thread_id, party, mine, name, since) select ?, random_uuid(), 'writer' ||"
                        + " mod(x, 500) || '@x.example', true, 'Writer', current_timestamp from system_range(1, 10000)",
                owner);
        jdbc.update(
                "insert into answer_word (owner, message_id, kind, missing) select ?, random_uuid(), 'NO_ANSWER', '' from"
                        + " system_range(1, 3000)",
                owner);
        jdbc.update(
                "insert into hand_over (identity, giver, giver_message, taker_address, state, word, offered_at, changed_at,"
                        + " untold) select 'over.' || x, ?, random_uuid(), 'a@x.example', 'DONE', '', current_timestamp,"
                        + " current_timestamp, 'NOBODY' from system_range(1, 5000)",
                owner);
        jdbc.update(
                "insert into office_word (address, message_id, account, state, said_at, untold) select 'a@x.example', 'm' ||"
                        + " x, ?, 'TAKEN', current_timestamp, false from system_range(1, 5000)",
                owner);
        jdbc.update(
                "insert into follow_up (id, owner, title, firm, for_reply, place, people, checklist, note, state, created_at,"
                        + " version) select random_uuid(), ?, 'Send it', false, false, '', '{}', '{}', '', 'DONE',"
                        + " current_timestamp, 0 from system_range(1, 3000)",
                owner);
        jdbc.update(
                "insert into follow_up_message (follow_up_id, message_id, owner, linked_at, sentence, snapshot) select"
                        + " f.id, m.id, f.owner, current_timestamp, '', '{}' from follow_up f join message m on m.owner = f.owner and"
                        + " m.message_id = f.title || '@x.example'");
        jdbc.execute("analyze");
    }

    static Stream<Arguments> queries() {
        Map<String, Object> intake = Map.of("owner", ID, "heap", Heap.ASKS_YOU, "today", DAY, "most", 200);
        Map<String, Object> everything = new HashMap<>(
                Map.of("owner", ID, "addresses", List.of(), "before", CLOCK_CHANGE, "beforeId", ID, "most", 101));
        everything.put("fromInclusive", null);
        everything.put("toExclusive", null);
        everything.put("categoryId", null);
        everything.put("state", null);
        Map<String, Object> thread = Map.of("owner", ID, "threadId", ID);
        Map<String, Object> days = Map.of("owner", ID, "from", CLOCK_CHANGE, "to", CLOCK_CHANGE);
        Map<String, Object> ofDays = new HashMap<>(everything);
        ofDays.put("fromInclusive", CLOCK_CHANGE);
        ofDays.put("toExclusive", CLOCK_CHANGE);
        Map<String, Object> ofSomebody = new HashMap<>(everything);
        ofSomebody.put("addresses", List.of("a@x.example", "b@x.example"));
        Map<String, Object> ofCategory = new HashMap<>(everything);
        ofCategory.put("categoryId", ID);
        return Stream.of(
                Arguments.of(MessageStore.class, "intakeByWanted", intake),
                Arguments.of(MessageStore.class, "intake", intake),
                Arguments.of(MessageStore.class, "intakeCounts", intake),
                Arguments.of(MessageStore.class, "putOffBeyond", intake),
                Arguments.of(MessageStore.class, "byId", Map.of("owner", ID, "id", ID)),
                Arguments.of(MessageStore.class, "byIds", Map.of("owner", ID, "ids", List.of(ID, ID))),
                Arguments.of(RawMailStore.class, "raw", Map.of("owner", ID, "id", ID)),
                Arguments.of(MessageStore.class, "lastBy", Map.of("owner", ID, "address", "a@x.example", "most", 8)),
                Arguments.of(
                        MessageStore.class, "answeredByMe", Map.of("owner", ID, "address", "a@x.example", "most", 60)),
                Arguments.of(
                        AttachedStore.class, "words", Map.of("owner", ID, "followUpIds", List.of(ID, new UUID(2, 2)))),
                Arguments.of(PeopleStore.class, "address", Map.of("owner", ID, "id", ID)),
                Arguments.of(PeopleStore.class, "cards", Map.of("owner", ID, "ids", List.of(ID, new UUID(2, 2)))),
                Arguments.of(PeopleStore.class, "notes", Map.of("owner", ID, "ids", List.of(ID, new UUID(2, 2)))),
                Arguments.of(CalendarStore.class, "withUids", Map.of("owner", ID, "uids", List.of("a", "b"))),
                Arguments.of(AttachedStore.class, "relations", Map.of("owner", ID, "followUpId", ID)),
                Arguments.of(RecordStore.class, "ended", everything),
                Arguments.of(
                        RecordStore.class, "origins", Map.of("owner", ID, "followUpIds", List.of(ID, new UUID(2, 2)))),
                Arguments.of(
                        RecordStore.class, "endedBy", Map.of("owner", ID, "followUpIds", List.of(ID, new UUID(2, 2)))),
                Arguments.of(ProofStore.class, "threads", ofDays),
                Arguments.of(ProofStore.class, "threads", ofSomebody),
                Arguments.of(ProofStore.class, "threads", ofCategory),
                Arguments.of(
                        SpentStore.class,
                        "worked",
                        Map.of(
                                "owner",
                                ID,
                                "notBefore",
                                CLOCK_CHANGE,
                                "fromInclusive",
                                CLOCK_CHANGE,
                                "toExclusive",
                                CLOCK_CHANGE,
                                "most",
                                9)),
                Arguments.of(
                        RecordStore.class,
                        "undoneAbove",
                        Map.of(
                                "owner",
                                ID,
                                "lowest",
                                ID,
                                "fromInclusive",
                                CLOCK_CHANGE,
                                "toExclusive",
                                CLOCK_CHANGE,
                                "most",
                                9)),
                Arguments.of(FiguresStore.class, "asks", days),
                Arguments.of(FiguresStore.class, "cameIn", days),
                Arguments.of(FiguresStore.class, "decided", days),
                Arguments.of(FiguresStore.class, "ended", days),
                Arguments.of(FiguresStore.class, "worked", days),
                Arguments.of(FiguresStore.class, "answers", days),
                Arguments.of(AttachedStore.class, "files", Map.of("owner", ID, "followUpId", ID)),
                Arguments.of(
                        MessageStore.class, "corrected", Map.of("owner", ID, "correction", Asks.NEVER, "most", 200)),
                Arguments.of(MessageStore.class, "known", Map.of("owner", ID, "identities", List.of("m", "n"))),
                Arguments.of(MessageStore.class, "idOf", Map.of("owner", ID, "identity", "m")),
                Arguments.of(MessageStore.class, "countMine", Map.of("owner", ID, "messageId", "m")),
                Arguments.of(
                        ThreadStore.class,
                        "byTurn",
                        Map.of("owner", ID, "turn", Turn.WITH_OTHERS, "offset", 0, "most", 100)),
                Arguments.of(
                        ThreadStore.class,
                        "byTurn",
                        Map.of("owner", ID, "turn", Turn.WITH_ME, "offset", 0, "most", 100)),
                Arguments.of(ThreadStore.class, "byIds", Map.of("owner", ID, "ids", List.of(ID, ID))),
                Arguments.of(
                        ThreadStore.class, "byPerson", Map.of("owner", ID, "mine", true, "offset", 0, "most", 100)),
                Arguments.of(
                        ThreadStore.class,
                        "byAge",
                        Map.of("owner", ID, "turn", Turn.WITH_ME, "offset", 0, "most", 100)),
                Arguments.of(ThreadStore.class, "followUps", Map.of("owner", ID, "ids", List.of(ID, ID))),
                Arguments.of(ThreadStore.class, "made", Map.of("owner", ID, "messageIds", List.of(ID, ID))),
                Arguments.of(ThreadStore.class, "openBetween", thread),
                Arguments.of(ThreadStore.class, "promised", Map.of("owner", ID, "most", 100)),
                Arguments.of(ThreadStore.class, "countPromised", Map.of("owner", ID, "today", DAY)),
                Arguments.of(AnswerWordStore.class, "inThread", thread),
                Arguments.of(FollowUpStore.class, "waiting", Map.of("owner", ID, "before", CLOCK_CHANGE)),
                Arguments.of(HandOverStore.class, "endedInThread", Map.of("giver", ID, "threadId", ID)),
                Arguments.of(HandOverStore.class, "given", Map.of("giver", ID, "most", 100)),
                Arguments.of(HandOverStore.class, "untold", Map.of()),
                Arguments.of(OfficeStore.class, "inThread", thread),
                Arguments.of(OfficeStore.class, "untold", Map.of()),
                Arguments.of(MessageStore.class, "withMessageId", Map.of("owner", ID, "messageId", "m")),
                Arguments.of(
                        MessageStore.class, "withMessageIds", Map.of("owner", ID, "messageIds", List.of("m", "n"))),
                Arguments.of(MessageStore.class, "threadsWith", Map.of("owner", ID, "address", "x")),
                Arguments.of(ChaseStore.class, "due", Map.of("owner", ID, "today", DAY, "most", 100)),
                Arguments.of(
                        ChaseStore.class,
                        "lastAnswers",
                        Map.of("owner", ID, "parties", List.of("a@x.example", "b@x.example"), "most", 20)),
                Arguments.of(ChaseStore.class, "sent", Map.of("owner", ID, "threadId", ID)),
                Arguments.of(ChaseStore.class, "threadsOf", Map.of("owner", ID, "identity", "chase.1")),
                Arguments.of(ChaseStore.class, "chases", Map.of("owner", ID, "threadId", ID)),
                Arguments.of(TodoStore.class, "changedThere", Map.of("owner", ID, "calendarId", ID)),
                Arguments.of(TodoStore.class, "unlinked", Map.of("owner", ID)),
                Arguments.of(MessageStore.class, "inThread", thread),
                Arguments.of(MessageStore.class, "threadingInThread", thread),
                Arguments.of(
                        MessageStore.class, "threadingInThreads", Map.of("owner", ID, "threadIds", List.of(ID, ID))),
                Arguments.of(MessageStore.class, "reactionsInThread", thread),
                Arguments.of(MessageStore.class, "inComponent", Map.of("owner", ID, "component", ID)),
                Arguments.of(MessageStore.class, "links", Map.of("owner", ID, "identities", List.of("m", "n"))),
                Arguments.of(MessageStore.class, "countInSource", Map.of("owner", ID, "sourceId", ID)),
                Arguments.of(MessageStore.class, "undecidedFrom", Map.of("owner", ID, "party", "x")),
                Arguments.of(
                        MessageStore.class,
                        "hasEarlierFrom",
                        Map.of("owner", ID, "address", "x", "before", CLOCK_CHANGE)),
                Arguments.of(
                        MessageStore.class,
                        "threadsAnswering",
                        Map.of("owner", ID, "roomId", "r", "eventIds", List.of("a", "b"))),
                Arguments.of(
                        MessageStore.class,
                        "newestBeforeUndecided",
                        Map.of("owner", ID, "roomId", "r", "farAway", CLOCK_CHANGE)),
                Arguments.of(MessageStore.class, "hasTalked", Map.of("owner", ID, "address", "x")),
                Arguments.of(ReadingStore.class, "inThread", thread),
                Arguments.of(ThreadStore.class, "byId", Map.of("owner", ID, "id", ID)),
                Arguments.of(
                        ThreadStore.class,
                        "byTurn",
                        Map.of("owner", ID, "turn", Turn.WITH_ME, "offset", 0, "most", 50)),
                Arguments.of(FollowUpStore.class, "open", ID),
                Arguments.of(FollowUpStore.class, "byIds", Map.of("owner", ID, "ids", List.of(ID, new UUID(2, 2)))),
                Arguments.of(
                        FollowUpStore.class,
                        "linksOf",
                        Map.of("owner", ID, "followUpIds", List.of(ID, new UUID(2, 2)))),
                Arguments.of(
                        PeopleStore.class, "openWith", Map.of("owner", ID, "mine", true, "parties", List.of("a", "b"))),
                Arguments.of(SearchStore.class, "pending", 400),
                Arguments.of(FollowUpStore.class, "ofThread", thread),
                Arguments.of(FollowUpStore.class, "ofMessage", Map.of("owner", ID, "messageId", ID)),
                Arguments.of(FollowUpStore.class, "endedSince", Map.of("owner", ID, "since", Instant.EPOCH)),
                Arguments.of(
                        HistoryStore.class,
                        "between",
                        Map.of("owner", ID, "from", CLOCK_CHANGE, "to", CLOCK_CHANGE, "most", 9)),
                Arguments.of(HistoryStore.class, "ofSubject", Map.of("owner", ID, "subjectId", ID)),
                Arguments.of(PlanStore.class, "ofOpen", ID),
                Arguments.of(PlanStore.class, "ofEnded", Map.of("owner", ID, "day", DAY)),
                Arguments.of(PlanStore.class, "stints", Map.of("owner", ID, "since", CLOCK_CHANGE)),
                Arguments.of(PlanStore.class, "underWay", ID),
                Arguments.of(
                        MessageStore.class, "intakeSince", Map.of("owner", ID, "today", DAY, "since", CLOCK_CHANGE)),
                Arguments.of(ReminderStore.class, "waiting", ID),
                Arguments.of(ReminderStore.class, "shown", ID),
                Arguments.of(ReminderStore.class, "ofFollowUp", Map.of("owner", ID, "followUpId", ID)),
                Arguments.of(InvitationStore.class, "saidOf", Map.of("owner", ID, "uid", "u")),
                Arguments.of(InvitationStore.class, "saidIn", Map.of("owner", ID, "messageId", ID)),
                Arguments.of(CalendarStore.class, "holding", Map.of("owner", ID, "uid", "u")),
                Arguments.of(SeriesStore.class, "standingFor", Map.of("owner", ID, "followUpId", ID)),
                Arguments.of(
                        CalendarStore.class, "meetings", Map.of("owner", ID, "from", CLOCK_CHANGE, "to", CLOCK_CHANGE)),
                Arguments.of(CalendarStore.class, "byHref", Map.of("owner", ID, "sourceId", ID, "href", "x")),
                Arguments.of(EventStore.class, "after", Map.of("owner", ID, "seq", 7L, "most", 100)),
                Arguments.of(AccessTokenStore.class, "byToken", Map.of("tokenHash", "x")),
                Arguments.of(FeedStore.class, "byToken", Map.of("tokenHash", "x")),
                Arguments.of(OutboxStore.class, "unsettled", ID));
    }

    @ParameterizedTest(name = "{1} of {0}")
    @MethodSource("queries")
    void itGoesOverAnIndex(Class<?> store, String query, Object parameters) throws SQLException {
        assertThat(plan(store, query, parameters))
                .doesNotContain("tableScan")
                .as("everything of the account is looked at")
                .doesNotContainPattern(": OWNER = \\?\\d+\\s*\\*/");
    }

    private String plan(Class<?> store, String query, Object parameters) throws SQLException {
        MappedStatement statement = mapping.getConfiguration().getMappedStatement(store.getName() + "." + query);
        BoundSql sql = statement.getBoundSql(parameters);
        try (Connection connection = database.getConnection();
                PreparedStatement explain = connection.prepareStatement("explain " + sql.getSql())) {
            new DefaultParameterHandler(statement, parameters, sql).setParameters(explain);
            try (ResultSet plan = explain.executeQuery()) {
                plan.next();
                return plan.getString(1);
            }
        }
    }

    /** Two hundred rows of thousands are shown: to sort them all first would cost what they all cost. */
    @ParameterizedTest
    @ValueSource(strings = {"intakeByWanted", "intake"})
    void intakeIsReadInItsOrder(String query) throws SQLException {
        Object parameters = Map.of("owner", ID, "heap", Heap.ASKS_YOU, "today", DAY, "most", 200);
        assertThat(plan(MessageStore.class, query, parameters)).contains("index sorted");
    }

    /** A page of a hundred is shown of what has ended in ten years. */
    @ParameterizedTest
    @ValueSource(strings = {"ended", "closed"})
    void theRecordIsReadInItsOrder(String query) throws SQLException {
        Map<String, Object> everything = new HashMap<>(
                Map.of("owner", ID, "addresses", List.of(), "before", CLOCK_CHANGE, "beforeId", ID, "most", 101));
        everything.put("fromInclusive", null);
        everything.put("toExclusive", null);
        everything.put("categoryId", null);
        everything.put("state", null);
        assertThat(plan(RecordStore.class, query, everything)).contains("index sorted");
    }
}
