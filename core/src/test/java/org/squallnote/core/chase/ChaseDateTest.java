package org.squallnote.core.chase;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Language;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Answered;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.AwaitedBuilder;

class ChaseDateTest {

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));
    private static final Instant TUESDAY = Instant.parse("2026-03-10T10:00:00Z");
    private static final UUID ASK = new UUID(1, 1);
    private static final Party FELIX = new Party("Felix Amadi", "felix@amadidredging.example");

    private static Awaited asked(Instant since) {
        return new Awaited(FELIX, ASK, since, Optional.empty(), false, "Which week can you dredge?", false);
    }

    private static List<Answered> answers(int count, Duration each) {
        List<Answered> answers = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Instant at = Instant.parse("2026-01-05T09:00:00Z").plus(Duration.ofDays(7L * i));
            answers.add(new Answered(FELIX.address(), new UUID(2, i), at, at.plus(each)));
        }
        return answers;
    }

    private static ChaseDate date(Awaited one, List<Answered> answers) {
        return ChaseDate.of(one, ChasePolicy.USUAL, UsualTime.of(answers, OFFICE), Optional.empty(), OFFICE);
    }

    @Test
    void whoAlwaysTakesAWeekIsNotRemindedAfterThreeDays() {
        List<Answered> slow = answers(6, Duration.ofDays(4));
        UsualTime usual = UsualTime.of(slow, OFFICE).orElseThrow();
        assertThat(usual.median()).as("four working days of eight hours").isEqualTo(Duration.ofHours(32));
        ChaseDate date = date(asked(TUESDAY), slow);
        assertThat(date.why()).isEqualTo(ChaseDate.Why.USUAL);
        assertThat(date.day()).as("48 hours of work after Tuesday at ten").isEqualTo(LocalDate.of(2026, 3, 19));
    }

    @Test
    void whoIsQuickIsLaterThanUsualBeforeTheRule() {
        List<Answered> quick = answers(5, Duration.ofHours(2));
        Optional<UsualTime> usual = UsualTime.of(quick, OFFICE);
        assertThat(date(asked(TUESDAY), quick).why()).isEqualTo(ChaseDate.Why.SILENT);
        assertThat(ChaseDate.isLaterThanUsual(asked(TUESDAY), usual, OFFICE, TUESDAY.plus(Duration.ofHours(2))))
                .isFalse();
        assertThat(ChaseDate.isLaterThanUsual(asked(TUESDAY), usual, OFFICE, TUESDAY.plus(Duration.ofHours(4))))
                .isTrue();
    }

    @Test
    void fourAnswersSayNothingAndOldOnesAreForgotten() {
        assertThat(UsualTime.of(answers(4, Duration.ofHours(2)), OFFICE)).isEmpty();
        List<Answered> all = answers(10, Duration.ofDays(4));
        List<Answered> later = new ArrayList<>(all);
        for (int i = 0; i < 20; i++) {
            Instant at = Instant.parse("2027-01-04T09:00:00Z").plus(Duration.ofDays(7L * i));
            later.add(new Answered(FELIX.address(), new UUID(3, i), at, at.plus(Duration.ofHours(1))));
        }
        assertThat(UsualTime.of(later, OFFICE).orElseThrow().median()).isEqualTo(Duration.ofHours(1));
    }

    @Test
    void aDayChosenByHandHolds() {
        LocalDate sunday = LocalDate.of(2026, 3, 15);
        ChaseDate date = ChaseDate.of(asked(TUESDAY), ChasePolicy.USUAL, Optional.empty(), Optional.of(sunday), OFFICE);
        assertThat(date).isEqualTo(new ChaseDate(sunday, ChaseDate.Why.BY_HAND, Optional.empty()));
        assertThat(date.isDue(sunday)).isTrue();
        assertThat(date.isDue(sunday.minusDays(1))).isFalse();
    }

    @Test
    void daysAreChecked() {
        assertThatThrownBy(() -> new ChasePolicy(0, 2, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new ChasePolicy(3, 2, 61)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void theLetterNamesWhatIsMissingAndItsToneDependsOnHowOftenItWasAsked() {
        LocalDate by = LocalDate.of(2026, 3, 17);
        String first = ChaseLetter.draft(
                ChaseLetter.Words.USUAL,
                Language.ENGLISH,
                "Felix",
                List.of(asked(TUESDAY)),
                by,
                OFFICE.zone(),
                "Ines Calloway");
        assertThat(first)
                .startsWith("Hello Felix,")
                .contains("> on 10 March I asked: “Which week can you dredge?”")
                .endsWith("Ines Calloway");
        Awaited again = AwaitedBuilder.builder()
                .party(FELIX)
                .messageId(ASK)
                .since(TUESDAY)
                .by(Optional.of(LocalDate.of(2026, 3, 13).atStartOfDay()))
                .promised(true)
                .what("Which week can you dredge?")
                .lastMine(Optional.of(TUESDAY.plusSeconds(600)))
                .chases(1)
                .build();
        String second = ChaseLetter.draft(
                ChaseLetter.Words.USUAL,
                Language.ENGLISH,
                "",
                List.of(asked(TUESDAY), again),
                by,
                OFFICE.zone(),
                "Ines");
        assertThat(second)
                .startsWith("Hello,")
                .contains("by Tuesday, 17 March", "> You had hoped to have it by 13 March.");
        assertThat(second.split("I asked")).hasSize(3);
        assertThat(ChaseLetter.givenName("felix@amadidredging.example")).isEmpty();
        assertThat(ChaseLetter.givenName("Felix Amadi")).isEqualTo("Felix");
    }

    @Test
    void whereThereAreWordsInTheirLanguageTheyAreRemindedInIt() {
        ChaseWishes wishes = new ChaseWishes(
                ChasePolicy.USUAL,
                ChaseLetter.Words.USUAL,
                List.of(),
                Map.of("de", ChaseLetter.Words.usual(Language.GERMAN)));
        assertThat(wishes.languageFor(Optional.of(Language.GERMAN))).isEqualTo(Language.GERMAN);
        assertThat(wishes.languageFor(Optional.of(Language.FRENCH))).isEqualTo(Language.ENGLISH);
        assertThat(wishes.languageFor(Optional.empty())).isEqualTo(Language.ENGLISH);
        for (Language language : Language.values()) {
            ChaseLetter.Words words = ChaseLetter.Words.usual(language);
            assertThat(List.of(words.first(), words.second(), words.last()))
                    .as(language.tag())
                    .allSatisfy(text -> assertThat(text).contains("{name}", "{asks}", "{me}"));
            assertThat(List.of(words.second(), words.last()))
                    .allSatisfy(text -> assertThat(text).contains("{day}"));
            assertThat(Language.of(List.of(words.second())))
                    .as("it is read as what it is")
                    .contains(language);
        }
    }
}
