package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.migration.JavaMigration;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.squallnote.core.people.PersonAddress;
import org.squallnote.store.migration.DecomposeBaseSubjects;
import org.squallnote.store.migration.MendMailIdentities;
import org.squallnote.store.migration.TellPeopleApart;

/** A database of the version that kept all addresses and matters in one piece. */
class TellPeopleApartTest {

    private static final UUID OWNER = UUID.randomUUID();
    private static final UUID NOTE = PersonAddress.id("a@x.example");

    private final JdbcDataSource database = new JdbcDataSource();

    private static void migrate(DataSource database, String to) {
        Flyway.configure()
                .dataSource(database)
                .javaMigrations(new JavaMigration[] {
                    new MendMailIdentities(), new DecomposeBaseSubjects(), new TellPeopleApart()
                })
                .target(to)
                .load()
                .migrate();
    }

    private static UUID change(JdbcTemplate jdbc, String type, UUID subject, String before, String after) {
        UUID command = UUID.randomUUID();
        jdbc.update(
                "insert into command (id, owner, kind, label, done_at) values (?, ?, 'x', 'x', current_timestamp)",
                command,
                OWNER);
        jdbc.update(
                "insert into history (id, owner, command_id, step, subject_type, subject_id, actor, at, state_version,"
                        + " before_state, after_state) values (?, ?, ?, 0, ?, ?, 'me', current_timestamp, 1, ?, ?)",
                UUID.randomUUID(),
                OWNER,
                command,
                type,
                subject,
                before,
                after);
        return command;
    }

    @Test
    void mattersGetIdsAndChangesOfAddressesAreOneEach() {
        database.setURL("jdbc:h2:mem:people-apart;DB_CLOSE_DELAY=-1");
        migrate(database, "32");
        JdbcTemplate jdbc = new JdbcTemplate(database);
        jdbc.update(
                "insert into account (id, sign_in, name, password_hash, zone, administrator, created_at) values (?, 'ines',"
                        + " 'Ines', 'x', 'UTC', false, current_timestamp)",
                OWNER);
        jdbc.update(
                "insert into person_note (owner, id, address, note, talk) values (?, ?, 'a@x.example', 'n', ?)",
                OWNER,
                NOTE,
                "{\"items\":[{\"text\":\"the winch\",\"done\":true},{\"text\":\"the oar\",\"done\":false}]}");
        jdbc.update(
                "insert into person_address (owner, address, person) values (?, 'b@x.example', 'a@x.example')", OWNER);
        UUID talk = change(
                jdbc,
                "PERSON_NOTE",
                NOTE,
                "{\"talk\":{\"items\":[]}}",
                "{\"talk\":{\"items\":[{\"text\":\"the winch\",\"done\":true}]}}");
        UUID merge = change(
                jdbc,
                "PERSON_ADDRESSES",
                OWNER,
                "{\"persons\":{\"b@x.example\":null,\"c@x.example\":\"b@x.example\"}}",
                "{\"persons\":{\"b@x.example\":\"a@x.example\",\"c@x.example\":\"a@x.example\"}}");

        migrate(database, "33");

        assertThat(jdbc.queryForObject("select id from person_address", UUID.class))
                .isEqualTo(PersonAddress.id("b@x.example"));
        String now = jdbc.queryForObject("select talk from person_note", String.class);
        String then = jdbc.queryForObject("select after_state from history where command_id = ?", String.class, talk);
        assertThat(now).contains("\"text\":\"the oar\"").contains("\"id\"");
        String winch = now.substring(now.indexOf("\"id\""), now.indexOf('}'));
        assertThat(then).as("the same id in the history").contains(winch);
        List<Map<String, Object>> changes = jdbc.queryForList(
                "select subject_type, subject_id, before_state, after_state from history where command_id = ? order by"
                        + " after_state",
                merge);
        assertThat(changes)
                .extracting(
                        row -> row.get("subject_type"),
                        row -> row.get("subject_id"),
                        row -> row.get("before_state"),
                        row -> row.get("after_state"))
                .containsExactly(
                        tuple(
                                "PERSON_ADDRESS",
                                PersonAddress.id("b@x.example"),
                                null,
                                "{\"address\":\"b@x.example\",\"person\":\"a@x.example\"}"),
                        tuple(
                                "PERSON_ADDRESS",
                                PersonAddress.id("c@x.example"),
                                "{\"person\":\"b@x.example\"}",
                                "{\"person\":\"a@x.example\"}"));
    }
}
