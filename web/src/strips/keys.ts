/** The keys of lists beside a view: part of that view's own, so that they are listed and changed with them. */
export const STRIP_KEYS = {
  beside: { key: 'v', shift: false, does: 'Show a list beside it, or fold it away' },
  besideToo: { key: 'v', shift: true, does: 'The second list beside it' },
} as const
