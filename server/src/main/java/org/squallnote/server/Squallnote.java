package org.squallnote.server;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Import;
import org.springframework.core.env.MapPropertySource;
import org.squallnote.server.files.CommandLine;
import org.squallnote.server.files.RunningApplication;
import org.squallnote.store.StoreConfiguration;

/** The application. Started without a command it serves; with {@code import} or {@code rebuild} it does that and ends. */
@SpringBootApplication
@ConfigurationPropertiesScan
@Import(StoreConfiguration.class)
public class Squallnote {

    private static final String DATA = "--data=";

    /** The exit code that says that the start itself was wrong. */
    private static final int WRONG_START = 2;

    /** Starts the application. */
    public static void main(String[] arguments) {
        String[] args = withAbsoluteData(arguments);
        boolean command = Arrays.stream(args).anyMatch(CommandLine.NAMES::contains);
        if (command && RunningApplication.handOver(args)) {
            return;
        }
        SpringApplication application = application(args);
        if (command) {
            application.setAdditionalProfiles(CommandLine.PROFILE);
        }
        try {
            dataFolder(args).requireFree();
            application.run(args);
        } catch (IOException e) {
            System.err.println("squallnote: the data folder cannot be read: " + e.getMessage());
            System.exit(WRONG_START);
        } catch (IllegalArgumentException e) {
            // Said in a sentence by whoever found it; starting again would not help.
            System.err.println("squallnote: " + e.getMessage());
            System.exit(WRONG_START);
        }
    }

    /** The application for some arguments, its database opened as it lies there. */
    static SpringApplication application(String... args) {
        SpringApplication application = new SpringApplication(Squallnote.class);
        application.addInitializers(context -> context.getEnvironment()
                .getPropertySources()
                .addFirst(new MapPropertySource("database encryption", databaseSettings(args))));
        return application;
    }

    private static Map<String, Object> databaseSettings(String[] args) {
        try {
            return new DatabaseEncryption(
                            dataFolder(args), Optional.ofNullable(System.getenv(DatabaseEncryption.VARIABLE)))
                    .settings(Arrays.asList(args).contains("--encrypt"));
        } catch (IOException | SQLException e) {
            throw new IllegalStateException(
                    "The database in " + valueOf(args, DATA).orElse("data") + " cannot be opened", e);
        }
    }

    private static DataFolder dataFolder(String[] args) throws IOException {
        return new DataFolder(valueOf(args, DATA).orElse("data"));
    }

    private static Optional<String> valueOf(String[] arguments, String option) {
        return Arrays.stream(arguments)
                .filter(argument -> argument.startsWith(option))
                .map(argument -> argument.substring(option.length()))
                .findFirst();
    }

    /** The database takes no path that depends on where the application was started from. */
    private static String[] withAbsoluteData(String[] arguments) {
        String data = valueOf(arguments, DATA).orElse("data");
        return Stream.concat(
                        Arrays.stream(arguments).filter(argument -> !argument.startsWith(DATA)),
                        Stream.of(DATA + Path.of(data).toAbsolutePath()))
                .toArray(String[]::new);
    }
}
