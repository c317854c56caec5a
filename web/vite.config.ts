import babel from '@rolldown/plugin-babel'
import tailwindcss from '@tailwindcss/vite'
import react, { reactCompilerPreset } from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  // the compiler remembers what a component drew, so that a key press redraws only what it changed
  plugins: [
    react(),
    babel({ include: /src\/(features|common|ui)\/.*\.tsx?$/, presets: [reactCompilerPreset()] }),
    tailwindcss(),
  ],
  test: { setupFiles: ['test/setup.ts'] },
  build: { assetsInlineLimit: 0 }, // the content policy allows no data: fonts
  // ./goldthistle dev says where the server is
  server: { proxy: { '/api': process.env.GOLDTHISTLE_SERVER ?? 'http://127.0.0.1:8080' } },
})
