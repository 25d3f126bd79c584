import { CalendarDays } from '@lucide/vue'
import CalendarSource from '@/settings/kinds/calendar/CalendarSource.vue'
import { defineKind } from '@/settings/kinds/kinds'

export default defineKind({
  kind: 'CALENDARS',
  order: 3,
  name: 'calendars',
  icon: CalendarDays,
  settings: CalendarSource,
})
