import { onDevice } from './kept'

export type Theme = 'chalk' | 'floodlit'

const key = 'hodometer.theme'

function preferred(): Theme {
  const chosen = onDevice.get(key)
  if (chosen === 'chalk' || chosen === 'floodlit') return chosen
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'floodlit' : 'chalk'
}

/** The theme belongs to the device: a phone courtside at night, a screen in the club house. */
class ThemeChoice {
  current = $state<Theme>(preferred())

  apply() {
    document.documentElement.dataset.theme = this.current
  }

  toggle() {
    this.current = this.current === 'chalk' ? 'floodlit' : 'chalk'
    onDevice.set(key, this.current)
    this.apply()
  }
}

export const theme = new ThemeChoice()
