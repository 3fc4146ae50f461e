import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import { defineConfig, type Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import vuetify from 'vite-plugin-vuetify'

/** The server hands out files as they are; compressed twins beside each let it send less. */
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
        .forEach((path) => {
          writeFileSync(`${path}.gz`, gzipSync(readFileSync(path), { level: 9 }))
          writeFileSync(`${path}.br`, brotliCompressSync(readFileSync(path)))
        })
    },
  }
}

/** What a phone keeps for when the machine is out of reach: every script, style, font and sound, looked over by resources/js/offline/sw.ts. */
const device = VitePWA({
  strategies: 'injectManifest',
  srcDir: 'resources/js/offline',
  filename: 'sw.ts',
  outDir: 'public',
  scope: '/',
  base: '/',
  manifest: false,
  injectRegister: false,
  injectManifest: {
    globDirectory: 'public',
    globPatterns: ['build/assets/*.{js,css,woff2}', 'icon.svg', 'icons/*.png', 'sounds/*.wav'],
    // Their names carry a hash already.
    dontCacheBustURLsMatching: /^build\/assets\//,
  },
})

/**
 * Script in files by use, not one for each module that two pages share: those cost a phone a third of its time to open a page. What every
 * page needs and the Shed, which everyone opens first, are one file; the forms behind its buttons, which come after it, another.
 */
const groups = [
  { name: 'frame', test: /resources\/js\/(app\.ts|Pages\/Shed\/Shed\.vue)$/, priority: 2 },
  { name: 'forms', test: /resources\/js\/components\/forms\//, priority: 1 },
]

export default defineConfig({
  build: { chunkSizeWarningLimit: 600, rolldownOptions: { output: { codeSplitting: { groups } } } },
  plugins: [
    laravel({ input: ['resources/js/app.ts'] }),
    vue({ features: { optionsAPI: false } }),
    vuetify({ autoImport: true }),
    compressedTwins(),
    device,
  ],
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('resources/js', import.meta.url)),
    },
  },
})
