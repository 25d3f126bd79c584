package org.squallnote.server.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class StateDifferenceTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static JsonNode json(String text) {
        return JSON.readTree(text.replace('\'', '"'));
    }

    private static StateDifference.Sides between(String before, String after) {
        return StateDifference.between(json(before), json(after));
    }

    @Test
    void onlyWhatIsDifferentIsKept() {
        StateDifference.Sides sides = between(
                "{'title':'Send it','note':'a long note','steps':[{'done':false}]}",
                "{'title':'Send it','note':'a long note','steps':[{'done':true}]}");
        assertThat(sides.before()).isEqualTo(json("{'steps':[{'done':false}]}"));
        assertThat(sides.after()).isEqualTo(json("{'steps':[{'done':true}]}"));
    }

    @Test
    void aLinkThatIsAddedDoesNotRepeatTheOthers() {
        String one = "{'messageId':'a','snapshot':'" + "long ".repeat(1000) + "'}";
        String two = "{'messageId':'b','snapshot':'short'}";
        StateDifference.Sides sides = between("{'links':[" + one + "]}", "{'links':[" + one + "," + two + "]}");
        assertThat(sides.after().toString()).doesNotContain("long").contains("short");
        JsonNode back = StateDifference.applied(json("{'links':[" + one + "," + two + "]}"), sides.before());
        assertThat(back).isEqualTo(json("{'links':[" + one + "]}"));
    }

    @Test
    void whatWasLeftAloneMayHaveChangedSince() {
        StateDifference.Sides sides = between("{'title':'a','firm':false}", "{'title':'b','firm':false}");
        assertThat(StateDifference.holds(sides.after(), json("{'title':'b','firm':true,'fresh':1}")))
                .isTrue();
        assertThat(StateDifference.holds(sides.after(), json("{'title':'c','firm':false}")))
                .isFalse();
        assertThat(StateDifference.applied(json("{'title':'b','firm':true,'fresh':1}"), sides.before()))
                .isEqualTo(json("{'title':'a','firm':true,'fresh':1}"));
    }

    @Test
    void aRowThatDidNotExistIsNothingOnOneSideAndWholeOnTheOther() {
        StateDifference.Sides sides = StateDifference.between(null, json("{'title':'a'}"));
        assertThat(sides.before()).isNull();
        assertThat(sides.after()).isEqualTo(json("{'title':'a'}"));
        assertThat(StateDifference.holds(null, null)).isTrue();
        assertThat(StateDifference.holds(null, json("{'title':'a'}"))).isFalse();
        assertThat(StateDifference.holds(json("{'title':'a'}"), null)).isFalse();
    }

    /** As earlier versions wrote it: both states whole. */
    @Test
    void wholeStatesAreReadAsTheirDifference() {
        StateDifference.Sides sides = between("{'title':'a','firm':false}", "{'title':'b','firm':false}");
        assertThat(StateDifference.between(sides.before(), sides.after())).isEqualTo(sides);
    }

    @Test
    void anyChangeIsTakenBackExactly() {
        for (long seed = 0; seed < 2_000; seed++) {
            Random random = new Random(seed);
            JsonNode before = state(random);
            JsonNode after = state(random);
            StateDifference.Sides sides = StateDifference.between(before, after);
            assertThat(StateDifference.holds(sides.after(), after))
                    .as("seed %d", seed)
                    .isTrue();
            JsonNode back = StateDifference.applied(after, sides.before());
            assertThat(StateDifference.between(before, back).before())
                    .as("seed %d: %s to %s and back, but for the order of links: %s", seed, before, after, back)
                    .isEqualTo(JSON.createObjectNode());
        }
    }

    /** A row with the kinds of things that rows hold; a missing value stands for null, as it is read. */
    private static ObjectNode state(Random random) {
        ObjectNode state = JSON.createObjectNode();
        for (String name : List.of("title", "note", "place")) {
            if (random.nextBoolean()) {
                state.put(name, "text " + random.nextInt(3));
            }
        }
        state.put("firm", random.nextBoolean());
        if (random.nextBoolean()) {
            state.putObject("of").put("day", random.nextInt(2)).put("time", random.nextInt(2));
        }
        ArrayNode steps = state.putArray("steps");
        random.ints(random.nextInt(3), 0, 3).forEach(n -> steps.addObject().put("step", n));
        ArrayNode links = state.putArray("links");
        for (String id : List.of("a", "b", "c")) {
            if (random.nextBoolean()) {
                links.addObject().put("messageId", id).put("sentence", "s" + random.nextInt(2));
            }
        }
        return state;
    }
}
