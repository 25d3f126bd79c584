package org.squallnote.server.plan;

import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.calendar.CalendarChoice;
import tools.jackson.databind.json.JsonMapper;

/** The calendar of a server that an account's blocks are written into. */
@Component
class BlockCalendar extends CalendarChoice {

    BlockCalendar(Tools tools, JsonMapper json) {
        super(SubjectType.BLOCK_CALENDAR, "block-calendar", "Blocks", Calendar::isForEvents, tools, json);
    }
}
