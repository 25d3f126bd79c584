package org.squallnote.server.files;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.formats.mail.MailFolder;
import org.squallnote.server.DatabaseCompaction;
import org.squallnote.server.administration.Administration;
import org.squallnote.server.arrival.Rebuild;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.portable.AccountExport;
import org.squallnote.server.portable.AccountImport;
import org.squallnote.server.portable.WholeFile;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.search.Indexes;
import org.squallnote.store.account.AccountStore;

/**
 * The commands {@code import FILE…}, {@code export FILE}, {@code rebuild}, and those of an administrator: {@code accounts},
 * {@code password NAME} and {@code backup FILE}. While the application runs, the database is its
 * own; then it is asked to do it, see {@link RunningApplication}.
 */
@Component
public class CommandLine implements ApplicationRunner {

    /** The profile under which a command runs: on a free port, without engines. */
    public static final String PROFILE = "command";

    /** The commands that end by themselves. */
    public static final Set<String> NAMES = Set.of("import", "export", "rebuild", "accounts", "password", "backup");

    private final FileImport files;
    private final Rebuild rebuild;
    private final Calendars calendars;
    private final Indexes indexes;
    private final AccountStore accounts;
    private final AccountExport accountExport;
    private final AccountImport accountImport;
    private final Administration administration;
    private final DatabaseCompaction compaction;
    private final ConfigurableApplicationContext context;

    CommandLine(
            FileImport files,
            Rebuild rebuild,
            Calendars calendars,
            Indexes indexes,
            AccountStore accounts,
            AccountExport accountExport,
            AccountImport accountImport,
            Administration administration,
            DatabaseCompaction compaction,
            ConfigurableApplicationContext context) {
        this.files = files;
        this.rebuild = rebuild;
        this.calendars = calendars;
        this.indexes = indexes;
        this.accounts = accounts;
        this.accountExport = accountExport;
        this.accountImport = accountImport;
        this.administration = administration;
        this.compaction = compaction;
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<String> words = arguments.getNonOptionArgs();
        if (words.isEmpty() || !NAMES.contains(words.get(0))) {
            return;
        }
        try {
            work(words, arguments);
            compaction.packAfter(context::close);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (IOException | IllegalArgumentException | Refusal e) {
            System.err.println("squallnote: " + reason(e));
            System.exit(1);
        }
        System.exit(0);
    }

    private void work(List<String> words, ApplicationArguments arguments) throws IOException, InterruptedException {
        switch (words.get(0)) {
            case "rebuild" -> {
                Account account = account(arguments);
                say("Rebuilt " + rebuild.run(account.id()) + " threads.");
                calendars.workOutAgain(account.id());
                indexes.rebuild(account.id());
            }
            case "export" -> {
                Account account = account(arguments);
                WholeFile.write(Path.of(words.get(1)), part -> {
                    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
                        accountExport.write(account.id(), out);
                    }
                });
                say(words.get(1) + ": all of " + account.signIn() + ".");
            }
            case "accounts" -> administration.accounts().forEach(CommandLine::say);
            case "password" -> sayPassword(words.get(1), administration.newPassword(words.get(1)));
            case "backup" -> {
                WholeFile.write(Path.of(words.get(1)), part -> {
                    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
                        administration.backUp(out);
                    }
                });
                sayBackedUp(words.get(1));
            }
            default -> {
                for (String name : words.subList(1, words.size())) {
                    takeIn(name, arguments);
                }
            }
        }
    }

    private void takeIn(String name, ApplicationArguments arguments) throws IOException {
        if (AccountImport.isArchive(Path.of(name))) {
            AccountImport.TakenIn taken = accountImport.run(Path.of(name));
            say(name + ": the account " + taken.signIn() + ", " + taken.rows() + " new rows, " + taken.messages()
                    + " new messages.");
            if (!taken.password().isEmpty()) {
                say("Sign in as " + taken.signIn() + " with the password " + taken.password()
                        + " and change it. Its mailboxes and chats ask for theirs anew.");
            }
            return;
        }
        boolean folder = Files.isDirectory(Path.of(name));
        try (InputStream in = folder ? MailFolder.open(Path.of(name)) : Files.newInputStream(Path.of(name))) {
            say(name, files.run(account(arguments).id(), in, folder));
        }
    }

    static String reason(Exception problem) {
        return problem instanceof NoSuchFileException missing
                ? "There is no file " + missing.getFile() + "."
                : String.valueOf(problem.getMessage());
    }

    private Account account(ApplicationArguments arguments) {
        List<String> wanted =
                Optional.ofNullable(arguments.getOptionValues("account")).orElse(List.of());
        if (!wanted.isEmpty()) {
            return accounts.bySignIn(wanted.get(0).toLowerCase(Locale.ROOT))
                    .orElseThrow(() -> new IllegalArgumentException("Nobody signs in as " + wanted.get(0) + "."));
        }
        List<Account> all = accounts.all();
        if (all.size() != 1) {
            throw new IllegalArgumentException(
                    all.isEmpty()
                            ? "There is no account yet. Start the application and make one first."
                            : "There are several accounts. Say which one: --account=NAME.");
        }
        return all.get(0);
    }

    static void say(String name, FileImport.Result result) {
        String what = result.kind() == FileImport.Kind.EVENTS ? " event" : " message";
        say(name + ": " + result.found() + what + (result.found() == 1 ? ", " : "s, ") + result.added() + " new, "
                + result.known() + " known before"
                + (result.unreadable() == 0 ? "." : ", " + result.unreadable() + " that cannot be read, left out."));
    }

    static void sayPassword(String signIn, String password) {
        say(signIn + " signs in with the password " + password
                + " from now on, and is signed out everywhere else. Change" + " it under Settings, Account.");
    }

    static void sayBackedUp(String file) {
        say(file
                + ": everything but the file “key” of the data folder; keep a copy of that one elsewhere. To go back, unpack"
                + " both into an empty folder and start with --data there.");
    }

    static void say(String line) {
        System.out.println(line);
    }
}
