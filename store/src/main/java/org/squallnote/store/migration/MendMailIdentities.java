package org.squallnote.store.migration;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.flywaydb.core.api.migration.Context;
import org.squallnote.core.message.MailIdentity;

/**
 * Gives every stored mail the identity that its bytes say, and makes one of those that were stored again because of a
 * strange date. What hangs on a copy moves to the one that stays: the decided one, else the first. Mails that only look
 * the same but have another subject both stay.
 */
public final class MendMailIdentities extends DataMigration {

    private static final String[] TO_MOVE = {
        "update message_place set message_id = ? where message_id = ?",
        "update draft_file set message_id = ? where message_id = ?",
        "update outbox set message_id = ? where message_id = ?",
        "update recipe_run set message_id = ? where message_id = ?",
        "update hand_over set giver_message = ? where giver_message = ?",
        "update thread set by_message = ? where by_message = ?",
        "update thread set reopened_by = ? where reopened_by = ?",
        "update follow_up set answer_seen = ? where answer_seen = ?",
        "update history set subject_id = ? where subject_id = ?",
    };

    /** Moves what may stand at the mail that stays already; its third place is the one that stays again. */
    private static final String[] TO_MOVE_UNLESS_THERE = {
        "update follow_up_message l set message_id = ? where message_id = ? and not exists (select 1 from"
                + " follow_up_message o where o.follow_up_id = l.follow_up_id and o.message_id = ?)",
        "update draft d set message_id = ? where message_id = ? and not exists (select 1 from draft o"
                + " where o.owner = d.owner and o.message_id = ?)",
    };

    /** Nothing that was written is lost: two drafts become one. Takes the copy twice, the mail that stays between. */
    private static final String JOIN_DRAFTS =
            "update draft d set text = text || ' ' || (select o.text from draft o where o.message_id = ?)"
                    + " where message_id = ? and exists (select 1 from draft o where o.message_id = ?)";

    /** What is left of a copy once everything has moved. */
    private static final String[] TO_DELETE = {
        "delete from follow_up_message where message_id = ?",
        "delete from draft where message_id = ?",
        "delete from reading where message_id = ?",
        "delete from message_raw where message_id = ?",
        "delete from message where id = ?",
    };

    private record Mail(UUID id, UUID owner, String identity, String subject, boolean decided, UUID threadId) {}

    private record Key(UUID owner, String identity) {}

    /** In its place. */
    public MendMailIdentities() {
        super("3", "mend mail identities");
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        Map<Key, List<Mail>> byIdentity = new HashMap<>();
        for (Mail mail : mails(connection)) {
            byIdentity
                    .computeIfAbsent(new Key(mail.owner(), mail.identity()), key -> new ArrayList<>())
                    .add(mail);
        }
        for (Map.Entry<Key, List<Mail>> entry : byIdentity.entrySet()) {
            Mail stays = entry.getValue().stream()
                    .filter(Mail::decided)
                    .findFirst()
                    .orElse(entry.getValue().get(0));
            for (Mail copy : entry.getValue()) {
                if (!copy.id().equals(stays.id()) && copy.subject().equals(stays.subject())) {
                    merge(connection, stays, copy);
                }
            }
            run(connection, "update message set identity = ? where id = ?", stays.identity(), stays.id());
        }
    }

    /** All mail with a Message-ID, the first stored first; with the identity that it should have. */
    private static List<Mail> mails(Connection connection) throws SQLException {
        List<Mail> mails = new ArrayList<>();
        try (PreparedStatement select =
                connection.prepareStatement("select m.id, m.owner, m.message_id, m.from_address, m.subject, m.decision,"
                        + " m.thread_id, r.raw from message m join message_raw r on r.message_id = m.id"
                        + " where m.channel = 'MAIL' and m.message_id <> '' order by m.id")) {
            select.setFetchSize(200);
            try (ResultSet row = select.executeQuery()) {
                while (row.next()) {
                    String date = MailIdentity.rawDate(beginning(row.getBinaryStream("raw")));
                    mails.add(new Mail(
                            row.getObject("id", UUID.class),
                            row.getObject("owner", UUID.class),
                            MailIdentity.of(row.getString("message_id"), row.getString("from_address"), date),
                            row.getString("subject"),
                            isDecided(row.getString("decision")),
                            row.getObject("thread_id", UUID.class)));
                }
            }
        }
        return mails;
    }

    private static boolean isDecided(String decision) {
        return !decision.equals("UNDECIDED") && !decision.equals("NOT_ASKED");
    }

    private static byte[] beginning(InputStream raw) {
        try (raw) {
            return raw.readNBytes(MailIdentity.LONGEST_HEADER);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void merge(Connection connection, Mail stays, Mail copy) throws SQLException {
        for (String move : TO_MOVE) {
            run(connection, move, stays.id(), copy.id());
        }
        for (String move : TO_MOVE_UNLESS_THERE) {
            run(connection, move, stays.id(), copy.id(), stays.id());
        }
        run(connection, JOIN_DRAFTS, copy.id(), stays.id(), copy.id());
        for (String delete : TO_DELETE) {
            run(connection, delete, copy.id());
        }
        run(
                connection,
                "delete from thread where id = ? and not exists (select 1 from message where thread_id = ?)",
                copy.threadId(),
                copy.threadId());
        // Read again by the background reading, which then also counts and turns the thread anew.
        run(
                connection,
                "update reading set version = '' where message_id in (select id from message where thread_id in (?, ?))",
                copy.threadId(),
                stays.threadId());
    }

    private static void run(Connection connection, String sql, Object... values) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            for (int i = 0; i < values.length; i++) {
                statement.setObject(i + 1, values[i]);
            }
            statement.executeUpdate();
        }
    }
}
