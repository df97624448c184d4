<script lang="ts">
  import type { Snippet } from 'svelte'

  interface Props {
    label: string
    error?: string
    hint?: string
    /** Over the whole row of a grid. */
    wide?: boolean
    control: Snippet<[{ id: string; 'aria-invalid': boolean; 'aria-describedby': string | undefined }]>
  }
  let { label, error, hint, wide = false, control }: Props = $props()
  const id = $props.id()
</script>

<div class="flex min-w-0 flex-col gap-1" class:col-span-full={wide}>
  <label for={id} class="text-sm font-medium">{label}</label>
  {@render control({
    id,
    'aria-invalid': Boolean(error),
    'aria-describedby': error ? `${id}-error` : hint ? `${id}-hint` : undefined,
  })}
  {#if hint && !error}<p id="{id}-hint" class="hint text-sm">{hint}</p>{/if}
  {#if error}<p id="{id}-error" class="text-error text-sm" role="alert">{error}</p>{/if}
</div>
