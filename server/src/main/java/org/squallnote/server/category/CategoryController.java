package org.squallnote.server.category;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.category.Category;
import org.squallnote.core.category.Hue;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Settings › Categories. */
@RestController
class CategoryController {

    private final Categories categories;

    CategoryController(Categories categories) {
        this.categories = categories;
    }

    record CategoryView(
            UUID id,
            String name,
            Hue hue,
            String monogram,
            @Nullable String letter,
            @Nullable Integer replyDays,
            @Nullable Integer effortMinutes,
            boolean retired,
            int version) {

        static CategoryView of(Category c) {
            return new CategoryView(
                    c.id(),
                    c.name(),
                    c.hue(),
                    c.monogram(),
                    c.letter(),
                    c.replyDays(),
                    c.effortMinutes(),
                    c.retiredAt() != null,
                    c.version());
        }
    }

    record CategoryForm(
            @NotBlank @Size(max = Categories.LONGEST_NAME) String name,
            Hue hue,
            @Nullable @Size(max = 1) String letter,
            @Nullable @Min(0) @Max(90) Integer replyDays,
            @Nullable @Min(1) @Max(1440) Integer effortMinutes) {

        Categories.Content content() {
            return new Categories.Content(name, hue, letter, replyDays, effortMinutes);
        }
    }

    @GetMapping("/api/categories")
    List<CategoryView> all(@CurrentAccount SignedIn me) {
        return categories.all(me).stream().map(CategoryView::of).toList();
    }

    @PostMapping("/api/categories/{id}")
    @ResponseStatus(HttpStatus.CREATED)
    Done add(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody CategoryForm body) {
        return categories.add(me, commandId, id, body.content());
    }

    @PutMapping("/api/categories/{id}")
    Done change(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody CategoryForm body) {
        return categories.change(me, commandId, id, version, body.content());
    }

    @PostMapping("/api/categories/{id}/retired")
    Done retire(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam boolean retired) {
        return categories.retire(me, commandId, id, version, retired);
    }

    @PostMapping("/api/categories/{id}/merge")
    Done merge(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @RequestParam UUID into) {
        return categories.merge(me, commandId, id, into);
    }

    @PutMapping("/api/categories")
    Done order(@CurrentAccount SignedIn me, @CommandId UUID commandId, @RequestBody @Size(max = 100) List<UUID> ids) {
        return categories.order(me, commandId, ids);
    }
}
