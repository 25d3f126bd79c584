import { cpSync } from 'node:fs'
import { fileURLToPath, URL } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'

/** Fonts and character maps for PDFs that do not bring their own; they are fetched only when one is shown. */
function pdfResources(): Plugin {
  const from = fileURLToPath(new URL('./node_modules/pdfjs-dist', import.meta.url))
  return {
    name: 'pdf-resources',
    apply: 'build',
    writeBundle({ dir }) {
      for (const folder of ['cmaps', 'standard_fonts']) {
        cpSync(`${from}/${folder}`, `${dir ?? '.'}/assets/pdf/${folder}`, { recursive: true })
      }
    },
  }
}

export default defineConfig({
  plugins: [vue(), tailwindcss(), pdfResources()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  server: {
    port: 5173,
    proxy: { '/api': 'http://127.0.0.1:8080' },
    // The help shows what the repository says of scripts.
    fs: { allow: ['..'] },
  },
  build: {
    outDir: 'target/classes/static',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
  },
  test: {
    environment: 'happy-dom',
    include: ['src/**/*.spec.ts'],
    isolate: false,
    // A busy machine is slow, not wrong.
    testTimeout: 30_000,
    setupFiles: ['src/testing/alone.ts'],
  },
})
