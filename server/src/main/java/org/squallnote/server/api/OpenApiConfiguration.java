package org.squallnote.server.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Paths;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.servers.Server;
import java.util.List;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI document. It is written in tests only; the running application does not spend time on it. */
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

    @Bean
    RecordSchemas recordSchemas() {
        return new RecordSchemas();
    }
}
