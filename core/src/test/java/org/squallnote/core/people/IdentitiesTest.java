package org.squallnote.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Party;

/** Merging persons, splitting them, and taking that back. */
class IdentitiesTest {

    private static final Identities NOBODY = new Identities(Map.of());

    @Test
    void anAddressIsAPersonOfItsOwnUntilItIsMerged() {
        assertThat(NOBODY.person("A@x.example")).isEqualTo("a@x.example");
        Identities merged = NOBODY.with(NOBODY.merging("b@x.example", "A@x.example"));
        assertThat(merged.person("b@x.example")).isEqualTo("a@x.example");
        assertThat(merged.addresses("b@x.example")).containsExactly("a@x.example", "b@x.example");
        Identities more = merged.with(merged.merging("a@x.example", "c@x.example"));
        assertThat(more.addresses("a@x.example")).containsExactly("c@x.example", "a@x.example", "b@x.example");
        assertThat(more.merging("a@x.example", "b@x.example"))
                .as("one person already")
                .isEmpty();
        assertThat(more.with(Map.of("a@x.example", "a@x.example")).addresses("b@x.example"))
                .as("split off")
                .containsExactly("c@x.example", "b@x.example");
    }

    /** Whatever was merged and split, in any order, taken back step by step nothing is left of it. */
    @Test
    void mergingAndSplittingIsUndoneExactly() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            Identities now = NOBODY;
            Deque<Map<String, String>> back = new ArrayDeque<>();
            Deque<Identities> before = new ArrayDeque<>();
            for (int step = 0; step < 12; step++) {
                String one = random.nextInt(6) + "@x.example";
                Map<String, String> changed =
                        random.nextInt(4) == 0 ? Map.of(one, one) : now.merging(one, random.nextInt(6) + "@x.example");
                Map<String, String> inverse = new HashMap<>();
                for (String each : changed.keySet()) {
                    inverse.put(each, now.main().getOrDefault(each, each));
                }
                before.push(now);
                back.push(inverse);
                now = now.with(changed);
                Identities after = now;
                for (int i = 0; i < 6; i++) {
                    String person = after.person(i + "@x.example");
                    assertThat(after.addresses(i + "@x.example"))
                            .as("everybody has each of their addresses")
                            .contains(i + "@x.example", person)
                            .allSatisfy(each -> assertThat(after.person(each)).isEqualTo(person));
                }
            }
            while (!back.isEmpty()) {
                now = now.with(back.pop());
                assertThat(now).as("seed %d", seed).isEqualTo(before.pop());
            }
        }
    }

    @Test
    void theSameNameAtAnotherAddressIsProposed() {
        Party tilda = new Party("Tilda Brandt", "tilda@brandt.example");
        Party other = new Party("Brandt, Tílda", "tb@private.example");
        Party stranger = new Party("Tilda", "t@x.example");
        assertThat(SameName.of(List.of(tilda), List.of(tilda, other, stranger))).containsExactly(other);
        assertThat(SameName.of(List.of(stranger), List.of(new Party("Tilda", "u@x.example"))))
                .as("a first name says nothing")
                .isEmpty();
    }
}
