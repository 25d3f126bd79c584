import type { ProvedExchange } from '@/api/client'
import { workingSpan } from '@/ui/time'

/** Who asked whom. */
export function kindText(exchange: ProvedExchange): string {
  const other = exchange.other.name || exchange.other.address
  return {
    ASKED_ME: `${other} asked me`,
    ASKED_BY_ME: `I asked ${other}`,
    PROMISED_BY_ME: `I promised ${other}`,
    PROMISED_TO_ME: `${other} promised me`,
  }[exchange.kind]
}

/** What became of it. */
export const OUTCOMES: Readonly<Record<ProvedExchange['outcome'], string>> = {
  ANSWERED: 'answered',
  ANSWERED_BY_ANOTHER: 'answered by somebody else',
  WITHDRAWN: 'taken back by whoever asked',
  SETTLED: 'settled for whoever asked',
  UNDELIVERED: 'could not be delivered',
  OPEN: 'not answered yet',
}

/** How long it took, or has been open; in working time. */
export function spanText(exchange: ProvedExchange): string {
  const isOpen = exchange.outcome === 'OPEN'
  if (exchange.workingMinutes < 1) {
    return isOpen ? '' : 'at once'
  }
  return `${isOpen ? 'for' : 'after'} ${workingSpan(exchange.workingMinutes)}`
}
