import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vitest/config'

// The page's own logic, without a browser: what it queues, asks and counts.
export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  resolve: { alias: { '@': fileURLToPath(new URL('resources/js', import.meta.url)) } },
  test: { environment: 'happy-dom', include: ['tests/Js/**/*.test.ts'], server: { deps: { inline: ['vuetify'] } } },
})
