package org.squallnote.server.problem;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.Collection;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Refuses a body in which something is missing: every component of a record that is not {@code @Nullable} has to be
 * there, and no list holds a null. What the types say is so held at the door, and no controller meets a null.
 */
@RestControllerAdvice
class RequiredFields extends RequestBodyAdviceAdapter {

    private static final String MISSING = "is missing";
    private static final String OWN = "org.squallnote.";

    @Override
    public boolean supports(
            MethodParameter parameter, Type target, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type target,
            Class<? extends HttpMessageConverter<?>> converter) {
        Map<String, String> missing = new TreeMap<>();
        look(body, "", missing);
        if (!missing.isEmpty()) {
            throw Refusal.fields(missing);
        }
        return body;
    }

    private static void look(@Nullable Object value, String path, Map<String, String> missing) {
        if (value == null) {
            missing.put(path.isEmpty() ? "body" : path, MISSING);
        } else if (value instanceof Collection<?> list) {
            int i = 0;
            for (Object each : list) {
                look(each, path + "[" + i++ + "]", missing);
            }
        } else if (value instanceof Map<?, ?> map) {
            map.forEach((key, each) -> look(each, path.isEmpty() ? String.valueOf(key) : path + "." + key, missing));
        } else if (value instanceof Record && value.getClass().getName().startsWith(OWN)) {
            for (RecordComponent component : value.getClass().getRecordComponents()) {
                String name = path.isEmpty() ? component.getName() : path + "." + component.getName();
                Object its = valueOf(component, value);
                if (its != null || !isNullable(component)) {
                    look(its, name, missing);
                }
            }
        }
    }

    private static boolean isNullable(RecordComponent component) {
        return Arrays.stream(component.getAnnotatedType().getAnnotations())
                .anyMatch(annotation -> annotation.annotationType() == Nullable.class);
    }

    private static @Nullable Object valueOf(RecordComponent component, Object record) {
        try {
            var accessor = component.getAccessor();
            accessor.setAccessible(true);
            return accessor.invoke(record);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("A component of " + record.getClass() + " cannot be read", e);
        }
    }
}
