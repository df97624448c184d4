import { IntlMessageFormat } from 'intl-messageformat'
import english from './english.json'

/** The sentences that there are, by what they say. */
export type Key = keyof typeof english

const formats = new Map<Key, IntlMessageFormat>()

/** say tells a sentence of the catalogue, with what goes into it by name. */
export function say(key: Key, values: Record<string, string | number> = {}): string {
  let format = formats.get(key)
  if (!format) formats.set(key, (format = new IntlMessageFormat(english[key], 'en-GB')))
  return String(format.format(values))
}
