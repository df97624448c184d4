import '@fontsource-variable/source-sans-3/wght.css'
import '@fontsource/barlow-condensed/latin-600.css'
import { mount } from 'svelte'
import './app.css'
import App from './App.svelte'

// The app opens without the network; while it is worked on, it is always fetched anew.
if (import.meta.env.PROD && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js')

const target = document.getElementById('app')
if (target) mount(App, { target })
