import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import { defineConfig, type Plugin } from 'vite'
import vuetify from 'vite-plugin-vuetify'

/** The server hands out files as they are; a compressed twin beside each lets it send less. */
function compressedTwins(): Plugin {
  const walk = (folder: string): string[] =>
    readdirSync(folder).flatMap((name) => {
      const path = join(folder, name)
      return statSync(path).isDirectory() ? walk(path) : [path]
    })
  return {
    name: 'compressed-twins',
    apply: 'build',
    closeBundle() {
      walk('public/build')
        .filter((path) => /\.(js|css|svg|json)$/.test(path))
        .forEach((path) => writeFileSync(`${path}.gz`, gzipSync(readFileSync(path), { level: 9 })))
    },
  }
}

export default defineConfig({
  plugins: [laravel({ input: ['resources/js/app.ts'] }), vue(), vuetify({ autoImport: true }), compressedTwins()],
  resolve: { alias: { '@': fileURLToPath(new URL('resources/js', import.meta.url)) } },
})
