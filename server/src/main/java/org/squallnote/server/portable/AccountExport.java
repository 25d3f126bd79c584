package org.squallnote.server.portable;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.squallnote.core.account.Account;
import org.squallnote.core.category.Category;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.people.BusinessCard;
import org.squallnote.core.people.PersonCard;
import org.squallnote.core.todo.Todo;
import org.squallnote.formats.calendar.TodoWriter;
import org.squallnote.formats.contact.VCards;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.content.ContentFiles;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.portable.PortableRows;
import org.squallnote.store.portable.PortableTable;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes an account as a ZIP: {@code manifest.json}; {@code schema.json}, the columns of each table; {@code tables/*.jsonl}, a
 * row a line; {@code messages/*.eml} as they came, chat events as {@code .json}; {@code files/*}, named after their SHA-256;
 * and, for other programs, {@code follow-ups.ics} with a {@code mid:} address (RFC 2392) for each message, and {@code
 * people.vcf}. All of it is the state of one moment, whatever is changed meanwhile.
 */
@Component
public class AccountExport {

    private static final int MOST_CARDS = 100_000;

    static final String MANIFEST = "manifest.json";
    static final String TABLES = "tables/";
    static final String MESSAGES = "messages/";
    static final String FILES = "files/";

    private final DataSource database;
    private final TransactionTemplate oneMoment;
    private final AccountStore accounts;
    private final RawMails rawMails;
    private final ContentFiles content;
    private final FollowUpStore followUps;
    private final CategoryStore categories;
    private final PeopleStore people;
    private final Clock clock;
    private final JsonMapper json;

    AccountExport(
            DataSource database,
            PlatformTransactionManager transactions,
            AccountStore accounts,
            RawMails rawMails,
            ContentFiles content,
            FollowUpStore followUps,
            CategoryStore categories,
            PeopleStore people,
            Clock clock,
            JsonMapper json) {
        this.database = database;
        this.oneMoment = new TransactionTemplate(transactions);
        oneMoment.setIsolationLevel(TransactionDefinition.ISOLATION_SERIALIZABLE);
        this.accounts = accounts;
        this.rawMails = rawMails;
        this.content = content;
        this.followUps = followUps;
        this.categories = categories;
        this.people = people;
        this.clock = clock;
        this.json = json;
    }

    /** Where a message lies in the archive, and what other programs know it by. */
    private record Lying(UUID id, boolean mail, String messageId) {}

    /** A file of a follow-up. */
    private record KeptFile(String sha256, long size) {}

    /** Writes it. */
    public void write(UUID owner, OutputStream to) throws IOException {
        Account account = accounts.byId(owner).orElseThrow(() -> Refusal.notFound("account"));
        ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        try {
            oneMoment.executeWithoutResult(status -> {
                Connection connection = DataSourceUtils.getConnection(database);
                try {
                    write(zip, account, new PortableRows(connection));
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                } catch (SQLException e) {
                    throw new UncheckedIOException(new IOException("The database cannot be read", e));
                } finally {
                    DataSourceUtils.releaseConnection(connection, database);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        zip.finish();
        zip.flush();
    }

    private void write(ZipOutputStream zip, Account account, PortableRows rows) throws IOException, SQLException {
        Manifest manifest = new Manifest(
                Manifest.FORMAT,
                Manifest.VERSION,
                rows.schema(),
                clock.instant(),
                new Manifest.Whose(
                        account.id(), account.signIn(), account.name(), account.zone(), account.createdAt()));
        text(zip, MANIFEST, json.writerWithDefaultPrettyPrinter().writeValueAsString(manifest));
        Map<String, List<PortableRows.Column>> schema = new LinkedHashMap<>();
        for (PortableTable table : PortableTable.ALL) {
            schema.put(table.name(), rows.columns(table));
        }
        text(zip, "schema.json", json.writerWithDefaultPrettyPrinter().writeValueAsString(schema));
        List<Lying> messages = new ArrayList<>();
        Map<String, KeptFile> files = new LinkedHashMap<>();
        Map<String, UUID> firstOf = new LinkedHashMap<>();
        for (PortableTable table : PortableTable.ALL) {
            entry(zip, TABLES + table.name() + ".jsonl");
            rows.read(table, account.id(), row -> {
                note(table, row, messages, files, firstOf);
                zip.write(json.writeValueAsBytes(row));
                zip.write('\n');
            });
            zip.closeEntry();
        }
        for (Lying message : messages) {
            Optional<RawMail> raw = rawMails.of(account.id(), message.id());
            if (raw.isPresent()) {
                bytes(zip, MESSAGES + message.id() + (message.mail() ? ".eml" : ".json"), raw.get());
            }
        }
        for (KeptFile file : files.values()) {
            bytes(zip, FILES + file.sha256(), content.of(file.sha256(), file.size()));
        }
        text(zip, "follow-ups.ics", calendar(account, messages, firstOf, manifest.madeAt()));
        text(zip, "people.vcf", VCards.write(cards(account.id()), false));
    }

    private static void note(
            PortableTable table,
            Map<String, @Nullable Object> row,
            List<Lying> messages,
            Map<String, KeptFile> files,
            Map<String, UUID> firstOf) {
        switch (table.name()) {
            case "message" ->
                messages.add(new Lying(
                        UUID.fromString(String.valueOf(row.get("id"))),
                        "MAIL".equals(row.get("channel")),
                        String.valueOf(row.get("message_id"))));
            case "follow_up_message" ->
                firstOf.putIfAbsent(
                        String.valueOf(row.get("follow_up_id")),
                        UUID.fromString(String.valueOf(row.get("message_id"))));
            case "follow_up_file" -> {
                String sha256 = String.valueOf(row.get("sha256"));
                files.put(sha256, new KeptFile(sha256, Long.parseLong(String.valueOf(row.get("size")))));
            }
            default -> {}
        }
    }

    private String calendar(Account account, List<Lying> messages, Map<String, UUID> firstOf, Instant now) {
        Map<UUID, String> names = new LinkedHashMap<>();
        for (Category category : categories.of(account.id())) {
            names.put(category.id(), category.name());
        }
        Map<UUID, String> mids = new LinkedHashMap<>();
        for (Lying message : messages) {
            if (message.mail() && !message.messageId().isEmpty()) {
                mids.put(message.id(), "mid:" + encoded(message.messageId()));
            }
        }
        Map<String, Todo> todos = new LinkedHashMap<>();
        Map<String, String> urls = new LinkedHashMap<>();
        List<FollowUp> all = new ArrayList<>(followUps.open(account.id()));
        all.addAll(followUps.endedSince(account.id(), Instant.EPOCH));
        for (FollowUp each : all) {
            String uid = Todo.uid(each.id());
            String category = each.categoryId() == null ? "" : names.getOrDefault(each.categoryId(), "");
            todos.put(uid, Todo.of(each, category, ZoneId.of(account.zone())));
            Optional.ofNullable(firstOf.get(each.id().toString()))
                    .flatMap(message -> Optional.ofNullable(mids.get(message)))
                    .ifPresent(mid -> urls.put(uid, mid));
        }
        return TodoWriter.all(todos, urls, now);
    }

    /** As RFC 2392 has it: what may not stand in an address is written as its bytes. */
    private static String encoded(String messageId) {
        return URLEncoder.encode(messageId, StandardCharsets.UTF_8)
                .replace("+", "%20")
                .replace("%40", "@");
    }

    private List<BusinessCard> cards(UUID owner) {
        return people.cardsLike(owner, List.of(), MOST_CARDS).stream()
                .map(AccountExport::card)
                .toList();
    }

    private static BusinessCard card(PersonCard card) {
        return new BusinessCard(
                card.name().isEmpty() ? card.address() : card.name(),
                List.of(card.address()),
                card.organisation(),
                card.phones().list());
    }

    private static void text(ZipOutputStream zip, String name, String text) throws IOException {
        entry(zip, name);
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private static void bytes(ZipOutputStream zip, String name, RawMail bytes) throws IOException {
        entry(zip, name);
        try (InputStream in = MailParser.whole(bytes)) {
            in.transferTo(zip);
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        zip.closeEntry();
    }

    private static void entry(ZipOutputStream zip, String name) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
    }
}
