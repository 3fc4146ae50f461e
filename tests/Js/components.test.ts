import { createApp, defineComponent, h, nextTick, reactive, type Component } from 'vue'
import { createVuetify } from 'vuetify'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import LineChart from '@/components/charts/LineChart.vue'
import NumberField from '@/components/forms/NumberField.vue'
import InTurn from '@/components/layout/InTurn.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import ZoneField from '@/components/forms/ZoneField.vue'
import WeekFields from '@/components/forms/WeekFields.vue'
import { useInTurn } from '@/composables/useInTurn'
import { colours, themeOf } from '@/theme/tokens'
import type { ChartView } from '@/types/server'

const texts = {
  bike: { as_ridden: 'As ridden', week_clear: 'Empty it' },
  number: { any: 'A number.', whole: 'A whole number.', least: 'At least :least.', most: 'At most :most.' },
  chart: { how: 'Point at it.', table: 'As a table' },
}

/** Draws a component in a page; what it says goes back into its props, as with v-model. */
async function draw(component: Component, given: Record<string, unknown>) {
  const root = document.createElement('div')
  document.body.append(root)
  const props = reactive({ ...given, 'onUpdate:modelValue': (value: unknown) => Object.assign(props, { modelValue: value }) }) as Record<
    string,
    unknown
  >
  createApp({ render: () => h(component, props) })
    .use(createVuetify())
    .mount(root)
  await nextTick()
  return { root, props, find: (css: string) => root.querySelector(css) as HTMLElement }
}
async function type(input: HTMLInputElement, value: string) {
  input.value = value
  input.dispatchEvent(new Event('input', { bubbles: true }))
  await nextTick()
}

beforeEach(() => {
  document.body.innerHTML = ''
  window.dripelTexts = texts
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  )
})

describe('a week in seven fields', () => {
  const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((title, i) => ({ value: i + 1, title }))
  const week = (modelValue: string) =>
    draw(WeekFields, { modelValue, legend: 'A week', hint: 'All empty.', unit: 'km', weekdays, ridden: '0 36 0 0 0 50 74', name: 'w' })

  it('says seven distances, nothing where all are empty, and what was ridden of late', async () => {
    const { root, props, find } = await week('')
    await type(find('[name=w-6]') as HTMLInputElement, '62,5')
    expect(props.modelValue).toBe('0 0 0 0 0 62,5 0')
    find('[data-test=clear-w]').click()
    await nextTick()
    expect([props.modelValue, root.querySelector('[data-test=clear-w]')]).toEqual(['', null])
    find('[data-test=ridden-w]').click()
    await nextTick()
    expect(props.modelValue).toBe('0 36 0 0 0 50 74')
    expect([...root.querySelectorAll('input')].map((one) => one.value)).toEqual(['0', '36', '0', '0', '0', '50', '74'])
  })
})

describe('a number field', () => {
  it.each([
    ['12,5', {}, ''],
    ['1 200', {}, ''],
    ['twelve', {}, 'A number.'],
    ['12.5', { whole: true }, 'A whole number.'],
    ['0', { least: 1 }, 'At least 1.'],
    ['15', { most: 14 }, 'At most 14.'],
    ['14', { least: 1, most: 14 }, ''],
    ['', { least: 1 }, ''],
  ])('says of %s with %o: %s', async (text, bounds, said) => {
    const { root, find, props } = await draw(NumberField, { modelValue: '', label: 'Distance', unit: 'km', ...bounds })
    await type(find('input') as HTMLInputElement, text)
    expect(root.textContent).not.toContain('number.')
    find('input').dispatchEvent(new Event('blur'))
    await nextTick()
    expect(find('.said').textContent).toBe(said)
    expect([props.modelValue, find('input').getAttribute('inputmode')]).toEqual([text, 'whole' in bounds ? 'numeric' : 'decimal'])
  })

  it('lets what the server says go before, and has its unit beside it', async () => {
    const { root, find } = await draw(NumberField, { modelValue: 'x', unit: 'km', errorMessages: 'Not so far.' })
    find('input').dispatchEvent(new Event('blur'))
    await nextTick()
    expect(find('.said').textContent).toBe('Not so far.')
    expect(root.textContent).toContain('km')
  })

  it('says what is to be known from when somebody comes to it, and moves nothing when they leave', async () => {
    const { find } = await draw(NumberField, { modelValue: '', hint: 'About 3 h.' })
    const said = [find('.said').textContent]
    for (const event of ['focusin', 'blur', 'focusout']) {
      find('input').dispatchEvent(new FocusEvent(event, { bubbles: event !== 'blur' }))
      await nextTick()
      said.push(find('.said').textContent)
    }
    expect(said).toEqual(['', 'About 3 h.', 'About 3 h.', 'About 3 h.'])
  })

  it('stands in a line of text as a plain field that says when it is wrong', async () => {
    const { find, props } = await draw(NumberField, { modelValue: '4', slim: true, errorMessages: 'No.' })
    expect([find('input').className, find('input').getAttribute('aria-invalid')]).toEqual(['slim', 'true'])
    await type(find('input') as HTMLInputElement, '5')
    expect(props.modelValue).toBe('5')
  })
})

