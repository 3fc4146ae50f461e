/** The geometry of drawn links. How much of them is coated comes from the server and is shown by a clip, to the pixel. */
export interface DrawnLink {
  along: number
  length: number
  width: number
  radius: number
  outer: boolean
}

export function drawLinks(count: number, total: number, outerWidth: number, innerWidth: number): DrawnLink[] {
  const pitch = total / count
  return Array.from({ length: count }, (_, i) => {
    const outer = i % 2 === 0
    return {
      along: i * pitch + pitch / 2,
      length: pitch,
      width: outer ? outerWidth : innerWidth,
      radius: outer ? 5 : 3.5,
      outer,
    }
  })
}
