package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Walks every endpoint of the API's own document with what nobody should send: none answers that it failed. */
class MalformedInputTest extends ServerTest {

    private static final List<String> VALUES = List.of(
            "null",
            "\"\"",
            "\"" + "x".repeat(70_000) + "\"",
            "\"\\u0000\\ud800 \\u202e\"",
            "-1",
            "99999999999999999999",
            "1e400",
            "[]",
            "[null]",
            "{}",
            "{\"\":null}",
            "true",
            "\"+999999999-12-31\"",
            "\"-999999999-01-01\"",
            "\"0000-00-00\"",
            "\"99:99\"",
            "\"1000000000-12-31T23:59:59Z\"");

    private static final List<String> BODIES = List.of(
            "", "{", "[", "null", "[]", "7", "\"x\"", "[".repeat(5_000), "{\"a\":".repeat(2_000), "\u0000", "<a/>");

    private static final List<String> PARAMETERS = List.of(
            "", "-1", "99999999999", "x", "null", "%00", "%F0%9F", "+999999999-12-31", "2026-02-30", "'", "../..");

    private final TreeSet<String> failures = new TreeSet<>();
    private JsonNode document;
    private SignedIn me;
    private String message;

    @Test
    void nothingThatIsSentMakesItFail() {
        me = newAccount();
        arrive(me, mail(1, "m@x.example", "A subject", "", "Could you send it by Friday?"));
        message = messageId(me, "m@x.example");
        document = get(me, "/v3/api-docs");
        document.path("paths")
                .properties()
                .forEach(path -> path.getValue()
                        .properties()
                        .forEach(operation -> walk(path.getKey(), operation.getKey(), operation.getValue())));
        assertThat(failures).isEmpty();
    }

    private void walk(String path, String method, JsonNode operation) {
        HttpMethod verb = HttpMethod.valueOf(method.toUpperCase(Locale.ROOT));
        if (path.equals("/api/live")
                || path.endsWith("/stream")
                || path.equals("/api/session")
                || path.contains("/test")) {
            return;
        }
        for (String value : PARAMETERS) {
            send(verb, filled(path, operation, value, "in path"), "{}", path);
            send(verb, filled(path, operation, value, "query"), "{}", path);
        }
        JsonNode schema = operation
                .path("requestBody")
                .path("content")
                .path("application/json")
                .path("schema");
        String target = filled(path, operation, "", "none");
        if (schema.isMissingNode()) {
            return;
        }
        for (String body : BODIES) {
            send(verb, target, body, path);
        }
        JsonNode valid = example(schema, 0);
        if (valid instanceof ObjectNode object) {
            mutations(object, body -> send(verb, target, body, path));
        }
    }

    /** Each field, also of what lies within, replaced by each value. */
    private static void mutations(ObjectNode valid, Consumer<String> with) {
        for (String name : new ArrayList<>(valid.propertyNames())) {
            JsonNode before = valid.get(name);
            for (String value : VALUES) {
                String marked = valid.deepCopy().put(name, "\u0001").toString();
                with.accept(marked.replace("\"\\u0001\"", value));
            }
            ObjectNode without = valid.deepCopy();
            without.remove(name);
            with.accept(without.toString());
            if (before instanceof ObjectNode inner) {
                mutations(inner, body -> with.accept(replaced(valid, name, body)));
            } else if (before instanceof ArrayNode list && list.size() > 0 && list.get(0) instanceof ObjectNode inner) {
                mutations(inner, body -> with.accept(replaced(valid, name, "[" + body + "]")));
            }
        }
    }

    private static String replaced(ObjectNode valid, String name, String body) {
        return valid.deepCopy().put(name, "\u0002").toString().replace("\"\\u0002\"", body);
    }