describe('a long page', () => {
  const page = defineComponent(() => {
    const rows = useInTurn(() => [1, 2, 3], 1)
    return () => [...rows.value.map((row) => h('b', row)), h(InTurn, () => h('i', 'below'))]
  })
  const shown = (root: HTMLElement) => [root.querySelectorAll('b').length, root.querySelectorAll('i').length]

  it('is drawn part by part, and at once where somebody goes further down or has seen one', async () => {
    vi.useFakeTimers()
    location.hash = '#wax'
    expect(shown((await draw(page, {})).root)).toEqual([3, 1])
    location.hash = ''
    const { root } = await draw(page, {})
    const seen = [shown(root)]
    for (let turn = 0; turn < 3; turn++) {
      vi.advanceTimersToNextTimer()
      await nextTick()
      seen.push(shown(root))
    }
    expect(seen).toEqual([
      [1, 0],
      [1, 1],
      [2, 1],
      [3, 1],
    ])
    expect(shown((await draw(page, {})).root)).toEqual([3, 1])
    vi.useRealTimers()
  })
})

describe('a time zone', () => {
  const zones = ['America/Argentina/San_Luis', 'Europe/Amsterdam', 'Europe/Oslo', 'UTC']
  it.each([
    ['oslo', 'Europe/Oslo', 'Oslo (Europe)'],
    ['luis', 'America/Argentina/San_Luis', 'San Luis, Argentina (America)'],
    ['utc', 'UTC', 'UTC'],
    ['nowhere', 'nowhere', 'nowhere'],
  ])('is found by its city: %s', async (words, zone, title) => {
    const { root, find, props } = await draw(ZoneField, { modelValue: 'Europe/Amsterdam', zones })
    const input = find('input') as HTMLInputElement
    expect([input.value, root.querySelectorAll('option').length]).toEqual(['Amsterdam (Europe)', 0])
    // Nobody comes in the millisecond in which it is drawn: such events count as those that drew it.
    await new Promise((soon) => setTimeout(soon, 5))
    input.dispatchEvent(new Event('focusin', { bubbles: true }))
    await type(input, words)
    expect([props.modelValue, input.value, root.querySelectorAll('option').length]).toEqual([zone, words, 4])
    input.dispatchEvent(new Event('blur'))
    await nextTick()
    expect(input.value).toBe(title)
  })
})

describe('choices', () => {
  it('ticks are there or not, never neither', async () => {
    const { find, props } = await draw(TickBox, { modelValue: false, label: 'Dry' })
    const box = find('input') as HTMLInputElement
    for (const expected of [true, false]) {
      box.click()
      await nextTick()
      expect(props.modelValue).toBe(expected)
    }
  })

  it('one of a few is chosen in one tap, and only one is on', async () => {
    const options = ['dry', 'wet', 'muddy'].map((value) => ({ value, title: value }))
    const { root, find, props } = await draw(TapChoice, { modelValue: 'dry', legend: 'It was', options, test: 'condition' })
    find('[data-test="condition-wet"] input').dispatchEvent(new Event('change'))
    await nextTick()
    expect(props.modelValue).toBe('wet')
    expect([...root.querySelectorAll('label.on')].map((label) => label.textContent?.trim())).toEqual(['wet'])
  })
})

