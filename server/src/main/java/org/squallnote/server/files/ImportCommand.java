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
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.search.Indexes;
import org.squallnote.store.account.AccountStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * The commands {@code import FILE…} and {@code rebuild}. While the application runs, the database is its own; then the
 * files are handed to it over the local address.
 */
@Component
public class ImportCommand implements ApplicationRunner {

    /** The profile under which a command runs: on a free port, without engines. */
    public static final String PROFILE = "command";

    /** The commands that end by themselves. */
    public static final Set<String> NAMES = Set.of("import", "rebuild");

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final FileImport files;
    private final Rebuild rebuild;
    private final Calendars calendars;
    private final Indexes indexes;
    private final AccountStore accounts;
    private final DatabaseCompaction compaction;
    private final ConfigurableApplicationContext context;

    ImportCommand(
            FileImport files,
            Rebuild rebuild,
            Calendars calendars,
            Indexes indexes,
            AccountStore accounts,
            DatabaseCompaction compaction,
            ConfigurableApplicationContext context) {
        this.files = files;
        this.rebuild = rebuild;
        this.calendars = calendars;
        this.indexes = indexes;
        this.accounts = accounts;
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
            work(words, account(arguments));
            compaction.packAfter(context::close);
        } catch (IOException | IllegalArgumentException | Refusal e) {
            System.err.println("squallnote: " + reason(e));
            System.exit(1);
        }
        System.exit(0);
    }

    private void work(List<String> words, Account account) throws IOException {
        if (words.get(0).equals("rebuild")) {
            say("Rebuilt " + rebuild.run(account.id()) + " threads.");
            calendars.workOutAgain(account.id());
            indexes.rebuild(account.id());
            return;
        }
        for (String name : words.subList(1, words.size())) {
            try (InputStream in = Files.newInputStream(Path.of(name))) {
                say(name, files.run(account.id(), in));
            }
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
        if (words.isEmpty() || !words.get(0).equals("import") || !Files.exists(running)) {
            return false;
        }
        try {
            List<String> lines = Files.readAllLines(running);
            HttpClient client = HttpClient.newHttpClient();
            for (String name : words.subList(1, words.size())) {
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
