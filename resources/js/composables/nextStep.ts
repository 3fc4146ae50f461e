import type { NextStep } from '@/types/server'

/** Where what is next is done; null: in a small form on the Shed. */
export function placeOf(step: NextStep): string | null {
  switch (step.verb) {
    case 'go':
      return `/jobs/${step.job}`
    case 'jar':
      return step.jar === null ? '/pot#pots' : `/pot#jar-${step.jar}`
    case 'pot_day':
      return `/pot-day?${step.chains.map((id) => `chains[]=${id}`).join('&')}`
    case 'ahead':
      return '/ahead'
    case 'look':
      return '/tracks'
    case 'wet':
      return `/chains/${step.chains[0]}/wet`
    case 'topup':
      return `/chains/${step.chains[0]}/drip`
    case 'add':
      return `/chains/new?bike=${step.bike}`
    case 'convert':
      return `/bikes/${step.bike}/convert`
    case 'strip':
      return `/strip?chains[]=${step.chains[0] ?? 0}`
    default:
      return null
  }
}
