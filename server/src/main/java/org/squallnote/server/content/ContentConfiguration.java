package org.squallnote.server.content;

import java.io.IOException;
import java.time.Clock;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.squallnote.server.DataFolder;
import org.squallnote.store.content.ContentFiles;
import org.squallnote.store.message.RawMailStore;
import org.squallnote.store.message.RawMails;

/** Large mails lie beside the database, encrypted where that is. */
@Configuration(proxyBeanMethods = false)
class ContentConfiguration {

    @Bean
    ContentFiles contentFiles(
            DataFolder folder, @Value("${spring.datasource.password:}") String databaseKey, Clock clock)
            throws IOException {
        ContentFiles files =
                new ContentFiles(folder.path(), Optional.of(databaseKey.strip()).filter(key -> !key.isEmpty()), clock);
        files.prepare();
        return files;
    }

    @Bean
    RawMails rawMails(RawMailStore rows, ContentFiles files) {
        return new RawMails(rows, files);
    }
}
