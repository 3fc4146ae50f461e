/** Where the screen was pressed last, from page to page; null after a key. */
let y: number | null = null
window.addEventListener('pointerdown', (event) => (y = event.clientY), { capture: true })
window.addEventListener('keydown', () => (y = null), { capture: true })

export const lastPressY = () => y
