package org.squallnote.server;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Import;
import org.squallnote.server.files.ImportCommand;
import org.squallnote.store.StoreConfiguration;

/** The application. Started without a command it serves; with {@code import} or {@code rebuild} it does that and ends. */
@SpringBootApplication
@ConfigurationPropertiesScan
@Import(StoreConfiguration.class)
public class Squallnote {

    /** Starts the application. */
    public static void main(String[] arguments) {
        String[] args = withAbsoluteData(arguments);
        boolean command = Arrays.stream(args).anyMatch(ImportCommand.NAMES::contains);
        if (command && ImportCommand.handOverToRunning(args)) {
            return;
        }
        SpringApplication application = new SpringApplication(Squallnote.class);
        if (command) {
            application.setAdditionalProfiles(ImportCommand.PROFILE);
        }
        application.run(args);
    }

    /** The database takes no path that depends on where the application was started from. */
    private static String[] withAbsoluteData(String[] arguments) {
        String option = "--data=";
        String data = Arrays.stream(arguments)
                .filter(argument -> argument.startsWith(option))
                .map(argument -> argument.substring(option.length()))
                .findFirst()
                .orElse("data");
        return Stream.concat(
                        Arrays.stream(arguments).filter(argument -> !argument.startsWith(option)),
                        Stream.of(option + Path.of(data).toAbsolutePath()))
                .toArray(String[]::new);
    }
}