    private JsonNode example(JsonNode schema, int depth) {
        String ref = schema.path("$ref").asString("");
        if (!ref.isEmpty()) {
            return example(
                    document.path("components").path("schemas").path(ref.substring(ref.lastIndexOf('/') + 1)), depth);
        }
        if (schema.has("oneOf")) {
            return example(schema.path("oneOf").get(0), depth);
        }
        if (schema.path("enum").size() > 0) {
            return schema.path("enum").get(0);
        }
        String type = schema.path("type").isArray()
                ? schema.path("type").get(0).asString("")
                : schema.path("type").asString("");
        String format = schema.path("format").asString("");
        return switch (type) {
            case "object" -> {
                ObjectNode object = json.createObjectNode();
                if (depth < 6) {
                    schema.path("properties")
                            .properties()
                            .forEach(
                                    property -> object.set(property.getKey(), example(property.getValue(), depth + 1)));
                }
                yield object;
            }
            case "array" -> {
                ArrayNode list = json.createArrayNode();
                yield depth < 6 ? list.add(example(schema.path("items"), depth + 1)) : list;
            }
            case "boolean" -> json.getNodeFactory().booleanNode(false);
            case "integer", "number" -> json.getNodeFactory().numberNode(1);
            default ->
                json.getNodeFactory()
                        .stringNode(
                                switch (format) {
                                    case "uuid" -> UUID.randomUUID().toString();
                                    case "date" -> "2026-03-06";
                                    case "time" -> "10:00";
                                    case "date-time" -> "2026-03-06T10:00:00Z";
                                    case "email" -> "a@x.example";
                                    default -> "text";
                                });
        };
    }

    private String filled(String path, JsonNode operation, String value, String where) {
        String filled = path.replaceAll(
                "\\{\\w+}", where.equals("in path") && !value.isEmpty() ? value.replace("\\", "") : message);
        List<String> query = new ArrayList<>();
        for (JsonNode parameter : operation.path("parameters")) {
            if (parameter.path("in").asString("").equals("query")) {
                String usual = example(parameter.path("schema"), 0).asString("");
                query.add(parameter.path("name").asString("") + "=" + (where.equals("query") ? value : usual));
            }
        }
        return query.isEmpty() ? filled : filled + "?" + String.join("&", query);
    }

    private void send(HttpMethod method, String target, String body, String path) {
        MvcTestResult result;
        try {
            result = mvc.method(method)
                    .uri(java.net.URI.create(target.replace("'", "%27")))
                    .with(SecurityMockMvcRequestPostProcessors.csrf())
                    .with(SecurityMockMvcRequestPostProcessors.authentication(
                            new UsernamePasswordAuthenticationToken(me, null, List.of())))
                    .header("Idempotency-Key", UUID.randomUUID().toString())
                    .contentType(
                            path.contains("/files/") ? MediaType.APPLICATION_OCTET_STREAM : MediaType.APPLICATION_JSON)
                    .content(body.getBytes(StandardCharsets.UTF_8))
                    .exchange();
        } catch (IllegalArgumentException e) {
            return; // No such address can be sent at all.
        }
        int status = result.getResponse().getStatus();
        String type = String.valueOf(result.getResponse().getContentType());
        if (result.getUnresolvedException() != null || status >= 500) {
            failures.add(method + " " + path + " answers " + status + " to "
                    + (body.length() > 160 ? body.substring(0, 160) + "…" : body) + " at "
                    + target.replaceAll(message, "ID"));
        } else if (status >= 400 && !type.startsWith("application/problem+json")) {
            failures.add(method + " " + path + " answers " + status + " as " + type + " at "
                    + target.replaceAll(message, "ID"));
        }
    }

    /** What was found by trying stays tried. */
    @Test
    void aNameIsNotNeededToKnowWhatIsMissing() {
        me = newAccount();
        JsonNode problem =
                json.readTree(call(me, HttpMethod.POST, "/api/categories/" + UUID.randomUUID(), "{\"hue\":null}")
                        .getResponse()
                        .getContentAsByteArray());
        assertThat(problem.path("fields").path("name").asString("")).isEqualTo("is missing");
        assertThat(Map.of("status", problem.path("status").asInt())).containsEntry("status", 422);
    }
}
