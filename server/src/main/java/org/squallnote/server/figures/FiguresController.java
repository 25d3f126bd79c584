package org.squallnote.server.figures;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;

/** Figures of some days. */
@RestController
class FiguresController {

    private final RecordFigures figures;

    FiguresController(RecordFigures figures) {
        this.figures = figures;
    }

    /**
     * Figures of some days; of the last twelve weeks and this one where none are said.
     *
     * @param from the first day, in the account's zone
     * @param to the last one
     */
    @GetMapping("/api/record/figures")
    RecordFigures.FiguresView figures(
            @CurrentAccount SignedIn me,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate to) {
        return figures.of(me, from, to);
    }
}
