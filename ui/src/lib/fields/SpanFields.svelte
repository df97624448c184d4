<script lang="ts">
  import TextField from './TextField.svelte'

  /** The days from which and to which something is handed out. */
  interface Props {
    from: string
    to: string
    onchange: (changed: { from?: string; to?: string }) => void
  }
  let { from, to, onchange }: Props = $props()
</script>

<div class="days mt-2">
  <TextField label="From" type="date" value={from} onchange={(day) => onchange({ from: day })} />
  <TextField label="To" type="date" value={to} onchange={(day) => onchange({ to: day })} />
</div>

<style>
  .days {
    display: grid;
    grid-template-columns: repeat(2, minmax(9rem, 13rem));
    gap: 0.75rem;
  }
</style>
