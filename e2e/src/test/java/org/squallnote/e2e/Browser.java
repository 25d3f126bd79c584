package org.squallnote.e2e;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Debian's Chromium, headless, with the few steps that all tests take. */
final class Browser implements AutoCloseable {

    private final ChromeDriver driver;
    private final String base;

    Browser(String base) {
        this.base = base;
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-dev-shm-usage",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-quic",
                "--force-color-profile=srgb",
                "--window-size=1280,800");
        this.driver = new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(Path.of("/usr/bin/chromedriver").toFile())
                        .build(),
                options);
        size(1280, 800);
    }

    ChromeDriver driver() {
        return driver;
    }

    /** Sets the size of the page itself. */
    void size(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
        driver.manage().window().setSize(new Dimension(Math.max(width, 500), height));
    }

    void open(String path) {
        driver.get(base + path);
    }

    void signIn(String name, String password) {
        open("/intake");
        find("input[name=username]").sendKeys(name);
        find("input[name=password]").sendKeys(password);
        find("button[type=submit]").click();
        find("[data-test=account]");
    }

    /** Makes the owner's account at the first visit. */
    void firstVisit(String name, String signIn, String password) {
        open("/");
        untilText("Make the owner's account");
        type("input[name=name]", name);
        type("input[name=username]", signIn);
        type("input[name=password]", password, Keys.ENTER);
        untilText("Nothing is open");
    }

    /** The first element, once it is there and can be seen. */
    WebElement find(String css) {
        return until(
                () -> {
                    WebElement found = driver.findElement(By.cssSelector(css));
                    return found.isDisplayed() ? found : null;
                },
                "an element " + css);
    }

    /** A row of a long list, of which only what is seen is drawn: scrolls until it is there. */
    WebElement row(String css) {
        return until(
                () -> {
                    List<WebElement> rows = all("[data-rows] " + css);
                    if (!rows.isEmpty()) {
                        js("arguments[0].scrollIntoView({block: 'center'})", rows.get(0));
                        return rows.get(0);
                    }
                    js("const list = document.querySelector('[data-rows]'); if (!list) return; const to ="
                            + " list.scrollTop + list.clientHeight / 2; const before = list.scrollTop;"
                            + " list.scrollTop = to; if (list.scrollTop <= before) list.scrollTop = 0");
                    return null;
                },
                "a row " + css);
    }

    /** Clicks a row of a long list; where the list moves on, or a note covers the row, it is looked for again. */
    void clickRow(String css) {
        until(
                () -> {
                    row(css).click();
                    return Boolean.TRUE;
                },
                "a row " + css + " to be clicked");
    }

    /** Clicks it; drawn anew in between, it is looked for again. */
    void click(String css) {
        until(
                () -> {
                    find(css).click();
                    return Boolean.TRUE;
                },
                css + " to be clicked");
    }

    /** Types into it; drawn anew in between, it is looked for again. */
    void type(String css, CharSequence... keys) {
        until(
                () -> {
                    find(css).sendKeys(keys);
                    return Boolean.TRUE;
                },
                css + " to type into");
    }

    /** What can be read of it; drawn anew in between, it is looked for again. */
    String textOf(String css) {
        return until(() -> find(css).getText(), "the text of " + css);
    }

    /** What can be read of each that there is at one moment. */
    List<String> texts(String css) {
        return ((List<?>) js("return [...document.querySelectorAll(arguments[0])].map((e) => e.innerText)", css))
                .stream().map(String::valueOf).toList();
    }

    List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    boolean shows(String css) {
        return all(css).stream().anyMatch(WebElement::isDisplayed);
    }

    /** The text of the whole page. */
    String text() {
        return String.valueOf(js("return document.body.innerText"));
    }

    void untilText(String text) {
        until(() -> text().contains(text) ? Boolean.TRUE : null, "the text \"" + text + "\"");
    }

    void untilGone(String css) {
        until(() -> shows(css) ? null : Boolean.TRUE, "no element " + css);
    }

    /** Waits on a condition; an element just replaced, or still covered, counts as not yet there. */
    <T> T until(Supplier<T> condition, String what) {
        return new WebDriverWait(driver, Patience.now(), Duration.ofMillis(50))
                .withMessage(() -> "Waited for " + what + "; the page says:\n" + text())
                .ignoreAll(List.of(
                        StaleElementReferenceException.class,
                        NoSuchElementException.class,
                        ElementNotInteractableException.class))
                .until(ignored -> condition.get());
    }

    /** Turns to another window and brings it to the front: one that nobody sees draws nothing. */
    void toWindow(String handle) {
        driver.switchTo().window(handle);
        driver.executeCdpCommand("Page.bringToFront", Map.of());
    }

    /** Presses a key as somebody who types nowhere in particular. */
    void press(CharSequence key) {
        new Actions(driver).sendKeys(key).perform();
    }

    /** Presses a key while a modifier is held. */
    void pressWith(Keys modifier, CharSequence key) {
        new Actions(driver).keyDown(modifier).sendKeys(key).keyUp(modifier).perform();
    }

    void escape() {
        press(Keys.ESCAPE);
    }

    Object js(String script, Object... arguments) {
        return ((JavascriptExecutor) driver).executeScript(script, arguments);
    }

    @Override
    public void close() {
        driver.quit();
    }
}
