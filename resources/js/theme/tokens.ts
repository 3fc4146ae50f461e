/** All colours, once: by day and by night. Wax is the only warm thing; ember is for what is late or past a limit. */
const day = {
  wall: '#dfe6e4',
  paper: '#f5f7f5',
  ink: '#22282b',
  steel: '#525f66',
  'steel-2': '#9aa6ab',
  line: '#bcc7c4',
  amber: '#c97a12',
  ember: '#a8401a',
  'on-ember': '#ffffff',
  ready: '#275d63',
  'on-ready': '#ffffff',
  coat: '#f6e7b8',
  'on-coat': '#22282b',
  'coat-line': '#b39a58',
  'coat-deep': '#ead9a4',
  'coat-pin': '#a3905a',
  'coat-loop': '#c9b27a',
  outer: '#8d989d',
  inner: '#6b767b',
  'link-line': '#4a5459',
  pin: '#3c4549',
  wood: '#b79b6b',
  'wood-2': '#cdb58a',
  pot: '#5c666b',
  bath: '#d9cda8',
}
const night: typeof day = {
  wall: '#1b2224',
  paper: '#232b2e',
  ink: '#e6edeb',
  steel: '#a9b6b9',
  'steel-2': '#6d7a7f',
  line: '#3b474b',
  amber: '#e0983a',
  ember: '#f2936b',
  'on-ember': '#2b1005',
  ready: '#8fc7c9',
  'on-ready': '#10282b',
  coat: '#e9d596',
  'on-coat': '#22282b',
  'coat-line': '#8d7638',
  'coat-deep': '#d3bc78',
  'coat-pin': '#836e35',
  'coat-loop': '#b59a57',
  outer: '#67747a',
  inner: '#4f5b60',
  'link-line': '#869499',
  pin: '#20282b',
  wood: '#7d6743',
  'wood-2': '#94794f',
  pot: '#7e898d',
  bath: '#bba970',
}
export const colours = { day, night }

/** The colours as the component library names them. */
export function themeOf(light: 'day' | 'night') {
  const of = colours[light]
  return {
    dark: light === 'night',
    colors: {
      background: of.wall,
      surface: of.paper,
      'on-background': of.ink,
      'on-surface': of.ink,
      primary: of.ink,
      'on-primary': of.paper,
      secondary: of.ready,
      'on-secondary': of['on-ready'],
      error: of.ember,
      'on-error': of['on-ember'],
    },
  }
}

/** The colours as our own style sheets name them: var(--wall). */
export function putColours(): void {
  const rules = Object.entries(colours).map(
    ([light, of]) =>
      `.v-theme--${light}{${Object.entries(of)
        .map(([name, hex]) => `--${name}:${hex}`)
        .join(';')}}`,
  )
  // Not as an element: the page's policy takes only those that came with it.
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(rules.join(''))
  document.adoptedStyleSheets.push(sheet)
}
