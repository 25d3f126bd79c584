package org.squallnote.server.command;

import java.util.LinkedHashSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What is different between two states of a row, as the history keeps it: of each side only what the other side has
 * otherwise, null where it has nothing. Put onto a state it is a merge patch (RFC 7396). So a change is small however
 * large its row is, says nothing of what it did not touch, and can be taken back after other parts have changed.
 *
 * <p>A list whose elements each have a {@code messageId} is compared element by element, and its order is not kept; any other
 * list is compared as a whole.
 */
final class StateDifference {

    private static final String ELEMENT = "messageId";
    /** Stands for such a list: its elements by what tells them apart. No state has a property of this name. */
    private static final String LIST = "each by messageId";

    private StateDifference() {}

    /** Both sides of a change; null where the row did not exist, and then the other side is the whole row. */
    record Sides(@Nullable JsonNode before, @Nullable JsonNode after) {}

    /** The difference between two states, or between two sides that are a difference already. */
    static Sides between(@Nullable JsonNode before, @Nullable JsonNode after) {
        if (before == null || after == null) {
            return new Sides(before, after);
        }
        JsonNode a = keyed(before);
        JsonNode b = keyed(after);
        return a instanceof ObjectNode left && b instanceof ObjectNode right
                ? between(left, right)
                : new Sides(before, after);
    }

    private static Sides between(ObjectNode before, ObjectNode after) {
        ObjectNode left = JsonNodeFactory.instance.objectNode();
        ObjectNode right = JsonNodeFactory.instance.objectNode();
        Set<String> names = new LinkedHashSet<>(before.propertyNames());
        names.addAll(after.propertyNames());
        for (String name : names) {
            JsonNode a = present(before.get(name));
            JsonNode b = present(after.get(name));
            if (a.equals(b)) {
                continue;
            }
            if (a instanceof ObjectNode inner && b instanceof ObjectNode other) {
                Sides sides = between(inner, other);
                left.set(name, present(sides.before()));
                right.set(name, present(sides.after()));
            } else {
                left.set(name, a);
                right.set(name, b);
            }
        }
        return new Sides(left, right);
    }

    private static JsonNode present(@Nullable JsonNode node) {
        return node == null ? JsonNodeFactory.instance.nullNode() : node;
    }

    /** Whether a state still is as one side of a change says; what that side does not mention may be anything. */
    static boolean holds(@Nullable JsonNode side, @Nullable JsonNode state) {
        return side == null ? state == null : state != null && covers(keyed(side), keyed(state));
    }

    private static boolean covers(JsonNode side, JsonNode state) {
        if (!(side instanceof ObjectNode wanted) || !(state instanceof ObjectNode there)) {
            return side.equals(state);
        }
        return wanted.propertyNames().stream()
                .allMatch(name -> covers(present(wanted.get(name)), present(there.get(name))));
    }

    /** A state with one side of a change put onto it. */
    static JsonNode applied(JsonNode state, JsonNode side) {
        return unkeyed(merged(keyed(state), keyed(side)));
    }

    private static JsonNode merged(JsonNode state, JsonNode side) {
        if (!(side instanceof ObjectNode patch)) {
            return side;
        }
        ObjectNode result =
                state instanceof ObjectNode there ? there.deepCopy() : JsonNodeFactory.instance.objectNode();
        for (String name : patch.propertyNames()) {
            JsonNode value = present(patch.get(name));
            if (value.isNull()) {
                result.remove(name);
            } else {
                result.set(name, merged(present(result.get(name)), value));
            }
        }
        return result;
    }

    private static JsonNode keyed(JsonNode node) {
        if (node instanceof ArrayNode list && !list.isEmpty() && everyElementIsNamed(list)) {
            ObjectNode elements = JsonNodeFactory.instance.objectNode();
            list.forEach(element -> elements.set(element.path(ELEMENT).asString(""), element));
            return JsonNodeFactory.instance.objectNode().set(LIST, elements);
        }
        if (node instanceof ObjectNode object) {
            ObjectNode result = JsonNodeFactory.instance.objectNode();
            object.propertyNames().forEach(name -> result.set(name, keyed(present(object.get(name)))));
            return result;
        }
        return node;
    }

    private static boolean everyElementIsNamed(ArrayNode list) {
        Set<String> names = new LinkedHashSet<>();
        for (JsonNode element : list) {
            if (!element.path(ELEMENT).isString()
                    || !names.add(element.path(ELEMENT).asString(""))) {
                return false;
            }
        }
        return true;
    }

    private static JsonNode unkeyed(JsonNode node) {
        if (node instanceof ObjectNode object) {
            if (object.get(LIST) instanceof ObjectNode elements && object.size() == 1) {
                ArrayNode list = JsonNodeFactory.instance.arrayNode();
                elements.values().forEach(list::add);
                return list;
            }
            ObjectNode result = JsonNodeFactory.instance.objectNode();
            object.propertyNames().forEach(name -> result.set(name, unkeyed(present(object.get(name)))));
            return result;
        }
        return node;
    }
}
