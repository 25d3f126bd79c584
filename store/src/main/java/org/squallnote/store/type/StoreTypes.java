package org.squallnote.store.type;

import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.ibatis.mapping.ResultFlag;
import org.apache.ibatis.mapping.ResultMap;
import org.apache.ibatis.mapping.ResultMapping;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.ExecutorType;

/** Tells MyBatis how this store maps types and names. */
public final class StoreTypes {

    private static final Pattern CAPITAL = Pattern.compile("([A-Z])");

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

    /**
     * Maps rows to records by their components, a column for each. Without that, MyBatis compares every name of a record
     * with every column for every row, which took more time than the query.
     */
    public static void registerRows(Configuration configuration, List<Class<?>> records) {
        for (Class<?> type : records) {
            List<ResultMapping> columns = new ArrayList<>();
            for (RecordComponent component : type.getRecordComponents()) {
                String column =
                        CAPITAL.matcher(component.getName()).replaceAll("_$1").toLowerCase(Locale.ROOT);
                columns.add(new ResultMapping.Builder(configuration, null, column, component.getType())
                        .flags(List.of(ResultFlag.CONSTRUCTOR))
                        .build());
            }
            configuration.addResultMap(new ResultMap.Builder(configuration, type.getName(), type, columns).build());
        }
    }

    private static <T> void registerJson(Configuration configuration, Class<T> type) {
        configuration.getTypeHandlerRegistry().register(type, new JsonTypeHandler<>(type));
    }
}
