package org.squallnote.bench;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.util.FileSystemUtils;
import org.squallnote.core.account.Account;
import org.squallnote.server.DataFolder;
import org.squallnote.server.Squallnote;
import org.squallnote.server.account.LocalToken;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.files.FileImport;
import org.squallnote.store.account.AccountStore;

/** Prints the figures that are promised, each beside what it is measured against. */
public final class Bench {

    private static final int MANY = 20_000;
    private static final int FEW = 2_000;
    private static final int ROUNDS = 3;
    private static final int SEVERAL = 500;
    private static final int STORE = 100_000;
    private static final int YEARS = 10;
    private static final int AN_HOUR = 60;
    private static final int COUNTED = 500;
    private static final int COUNTED_OF_RECORD = 60;
    private static final int WITH_OTHERS = 3_000;

    /** So many are left of them for the figure that Intake is held to. */
    private static final int UNDECIDED = 5_000;

    private final HttpClient client = HttpClient.newHttpClient();
    private final ConfigurableApplicationContext application;
    private final FileImport files;
    private final AccountStore accounts;
    private final Instant now;

    private Bench(ConfigurableApplicationContext application) {
        this.application = application;
        this.files = application.getBean(FileImport.class);
        this.accounts = application.getBean(AccountStore.class);
        this.now = application.getBean(Clock.class).instant();
    }

    /**
     * Runs everything; takes some minutes.
     *
     * @param args a file of labelled messages as JSON Lines and, to measure only the engine, {@code engine}, only
     *     planning, {@code plan}, only finding, {@code search}, only the record, {@code record}, only a whole account, {@code portable}, only what a page asks for with a large store behind it, {@code views}, only
     *     what it holds in memory then, {@code heap}, or only the command that imports, {@code import}, and behind that how Java is started and
     *     the application's jar
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        String part = args.length > 1 ? args[1] : "";
        if (part.isEmpty() || part.equals("engine")) {
            EngineBench.run(Path.of(args[0]));
        }
        if (part.isEmpty() || part.equals("plan")) {
            PlanBench.run();
        }
        if (part.isEmpty() || part.equals("search")) {
            SearchBench.run();
        }
        if (part.isEmpty() || part.equals("portable")) {
            PortableBench.run();
        }
        if (part.equals("import")) {
            int application = args.length - 1;
            ImportBench.run(List.of(args).subList(2, application), Path.of(args[application]));
        }
        if (List.of("engine", "plan", "search", "portable", "import").contains(part)) {
            return;
        }
        Path data = Files.createTempDirectory("squallnote-bench");
        try (ConfigurableApplicationContext application =
                SpringApplication.run(Squallnote.class, "--data=" + data, "--server.port=0")) {
            Bench bench = new Bench(application);
            if (part.equals("heap")) {
                HeapBench.run(bench, args.length > 2 ? Integer.parseInt(args[2]) : AN_HOUR);
                return;
            }
            if (part.equals("record")) {
                bench.record();
                return;
            }
            if (!part.equals("views")) {
                bench.run();
            }
            bench.views();
            bench.record();
        } finally {
            FileSystemUtils.deleteRecursively(data);
        }
    }

    private void run() throws IOException, InterruptedException {
        Path many = GeneratedMbox.write(MANY, 1, now);
        Path few = GeneratedMbox.write(FEW, 2, now);
        PlainParsing parsing = new PlainParsing();
        for (int i = 0; i < 3; i++) {
            importInto(newAccount(), few); // Warm-up, not counted.
            parsing.run(many);
        }
        List<Double> parseTimes = new ArrayList<>();
        List<Double> manyTimes = new ArrayList<>();
        List<Double> fewTimes = new ArrayList<>();
        Account account = newAccount();
        for (int round = 0; round < ROUNDS; round++) {
            parseTimes.add(seconds(() -> parsing.run(many)));
            for (int i = 0; i < 3; i++) {
                Account fresh = newAccount();
                fewTimes.add(seconds(() -> importInto(fresh, few)));
            }
            account = newAccount();
            Account fresh = account;
            manyTimes.add(seconds(() -> importInto(fresh, many)));
        }
        say(
                "Import of %d messages against merely parsing them: %.2f times (goal: at most 3)",
                MANY, median(manyTimes) / median(parseTimes));
        say(
                "Import, each of %d messages against each of %d: %.2f times (goal: at most 1.2)",
                MANY, FEW, median(manyTimes) / MANY / (median(fewTimes) / FEW));
        several(account);
        dryRun(account);
        Files.delete(many);
        Files.delete(few);
    }

    /** The record and its figures after one year of a busy office and after ten. */
    private void record() throws IOException, InterruptedException {
        Account one = newAccount();
        Account ten = newAccount();
        RecordBench filling = new RecordBench(jdbc(), now);
        filling.fill(one.id(), 1);
        filling.fill(ten.id(), YEARS);
        for (String path : List.of("/api/record", "/api/record/figures", "/api/round", "/api/record?onTime=false")) {
            double few = view(
                    path + ", one year", List.of(request(one, path).build()), "under 100", "none", COUNTED_OF_RECORD);
            double all = view(
                    path + ", ten years", List.of(request(ten, path).build()), "under 100", "none", COUNTED_OF_RECORD);
            say("%s, ten times as much: %.2f times as long (goal: at most 1.5)", path, all / few);
        }
    }

