package org.squallnote.server.portable;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLIntegrityConstraintViolationException;
import java.time.DateTimeException;
import java.util.Enumeration;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.squallnote.core.account.Account;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.server.account.FirstPassword;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.search.Indexes;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.content.ContentFiles;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.portable.PortableRows;
import org.squallnote.store.portable.PortableTable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes an account in from the ZIP that {@link AccountExport} writes: all of it in one transaction, or nothing. What is
 * there already stays as it is, so that the same archive once more changes nothing.
 */
@Component
public class AccountImport {

    private static final TypeReference<Map<String, @Nullable Object>> ROW = new TypeReference<>() {};
    private static final int PIECE = 64 * 1024;
    private static final int LARGEST_MANIFEST = 64 * 1024;

    /** A row with a file of 25 MB in it, in Base64. */
    private static final int LONGEST_ROW = 64 * 1024 * 1024;

    /** What the database says of a row that would be there twice, as H2 and PostgreSQL number it. */
    private static final String TWICE = "23505";

    private static final String IN_ANOTHER_WAY =
            "This account has some of the archive's messages already, which came in"
                    + " another way, so that the two cannot be joined. Take the archive in where the account is not: in another"
                    + " data folder (--data). Nothing was taken in.";

    private final DataSource database;
    private final TransactionTemplate transaction;
    private final AccountStore accounts;
    private final FirstPassword passwords;
    private final RawMails rawMails;
    private final ContentFiles content;
    private final Indexes indexes;
    private final JsonMapper json;

    AccountImport(
            DataSource database,
            TransactionTemplate transaction,
            AccountStore accounts,
            FirstPassword passwords,
            RawMails rawMails,
            ContentFiles content,
            Indexes indexes,
            JsonMapper json) {
        this.database = database;
        this.transaction = transaction;
        this.accounts = accounts;
        this.passwords = passwords;
        this.rawMails = rawMails;
        this.content = content;
        this.indexes = indexes;
        this.json = json;
    }

    /**
     * What was taken in.
     *
     * @param rows how many were new
     * @param messages how many messages came with their bytes
     * @param password with which the account signs in for the first time; empty where it was there before
     */
    public record TakenIn(String signIn, int rows, int messages, String password) {}

