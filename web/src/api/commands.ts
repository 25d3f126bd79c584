import { defineStore } from 'pinia'
import { markRaw } from 'vue'
import { client, commandHeader, newId, Problem, unwrap, type Done } from '@/api/client'
import { isOwn, onHappened, reload, reloadAll } from '@/api/live'
import { showDone, showProblem } from '@/api/toasts'

/** What this page has changed for whoever is signed in. */
const useCommands = defineStore('commands', {
  state: () => ({
    /** What can be taken back, the last one last. */
    undoable: [] as string[],
    /** Changes that are not answered yet. */
    underWay: markRaw(new Set<Promise<unknown>>()),
  }),
})

/** Somebody else's changes are not taken back from here. */
export function forgetChanges(): void {
  useCommands().$reset()
}

function noted<T>(work: Promise<T>): Promise<T> {
  const { underWay } = useCommands()
  underWay.add(work)
  const over = () => underWay.delete(work)
  work.then(over, over)
  return work
}

function ownHeader(): { 'Idempotency-Key': string } {
  const id = newId()
  isOwn(id)
  return commandHeader(id)
}

type Call = (header: { 'Idempotency-Key': string }) => Promise<{
  data?: Done
  error?: unknown
  response: Response
}>

/**
 * Runs a change: shows what it did with a way back, or what went wrong.
 *
 * The request is repeated with the same identifier while the application does not answer, so that a change made in a
 * short outage is neither lost nor made twice.
 */
export function run(
  call: Call,
  undoable: 'undoable' | 'final' = 'undoable',
  /** Says a problem where it belongs; answers whether it did. */
  saysProblem: (problem: unknown) => boolean = () => false,
): Promise<Done | undefined> {
  return noted(attempted(call, undoable, saysProblem))
}

async function attempted(
  call: Call,
  undoable: 'undoable' | 'final',
  saysProblem: (problem: unknown) => boolean,
): Promise<Done | undefined> {
  const header = ownHeader()
  for (let attempt = 0; ; attempt++) {
    try {
      const done = await unwrap(call(header))
      if (undoable === 'undoable') {
        useCommands().undoable.push(done.commandId)
        showDone(done.label, () => undo(done.commandId))
      } else {
        showDone(done.label)
      }
      reload(done.topics)
      return done
    } catch (problem) {
      if (problem instanceof Problem && problem.status === 0 && attempt < 4) {
        await new Promise((resolve) => setTimeout(resolve, 300 * 2 ** attempt))
        continue
      }
      if (!saysProblem(problem)) {
        showProblem(problem)
      }
      reloadAll()
      return undefined
    }
  }
}

const takenBack: ((commandId: string) => void)[] = []

/** Tells when a change made here was taken back. */
export function onTakenBack(tell: (commandId: string) => void): void {
  takenBack.push(tell)
}

/** Takes a change back; answers why not, where that is to be said by the caller. */
export async function undo(
  commandId: string,
  problems: 'shown' | 'said by the caller' = 'shown',
): Promise<string | undefined> {
  try {
    const done = await unwrap(
      client.POST('/api/commands/{commandId}/undo', {
        params: { path: { commandId }, header: ownHeader() },
      }),
    )
    const commands = useCommands()
    commands.undoable = commands.undoable.filter((id) => id !== commandId)
    takenBack.forEach((tell) => {
      tell(commandId)
    })
    showDone(done.label)
    reload(done.topics)
    return undefined
  } catch (problem) {
    reloadAll()
    if (problems === 'said by the caller' && problem instanceof Problem) {
      return problem.message
    }
    showProblem(problem)
    return undefined
  }
}

/** What happened by itself is said like what was done here, with the same way back. */
onHappened((commandId, label, undoable) => {
  if (undoable) {
    useCommands().undoable.push(commandId)
    showDone(label, () => undo(commandId))
  } else {
    showDone(label)
  }
})

/**
 * Takes back the last change made in this page, or the last one at all when it has just been loaded. It waits for what is
 * not answered yet: whoever is quick means that, and not the change before.
 */
export function undoLast(): Promise<void> {
  return noted(Promise.allSettled([...useCommands().underWay]).then(takeBackLast))
}

async function takeBackLast(): Promise<void> {
  const here = useCommands().undoable.at(-1)
  if (here) {
    await undo(here)
    return
  }
  try {
    const { last } = await unwrap(client.GET('/api/commands/last'))
    if (last) {
      await undo(last.commandId)
    } else {
      showDone('There is nothing to take back.')
    }
  } catch (problem) {
    showProblem(problem)
  }
}
