import '@fontsource-variable/source-sans-3/wght.css'
import '@fontsource/barlow-condensed/latin-600.css'
import { mount } from 'svelte'
import './app.css'
import App from './App.svelte'

const target = document.getElementById('app')
if (target) mount(App, { target })
