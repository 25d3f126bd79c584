package org.squallnote.store.migration;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.flywaydb.core.api.migration.Context;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.people.PersonAddress;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Keeps what was said of people each for itself: addresses and matters for the next talk get the id they are known by, also where the
 * history tells of them, and a change of several addresses becomes one for each address.
 */
public final class TellPeopleApart extends DataMigration {

    private static final String ADDRESSES = "PERSON_ADDRESSES";

    private final JsonMapper json = JsonMapper.builder().build();

    /** In its place. */
    public TellPeopleApart() {
        super("33", "tell people apart");
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        identifyAddresses(connection);
        nameMatters(connection);
        nameMattersInHistory(connection);
        splitChanges(connection);
    }

    private record AddressKey(UUID owner, String address) {}

    /** By which the history knows an address, so that it is found without looking at all of them. */
    private static void identifyAddresses(Connection connection) throws SQLException {
        try (Statement alter = connection.createStatement()) {
            alter.execute("alter table person_address add column id uuid");
        }
        List<AddressKey> all = new ArrayList<>();
        try (PreparedStatement select = connection.prepareStatement("select owner, address from person_address");
                ResultSet row = select.executeQuery()) {
            while (row.next()) {
                all.add(new AddressKey(row.getObject("owner", UUID.class), row.getString("address")));
            }
        }
        try (PreparedStatement update =
                connection.prepareStatement("update person_address set id = ? where owner = ? and address = ?")) {
            for (AddressKey each : all) {
                update.setObject(1, PersonAddress.id(each.address()));
                update.setObject(2, each.owner());
                update.setString(3, each.address());
                update.executeUpdate();
            }
        }
        try (Statement alter = connection.createStatement()) {
            alter.execute("alter table person_address alter column id set not null");
            alter.execute("create index person_address_by_id on person_address (owner, id)");
        }
    }

    private record NoteKey(UUID owner, UUID id) {}

    private void nameMatters(Connection connection) throws SQLException {
        Map<NoteKey, String> talks = new HashMap<>();
        try (PreparedStatement select = connection.prepareStatement("select owner, id, talk from person_note");
                ResultSet row = select.executeQuery()) {
            while (row.next()) {
                talks.put(
                        new NoteKey(row.getObject("owner", UUID.class), row.getObject("id", UUID.class)),
                        row.getString("talk"));
            }
        }
        try (PreparedStatement update =
                connection.prepareStatement("update person_note set talk = ? where owner = ? and id = ?")) {
            for (Map.Entry<NoteKey, String> talk : talks.entrySet()) {
                update.setString(1, named(talk.getValue()));
                update.setObject(2, talk.getKey().owner());
                update.setObject(3, talk.getKey().id());
                update.executeUpdate();
            }
        }
    }

    private record Change(
            UUID id, @Nullable String before, @Nullable String after) {}

    private static List<Change> changes(Connection connection, String type) throws SQLException {
        List<Change> changes = new ArrayList<>();
        try (PreparedStatement select = connection.prepareStatement(
                "select id, before_state, after_state from history where subject_type = ?")) {
            select.setString(1, type);
            try (ResultSet row = select.executeQuery()) {
                while (row.next()) {
                    changes.add(new Change(
                            row.getObject("id", UUID.class),
                            row.getString("before_state"),
                            row.getString("after_state")));
                }
            }
        }
        return changes;
    }

    private void nameMattersInHistory(Connection connection) throws SQLException {
        try (PreparedStatement update =
                connection.prepareStatement("update history set before_state = ?, after_state = ? where id = ?")) {
            for (Change change : changes(connection, "PERSON_NOTE")) {
                update.setString(1, named(change.before()));
                update.setString(2, named(change.after()));
                update.setObject(3, change.id());
                update.executeUpdate();
            }
        }
    }

    /** With an id for each matter, the same one for the same words wherever they stand. */
    private @Nullable String named(@Nullable String state) {
        if (state == null) {
            return null;
        }
        JsonNode tree = json.readTree(state);
        JsonNode talk = tree.has("talk") ? tree.path("talk") : tree;
        if (talk.path("items") instanceof ArrayNode items) {
            Map<String, Integer> times = new HashMap<>();
            for (JsonNode item : items) {
                String text = item.path("text").asString("");
                String name = text + "#" + times.merge(text, 1, Integer::sum);
                ((ObjectNode) item)
                        .put(
                                "id",
                                UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8))
                                        .toString());
            }
        }
        return json.writeValueAsString(tree);
    }

    private void splitChanges(Connection connection) throws SQLException {
        try (PreparedStatement insert = connection.prepareStatement(
                        "insert into history (id, owner, command_id, step, subject_type, subject_id, actor, at,"
                                + " state_version, before_state, after_state) select ?, owner, command_id, step,"
                                + " 'PERSON_ADDRESS', ?, actor, at, state_version, ?, ? from history where id = ?");
                PreparedStatement delete = connection.prepareStatement("delete from history where subject_type = ?")) {
            for (Change change : changes(connection, ADDRESSES)) {
                JsonNode before = persons(change.before());
                JsonNode after = persons(change.after());
                Set<String> addresses = new LinkedHashSet<>(before.propertyNames());
                addresses.addAll(after.propertyNames());
                for (String address : addresses) {
                    String was = before.path(address).asString(null);
                    String is = after.path(address).asString(null);
                    insert.setObject(1, UUID.randomUUID());
                    insert.setObject(2, PersonAddress.id(address));
                    insert.setString(3, state(address, was, is != null));
                    insert.setString(4, state(address, is, was != null));
                    insert.setObject(5, change.id());
                    insert.executeUpdate();
                }
            }
            delete.setString(1, ADDRESSES);
            delete.executeUpdate();
        }
    }

    private JsonNode persons(@Nullable String state) {
        return state == null
                ? JsonNodeFactory.instance.objectNode()
                : json.readTree(state).path("persons");
    }

    /** One side of a change: whole where the other side has nothing, else only what is different. */
    private @Nullable String state(String address, @Nullable String person, boolean otherSide) {
        if (person == null) {
            return null;
        }
        ObjectNode state = JsonNodeFactory.instance.objectNode();
        if (!otherSide) {
            state.put("address", address);
        }
        return json.writeValueAsString(state.put("person", person));
    }
}
