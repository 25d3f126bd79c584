package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.function.Consumer;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.AppSetUp;
import org.squallnote.standins.scenario.MerrowQuay;

/** The application with both servers connected and a browser that is signed out. */
record Office(Quay quay, Application application, AppSetUp setUp, Browser browser) implements AutoCloseable {

    /** @param before puts more mail into the server before the application reads it */
    static Office open(Path data, Consumer<MailStandIn> before, String... options)
            throws IOException, InterruptedException {
        Quay quay = Quay.open();
        before.accept(quay.mail());
        Application application = new Application(data, options).start();
        AppSetUp setUp = new AppSetUp(application.address());
        assertThat(setUp.awaitApplication()).isTrue();
        setUp.connect(
                quay.mail().imapPort(),
                quay.mail().smtpPort(),
                quay.chat().address(),
                ZoneId.systemDefault().getId());
        assertThat(setUp.awaitSources()).isTrue();
        return new Office(quay, application, setUp, new Browser(application.address()));
    }

    void signIn() {
        browser.signIn(AppSetUp.SIGN_IN, MerrowQuay.PASSWORD);
    }

    @Override
    public void close() {
        browser.close();
        application.close();
        quay.close();
    }
}
