/**
 * readNumber reads a number as a coach types it: one sign in it, comma or point, is its decimal sign. It is undefined
 * where that cannot be read – two signs, words, nothing – so that nothing is stored but what was typed.
 */
export function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(',', '.')
  if (!/^[+−-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return undefined
  const number = Number(plain.replace('−', '-'))
  return Number.isFinite(number) ? number : undefined
}

/** What is told at a field where no number can be read. */
export const noNumber = (text: string) =>
  text.trim() === ''
    ? 'a number was expected'
    : `“${text.trim().slice(0, 20)}” is no number: one comma or point at most, as 2.5 or 2,5`
