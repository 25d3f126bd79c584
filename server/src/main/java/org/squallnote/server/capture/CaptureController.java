package org.squallnote.server.capture;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.capture.CaptureText;
import org.squallnote.core.capture.Captured;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** Understands what is typed or pasted. */
@RestController
class CaptureController {

    private static final int LONGEST = 50_000;

    private final CaptureContexts contexts;

    CaptureController(CaptureContexts contexts) {
        this.contexts = contexts;
    }

    record CaptureRequest(@NotNull @Size(max = LONGEST) String text) {}

    /** A text understood; {@code rest} is what is beyond the most that can be made at once. */
    record CaptureView(CaptureText.Sort sort, List<CaptureItem> items, String rest) {}

    /** What may be a person or a place, but names nobody and nothing that is known; its words stand in the title. */
    record CaptureOffer(Captured.Kind kind, String name, String words) {}

    /** The words of a line that were understood as a part of the follow-up, in UTF-16 units. */
    record CaptureWords(Captured.Kind kind, int fromInclusive, int toExclusive) {

        static CaptureWords of(Captured.Part part) {
            return new CaptureWords(
                    part.kind(), part.span().fromInclusive(), part.span().toExclusive());
        }
    }

    record CaptureItem(
            String title,
            @Nullable LocalDate replyDay,
            @Nullable LocalTime replyTime,
            boolean firm,
            @Nullable Integer effortMinutes,
            @Nullable UUID categoryId,
            List<Party> people,
            String place,
            String repeats,
            List<String> steps,
            List<CaptureWords> words,
            List<CaptureOffer> offers,
            boolean taken,
            String why) {

        static CaptureItem of(CaptureText.Item item) {
            Captured captured = item.captured();
            return new CaptureItem(
                    captured.title(),
                    captured.replyBy().map(ReplyBy::day).orElse(null),
                    captured.replyBy().flatMap(ReplyBy::time).orElse(null),
                    captured.replyBy().filter(ReplyBy::firm).isPresent(),
                    captured.effortMinutes().orElse(null),
                    captured.category().orElse(null),
                    captured.people(),
                    captured.place(),
                    captured.repeats(),
                    captured.steps(),
                    captured.parts().stream().map(CaptureWords::of).toList(),
                    captured.offers().stream()
                            .map(offer -> new CaptureOffer(offer.kind(), offer.name(), offer.words()))
                            .toList(),
                    item.taken(),
                    item.why());
        }
    }

    /** Those whom the user has to do with, the nearest first. */
    @GetMapping("/api/capture/people")
    List<Party> people(@CurrentAccount SignedIn me) {
        return contexts.of(me.accountId()).people();
    }

    @PostMapping("/api/capture/read")
    CaptureView read(@CurrentAccount SignedIn me, @Valid @RequestBody CaptureRequest body) {
        CaptureText.Result result = CaptureText.read(body.text(), contexts.of(me.accountId()));
        return new CaptureView(
                result.sort(), result.items().stream().map(CaptureItem::of).toList(), result.rest());
    }
}