    /** What the page asks for, with many messages in the store. */
    private void views() throws IOException, InterruptedException {
        Path mails = GeneratedMbox.write(STORE, 3, now);
        Account account = newAccount();
        say("Import of %d messages: %.0f s", STORE, seconds(() -> importInto(account, mails)));
        Files.delete(mails);
        JdbcTemplate jdbc = jdbc();
        say(
                "In the store: %d messages, %d undecided, %d threads",
                count(jdbc, "select count(*) from message where owner = ?", account.id()),
                count(jdbc, "select count(*) from message where owner = ? and decision = 'UNDECIDED'", account.id()),
                count(jdbc, "select count(*) from thread where owner = ?", account.id()));
        List<HttpRequest> intake = List.of(request(account, "/api/intake").build());
        view("Intake with all of these", intake);
        OffsetDateTime before = jdbc.queryForObject(
                "select sent_at from message where owner = ? and decision = 'UNDECIDED' order by sent_at desc offset "
                        + UNDECIDED + " rows fetch first 1 rows only",
                OffsetDateTime.class,
                account.id());
        jdbc.update(
                "update message set decision = 'NOTHING' where owner = ? and decision = 'UNDECIDED' and sent_at <= ?",
                account.id(),
                before);
        view("Intake with " + UNDECIDED + " undecided", intake);
        view(
                "A thread",
                each(account, "/api/threads/", "select thread_id from message where owner = ? order by identity"));
        threads(account);
        view("A message", each(account, "/api/messages/", "select id from message where owner = ? order by identity"));
    }

    /** The list of those who owe me something, in a large store and in one of a tenth. */
    private void threads(Account large) throws IOException, InterruptedException {
        Path mails = GeneratedMbox.write(STORE / 10, 4, now);
        Account small = newAccount();
        importInto(small, mails);
        Files.delete(mails);
        List<Double> medians = new ArrayList<>();
        for (Account account : List.of(small, large)) {
            JdbcTemplate jdbc = jdbc();
            int others = account.equals(large) ? WITH_OTHERS : WITH_OTHERS / 10;
            String someone =
                    "{\"party\":{\"name\":\"\",\"address\":\"WHO@bench.example\"},\"messageId\":\"" + UUID.randomUUID()
                            + "\",\"since\":\"2026-02-20T10:00:00Z\",\"by\":null,\"promised\":false,\"what\":\"Could you send it?\","
                            + "\"openToAll\":false,\"answered\":null,\"lastMine\":null,\"chases\":0,\"returnsOn\":null}";
            String[] around = someone.split("WHO");
            jdbc.update(
                    "update thread set turn = 'WITH_OTHERS', debts = '{\"list\":[]}', chase_on = dateadd('DAY', mod(rownum(), 40)"
                            + " - 3, current_date), awaited = '{\"list\":[' || ? || mod(rownum(), 300) || ? || ']}' where owner = ?"
                            + " and id in (select id from thread where owner = ? order by id fetch first " + others
                            + " rows only)",
                    around[0],
                    around[1],
                    account.id(),
                    account.id());
            medians.add(view(
                    String.format(
                            Locale.ROOT,
                            "Threads with others, %d of %d",
                            count(
                                    jdbc,
                                    "select count(*) from thread where owner = ? and turn = 'WITH_OTHERS'",
                                    account.id()),
                            count(jdbc, "select count(*) from thread where owner = ?", account.id())),
                    List.of(request(account, "/api/threads?turn=WITH_OTHERS").build()),
                    "under 30",
                    "none"));
        }
        say("Ten times as many threads: %.2f times as long (goal: at most 1.5)", medians.get(1) / medians.get(0));
        view(
                "Threads with me",
                List.of(request(large, "/api/threads?turn=WITH_ME").build()));
        view("The chase round", List.of(request(large, "/api/chases/due").build()));
    }

    /** Requests for five hundred things, in no order of time. */
    List<HttpRequest> each(Account account, String path, String query) throws IOException {
        List<HttpRequest> requests = new ArrayList<>();
        for (UUID id : jdbc().queryForList(query + " fetch first 500 rows only", UUID.class, account.id())) {
            requests.add(request(account, path + id).build());
        }
        return requests;
    }

    private double view(String name, List<HttpRequest> requests) throws IOException, InterruptedException {
        return view(name, requests, "under 10", "under 30");
    }

    /** @return the median, in milliseconds */
    private double view(String name, List<HttpRequest> requests, String goal, String goalOfMost)
            throws IOException, InterruptedException {
        return view(name, requests, goal, goalOfMost, COUNTED);
    }

