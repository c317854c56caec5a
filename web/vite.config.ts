import { resolve } from 'node:path'
import babel from '@rolldown/plugin-babel'
import tailwindcss from '@tailwindcss/vite'
import react, { reactCompilerPreset } from '@vitejs/plugin-react'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  // the compiler remembers what a component drew, so that a key press redraws only what it changed
  plugins: [
    react(),
    babel({ include: /src\/(features|common|ui)\/.*\.tsx?$/, presets: [reactCompilerPreset()] }),
    tailwindcss(),
    VitePWA({
      registerType: 'prompt', // a newer version waits until its observer agrees
      injectRegister: false,
      manifestFilename: 'manifest.json',
      manifest: {
        name: 'Goldthistle',
        short_name: 'Goldthistle',
        description: 'Trees that are easily mistaken for each other, told apart at the tree.',
        start_url: '/today',
        display: 'standalone',
        background_color: '#FBF8F1',
        theme_color: '#FBF8F1',
        icons: [
          { src: '/icons/thistle-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icons/thistle-512.png', sizes: '512x512', type: 'image/png' },
          {
            src: '/icons/thistle-maskable-512.png',
            sizes: '512x512',
            type: 'image/png',
            purpose: 'maskable',
          },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        globIgnores: ['**/*-{cyrillic,cyrillic-ext,greek,greek-ext,vietnamese}-*'], // letters of no page
        // a picture of a sheet's own never changes, so it is fetched once
        runtimeCaching: [
          {
            urlPattern: ({ url }) => url.pathname.startsWith('/api/sheet-pictures/'),
            handler: 'CacheFirst',
            options: { cacheName: 'sheet-pictures', cacheableResponse: { statuses: [200] } },
          },
        ],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/(api|actuator|assets)\//, /\.[a-z]+$/],
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  // the build of the module browser makes it of Java
  resolve: {
    alias: { 'goldthistle-reckoner': resolve(import.meta.dirname, '../browser/target/js/reckoner.js') },
  },
  worker: { format: 'es' },
  test: { setupFiles: ['test/setup.ts'] },
  build: { assetsInlineLimit: 0 }, // the content policy allows no data: fonts
  // ./goldthistle dev says where the server is
  server: { proxy: { '/api': process.env.GOLDTHISTLE_SERVER ?? 'http://127.0.0.1:8080' } },
})
