package org.squallnote.standins.chat;

import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The push rules of an account (client-server API, module push notifications): kept and told of as account data. Nothing
 * is ever pushed.
 */
final class PushRules {

    private static final String TYPE = "m.push_rules";
    private static final List<String> KINDS = List.of("override", "content", "room", "sender", "underride");

    private final HomeserverState state;

    PushRules(HomeserverState state) {
        this.state = state;
    }

    /**
     * Answers a request.
     *
     * @param path the parts behind {@code pushrules}: scope, kind, rule id, attribute
     */
    JsonNode answer(String method, List<String> path, String userId, JsonNode body) throws MatrixError {
        ObjectNode rules = of(userId);
        if (method.equals("GET") && path.size() <= 1) {
            return path.isEmpty() ? rules : rules.path("global");
        }
        if (path.size() < 3 || !path.get(0).equals("global") || !KINDS.contains(path.get(1))) {
            throw new MatrixError(404, "M_NOT_FOUND", "No such push rule");
        }
        ArrayNode ofKind = (ArrayNode) rules.path("global").path(path.get(1));
        int place = place(ofKind, path.get(2));
        if (method.equals("GET") && place >= 0) {
            return path.size() == 3
                    ? ofKind.get(place)
                    : HomeserverState.JSON
                            .createObjectNode()
                            .set(path.get(3), ofKind.get(place).path(path.get(3)));
        }
        change(method, path, body, ofKind, place);
        state.putAccountData(userId, TYPE, rules);
        return HomeserverState.JSON.createObjectNode();
    }

    private static void change(String method, List<String> path, JsonNode body, ArrayNode ofKind, int place)
            throws MatrixError {
        boolean attribute = path.size() > 3;
        if (method.equals("PUT") && !attribute) {
            ObjectNode rule = ((ObjectNode) body.deepCopy())
                    .put("rule_id", path.get(2))
                    .put("default", false)
                    .put("enabled", true);
            if (place >= 0) {
                ofKind.set(place, rule);
            } else {
                ofKind.insert(0, rule);
            }
        } else if (method.equals("PUT") && place >= 0) {
            ((ObjectNode) ofKind.get(place)).set(path.get(3), body.path(path.get(3)));
        } else if (method.equals("DELETE") && place >= 0) {
            ofKind.remove(place);
        } else {
            throw new MatrixError(404, "M_NOT_FOUND", "No such push rule");
        }
    }

    private ObjectNode of(String userId) {
        ObjectNode kept = state.accountDataOf(userId).get(TYPE);
        ObjectNode rules = kept == null ? HomeserverState.JSON.createObjectNode() : kept.deepCopy();
        KINDS.forEach(kind -> rules.withObject("/global").withArray(kind));
        return rules;
    }

    private static int place(ArrayNode rules, String id) {
        for (int i = 0; i < rules.size(); i++) {
            if (rules.get(i).path("rule_id").asString("").equals(id)) {
                return i;
            }
        }
        return -1;
    }
}
