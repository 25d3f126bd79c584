package org.squallnote.server.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Paths;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.UUIDSchema;
import io.swagger.v3.oas.models.parameters.HeaderParameter;
import io.swagger.v3.oas.models.servers.Server;
import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.command.CommandId;

/** The OpenAPI document. It is written in tests only; what writes it is not part of the application. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnProperty("springdoc.api-docs.enabled")
class OpenApiConfiguration {

    @Bean
    OpenAPI description() {
        return new OpenAPI().info(new Info().title("Squallnote").version("1")).servers(List.of(new Server().url("/")));
    }

    /** The same code gives the same document, byte for byte. */
    @Bean
    OpenApiCustomizer sorted() {
        return document -> {
            document.setPaths(sortedPaths(document));
            document.getComponents()
                    .setSchemas(new TreeMap<>(document.getComponents().getSchemas()));
            document.setTags(null);
        };
    }

    private static Paths sortedPaths(OpenAPI document) {
        Paths sorted = new Paths();
        new TreeMap<>(document.getPaths()).forEach(sorted::addPathItem);
        return sorted;
    }

    static {
        SpringDocUtils.getConfig().addAnnotationsToIgnore(CurrentAccount.class, CommandId.class);
    }

    /** A change has an identifier of its own. */
    @Bean
    OperationCustomizer commandIds() {
        return (operation, method) -> {
            boolean changes = Arrays.stream(method.getMethodParameters())
                    .anyMatch(parameter -> parameter.hasParameterAnnotation(CommandId.class));
            if (changes) {
                operation.addParametersItem(new HeaderParameter()
                        .name(CommandId.HEADER)
                        .required(true)
                        .description("A UUID made by the client; the same one again changes nothing twice")
                        .schema(new UUIDSchema()));
            }
            return operation;
        };
    }

    @Bean
    RecordSchemas recordSchemas() {
        return new RecordSchemas();
    }
}
