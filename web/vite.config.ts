import { defineConfig } from 'vitest/config'
import react from '@vitejs/plugin-react'
import { compression } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  plugins: [
    react(),
    // the app is laid by on the machine, so that it opens without a connection; what it fetches is kept by its queries
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script-defer',
      manifest: {
        name: 'Outfell',
        short_name: 'Outfell',
        description: 'Reads skin and builds explained home-care regimens',
        start_url: '/',
        display: 'standalone',
        background_color: '#dfe3e2',
        theme_color: '#2a1b2b',
        icons: [{ src: '/favicon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
      },
    }),
    // packed once, here, and not for each that asks
    compression({ algorithms: ['gzip', 'brotliCompress'], threshold: 1024 }),
  ],
  define: { __BUILD__: JSON.stringify(process.env.OUTFELL_BUILD ?? String(Date.now())) },
  build: {
    outDir: 'target/classes/static',
    emptyOutDir: true,
    chunkSizeWarningLimit: 700,
    // each colour is written once, for light and for dark: light-dark() must reach the browser as it is
    cssTarget: ['chrome123', 'firefox120', 'safari17.5'],
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8640' } },
  // a busy machine is slow, and no test says how fast anything is
  test: { environment: 'jsdom', setupFiles: './src/setup.ts', globals: true, testTimeout: 60_000 },
})
