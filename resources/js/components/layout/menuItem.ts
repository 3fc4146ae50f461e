/** A line of a menu. `test` is what tests know it by. */
export interface MenuItem {
  title: string
  act: () => void
  icon?: string
  active?: boolean
  /** The key that does the same. */
  key?: string
  test?: string
}
