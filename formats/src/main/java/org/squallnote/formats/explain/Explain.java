package org.squallnote.formats.explain;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.thread.ReferencesThreading;
import org.squallnote.core.thread.SubjectStep;
import org.squallnote.core.thread.Threadable;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.TurnFold;
import org.squallnote.formats.lines.JsonLines;
import org.squallnote.formats.lines.Predictions;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.MboxReader;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.formats.mail.ReadableMail;

/**
 * Reads {@code .eml} files, mbox files and JSON Lines and prints what was found and why; with {@code --jsonl} one
 * prediction line for each line of input, with {@code --threads} the threads of the messages. Needs neither the application nor its data.
 */
public final class Explain {

    private static final String USAGE = """
            ./squallnote explain [--me ADDRESS[,ADDRESS...]] [--name NAME] [--zone ZONE] [--locale en-US] FILE...
                what was found in .eml files, mbox files and JSON Lines, and why
            ./squallnote explain --stages ... FILE...
                the same, and of each sentence the phrases that stand there, also those that came to nothing, and which nearly do
            ./squallnote explain --jsonl FILE...
                one prediction line for each line of JSON Lines
            ./squallnote explain --rules [WORDS]
                all rules that messages are read by, or every form of those in whose name these words stand
            ./squallnote explain --threads FILE...
                the messages of .eml and mbox files, numbered in their order, threaded as RFC 5256 REFERENCES says
            """;

    private static final String RULES = "--rules";

    private final PrintStream out;
    private final PrintStream problems;
    private final List<Threadable<Integer>> toThread = new ArrayList<>();
    private boolean failed;

    private Explain(PrintStream out, PrintStream problems) {
        this.out = out;
        this.problems = problems;
    }

    /** The command; ends with 1 when a file or a line could not be read, with 2 when it is called wrongly. */
    public static void main(String[] arguments) {
        PrintStream out = new PrintStream(System.out, false, StandardCharsets.UTF_8);
        int code = run(arguments, out, System.err);
        out.flush();
        System.exit(code);
    }

    /** The same with its streams as arguments; answers the exit code. */
    public static int run(String[] arguments, PrintStream out, PrintStream problems) {
        Explain explain = new Explain(out, problems);
        if (arguments.length > 0 && arguments[0].equals(RULES)) {
            List<String> lines = arguments.length > 1 ? Explanation.ofRules(arguments[1]) : RuleTable.lines();
            lines.forEach(out::println);
            return 0;
        }
        try {
            Options options = Options.of(arguments);
            if (options.files().isEmpty()) {
                problems.print(USAGE);
                return 2;
            }
            for (Path file : options.files()) {
                explain.file(file, options);
            }
            if (options.threads()) {
                out.println(ThreadResponse.of(ReferencesThreading.threads(explain.toThread, SubjectStep.AS_RFC_5256)));
            }
        } catch (IllegalArgumentException | DateTimeException e) {
            problems.println("explain: " + e.getMessage());
            return 2;
        }
        return explain.failed ? 1 : 0;
    }

    private record Options(
            boolean predictions,
            boolean threads,
            boolean stages,
            Me me,
            ZoneId zone,
            boolean monthFirst,
            List<Path> files) {

        static Options of(String[] arguments) {
            boolean predictions = false;
            boolean threads = false;
            boolean stages = false;
            String name = "";
            Set<String> addresses = Set.of();
            ZoneId zone = ZoneId.systemDefault();
            boolean monthFirst = false;
            List<Path> files = new ArrayList<>();
            for (int i = 0; i < arguments.length; i++) {
                switch (arguments[i]) {
                    case "--jsonl" -> predictions = true;
                    case "--threads" -> threads = true;
                    case "--stages" -> stages = true;
                    case "--me" -> addresses = Set.of(value(arguments, ++i).split(","));
                    case "--name" -> name = value(arguments, ++i);
                    case "--zone" -> zone = ZoneId.of(value(arguments, ++i));
                    case "--locale" -> monthFirst = value(arguments, ++i).equalsIgnoreCase("en-US");
                    default -> {
                        if (arguments[i].startsWith("--")) {
                            throw new IllegalArgumentException("there is no option " + arguments[i]);
                        }
                        files.add(Path.of(arguments[i]));
                    }
                }
            }
            return new Options(
                    predictions, threads, stages, new Me(name, addresses, List.of()), zone, monthFirst, files);
        }

        private static String value(String[] arguments, int at) {
            if (at >= arguments.length) {
                throw new IllegalArgumentException("the option " + arguments[at - 1] + " needs a value");
            }
            return arguments[at];
        }
    }