    /** @param counted so many requests are counted, after nearly as many to warm up */
    private double view(String name, List<HttpRequest> requests, String goal, String goalOfMost, int counted)
            throws IOException, InterruptedException {
        List<Double> times = new ArrayList<>();
        int warmUp = counted * 4 / 5;
        for (int i = 0; i < warmUp + counted; i++) {
            HttpRequest request = requests.get(i % requests.size());
            double time = seconds(() -> send(request));
            if (i >= warmUp) {
                times.add(time * 1000);
            }
        }
        Collections.sort(times);
        say(
                "%s: median %.1f ms (goal: %s), 99th percentile %.1f ms (goal: %s)",
                name, times.get(times.size() / 2), goal, times.get(times.size() * 99 / 100), goalOfMost);
        return times.get(times.size() / 2);
    }

    private JdbcTemplate jdbc() {
        return application.getBean(JdbcTemplate.class);
    }

    /** What a recipe with conditions would have taken in the last thirty days, words looked for in every text. */
    private void dryRun(Account account) throws IOException, InterruptedException {
        HttpRequest request = change(account, "/api/recipes/dry-run", UUID.randomUUID())
                .POST(
                        HttpRequest.BodyPublishers.ofString(
                                "{\"sender\":\"\",\"domain\":\"bench.example\",\"list\":\"\",\"room\":\"\",\"words\":[\"slipway\",\"lighthouse\"]}"))
                .build();
        List<Double> times = new ArrayList<>();
        for (int round = 0; round < ROUNDS + 2; round++) {
            times.add(seconds(() -> send(request)));
        }
        int looked = count(
                jdbc(),
                "select count(*) from message where owner = ? and sent_at >= dateadd('DAY', -30, current_timestamp)",
                account.id());
        say(
                "Dry run of a recipe's conditions over the %d messages of thirty days: %.2f s (goal: under 2)",
                looked, median(times.subList(2, times.size())));
    }

    /** Five hundred undecided messages followed up in one request, and taken back in another. */
    private void several(Account account) throws IOException, InterruptedException {
        String ids = String.join("\",\"", undecided(account, SEVERAL));
        List<Double> decided = new ArrayList<>();
        List<Double> undone = new ArrayList<>();
        for (int round = 0; round < ROUNDS + 2; round++) {
            UUID command = UUID.randomUUID();
            HttpRequest decide = change(account, "/api/intake/decisions", command)
                    .POST(HttpRequest.BodyPublishers.ofString(
                            "{\"messageIds\":[\"" + ids + "\"],\"decision\":\"FOLLOW_UP\"}"))
                    .build();
            HttpRequest undo = change(account, "/api/commands/" + command + "/undo", UUID.randomUUID())
                    .POST(HttpRequest.BodyPublishers.ofString(""))
                    .build();
            decided.add(seconds(() -> send(decide)));
            undone.add(seconds(() -> send(undo)));
        }
        say(
                "%d messages followed up in one request, each with its own proposal: %.2f s (goal: under 1); taken back: %.2f s",
                SEVERAL, median(decided.subList(2, decided.size())), median(undone.subList(2, undone.size())));
    }

    /** The newest messages that wait for a decision. */
    List<String> undecided(Account account, int most) {
        return jdbc().queryForList(
                        "select cast(id as varchar) from message where owner = ? and decision = 'UNDECIDED'"
                                + " order by sent_at desc fetch first " + most + " rows only",
                        String.class,
                        account.id());
    }

    HttpRequest.Builder change(Account account, String path, UUID command) throws IOException {
        return request(account, path)
                .header(CommandId.HEADER, command.toString())
                .header("Content-Type", "application/json");
    }

    HttpRequest.Builder request(Account account, String path) throws IOException {
        List<String> running =
                Files.readAllLines(application.getBean(DataFolder.class).file(DataFolder.RUNNING));
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + running.get(0) + path))
                .header(LocalToken.TOKEN_HEADER, running.get(1))
                .header(LocalToken.ACCOUNT_HEADER, account.signIn());
    }

    void send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() != 200) {
            throw new IllegalStateException(request.uri() + " answered " + response.statusCode());
        }
    }

    private static int count(JdbcTemplate jdbc, String query, UUID owner) {
        Integer found = jdbc.queryForObject(query, Integer.class, owner);
        return found == null ? 0 : found;
    }

    Account newAccount() {
        UUID id = UUID.randomUUID();
        Account account = new Account(id, "bench-" + id, "Bench", "none", "UTC", false, now);
        accounts.insert(account);
        return account;
    }

    void importInto(Account account, Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            FileImport.Result result = files.run(account.id(), in);
            if (result.added() != result.found()) {
                throw new IllegalStateException("Imported " + result);
            }
        }
    }

    private interface Work {
        void run() throws IOException, InterruptedException;
    }

    private static double seconds(Work work) throws IOException, InterruptedException {
        long start = System.nanoTime();
        work.run();
        return (System.nanoTime() - start) / 1e9;
    }

    static double median(List<Double> values) {
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
