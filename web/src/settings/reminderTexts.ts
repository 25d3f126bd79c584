/** The texts of reminders, in whatever language. */
export const REMINDER_TEXTS = [
  { field: 'firstText', name: 'The first reminder' },
  { field: 'secondText', name: 'The second one' },
  { field: 'lastText', name: 'Every further one' },
] as const
