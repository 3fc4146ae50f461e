/** What is drawn of a strand of links along the x axis, each sort of shape as one path: a wall of sixty chains is thousands of them. */
export interface StrandPaths {
  /** The coat around the narrow links, then the one around the wide ones, which lies over it. */
  coats: string[]
  inner: string
  outer: string
  pins: string
}

const known = new Map<string, StrandPaths>()
const n = (value: number) => Number(value.toFixed(2))

function box(x: number, y: number, width: number, height: number, round: number): string {
  const corner = (dx: number, dy: number) => `a${round} ${round} 0 0 1 ${dx} ${dy}`
  return (
    `M${n(x + round)} ${n(y)}h${n(width - 2 * round)}${corner(round, round)}v${n(height - 2 * round)}${corner(-round, round)}` +
    `h${n(2 * round - width)}${corner(-round, -round)}v${n(2 * round - height)}${corner(round, -round)}z`
  )
}
const dot = (x: number, radius: number) =>
  `M${n(x - radius)} 0a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0z`

/** @param outer, inner how wide the links are */
export function strandPaths(count: number, length: number, outer: number, inner: number): StrandPaths {
  const key = [count, length, outer, inner].join(' ')
  const made = known.get(key)
  if (made) return made
  const pitch = length / count
  const middles = (odd: number) => Array.from({ length: count }, (_, i) => i * pitch + pitch / 2).filter((_, i) => i % 2 === odd)
  const coat = (odd: number, width: number) =>
    middles(odd)
      .map((x) => box(x - pitch * 0.62, -width / 2 - 2.3, pitch * 1.24, width + 4.6, Math.min(5, pitch * 0.62)))
      .join('')
  const plates = (odd: number, width: number, round: number) =>
    middles(odd)
      .map((x) => box(x - pitch * 0.55, -width / 2, pitch * 1.1, width, Math.min(round, pitch * 0.55)))
      .join('')
  const paths = {
    coats: [coat(1, inner), coat(0, outer)],
    inner: plates(1, inner, 3.2),
    outer: plates(0, outer, 4.5),
    pins: middles(0)
      .flatMap((x) => [dot(x - pitch * 0.24, 1.75), dot(x + pitch * 0.24, 1.75)])
      .join(''),
  }
  known.set(key, paths)
  return paths
}
