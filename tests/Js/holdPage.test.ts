import { effectScope } from 'vue'
import { expect, it } from 'vitest'
import { holdPage } from '@/theme/holdPage'

it('holds the page until the last of several dialogs is closed, and sets nothing that its elements inherit', () => {
  const { style } = document.documentElement
  const [below, above] = [effectScope(), effectScope()]
  below.run(holdPage)
  above.run(holdPage)
  expect(style.cssText).toBe('overflow: hidden;')
  below.stop()
  expect(style.overflow).toBe('hidden')
  above.stop()
  expect(style.cssText).toBe('')
})