    /** Whether a file is such an archive. */
    public static boolean isArchive(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            return zip.getEntry(AccountExport.MANIFEST) != null;
        } catch (ZipException e) {
            return false;
        }
    }

    /**
     * Takes it in.
     *
     * @throws Refusal where it is damaged, of another version, or its name is taken by somebody else
     * @throws IOException when it cannot be read
     */
    public TakenIn run(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            Manifest manifest = manifest(zip);
            TakenIn taken = transaction.execute(status -> {
                try {
                    return takeIn(zip, manifest);
                } catch (SQLIntegrityConstraintViolationException e) {
                    throw Refusal.invalid(e.getSQLState().equals(TWICE) ? IN_ANOTHER_WAY : damaged(e));
                } catch (IOException
                        | SQLException
                        | IllegalArgumentException
                        | JacksonException
                        | DateTimeException
                        | DataAccessException e) {
                    throw Refusal.invalid(damaged(e));
                }
            });
            if (taken.rows() > 0) {
                indexes.rebuild(manifest.account().id());
            }
            return taken;
        }
    }

    private static String damaged(Exception e) {
        return "The archive is damaged: " + e.getMessage() + ". Nothing was taken in.";
    }

    private Manifest manifest(ZipFile zip) throws IOException {
        ZipEntry entry = zip.getEntry(AccountExport.MANIFEST);
        if (entry == null) {
            throw Refusal.invalid("This is no archive of an account. Nothing was taken in.");
        }
        try (InputStream in = zip.getInputStream(entry)) {
            Manifest manifest = json.readValue(in.readNBytes(LARGEST_MANIFEST), Manifest.class);
            if (!manifest.format().equals(Manifest.FORMAT) || manifest.version() != Manifest.VERSION) {
                throw Refusal.invalid("This archive is of another kind. Nothing was taken in.");
            }
            return manifest;
        } catch (JacksonException e) {
            throw Refusal.invalid("The archive does not say what it is: it is damaged. Nothing was taken in.");
        }
    }

    private TakenIn takeIn(ZipFile zip, Manifest manifest) throws IOException, SQLException {
        Connection connection = DataSourceUtils.getConnection(database);
        try {
            PortableRows rows = new PortableRows(connection);
            if (!rows.schema().equals(manifest.schema())) {
                throw Refusal.invalid(
                        "This archive was made by another version of the application (its data are of form "
                                + manifest.schema() + ", here they are of " + rows.schema()
                                + "). Bring both to the same version, and make it again. Nothing was taken in.");
            }
            String password = account(manifest.account());
            int added = 0;
            for (PortableTable table : PortableTable.ALL) {
                added += rows(zip, rows, table, manifest.account().id());
            }
            int messages = contents(zip, manifest.account().id());
            return new TakenIn(manifest.account().signIn(), added, messages, password);
        } finally {
            DataSourceUtils.releaseConnection(connection, database);
        }
    }

    private String account(Manifest.Whose whose) {
        Optional<Account> there = accounts.byId(whose.id());
        if (there.isPresent()) {
            return "";
        }
        if (accounts.bySignIn(whose.signIn()).isPresent()) {
            throw Refusal.conflict("Somebody else signs in as " + whose.signIn() + " here. Nothing was taken in.");
        }
        FirstPassword.Made made = passwords.make();
        accounts.insert(new Account(
                whose.id(),
                whose.signIn(),
                whose.name(),
                made.hash(),
                whose.zone(),
                accounts.count() == 0,
                whose.createdAt()));
        return made.password();
    }

    private int rows(ZipFile zip, PortableRows rows, PortableTable table, UUID account)
            throws IOException, SQLException {
        ZipEntry entry = zip.getEntry(AccountExport.TABLES + table.name() + ".jsonl");
        if (entry == null) {
            throw new IllegalArgumentException("the table " + table.name() + " is missing");
        }
        int added = 0;
        try (BoundedLines lines = new BoundedLines(zip.getInputStream(entry), LONGEST_ROW);
                PortableRows.Writing writing = rows.writing(table)) {
            for (byte[] line = lines.next(); line != null; line = lines.next()) {
                Map<String, @Nullable Object> row = json.readValue(line, ROW);
                if (!account.toString().equals(String.valueOf(row.get(table.owner())))) {
                    throw new IllegalArgumentException("a row of " + table.name() + " belongs to another account");
                }
                if (writing.write(row)) {
                    added++;
                }
            }
        }
        return added;
    }

    private int contents(ZipFile zip, UUID account) throws IOException {
        int messages = 0;
        for (Enumeration<? extends ZipEntry> all = zip.entries(); all.hasMoreElements(); ) {
            ZipEntry entry = all.nextElement();
            if (entry.getName().startsWith(AccountExport.MESSAGES)) {
                String name = entry.getName().substring(AccountExport.MESSAGES.length());
                UUID id = UUID.fromString(name.substring(0, name.lastIndexOf('.')));
                if (!rawMails.has(account, id)) {
                    rawMails.keep(account, id, spooled(zip, entry));
                    messages++;
                }
            } else if (entry.getName().startsWith(AccountExport.FILES)) {
                RawMail kept = inFile(zip, entry);
                if (!entry.getName().equals(AccountExport.FILES + kept.sha256())) {
                    throw new IllegalArgumentException("the file " + entry.getName() + " is not what it was");
                }
            }
        }
        return messages;
    }

    private RawMail spooled(ZipFile zip, ZipEntry entry) throws IOException {
        // What it says of its own size is not believed.
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] bytes = in.readNBytes(RawMail.LARGEST_IN_MEMORY + 1);
            if (bytes.length <= RawMail.LARGEST_IN_MEMORY) {
                return RawMail.of(bytes);
            }
        }
        return inFile(zip, entry);
    }

    private RawMail inFile(ZipFile zip, ZipEntry entry) throws IOException {
        try (InputStream in = zip.getInputStream(entry);
                MailSpool.Writing writing = content.begin()) {
            byte[] some = new byte[PIECE];
            for (int length = in.read(some); length >= 0; length = in.read(some)) {
                writing.write(some, 0, length);
            }
            return writing.end();
        }
    }
}
