import type { RecipeConditions, RecipeForm, RecipeStep } from '@/api/client'

export const STEP_NAMES: Record<RecipeStep['kind'], string> = {
  FOLLOW_UP: 'Make a follow-up',
  ANSWER: 'Answer with a phrase',
  HAND_OVER: 'Hand over by mail',
  PUT_OFF: 'Put off',
  NOTHING: 'Nothing to do',
  ARCHIVE: 'Archive the mail',
  MARK_READ: 'Mark the mail as read',
  MOVE: 'Move the mail to a folder',
}

export function newStep(kind: RecipeStep['kind']): RecipeStep {
  return {
    kind,
    title: '',
    workingDays: kind === 'PUT_OFF' ? 1 : null,
    categoryId: null,
    effortMinutes: null,
    place: '',
    phraseId: null,
    folder: '',
    address: '',
    note: '',
  }
}

export const NO_CONDITIONS: RecipeConditions = {
  sender: '',
  domain: '',
  list: '',
  room: '',
  words: [],
  nature: null,
  addressed: null,
  files: null,
  asksMe: null,
}

export function newRecipe(place: number): RecipeForm {
  return {
    name: '',
    letter: null,
    place,
    automatic: false,
    conditions: { ...NO_CONDITIONS },
    steps: [newStep('FOLLOW_UP')],
  }
}

const NATURES: Record<NonNullable<RecipeConditions['nature']>, string> = {
  PERSON: 'from a person',
  BULK: 'automatic',
  AUTO_REPLY: 'an automatic reply',
  BOUNCE: 'a failed delivery',
  INVITATION: 'an invitation',
}
export const NATURE_NAMES = Object.entries(NATURES) as [
  NonNullable<RecipeConditions['nature']>,
  string,
][]

/** Conditions in words, for the list; empty when there are none. */
export function inWords(c: RecipeConditions): string {
  return [
    c.sender === '' ? '' : `from “${c.sender}”`,
    c.domain === '' ? '' : `from @${c.domain.replace(/^@/, '')}`,
    c.list === '' ? '' : `in the list ${c.list}`,
    c.room === '' ? '' : 'in a room',
    c.words.length === 0 ? '' : `with ${c.words.map((word) => `“${word}”`).join(' or ')}`,
    c.nature === null ? '' : NATURES[c.nature],
    c.addressed === null ? '' : c.addressed === 'TO' ? 'to me' : 'in copy to me',
    c.files === null ? '' : c.files ? 'with files' : 'without files',
    c.asksMe === null ? '' : c.asksMe ? 'that asks me' : 'that does not ask me',
  ]
    .filter(Boolean)
    .join(', ')
}
