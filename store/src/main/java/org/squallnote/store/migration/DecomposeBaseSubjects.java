package org.squallnote.store.migration;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.flywaydb.core.api.migration.Context;
import org.squallnote.core.thread.BaseSubject;

/** Stores base subjects as they are compared now: with letters and their marks apart (RFC 5051). */
public final class DecomposeBaseSubjects extends DataMigration {

    /** In its place. */
    public DecomposeBaseSubjects() {
        super("6", "decompose base subjects");
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        Map<UUID, String> changed = new HashMap<>();
        try (PreparedStatement select = connection.prepareStatement(
                        "select id, subject, base_subject from message where channel = 'MAIL'");
                ResultSet row = select.executeQuery()) {
            while (row.next()) {
                String base = BaseSubject.of(row.getString("subject")).text();
                if (!base.equals(row.getString("base_subject"))) {
                    changed.put(row.getObject("id", UUID.class), base);
                }
            }
        }
        try (PreparedStatement update =
                connection.prepareStatement("update message set base_subject = ? where id = ?")) {
            for (Map.Entry<UUID, String> entry : changed.entrySet()) {
                update.setString(1, entry.getValue());
                update.setObject(2, entry.getKey());
                update.executeUpdate();
            }
        }
    }
}
