package org.squallnote.server.files;

import java.io.IOException;
import java.net.ConnectException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.squallnote.formats.mail.MailFolder;
import org.squallnote.server.DataFolder;
import org.squallnote.server.account.LocalToken;
import org.squallnote.server.portable.AccountImport;
import org.squallnote.server.portable.WholeFile;
import tools.jackson.databind.json.JsonMapper;

/** The application while it runs: what a command wants of the database is handed to it over the local address. */
public final class RunningApplication {

    private static final Set<String> HANDED_OVER = Set.of("import", "export", "accounts", "password", "backup");

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final int HTTP_OK = 200;

    /** One that is there answers at once; what else has its port may say nothing at all. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private RunningApplication() {}

    /** Hands a command to it, if it runs; answers whether that was done. */
    public static boolean handOver(String[] arguments) {
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
        if (words.isEmpty()
                || !HANDED_OVER.contains(words.get(0))
                || (words.size() < 2 && !words.get(0).equals("accounts"))
                || !Files.exists(running)) {
            return false;
        }
        try {
            List<String> lines = Files.readAllLines(running);
            HttpClient client = HttpClient.newHttpClient();
            if (!isThere(client, lines)) {
                return false;
            }
            switch (words.get(0)) {
                case "export" -> {
                    export(client, lines, account, Path.of(words.get(1)));
                    return true;
                }
                case "backup" -> {
                    save(client, request(lines, account, "/api/local/backup"), Path.of(words.get(1)), "not backed up");
                    CommandLine.sayBackedUp(words.get(1));
                    return true;
                }
                case "accounts" -> {
                    answer(
                                    client,
                                    request(lines, account, "/api/local/accounts")
                                            .GET())
                            .forEach(CommandLine::say);
                    return true;
                }
                case "password" -> {
                    String signIn = words.get(1);
                    String address = "/api/local/password?signIn=" + URLEncoder.encode(signIn, StandardCharsets.UTF_8);
                    answer(client, request(lines, account, address).POST(HttpRequest.BodyPublishers.noBody()))
                            .forEach(password -> CommandLine.sayPassword(signIn, password));
                    return true;
                }
                default -> {
                    // Files, one after the other.
                }
            }
            for (String name : words.subList(1, words.size())) {
                if (AccountImport.isArchive(Path.of(name))) {
                    throw new IllegalArgumentException(name + " is a whole account: stop the application first, so that"
                            + " nothing else is written meanwhile. Nothing was taken in.");
                }
                HttpRequest request = request(lines, account, address(Path.of(name)))
                        .header("Content-Type", "application/octet-stream")
                        .POST(body(Path.of(name)))
                        .build();
                HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
                if (response.statusCode() == HTTP_OK) {
                    CommandLine.say(name, JSON.readValue(response.body(), FileImport.Result.class));
                } else if (response.statusCode() == 401) {
                    throw new IllegalArgumentException(notThere(account));
                } else {
                    throw new IllegalArgumentException(name + ": "
                            + JSON.readTree(response.body()).path("detail").asString("not taken in"));
                }
            }
            return true;
        } catch (IOException | IllegalArgumentException e) {
            System.err.println("squallnote: " + CommandLine.reason(e));
            System.exit(1);
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return true;
        }
    }

    /** Whether it answers to its token; the file is left behind by one that was killed, and its port may be another's by now. */
    private static boolean isThere(HttpClient client, List<String> lines) throws IOException, InterruptedException {
        try {
            HttpRequest asking = request(lines, "", "/api/local/accounts")
                    .timeout(PATIENCE)
                    .GET()
                    .build();
            return client.send(asking, HttpResponse.BodyHandlers.discarding()).statusCode() == HTTP_OK;
        } catch (ConnectException e) {
            return false;
        }
    }

    private static String address(Path name) {
        return "/api/files?ofFolder=" + Files.isDirectory(name);
    }

    private static HttpRequest.BodyPublisher body(Path name) throws IOException {
        if (!Files.isDirectory(name)) {
            return HttpRequest.BodyPublishers.ofFile(name);
        }
        MailFolder folder = MailFolder.open(name);
        return HttpRequest.BodyPublishers.ofInputStream(() -> folder);
    }

    /** Lets the running application write the account as it is at this moment. */
    private static void export(HttpClient client, List<String> lines, String account, Path file)
            throws IOException, InterruptedException {
        save(client, request(lines, account, "/api/account/export"), file, notThere(account));
        CommandLine.say(file + ": all of the account, while the application runs.");
    }

    private static void save(HttpClient client, HttpRequest.Builder request, Path file, String otherwise)
            throws IOException, InterruptedException {
        WholeFile.write(file, part -> {
            HttpResponse<Path> response = client.send(request.GET().build(), HttpResponse.BodyHandlers.ofFile(part));
            if (response.statusCode() != HTTP_OK) {
                throw new IllegalArgumentException(otherwise);
            }
        });
    }

    private static List<String> answer(HttpClient client, HttpRequest.Builder request)
            throws IOException, InterruptedException {
        HttpResponse<String> response = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() != HTTP_OK) {
            throw new IllegalArgumentException(
                    JSON.readTree(response.body()).path("detail").asString("Nothing was changed."));
        }
        return List.of(JSON.readValue(response.body(), String[].class));
    }

    private static HttpRequest.Builder request(List<String> lines, String account, String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + lines.get(0) + path))
                .header(LocalToken.TOKEN_HEADER, lines.get(1))
                .header(LocalToken.ACCOUNT_HEADER, account);
    }

    private static String notThere(String account) {
        return account.isEmpty()
                ? "There is no account yet, or there are several. Open the page and make one, or say which one is meant:"
                        + " --account=NAME."
                : "Nobody signs in as " + account + ".";
    }
}
