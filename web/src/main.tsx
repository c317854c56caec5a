import '@fontsource-variable/atkinson-hyperlegible-mono'
import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/bricolage-grotesque'
import '@fontsource-variable/literata/wght-italic.css'
import './index.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App'
import { applyTheme } from './ui/theme'

applyTheme()
const root = document.getElementById('root')
if (!root) throw new Error('index.html has no element #root')
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
