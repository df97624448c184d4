import { toThirdFormat } from './drafts/formats'

/**
 * What is typed into a form that is not sent yet stays in this tab, also when the page is read again, until it is
 * sent or left on purpose. A tab that may keep nothing works without.
 */
export function keepUnsent(form: string, typed: object | null) {
  try {
    if (typed) sessionStorage.setItem(`hodometer.unsent.${form}`, JSON.stringify(typed))
    else sessionStorage.removeItem(`hodometer.unsent.${form}`)
  } catch {
    // nothing to be done here: what is typed is still on the page
  }
}

/** unsent returns what was typed into a form before, or null. */
export function unsent<T>(form: string): T | null {
  try {
    const typed = JSON.parse(sessionStorage.getItem(`hodometer.unsent.${form}`) ?? 'null') as T | null
    return toThirdFormat(form, typed)
  } catch {
    return null
  }
}
