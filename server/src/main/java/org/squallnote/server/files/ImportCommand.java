package org.squallnote.server.files;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.server.DataFolder;
import org.squallnote.server.DatabaseCompaction;
import org.squallnote.server.account.LocalToken;
import org.squallnote.server.arrival.Rebuild;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.portable.AccountExport;
import org.squallnote.server.portable.AccountImport;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.search.Indexes;
import org.squallnote.store.account.AccountStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * The commands {@code import FILE…}, {@code export FILE} and {@code rebuild}. While the application runs, the database is its own; then the
 * files are handed to it over the local address.
 */
@Component
public class ImportCommand implements ApplicationRunner {

    /** The profile under which a command runs: on a free port, without engines. */
    public static final String PROFILE = "command";

    /** The commands that end by themselves. */
    public static final Set<String> NAMES = Set.of("import", "export", "rebuild");

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final FileImport files;
    private final Rebuild rebuild;
    private final Calendars calendars;
    private final Indexes indexes;
    private final AccountStore accounts;
    private final AccountExport accountExport;
    private final AccountImport accountImport;
    private final DatabaseCompaction compaction;
    private final ConfigurableApplicationContext context;

    ImportCommand(
            FileImport files,
            Rebuild rebuild,
            Calendars calendars,
            Indexes indexes,
            AccountStore accounts,
            AccountExport accountExport,
            AccountImport accountImport,
            DatabaseCompaction compaction,
            ConfigurableApplicationContext context) {
        this.files = files;
        this.rebuild = rebuild;
        this.calendars = calendars;
        this.indexes = indexes;
        this.accounts = accounts;
        this.accountExport = accountExport;
        this.accountImport = accountImport;
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
        } catch (IOException | IllegalArgumentException | Refusal e) {
            System.err.println("squallnote: " + reason(e));
            System.exit(1);
        }
        System.exit(0);
    }

    private void work(List<String> words, ApplicationArguments arguments) throws IOException {
        switch (words.get(0)) {
            case "rebuild" -> {
                Account account = account(arguments);
                say("Rebuilt " + rebuild.run(account.id()) + " threads.");
                calendars.workOutAgain(account.id());
                indexes.rebuild(account.id());
            }
            case "export" -> {
                Account account = account(arguments);
                accountExport.write(account.id(), Path.of(words.get(1)));
                say(words.get(1) + ": all of " + account.signIn() + ".");
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
        try (InputStream in = Files.newInputStream(Path.of(name))) {
            say(name, files.run(account(arguments).id(), in));
        }
    }

    private static String reason(Exception problem) {
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

    /** Hands the files to the running application, if there is one; answers whether that was done. */
    public static boolean handOverToRunning(String[] arguments) {
        List<String> words = new ArrayList<>();
        String data = "data";
        String account = "";
        for (String argument : arguments) {
            if (argument.startsWith("--data=")) {
                data = argument.substring("--data=".length());
            } else if (argument.startsWith("--account=")) {
                account = argument.substring("--account=".length());
            } else if (!argument.startsWith("--")) {
                words.add(argument);
            }
        }
        Path running = Path.of(data, DataFolder.RUNNING);
        if (words.size() < 2 || words.get(0).equals("rebuild") || !Files.exists(running)) {
            return false;
        }
        try {
            List<String> lines = Files.readAllLines(running);
            HttpClient client = HttpClient.newHttpClient();
            if (words.get(0).equals("export")) {
                export(client, lines, account, Path.of(words.get(1)));
                return true;
            }
            for (String name : words.subList(1, words.size())) {
                if (AccountImport.isArchive(Path.of(name))) {
                    throw new IllegalArgumentException(name + " is a whole account: stop the application first, so that"
                            + " nothing else is written meanwhile. Nothing was taken in.");
                }
                HttpRequest request = HttpRequest.newBuilder(
                                URI.create("http://127.0.0.1:" + lines.get(0) + "/api/files"))
                        .header(LocalToken.TOKEN_HEADER, lines.get(1))
                        .header(LocalToken.ACCOUNT_HEADER, account)
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofFile(Path.of(name)))
                        .build();
                HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
                if (response.statusCode() == 200) {
                    say(name, JSON.readValue(response.body(), FileImport.Result.class));
                } else if (response.statusCode() == 401) {
                    throw new IllegalArgumentException(
                            account.isEmpty()
                                    ? "There is no account yet, or there are several. Open the page and make one, or say"
                                            + " which one is meant: --account=NAME."
                                    : "Nobody signs in as " + account + ".");
                } else {
                    throw new IllegalArgumentException(name + ": "
                            + JSON.readTree(response.body()).path("detail").asString("not taken in"));
                }
            }
            return true;
        } catch (FileNotFoundException | NoSuchFileException | IllegalArgumentException e) {
            System.err.println("squallnote: " + reason(e));
            System.exit(1);
            return true;
        } catch (IOException e) {
            // Left behind by an application that was killed: the database is free.
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return true;
        }
    }

    /** Lets the running application write the account as it is at this moment. */
    private static void export(HttpClient client, List<String> lines, String account, Path file)
            throws IOException, InterruptedException {
        if (Files.exists(file)) {
            throw new IllegalArgumentException("There is a file " + file + " already. Nothing was written.");
        }
        Path part = Files.createTempFile(file.toAbsolutePath().getParent(), "export", ".part");
        try {
            HttpRequest request = HttpRequest.newBuilder(
                            URI.create("http://127.0.0.1:" + lines.get(0) + "/api/account/export"))
                    .header(LocalToken.TOKEN_HEADER, lines.get(1))
                    .header(LocalToken.ACCOUNT_HEADER, account)
                    .GET()
                    .build();
            HttpResponse<Path> response = client.send(request, HttpResponse.BodyHandlers.ofFile(part));
            if (response.statusCode() != 200) {
                throw new IllegalArgumentException(
                        account.isEmpty()
                                ? "There are several accounts, or none. Say which one is meant: --account=NAME."
                                : "Nobody signs in as " + account + ".");
            }
            Files.move(part, file);
            say(file + ": all of the account, while the application runs.");
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static void say(String name, FileImport.Result result) {
        String what = result.kind() == FileImport.Kind.EVENTS ? " event" : " message";
        say(name + ": " + result.found() + what + (result.found() == 1 ? ", " : "s, ") + result.added() + " new, "
                + result.known() + " known before"
                + (result.unreadable() == 0 ? "." : ", " + result.unreadable() + " that cannot be read, left out."));
    }

    private static void say(String line) {
        System.out.println(line);
    }
}
