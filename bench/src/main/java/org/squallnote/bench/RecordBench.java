package org.squallnote.bench;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;

/** Fills an account with what a busy office has ended in some years, at the same pace each year. */
final class RecordBench {

    /** So many follow-ups end in a year. */
    static final int ENDED_A_YEAR = 10_000;

    private static final int MESSAGES_A_YEAR = 15_000;
    private static final int MINUTES_A_YEAR = 365 * 24 * 60;

    private final JdbcTemplate jdbc;
    private final Instant now;

    RecordBench(JdbcTemplate jdbc, Instant now) {
        this.jdbc = jdbc;
        this.now = now;
    }

    /** Every third message is mine, the others ask; a follow-up came from every second, and was worked at. */
    void fill(UUID owner, int years) {
        UUID source = UUID.randomUUID();
        Object until = now.atOffset(ZoneOffset.UTC);
        jdbc.update(
                "insert into source (id, owner, kind, name, address, settings, secret, days_back, archive_rule, added_at,"
                        + " status, status_text, progress_done, progress_total, version) values (?, ?, 'FILES', 'Files', '',"
                        + " '{}', x'', 0, 'NONE', ?, 'LIVE', '', 0, 0, 0)",
                source,
                owner,
                until);
        int messages = MESSAGES_A_YEAR * years;
        int every = Math.max(1, MINUTES_A_YEAR / MESSAGES_A_YEAR);
        String id = "cast('" + head(owner) + "' || lpad(cast(x as varchar), 12, '0') as uuid)";
        String thread = "cast('" + head(owner) + "' || lpad(cast(x / 3 as varchar), 12, '0') as uuid)";
        jdbc.update(
                "insert into thread (id, owner, channel, subject, turn, since, debts, awaited, last_message_at, message_count,"
                        + " version) select " + id
                        + ", ?, 'MAIL', 'Matter ' || x, case when mod(x, 2) = 0 then 'CLOSED' else"
                        + " 'NOBODY' end, dateadd(minute, -x * 3 * " + every
                        + ", cast(? as timestamp with time zone)), '{\"list\":[]}', '{\"list\":[]}', ?, 3, 0"
                        + " from system_range(0, " + messages / 3 + ")",
                owner,
                until,
                until);
        jdbc.update(
                "insert into message (id, owner, source_id, channel, identity, direction, nature, from_name, from_address,"
                        + " recipients, subject, base_subject, sent_at, received_at, body, asks_me, ask, has_html, files,"
                        + " notices, message_id, refs, component, thread_id, decision, decided_at, mentions, reply_firm, edited,"
                        + " removed, version, heap) select " + id
                        + ", ?, ?, 'MAIL', 'm' || x, case when mod(x, 3) = 0 then"
                        + " 'OUTGOING' else 'INCOMING' end, 'PERSON', 'Writer ' || mod(x, 200), 'writer' || mod(x, 200) ||"
                        + " '@x.example', '{\"to\":[],\"cc\":[],\"replyTo\":[],\"followupTo\":[]}', 'Matter', 'matter',"
                        + " dateadd(minute, -x * " + every
                        + ", cast(? as timestamp with time zone)), dateadd(minute, -x * " + every
                        + ", cast(? as timestamp with time zone)), 'Could you?',"
                        + " mod(x, 3) <> 0, 'Could you?', false, '{\"list\":[]}', '{\"list\":[]}', 'm' || x || '@x.example',"
                        + " '{\"list\":[]}', " + thread + ", " + thread + ", 'ANSWERED', dateadd(minute, -x * " + every
                        + ", cast(? as timestamp with time zone)), '{\"list\":[]}', false, false, false, 0, 'ASKS_YOU' from system_range(1, "
                        + messages
                        + ")",
                owner,
                source,
                until,
                until,
                until);
        int ended = ENDED_A_YEAR * years;
        int apart = Math.max(1, MINUTES_A_YEAR / ENDED_A_YEAR);
        jdbc.update(
                "insert into follow_up (id, owner, title, reply_day, firm, for_reply, place, people, checklist, note, state,"
                        + " created_at, ended_at, effort_minutes, priority, version) select " + id
                        + ", ?, 'Send it ' || x,"
                        + " cast(dateadd(minute, -x * " + apart
                        + ", cast(? as timestamp with time zone)) as date), false, false, '', '{\"list\":[]}',"
                        + " '{\"items\":[]}', '', 'DONE', dateadd(minute, -x * " + apart
                        + " - 600, cast(? as timestamp with time zone)), dateadd(minute, -x * "
                        + apart + ", cast(? as timestamp with time zone)), 20, 'NORMAL', 0 from system_range(1, "
                        + ended + ")",
                owner,
                until,
                until,
                until);
        jdbc.update(
                "insert into follow_up_message (follow_up_id, message_id, owner, linked_at, sentence, snapshot) select "
                        + id + ", " + id + ", ?, ?, '', '{}' from system_range(1, " + ended + ")",
                owner,
                until);
        jdbc.update(
                "insert into stint (id, owner, follow_up_id, started_at, ended_at) select random_uuid(), ?, " + id
                        + ", dateadd(minute, -x * " + apart
                        + " - 25, cast(? as timestamp with time zone)), dateadd(minute, -x * " + apart
                        + ", cast(? as timestamp with time zone)) from"
                        + " system_range(1, " + ended + ")",
                owner,
                until,
                until);
        jdbc.update(
                "insert into answer_time (owner, party, ask, thread_id, asked_at, answered_at) select ?, 'writer' || mod(x,"
                        + " 200) || '@x.example', random_uuid(), random_uuid(), dateadd(minute, -x * " + apart
                        + " - 300, cast(? as timestamp with time zone)), dateadd(minute, -x * " + apart
                        + ", cast(? as timestamp with time zone)) from system_range(1, " + ended / 3 + ")",
                owner,
                until,
                until);
        jdbc.execute("analyze");
    }

    /** Ids count on from a beginning that is the account's own. */
    private static String head(UUID owner) {
        return owner.toString().substring(0, 24);
    }
}
