/** So many lines a chart of lengths has at most above its ground. */
const MOST_STEPS = 4

/** Lengths of working time, in minutes, that are easily told; of a day and more, in days. */
const OF_A_DAY = [15, 30, 60, 120, 240]
const OF_DAYS = [1, 2, 5, 10, 20, 50, 100, 200, 500]

/** How many minutes lie between two lines of a chart that shows up to so many: hours, or whole days as the account has them. */
export function minutesApart(most: number, minutesOfADay: number): number {
  const steps = [
    ...OF_A_DAY.filter((minutes) => minutes < minutesOfADay),
    ...OF_DAYS.map((days) => days * minutesOfADay),
  ]
  return steps.find((step) => step * MOST_STEPS >= most) ?? most
}
