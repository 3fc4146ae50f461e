import { choicesOf } from './useText'

/** What the sprockets looked like, as choices of a form. */
export const teethSeen = () => choicesOf(['good', 'hooked', 'gaps', 'skips'], (value) => `teeth.${value}`)
