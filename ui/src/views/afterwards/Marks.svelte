<script lang="ts">
  /** A mark out of ten, one press. */
  interface Props {
    label: string
    least: 0 | 1
    /** Undefined where none was given. */
    value: number | undefined
    error?: string
    onpick: (mark: number) => void
  }
  let { label, least, value, error = '', onpick }: Props = $props()
  const id = $props.id()
  const marks = $derived(Array.from({ length: 11 - least }, (_, n) => n + least))
</script>

<fieldset>
  <legend class="text-sm font-medium">{label}</legend>
  <div class="marks">
    {#each marks as n (n)}
      <label class="mark" class:on={value === n}>
        <input
          type="radio"
          name="{id}-mark"
          class="sr-only"
          checked={value === n}
          onchange={() => onpick(n)}
        />
        <span class="drum-digits">{n}</span>
      </label>
    {/each}
  </div>
  {#if error}<p class="text-error text-sm" role="alert">{error}</p>{/if}
</fieldset>

<style>
  .marks {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    margin-top: 0.25rem;
  }
  .mark {
    display: grid;
    place-items: center;
    width: 44px;
    height: 44px;
    border: 1px solid var(--color-base-content);
    border-radius: var(--radius-field);
    cursor: pointer;
    font-size: 1.25rem;
  }
  .mark.on {
    background: var(--color-primary);
    color: var(--color-primary-content);
  }
  .mark:focus-within {
    outline: 3px solid var(--color-info);
    outline-offset: 2px;
  }
</style>
