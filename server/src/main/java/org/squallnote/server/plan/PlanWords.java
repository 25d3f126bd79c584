package org.squallnote.server.plan;

import org.springframework.stereotype.Component;
import org.squallnote.core.plan.MorningPlan;
import org.squallnote.core.plan.Today;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reminder.DayWords;

/** The plan of today in words. */
@Component
class PlanWords implements DayWords {

    private static final int DAYS = 10;

    private final DayBook book;

    PlanWords(DayBook book) {
        this.book = book;
    }

    @Override
    public String today(SignedIn me) {
        DayBook.Opened opened = book.open(me, DAYS);
        return MorningPlan.of(Today.of(opened.horizon()), opened.meetings(), opened.horizon());
    }
}
