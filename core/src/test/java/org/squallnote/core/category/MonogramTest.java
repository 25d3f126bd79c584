package org.squallnote.core.category;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class MonogramTest {

    @Test
    void standsForTheCategoryAndIsFree() {
        assertThat(Monogram.propose("Crane", List.of())).isEqualTo("Cr");
        assertThat(Monogram.propose("Crane", List.of("Cr"))).isEqualTo("Ca");
        assertThat(Monogram.propose("Town council", List.of())).isEqualTo("Tc");
        assertThat(Monogram.propose("C", List.of())).isEqualTo("C1");
        assertThat(Monogram.propose("…", List.of("X1"))).isEqualTo("X2");
    }
}
