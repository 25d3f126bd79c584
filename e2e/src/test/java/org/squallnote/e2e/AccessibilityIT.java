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

    @ParameterizedTest
    @CsvSource({
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
        "/follow-ups, [data-follow-up] > [data-test=snapshot]",
        "/changes, [data-test=change]",
        "/threads, [data-test=threads]",
        "/threads, [data-row='0'] > [data-test=thread-message]",
        "/settings/sources, [data-test=source]",
        "/settings/sources, [data-test=add-mail] > [data-test=mail-form]",
        "/settings/categories, [data-test=category-row]",
        "/settings/working-time, [data-test=working-time]",
        "/settings/senders, .key",
        "/settings/account, [data-test=add-account]",
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
        "/intake, [data-test=intake-list]",
        "/follow-ups, [data-test=follow-up]",
        "/changes, [data-test=change]",
        "/threads, [data-test=threads]",
        "/settings/recipes, [data-test=recipe-new]",
        "/settings/keys, [data-test=key-row]"
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
