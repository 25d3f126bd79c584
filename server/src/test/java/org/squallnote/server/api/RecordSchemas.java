package org.squallnote.server.api;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** Describes records as they are: every component is there, and only those marked {@code @Nullable} can be null. */
final class RecordSchemas implements ModelConverter {

    @Override
    public @Nullable Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        if (!chain.hasNext()) {
            return null;
        }
        Schema<?> resolved = chain.next().resolve(type, context, chain);
        JavaType javaType = Json.mapper().constructType(type.getType());
        if (resolved != null && javaType != null && javaType.getRawClass().isRecord()) {
            defined(resolved, context).ifPresent(schema -> describe(schema, javaType.getRawClass()));
        }
        return resolved;
    }

    @Override
    public boolean isOpenapi31() {
        return true;
    }

    private static Optional<Schema<?>> defined(Schema<?> resolved, ModelConverterContext context) {
        if (resolved.get$ref() == null) {
            return Optional.of(resolved);
        }
        String name = resolved.get$ref().substring(resolved.get$ref().lastIndexOf('/') + 1);
        return Optional.ofNullable(context.getDefinedModels().get(name)).map(schema -> (Schema<?>) schema);
    }

    private static void describe(Schema<?> schema, Class<?> type) {
        Map<String, ? extends Schema<?>> properties = properties(schema);
        TreeSet<String> required = new TreeSet<>();
        for (RecordComponent component : type.getRecordComponents()) {
            Schema<?> property = properties.get(component.getName());
            if (property == null) {
                continue;
            }
            required.add(component.getName());
            if (component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                allowNull(schema, component.getName(), property);
            }
        }
        schema.setRequired(List.copyOf(required));
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static Map<String, ? extends Schema<?>> properties(Schema<?> schema) {
        return schema.getProperties() == null ? Map.of() : (Map) schema.getProperties();
    }

    private static void allowNull(Schema<?> owner, String name, Schema<?> property) {
        if (property.get$ref() == null) {
            property.addType("null");
        } else if (property.getAnyOf() == null) {
            Schema<?> either = new Schema<>();
            either.addAnyOfItem(new Schema<>().$ref(property.get$ref()));
            Schema<?> nothing = new Schema<>();
            nothing.addType("null");
            either.addAnyOfItem(nothing);
            owner.addProperty(name, either);
        }
    }
}