describe('a chart', () => {
  const chart: ChartView = {
    title: 'Wear so far',
    x: { title: 'Ridden', from: 0, to: 1000, ticks: [0, 500, 1000].map((at) => ({ at, text: `${at} km` })) },
    y: { title: 'Elongation', from: 0, to: 0.6, ticks: [{ at: 0.2, text: '0.20 %' }] },
    lines: [
      {
        name: 'expected',
        kind: 'line',
        points: [0, 500, 1000].map((x) => ({ x, y: x / 2000, low: x / 3000, high: x / 1500, text: null })),
      },
      {
        name: 'measured',
        kind: 'dots',
        points: [
          { x: 500, y: 0.2, low: 0.15, high: 0.25, text: null },
          { x: 1000, y: 0.3, low: 0.2, high: 0.4, text: 'up to 0.4 %' },
        ],
      },
    ],
    levels: [{ at: 0.5, text: 'limit 0.5 %' }],
    moments: [{ at: 600, text: 'now' }],
    zone: null,
    stretch: { y: 0.5, from: 2000, to: 3000 },
    span: null,
    columns: ['Ridden', 'expected', 'measured'],
    rows: [
      { x: 0, cells: ['0 km', '0.00 %', ''] },
      { x: 500, cells: ['500 km', '0.25 %', '0.20 %'] },
      { x: 1000, cells: ['1,000 km', '0.50 %', 'up to 0.4 %'] },
    ],
  }
  const press = async (svg: HTMLElement, key: string) => {
    svg.dispatchEvent(new KeyboardEvent('keydown', { key }))
    await nextTick()
  }

  it('has axes with units, what it is held against, and a table of all of it', async () => {
    const { root, find } = await draw(LineChart, { chart })
    expect(find('[data-test=chart]').getAttribute('aria-label')).toBe('Wear so far. Point at it.')
    for (const text of ['Elongation', 'Ridden', '500 km', '0.20 %', 'limit 0.5 %', 'now', 'As a table'])
      expect(root.textContent).toContain(text)
    expect([...root.querySelectorAll('tbody tr')].map((row) => [...row.children].map((cell) => cell.textContent))).toEqual(
      chart.rows.map((row) => row.cells),
    )
    expect([...root.querySelectorAll('tbody th')].every((cell) => cell.getAttribute('scope') === 'row')).toBe(true)
    // A band straight up, and bars that share the axis, have a drawing of their own.
    const spent = chart.lines.slice(0, 1).map((line) => ({ ...line, name: 'Spent', kind: 'bars' as const }))
    const bars = await draw(LineChart, {
      chart: {
        ...chart,
        span: { from: 200, to: 600, text: 'at most 5 % more' },
        lines: spent,
      },
    })
    expect(bars.root.querySelectorAll('rect.bar')).toHaveLength(spent.flatMap((line) => line.points).length)
    expect(bars.root.textContent).toContain('at most 5 % more')
    // A reading that is only a range has no dot; a stretch beyond the chart is not drawn.
    expect(root.querySelectorAll('[data-test=chart] circle.dot')).toHaveLength(1)
    expect(find('[data-test=chart-stretch]')).toBeNull()
  })

  it('reads itself out under the keys, and is silent again', async () => {
    const { find } = await draw(LineChart, { chart })
    const [svg, said] = [find('[data-test=chart]'), find('[data-test=chart-said]')]
    expect(said.textContent?.trim()).toBe('')
    await press(svg, 'ArrowRight')
    expect(said.textContent).toBe('0 km: expected 0.00 %')
    await press(svg, 'ArrowRight')
    expect(said.textContent).toBe('500 km: expected 0.25 %; measured 0.20 %')
    await press(svg, 'End')
    await press(svg, 'ArrowRight')
    expect(said.textContent).toBe('1,000 km: expected 0.50 %; measured up to 0.4 %')
    await press(svg, 'Home')
    await press(svg, 'ArrowLeft')
    expect(said.textContent).toBe('0 km: expected 0.00 %')
    await press(svg, 'x')
    expect(said.textContent).toBe('0 km: expected 0.00 %')
    await press(svg, 'Escape')
    expect(said.textContent?.trim()).toBe('')
    await press(svg, 'ArrowLeft')
    expect(said.textContent).toContain('1,000 km')
  })

  it('reads out what lies nearest to the pointer', async () => {
    const { find } = await draw(LineChart, { chart })
    const svg = find('[data-test=chart]')
    svg.getBoundingClientRect = () => ({ left: 0, width: 640 }) as DOMRect
    for (const [x, text] of [
      [70, '0 km'],
      [330, '500 km'],
      [640, '1,000 km'],
    ] as const) {
      svg.dispatchEvent(new MouseEvent('pointermove', { clientX: x }))
      await nextTick()
      expect(find('[data-test=chart-said]').textContent?.startsWith(`${text}:`)).toBe(true)
    }
    svg.dispatchEvent(new MouseEvent('pointerleave'))
    await nextTick()
    expect(find('[data-test=chart-said]').textContent?.trim()).toBe('')
  })
})

describe('colours', () => {
  // WCAG 2.2, relative luminance and contrast ratio.
  const luminance = (hex: string) =>
    [1, 3, 5]
      .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
      .reduce((sum, c, i) => sum + c * ([0.2126, 0.7152, 0.0722][i] ?? 0), 0)
  const contrast = (a: string, b: string) => {
    const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x)
    return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05)
  }

  it.each(['day', 'night'] as const)('can be read by %s, on wall and paper alike', (light) => {
    const of = colours[light]
    for (const ground of [of.wall, of.paper])
      for (const ink of [of.ink, of.steel, of.ember]) expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.5)
    expect(contrast(of['on-ready'], of.ready)).toBeGreaterThanOrEqual(4.5)
    expect(contrast(of['on-coat'], of.coat)).toBeGreaterThanOrEqual(4.5)
    expect(themeOf(light).colors.primary).toBe(of.ink)
  })
})
