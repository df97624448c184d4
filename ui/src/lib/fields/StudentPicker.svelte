<script lang="ts">
  import type { Student } from '../api/client'

  interface Props {
    students: Student[]
    chosen: string[]
    error?: string
    onchange: (chosen: string[]) => void
  }
  let { students, chosen, error, onchange }: Props = $props()
  const id = $props.id()
  const most = 12

  const toggle = (student: string, on: boolean) =>
    onchange(on ? [...chosen, student] : chosen.filter((s) => s !== student))
</script>

<fieldset aria-describedby={error ? `${id}-error` : undefined}>
  <legend class="text-sm font-medium">Who comes (one to twelve)</legend>
  <div class="mt-1 flex flex-wrap gap-x-4 gap-y-2">
    {#each students as student (student.id)}
      <label class="flex items-center gap-2">
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          checked={chosen.includes(student.id)}
          disabled={!chosen.includes(student.id) && chosen.length >= most}
          onchange={(event) => toggle(student.id, event.currentTarget.checked)}
        />
        {student.profile.name}
      </label>
    {:else}
      <p>There are no students yet. <a class="link" href="#/students">Add one first</a>.</p>
    {/each}
  </div>
  {#if error}<p id="{id}-error" class="text-error text-sm" role="alert">{error}</p>{/if}
</fieldset>
