package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.portable.AccountExport;
import org.squallnote.server.portable.AccountImport;
import org.squallnote.server.problem.Refusal;

/** An account as a whole: out, and in again. */
class PortableTest extends ServerTest {

    @TempDir
    Path folder;

    @Autowired
    private AccountImport accountImport;

    @Autowired
    private AccountExport accountExport;

    @Autowired
    private JdbcTemplate jdbc;

    private SignedIn me;

    @BeforeEach
    void someWork() {
        me = newAccount();
        arrive(me, mail(1, "q@x.example", "Berth list", "", "Could you send me the berth list?"));
        UUID list = UUID.randomUUID();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + firstInIntake(me) + "/follow-ups/" + list,
                "{\"title\":\"Send the list\",\"replyDay\":\"2026-03-05\",\"firm\":true}");
        change(me, HttpMethod.POST, "/api/follow-ups/" + list + "/work", "{\"minutes\":35}");
        upload(me, "/api/follow-ups/" + list + "/files/" + UUID.randomUUID() + "?name=plan.txt", "Berth 7");
        arrive(me, mine(200, "b@x.example", "q@x.example", "Here it is.", MONDAY.plusSeconds(3660)));
    }

    private byte[] exported() {
        return call(me, HttpMethod.GET, "/api/account/export", "").getResponse().getContentAsByteArray();
    }

    private static Map<String, String> entries(byte[] archive) throws IOException {
        Map<String, String> entries = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return entries;
    }

    /** All but the moment at which it was made. */
    private static Map<String, String> state(byte[] archive) throws IOException {
        Map<String, String> entries = entries(archive);
        entries.remove("manifest.json");
        entries.replaceAll((name, text) ->
                name.endsWith(".ics") ? text.replaceAll("(?m)^(DTSTAMP|LAST-MODIFIED|COMPLETED):.*$", "") : text);
        return entries;
    }

    private Path file(byte[] archive) throws IOException {
        return Files.write(folder.resolve(UUID.randomUUID() + ".zip"), archive);
    }

    /** As if it had never been here. */
    private void forget() {
        jdbc.execute("set referential_integrity false");
        for (String table : jdbc.queryForList(
                "select table_name from information_schema.columns where column_name = 'OWNER' and table_schema = 'PUBLIC'",
                String.class)) {
            jdbc.update("delete from " + table + " where owner = ?", me.accountId());
        }
        jdbc.update("delete from account where id = ?", me.accountId());
        jdbc.execute("set referential_integrity true");
    }

    @Test
    void comesBackAsItWasAndOnceMoreChangesNothing() throws IOException {
        byte[] before = exported();
        assertThat(entries(before).keySet())
                .contains("manifest.json", "schema.json", "tables/message.jsonl", "follow-ups.ics", "people.vcf")
                .anyMatch(name -> name.startsWith("messages/") && name.endsWith(".eml"))
                .anyMatch(name -> name.startsWith("files/"));
        forget();
        assertThat(get(me, "/api/record").path("lines").size()).isZero();
        AccountImport.TakenIn taken = accountImport.run(file(before));
        assertThat(taken.rows()).isPositive();
        assertThat(taken.messages()).isEqualTo(2);
        assertThat(taken.password()).hasSize(20);
        assertThat(state(exported())).isEqualTo(state(before));
        AccountImport.TakenIn again = accountImport.run(file(before));
        assertThat(again.rows()).isZero();
        assertThat(again.messages()).isZero();
        assertThat(again.password()).isEmpty();
        assertThat(state(exported())).isEqualTo(state(before));
    }

    @Test
    void itsTasksAreReadByAnotherParserAndSayFromWhichMessageTheyCome() throws Exception {
        String text = entries(exported()).get("follow-ups.ics");
        Calendar calendar =
                new CalendarBuilder().build(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
        assertThat(calendar.getComponents("VTODO")).hasSize(1);
        assertThat(calendar.getComponents("VTODO").get(0).toString())
                .contains("SUMMARY:Send the list", "URL:mid:q@x.example");
    }

    @Test
    void whatIsChangedWhileItIsWrittenIsNotInIt() throws Exception {
        Map<String, String> before = state(exported());
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        AtomicBoolean changed = new AtomicBoolean();
        OutputStream inUse = new OutputStream() {
            @Override
            public void write(int one) {
                bytes.write(one);
            }

            @Override
            public void write(byte[] some, int from, int length) {
                bytes.write(some, from, length);
                if (!changed.getAndSet(true)) {
                    // Somebody goes on working.
                    Thread other = new Thread(() -> capture(me, captured(UUID.randomUUID(), "Polish the bell", "")));
                    other.start();
                    try {
                        other.join();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                }
            }
        };
        accountExport.write(me.accountId(), inUse);
        assertThat(changed).isTrue();
        assertThat(state(bytes.toByteArray())).isEqualTo(before);
        assertThat(entries(exported()).get("follow-ups.ics")).contains("Polish the bell");
    }

    @Test
    void noSecretIsInIt() throws IOException {
        String all = String.join("\n", entries(exported()).values());
        String hash =
                jdbc.queryForObject("select password_hash from account where id = ?", String.class, me.accountId());
        assertThat(all).doesNotContain(hash).doesNotContain("\"secret\"");
    }

    @Test
    void whatIsDamagedOrSomebodyElsesIsNotTakenInAtAll() throws IOException {
        byte[] before = exported();
        forget();
        Map<String, String> entries = entries(before);
        assertRefused(with(entries, "tables/follow_up.jsonl", "{\"id\":\"no\"}\n"), "damaged");
        assertRefused(
                with(
                        entries,
                        "tables/message.jsonl",
                        entries.get("tables/message.jsonl")
                                .replace(
                                        me.accountId().toString(),
                                        UUID.randomUUID().toString())),
                "another account");
        assertRefused(
                with(
                        entries,
                        "manifest.json",
                        entries.get("manifest.json").replaceAll("\"schema\" : \"\\d+\"", "\"schema\" : \"7\"")),
                "another version");
        assertRefused(with(entries, "manifest.json", "{\"format\":\"squallnote-account\",\"version\":1}"), "damaged");
        Map<String, String> more = new LinkedHashMap<>(entries);
        more.put("messages/" + UUID.randomUUID() + ".eml", "From: nobody\r\n\r\nof no message");
        assertRefused(with(more, "", ""), "damaged");
        assertRefused(
                with(
                        entries,
                        "tables/follow_up.jsonl",
                        entries.get("tables/follow_up.jsonl").replace("2026-03-05", "soon")),
                "damaged");
        assertThat(jdbc.queryForObject("select count(*) from account where id = ?", Integer.class, me.accountId()))
                .isZero();
        accountImport.run(file(before));
        assertThat(state(exported())).isEqualTo(state(before));
    }

    /** As after an older copy of the data had been put back and the mail read once more. */
    @Test
    void messagesThatCameInAnotherWayMeanwhileAreSaidToBeThere() throws IOException {
        Map<String, String> entries = entries(exported());
        String id = jdbc.queryForObject("select min(id) from message where owner = ?", String.class, me.accountId());
        String messages = entries.get("tables/message.jsonl");
        assertThat(messages).contains(id);
        assertRefused(
                with(
                        entries,
                        "tables/message.jsonl",
                        messages.replace(id, UUID.randomUUID().toString())),
                "in another way");
    }

    private void assertRefused(byte[] archive, String why) throws IOException {
        Path file = file(archive);
        assertThatThrownBy(() -> accountImport.run(file))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining(why)
                .hasMessageContaining("Nothing was taken in");
    }

    private static byte[] with(Map<String, String> entries, String name, String text) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write((entry.getKey().equals(name) ? text : entry.getValue()).getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }
}
