/** A part of the first sitting: what is explained, where, and what it is about on the screen. */
export interface GuideStep {
  readonly path: string
  /** CSS of what is ringed; the first one that is there. */
  readonly anchor: string
  readonly title: string
  readonly text: string
}

export const GUIDE_STEPS: readonly GuideStep[] = [
  {
    path: '/settings/sources',
    anchor: 'h1',
    title: 'It begins with your messages.',
    text: 'Here your mailbox, your chat and your calendars are connected. Each is tried before it is kept.',
  },
  {
    path: '/intake',
    anchor: '[data-test=intake-list]',
    title: 'What came in stands here.',
    text: 'Each row says who wrote, the sentence that asks you, and by when. Choose one.',
  },
  {
    path: '/intake',
    anchor: '[data-test=decide-follow-up]',
    title: 'Each message is decided once.',
    text: 'Make it a follow-up, answer it, hand it over, or say that nothing is to be done. The letters on the buttons do it from the keyboard, and the next one is there.',
  },
  {
    path: '/follow-ups',
    anchor: '[role=listbox]',
    title: 'What you have taken on stands here.',
    text: 'Each with the message it comes from, a reply-by date and a category.',
  },
  {
    path: '/threads',
    anchor: '[data-test=turn-WITH_OTHERS]',
    title: 'Whose turn it is, in every conversation.',
    text: 'Yours, or theirs: then it says when to ask again, and has the words ready.',
  },
  {
    path: '/today',
    anchor: '[data-test=standing], main section',
    title: 'What this day asks of you.',
    text: 'Let it be laid into the hours that your meetings leave, and work through it.',
  },
  {
    path: '/today',
    anchor: '[data-test=capture]',
    title: 'Anything else is written down here, from anywhere.',
    text: 'As you would say it: “call the crane firm by Friday, 15 min”.',
  },
  {
    path: '/today',
    anchor: '[data-test=account]',
    title: 'That is all for a beginning.',
    text: 'Under your name stand Help, files from other programs, and what you did today. Whatever you do can be taken back.',
  },
]
