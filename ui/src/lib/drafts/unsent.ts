import { inTab } from '../page/kept'
import { toThirdFormat } from './formats'

/**
 * What is typed into a form that is not sent yet stays in this tab, also when the page is read again, until it is
 * sent or left on purpose. A tab that may keep nothing works without.
 */
export function keepUnsent(form: string, typed: object | null) {
  if (typed) inTab.write(`hodometer.unsent.${form}`, typed)
  else inTab.remove(`hodometer.unsent.${form}`)
}

/** unsent returns what was typed into a form before, or null. */
export function unsent<T>(form: string): T | null {
  try {
    return toThirdFormat(form, inTab.read<T | null>(`hodometer.unsent.${form}`, null))
  } catch {
    return null // of a format that is not known
  }
}