    private void file(Path file, Options options) {
        try {
            String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
            if (options.predictions() || name.endsWith(".jsonl") || name.endsWith(".json")) {
                lines(file, options);
            } else if (name.endsWith(".mbox") || isMbox(file)) {
                mbox(file, options);
            } else {
                mail(RawMail.of(Files.readAllBytes(file)), Optional.empty(), options);
            }
        } catch (NoSuchFileException e) {
            fail(file + " does not exist");
        } catch (IOException e) {
            fail(file + " cannot be read: " + e.getMessage());
        }
    }

    private void fail(String what) {
        failed = true;
        problems.println("explain: " + what);
    }

    private static boolean isMbox(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new String(in.readNBytes(5), StandardCharsets.US_ASCII).equals("From ");
        }
    }

    private void lines(Path file, Options options) throws IOException {
        int number = 0;
        for (String text : Files.readAllLines(file)) {
            number++;
            if (text.isBlank()) {
                continue;
            }
            try {
                JsonLines.Line line = JsonLines.parse(text);
                out.println(options.predictions() ? Predictions.of(line) : inWords(line, options.stages()));
            } catch (IllegalArgumentException | DateTimeException e) {
                fail(file + " line " + number + ": " + e.getMessage());
            }
        }
    }

    private static String inWords(JsonLines.Line line, boolean stages) {
        StringBuilder words = new StringBuilder(line.id()).append('\n');
        TurnFold fold = new TurnFold();
        for (JsonLines.Entry entry : line.messages()) {
            var reading = line.reader().read(entry.message());
            var dates = line.reader().dates(entry.message());
            if (line.conversation()) {
                words.append(entry.id()).append(' ');
            }
            words.append(Explanation.of(entry.message(), reading, dates)).append('\n');
            if (stages) {
                var sentences = line.reader().sentences(entry.message());
                words.append(Explanation.of(sentences, entry.message().text())).append('\n');
            }
            if (line.conversation()) {
                fold.add(entry.event(reading));
                words.append(Explanation.of(fold.state())).append('\n');
            }
        }
        return words.toString();
    }

    private void mbox(Path file, Options options) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            MboxReader.forEach(
                    in, MailSpool.inMemory(), message -> mail(message.raw(), message.deliveredAt(), options));
        }
    }

    private void mail(RawMail bytes, Optional<Instant> deliveredAt, Options options) {
        ParsedMail mail = MailParser.parse(bytes);
        if (options.threads()) {
            toThread.add(new Threadable<>(
                    toThread.size() + 1,
                    mail.messageId(),
                    mail.references(),
                    mail.subject(),
                    mail.sentAt().or(() -> deliveredAt).orElse(Instant.EPOCH),
                    Set.of()));
            return;
        }
        // Unless said otherwise, the message is read for the one it is addressed to first.
        Me me = options.me().addresses().isEmpty()
                ? mail.to().stream()
                        .findFirst()
                        .map(to -> new Me(to.name(), Set.of(to.address()), List.of()))
                        .orElse(options.me())
                : options.me();
        Reader reader = new Reader(me, options.monthFirst(), WorkingTime.officeHours(options.zone()));
        MessageToRead message = ReadableMail.of(mail);
        out.println(Explanation.of(message, reader.read(message), reader.dates(message)));
        if (options.stages()) {
            out.println(Explanation.of(reader.sentences(message), message.text()));
        }
    }
}
