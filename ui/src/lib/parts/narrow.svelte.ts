import { MediaQuery } from 'svelte/reactivity'

/** Whether the page is as narrow as a phone. */
export const narrow = new MediaQuery('max-width: 700px')
