import '@fontsource-variable/source-sans-3/wght.css'
import '@fontsource/barlow-condensed/latin-600.css'
import { mount } from 'svelte'
import './app.css'
import App from './App.svelte'

// The app opens without the network; while it is worked on, it is always fetched anew.
if (import.meta.env.PROD && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js')

// Both faces are there before the first word is drawn, or all of it would move when they come; they are waited for
// three seconds at most.
const faces = ['1em "Source Sans 3 Variable"', '600 1em "Barlow Condensed"']
await Promise.race([
  Promise.allSettled(faces.map((face) => document.fonts.load(face))),
  new Promise((resolve) => setTimeout(resolve, 3000)),
])
const target = document.getElementById('app')
if (target) mount(App, { target })
