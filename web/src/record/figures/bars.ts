/** What a chart of bars shows. */
export interface ChartBars {
  readonly labels: readonly string[]
  readonly series: readonly {
    readonly name: string
    readonly values: readonly number[]
    /** The name of a colour of the theme. */
    readonly tone: 'kelp' | 'brass' | 'dusk'
    /** Outlined and not filled. */
    readonly hollow?: boolean
  }[]
  /** Whether bars lie on their side, each in a line with its name. */
  readonly lying?: boolean
  readonly stacked?: boolean
  /** Whether the numbers are minutes of working time. */
  readonly inMinutes?: boolean
  /** A number in words. */
  readonly text: (value: number) => string
}
