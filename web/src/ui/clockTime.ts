/** "09:30" of a minute of the day. */
export function clockOf(minute: number): string {
  const two = (part: number) => String(part).padStart(2, '0')
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`
}

/** A time of day as people type it ("9", "9:30", "0930", "9.30", "2 pm", "noon"), as "09:30"; undefined when it is none. */
export function readTime(typed: string): string | undefined {
  const text = typed.trim().toLowerCase().replace(/\s+/g, ' ')
  if (text === 'noon') {
    return '12:00'
  }
  if (text === 'midnight') {
    return '00:00'
  }
  const found = /^(\d{1,2})(?:[:.h]?(\d{2}))?(?: ?([ap])\.?m\.?)?$/.exec(text)
  if (!found) {
    return undefined
  }
  let hour = Number(found[1])
  const minute = Number(found[2] ?? '0')
  if (found[3]) {
    if (hour < 1 || hour > 12) {
      return undefined
    }
    hour = (hour % 12) + (found[3] === 'p' ? 12 : 0)
  }
  return hour < 24 && minute < 60 ? clockOf(hour * 60 + minute) : undefined
}
