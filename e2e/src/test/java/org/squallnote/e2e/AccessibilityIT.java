package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each view without a violation of WCAG 2.2 AA that axe can find, by day and by night, wide and narrow. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AccessibilityIT {

    @TempDir
    static Path data;

    /** All that is different by night. */
    private static final List<String> COLOURS = List.of("color-contrast");

    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        office = Office.open(data, Days.WORKING_DAY, mail -> {});
        browser = office.browser();
        office.setUp().decideSome(office.quay().calendar());
        browser.open("/");
        browser.find("button[type=submit]");
        check("signing in");
        office.signIn();
    }

    @AfterAll
    void close() {
        office.close();
    }

    /** WCAG 2.2, success criterion 2.5.8, in pixels; 44 are wanted, which is why the smallest is printed. */
    private static final int LEAST_TARGET = 24;

    @ParameterizedTest
    @CsvSource({
        "/today, [data-test=could-be-done]",
        "/today, [data-test=plan] > [data-test=candidate]",
        "/ahead, [data-test=ahead-entry]",
        "/settings/sources, [data-test=add-calendars] > [data-test=calendar-form]",
        "/intake, article",
        "/intake, [data-test=decide-follow-up] > [data-test=sentence]",
        "/intake, [data-test=decide-follow-up] > [data-test=reply-by] > [aria-label^=Month]",
        "/intake, [data-test=decide-follow-up] > [data-test=open-checklist] > [data-test=checklist]",
        "/intake, [data-test=decide-answer] > [data-test=answer]",
        "/intake, [data-test=decide-hand-over] > [data-test=hand-over]",
        "/intake, [data-test=decide-recipes] > [data-test=recipes]",
        "/intake, [data-test=decide-nothing-always] > [data-test=always]",
        "/follow-ups, [data-test=capture] > [data-test=capture-field]",
        "/settings/recipes, [data-test=recipe-new] > [data-test=recipe-editor]",
        "/settings/phrases, [data-test=phrase-new] > [data-test=phrase-text]",
        "/settings/capture, [data-test=capture-address]",
        "/settings/keys, [data-test=key-row]",
        "/intake, [data-test=decide-put-off] > [data-test=put-off]",
        "/intake, [data-test=pick] > [data-test=several-follow-up] > [data-test=several-sentence]",
        "/follow-ups, [data-test=follow-up]",
        "/follow-ups, [data-test=here] > [data-test=here-and-now]",
        "/follow-ups, [data-follow-up] > [data-test=snapshot]",
        "/changes, [data-test=change]",
        "/threads, [data-test=threads]",
        "/threads, [data-row='0'] > [data-test=thread-message]",
        "/threads, [data-test=close] > [data-test=closing]",
        "/threads, [data-test=not-mine] > [data-test=whose]",
        "/threads?promised, [data-test=promises]",
        "/threads?promised, [data-test=it-takes-longer] > [data-test=holding]",
        "/threads?sweep, [data-test=sweep]",
        "/threads?handed, [data-test=board]",
        "/follow-ups, [data-follow-up] > [data-test=wait] > [data-test=wait-typed]",
        "/settings/chasing, [data-test=add-other-days] > [data-test=add-de] > [data-test=language]",
        "/find?q=crane, [data-test=found]",
        "/people, [data-person] > [data-test=person]",
        "/settings/sources, [data-test=source]",
        "/settings/sources, [data-test=add-mail] > [data-test=mail-form]",
        "/settings/sources, [data-test=add-chat] > [data-test=chat-form]",
        "/intake, [title*='surveyor on the gate'] > [data-test=react] > [data-sign]",
        "/intake, [data-test=decide-follow-up] > [data-test=category] > [role=listbox]",
        "/settings/categories, [data-test=category-row]",
        "/settings/working-time, [data-test=working-time]",
        "/settings/senders, .key",
        "/settings/account, [data-test=add-account]",
        "/settings/scripts, [data-test=webhooks]",
        "/take-in, dl",
        "/help, [data-test=how-to]",
        "/record/time, [data-test=time-add-first]",
        "/round, [data-test=round-start]",
    })
    void everyViewIsAccessible(String path, String steps) {
        browser.open(path);
        String[] selectors = steps.split(" > ");
        for (int i = 0; i < selectors.length; i++) {
            if (i < selectors.length - 1) {
                browser.click(selectors[i].strip());
            } else {
                browser.find(selectors[i].strip());
            }
        }
        check(path + " " + steps);
        browser.js("document.documentElement.dataset.theme = 'dark'");
        assertNoViolations(path + " " + steps + " by night", looking().withRules(COLOURS));
    }

    @ParameterizedTest
    @CsvSource({
        "/today, [data-test=could-be-done]",
        "/ahead, [data-test=ahead-entry]",
        "/intake, [data-test=intake-list]",
        "/follow-ups, [data-test=follow-up]",
        "/changes, [data-test=change]",
        "/threads, [data-test=threads]",
        "/find?q=crane, [data-test=found]",
        "/people, [data-test=people]",
        "/threads?promised, [data-test=promises]",
        "/threads?sweep, [data-test=sweep]",
        "/threads?handed, [data-test=board]",
        "/settings/chasing, [data-test=add-other-days]",
        "/settings/recipes, [data-test=recipe-new]",
        "/settings/keys, [data-test=key-row]",
        "/settings/scripts, [data-test=webhooks]",
        "/take-in, dl",
        "/help, [data-test=how-to]",
        "/record/time, [data-test=time-add-first]"
    })
    void nothingIsCutOffOnANarrowScreen(String path, String view) {
        browser.size(390, 844);
        browser.open(path);
        browser.find(view);
        assertThat(browser.js("return document.documentElement.scrollWidth"))
                .as("width of %s on 390 px", path)
                .isEqualTo(390L);
        check(path + " on 390 px");
        browser.size(1280, 800);
    }

    /** How far up and down from its middle each target is hit; what lies beside or over it is another one. */
    private static final String SMALLEST_TARGET = """
            const seen = [...document.querySelectorAll('button, a[href], input, select, textarea, summary')].filter((e) => {
              const r = e.getBoundingClientRect();
              return r.width > 0 && r.top > 50 && r.bottom < innerHeight - 60 && !e.closest('.sr-only') && !e.disabled;
            });
            const hit = (e, x, y) => { const at = document.elementFromPoint(x, y); return at && (e === at || e.contains(at) || (at.control ?? at.closest('label')?.control) === e); };
            let least = [999, ''];
            for (const e of seen) {
              const r = e.getBoundingClientRect(), x = r.left + r.width / 2, y = r.top + r.height / 2;
              if (!hit(e, x, y)) continue;
              let up = 0, down = 0;
              while (up < 30 && hit(e, x, y - up - 1)) up++;
              while (down < 30 && hit(e, x, y + down + 1)) down++;
              if (up + down + 1 < least[0]) least = [up + down + 1, e.outerHTML.slice(0, 90)];
            }
            return least;
            """;

    @ParameterizedTest
    @CsvSource({
        "/intake, [data-test=intake-list]",
        "/follow-ups, [data-test=follow-up]",
        "/threads, [data-test=threads]",
        "/threads?sweep, [data-test=sweep]",
        "/changes, [data-test=change]",
        "/settings/sources, [data-test=source]"
    })
    void aThumbHitsWhatItMeans(String path, String view) {
        browser.size(390, 844);
        browser.open(path);
        browser.find(view);
        List<?> least = (List<?>) browser.js(SMALLEST_TARGET);
        System.out.printf("Smallest target of %s on 390 px: %s px, %s%n", path, least.get(0), least.get(1));
        assertThat(((Number) least.get(0)).intValue())
                .as("%s: %s", path, least.get(1))
                .isGreaterThanOrEqualTo(LEAST_TARGET);
        browser.size(1280, 800);
    }

    private void check(String what) {
        assertNoViolations(what, looking().withTags(List.of("wcag2a", "wcag2aa", "wcag21aa", "wcag22aa")));
    }

    @SuppressWarnings("deprecation") // The other mode opens a window for each look, which a busy machine may refuse.
    private static AxeBuilder looking() {
        return new AxeBuilder()
                // Sentinels that keep the focus inside of a popover; they are left at once.
                .exclude("[data-headlessui-focus-guard]")
                .setLegacyMode(true);
    }

    private void assertNoViolations(String what, AxeBuilder look) {
        List<Rule> violations = look.analyze(browser.driver()).getViolations();
        assertThat(violations)
                .as(what)
                .extracting(rule -> rule.getId() + ": "
                        + rule.getNodes().stream()
                                .map(node -> node.getHtml())
                                .limit(3)
                                .toList())
                .isEmpty();
    }
}
