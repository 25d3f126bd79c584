import type { SourceView } from '@/api/client'

/** When my marker of what is read in a room moves on, as the settings offer it. */
export const READ_MARKER_RULES: readonly { value: SourceView['archiveRule']; name: string }[] = [
  { value: 'NEVER', name: 'leave it where it is' },
  { value: 'AT_ONCE', name: 'move it on once I have decided' },
  { value: 'WHEN_ENDED', name: 'move it on when nothing is left to do' },
]
