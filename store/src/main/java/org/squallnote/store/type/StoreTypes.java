package org.squallnote.store.type;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.ExecutorType;

/** Tells MyBatis how this store maps types and names. */
public final class StoreTypes {

    private StoreTypes() {}

    /**
     * Registers everything.
     *
     * @param jsonTypes records that stand as JSON in a column
     */
    public static void register(Configuration configuration, List<Class<?>> jsonTypes) {
        configuration.setMapUnderscoreToCamelCase(true);
        configuration.setArgNameBasedConstructorAutoMapping(true);
        configuration.setDefaultExecutorType(ExecutorType.REUSE);
        configuration.getTypeHandlerRegistry().register(UUID.class, new UuidTypeHandler());
        configuration.getTypeHandlerRegistry().register(Instant.class, new InstantTypeHandler());
        jsonTypes.forEach(type -> registerJson(configuration, type));
    }

    private static <T> void registerJson(Configuration configuration, Class<T> type) {
        configuration.getTypeHandlerRegistry().register(type, new JsonTypeHandler<>(type));
    }
}
