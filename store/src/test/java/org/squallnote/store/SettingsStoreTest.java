package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.category.Category;
import org.squallnote.core.category.Hue;
import org.squallnote.core.message.Asks;
import org.squallnote.core.phrase.SavedPhrase;
import org.squallnote.core.recipe.Conditions;
import org.squallnote.core.recipe.Recipe;
import org.squallnote.core.recipe.Steps;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.core.settings.SettingsRow;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.installation.InstallationStore;
import org.squallnote.store.phrase.PhraseStore;
import org.squallnote.store.preference.PreferenceStore;
import org.squallnote.store.recipe.RecipeStore;
import org.squallnote.store.settings.SettingsStore;

/** What an account has set: categories, phrases, recipes, rules, settings by name. */
class SettingsStoreTest extends StoreTest {

    @Autowired
    private CategoryStore categories;

    @Autowired
    private PhraseStore phrases;

    @Autowired
    private RecipeStore recipes;

    @Autowired
    private SettingsStore settings;

    @Autowired
    private PreferenceStore preferences;

    @Autowired
    private InstallationStore installation;

    @Test
    void categoriesComeInTheirOrderAndAreChangedFromTheVersionThatWasSeen() {
        Category crane = new Category(UUID.randomUUID(), owner, "Crane", Hue.CLAY, "Cr", null, 1, 3, 40, null, 0);
        categories.insert(crane);
        categories.insert(new Category(UUID.randomUUID(), owner, "Yard", Hue.CLAY, "Ya", "Y", 0, null, null, null, 0));
        assertThat(categories.of(owner)).extracting(Category::name).containsExactly("Yard", "Crane");
        assertThat(categories.of(stranger)).isEmpty();
        assertThat(categories.update(crane)).isEqualTo(1);
        assertThat(categories.update(crane)).isZero();
        assertThat(categories.delete(stranger, crane.id())).isZero();
        assertThat(categories.delete(owner, crane.id())).isEqualTo(1);
    }

    @Test
    void phrasesBelongToTheirOwner() {
        SavedPhrase phrase = new SavedPhrase(UUID.randomUUID(), owner, "Thanks", "Thank you, {name}.");
        phrases.insert(phrase);
        assertThat(phrases.of(owner)).containsExactly(phrase);
        assertThat(phrases.byId(stranger, phrase.id())).isEmpty();
        assertThat(phrases.update(new SavedPhrase(phrase.id(), stranger, "x", "y")))
                .isZero();
        assertThat(phrases.delete(stranger, phrase.id())).isZero();
        assertThat(phrases.delete(owner, phrase.id())).isEqualTo(1);
    }

    @Test
    void recipesComeInTheirOrder() {
        Recipe second = recipe("second", 2);
        recipes.insert(second);
        recipes.insert(recipe("first", 1));
        assertThat(recipes.of(owner)).extracting(Recipe::name).containsExactly("first", "second");
        assertThat(recipes.byId(owner, second.id())).contains(second);
        assertThat(recipes.update(second)).isEqualTo(1);
        assertThat(recipes.update(second)).isZero();
        assertThat(recipes.of(stranger)).isEmpty();
        assertThat(recipes.delete(stranger, second.id())).isZero();
    }

    private Recipe recipe(String name, int place) {
        return new Recipe(UUID.randomUUID(), owner, name, null, place, false, Conditions.NONE, new Steps(List.of()), 0);
    }

    @Test
    void aRuleIsReplaced() {
        settings.saveRule(owner, new PartyRule("t@x", Asks.YES, null, false, CLOCK_CHANGE));
        settings.saveRule(owner, new PartyRule("t@x", null, 5, true, CLOCK_CHANGE));
        assertThat(settings.rules(owner)).containsExactly(new PartyRule("t@x", null, 5, true, CLOCK_CHANGE));
        assertThat(settings.rule(stranger, "t@x")).isEmpty();
        settings.deleteRule(stranger, "t@x");
        assertThat(settings.rules(owner)).hasSize(1);
        settings.deleteRule(owner, "t@x");
        assertThat(settings.rules(owner)).isEmpty();
    }

    @Test
    void settingsAreReplaced() {
        assertThat(settings.of(owner)).isEmpty();
        settings.save(owner, new AccountSettings(List.of("Inés"), true, Map.of(), "gb", List.of(DAY), 3, 30, 10));
        AccountSettings kept = new AccountSettings(List.of(), false, Map.of(), "de", List.of(), 2, null, null);
        settings.save(owner, kept);
        assertThat(settings.of(owner)).contains(new SettingsRow(kept));
        preferences.save(owner, "keys", "{}");
        preferences.save(owner, "keys", "{\"a\":1}");
        assertThat(preferences.of(owner, "keys")).contains("{\"a\":1}");
        assertThat(preferences.of(stranger, "keys")).isEmpty();
    }

    @Test
    void theInstallationHasSettingsOfItsOwn() {
        assertThat(installation.update("tried", "x")).isZero();
        installation.insert("tried", "x");
        assertThat(installation.update("tried", "y")).isEqualTo(1);
        assertThat(installation.setting("tried")).contains("y");
    }
}
