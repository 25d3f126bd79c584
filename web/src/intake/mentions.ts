import { computed, nextTick, ref, type Ref } from 'vue'

interface Person {
  name: string
  address: string
}

/** What is being typed behind an @ right before a place in the text. */
export function mentionAt(
  text: string,
  place: number,
): { from: number; letters: string } | undefined {
  const found = /(?:^|[\s(])@([\p{L}\p{N}._-]*(?: [\p{L}\p{N}._-]*)?)$/u.exec(text.slice(0, place))
  return found ? { from: place - (found[1] ?? '').length - 1, letters: found[1] ?? '' } : undefined
}

/** Who is meant by some letters: those with a name or an id in which a word begins with them; at most six. */
export function meant<P extends Person>(people: readonly P[], letters: string): P[] {
  const wanted = letters.toLowerCase()
  return people
    .filter(({ name, address }) =>
      [name.toLowerCase(), ...name.toLowerCase().split(/\s+/), address.slice(1).toLowerCase()].some(
        (word) => word.startsWith(wanted),
      ),
    )
    .slice(0, 6)
}

/** Offers the people of a room while a name is typed behind an @. */
export function useMentions(
  text: Ref<string>,
  field: Readonly<Ref<HTMLTextAreaElement | null>>,
  people: Readonly<Ref<readonly Person[]>>,
) {
  const at = ref<{ from: number; letters: string }>()
  const marked = ref(0)
  const offered = computed(() => (at.value ? meant(people.value, at.value.letters) : []))

  function look(): void {
    at.value = people.value.length
      ? mentionAt(text.value, field.value?.selectionStart ?? 0)
      : undefined
    marked.value = 0
  }

  async function take(person: Person): Promise<void> {
    const begun = at.value
    if (!begun) {
      return
    }
    const written = `@${person.name || person.address.slice(1)} `
    const end = begun.from + 1 + begun.letters.length
    text.value = text.value.slice(0, begun.from) + written + text.value.slice(end)
    at.value = undefined
    await nextTick()
    field.value?.focus()
    field.value?.setSelectionRange(begun.from + written.length, begun.from + written.length)
  }

  /** Keys while somebody is on offer: arrows mark, Enter or Tab takes, Escape closes the offer and nothing else. */
  function onKey(event: KeyboardEvent): void {
    const person = offered.value[marked.value]
    if (!person || event.ctrlKey || event.metaKey) {
      return
    }
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const step = event.key === 'ArrowDown' ? 1 : -1
      marked.value = (marked.value + step + offered.value.length) % offered.value.length
    } else if (event.key === 'Enter' || event.key === 'Tab') {
      void take(person)
    } else if (event.key === 'Escape') {
      at.value = undefined
    } else {
      return
    }
    event.preventDefault()
    event.stopPropagation()
  }

  return { offered, marked, look, take, onKey }
}
