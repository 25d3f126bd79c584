import type { FiguresView } from '@/api/client'
import { useAccountCalendar } from '@/ui/accountCalendar'
import { effortText } from '@/ui/effort'
import { day, shiftDay } from '@/ui/time'

/** A length of working time in two units at most, never said shorter than it is; "at once" for less than a minute. */
export function span(minutes: number): string {
  const { minutesOfADay } = useAccountCalendar()
  if (minutes < 1) {
    return 'at once'
  }
  if (minutes < minutesOfADay) {
    return effortText(minutes)
  }
  const hours = Math.ceil((minutes % minutesOfADay) / 60)
  const days = Math.floor(minutes / minutesOfADay)
  return hours === 0
    ? `${days} d`
    : hours * 60 < minutesOfADay
      ? `${days} d ${hours} h`
      : `${days + 1} d`
}

const share = (part: number, whole: number) => `${Math.round((part * 100) / whole)} %`
const many = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`

/** What response times say. */
export function responseWords({ responses }: FiguresView): string {
  const { all, unanswered } = responses
  if (all.count === 0) {
    return unanswered === 0
      ? 'Nobody asked you anything in these days.'
      : `${many(unanswered, 'question was', 'questions were')} not answered in writing.`
  }
  const rest =
    unanswered === 0
      ? ''
      : ` ${unanswered} more ${unanswered === 1 ? 'was' : 'were'} not answered in writing.`
  return `You answered half of ${many(all.count, 'question', 'questions')} within ${span(all.medianMinutes)}, nine of ten within ${span(all.p90Minutes)}.${rest}`
}

/** What being in time says. */
export function punctualityWords({ punctuality }: FiguresView): string {
  const { onTime, late, undated } = punctuality
  const rest = undated === 0 ? '' : ` ${undated} more had no date.`
  return onTime + late === 0
    ? `Nothing with a date was done in these days.${rest}`
    : `${onTime} of ${onTime + late} with a date were in time (${share(onTime, onTime + late)}).${rest}`
}

/** What coming and going says. */
export function flowWords({ flow }: FiguresView): string {
  const sum = (of: (week: FiguresView['flow'][number]) => number) =>
    flow.reduce((all, week) => all + of(week), 0)
  const came = sum((week) => week.cameIn)
  const grew = flow.filter((week) => week.decided < week.cameIn).length
  return came === 0
    ? 'Nothing came in.'
    : `${came} came in, ${sum((week) => week.decided)} were decided and ${many(
        sum((week) => week.ended),
        'follow-up',
        'follow-ups',
      )} ended; in ${grew} of ${many(flow.length, 'week', 'weeks')} more came in than was decided.`
}

/** What the age of open threads says. */
export function ageWords({ ages }: FiguresView): string {
  const sum = (of: (age: FiguresView['ages'][number]) => number, from = 0) =>
    ages.slice(from).reduce((all, age) => all + of(age), 0)
  const mine = sum((age) => age.withMe)
  const others = sum((age) => age.withOthers)
  if (mine + others === 0) {
    return 'No thread is open.'
  }
  return `Of ${many(mine, 'thread', 'threads')} with you ${sum((age) => age.withMe, 2)} ${sum((age) => age.withMe, 2) === 1 ? 'is' : 'are'} older than a week, of ${others} with others ${sum((age) => age.withOthers, 2)}.`
}

/** What is said of those for whom I wait. */
export function othersWords({ others }: FiguresView): string {
  const waiting = others.filter((one) => one.waiting > 0).length
  const slowest = others
    .filter((one) => one.spread.count >= 3)
    .sort((one, other) => other.spread.medianMinutes - one.spread.medianMinutes)[0]
  const rest = slowest
    ? ` ${slowest.address} takes longest: half of ${slowest.spread.count} answers came within ${span(slowest.spread.medianMinutes)}.`
    : ''
  return `${waiting === 0 ? 'Nobody owes you anything.' : waiting === 1 ? 'One of these owes you something.' : `${waiting} of these owe you something.`}${rest}`
}

/** What is said of estimates. */
export function effortWords({ efforts }: FiguresView): string {
  if (efforts.length === 0) {
    return 'Nothing that ended was measured: start the clock at a follow-up in Today.'
  }
  const measured = efforts.reduce((all, one) => all + one.measured, 0)
  const longer = efforts.filter((one) => one.spent > one.thought).length
  return `Of ${many(measured, 'follow-up that was', 'follow-ups that were')} measured, those of ${longer} of ${many(efforts.length, 'category', 'categories')} took longer than was thought.`
}

/** What is said of decisions that repeat themselves. */
export function habitWords({ habits }: FiguresView): string {
  const saved = habits.reduce((all, one) => all + one.decisions, 0)
  return saved === 0
    ? 'No decision repeats itself so that a recipe would save it.'
    : `${many(habits.length, 'recipe', 'recipes')} would have saved you ${saved} decisions.`
}

/** A week by its first day. */
export function weekText(monday: string): string {
  return day(monday).replace(/^\w+ /, '')
}

/** The days of a week, as addresses have them. */
export function weekDays(monday: string): { from: string; to: string } {
  return { from: monday, to: shiftDay(monday, 6) }
}
