<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements'
  import { noNumber, readNumber } from './numbers'

  /** A field for a number, which stays as it was typed where it cannot be read. */
  interface Props extends Omit<HTMLInputAttributes, 'value' | 'onchange' | 'type' | 'min' | 'max' | 'step'> {
    /** Undefined: nothing is typed. */
    value: number | undefined
    min?: number
    max?: number
    step?: number
    /** Nothing may be typed. */
    optional?: boolean
    onnumber: (value: number | undefined) => void
    /** What was typed cannot be read: why; empty: it can. */
    onwrong?: (why: string) => void
  }
  let {
    value,
    min,
    max,
    step = 1,
    optional = false,
    onnumber,
    onwrong = () => undefined,
    ...more
  }: Props = $props()
  /** What was typed and cannot be read; another number from outside takes its place. */
  let typed = $derived.by(() => ({ text: undefined as string | undefined, of: value }))

  function read(text: string) {
    const number = readNumber(text)
    const nothing = optional && text.trim() === ''
    typed = { text: number === undefined && !nothing ? text : undefined, of: value }
    onwrong(number === undefined && !nothing ? noNumber(text) : '')
    if (number !== undefined || nothing) onnumber(number)
  }

  function stepped(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
    const way = { ArrowUp: 1, ArrowDown: -1 }[event.key]
    const from = readNumber(event.currentTarget.value)
    if (way === undefined || from === undefined) return
    event.preventDefault()
    const next = Math.round(1e6 * (from + way * step)) / 1e6
    const text = String(Math.min(max ?? next, Math.max(min ?? next, next)))
    event.currentTarget.value = text
    read(text)
  }
</script>

<input
  {...more}
  type="text"
  inputmode={step % 1 === 0 && (min ?? 0) >= 0 ? 'numeric' : 'decimal'}
  role="spinbutton"
  autocomplete="off"
  aria-valuenow={value}
  aria-valuemin={min}
  aria-valuemax={max}
  aria-invalid={typed.text !== undefined || more['aria-invalid'] === true}
  value={typed.text ?? value ?? ''}
  onkeydown={stepped}
  onchange={(event) => read(event.currentTarget.value)}
/>
