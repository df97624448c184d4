<script lang="ts">
  /** Something that is so or not, within a sentence. */
  interface Props {
    label: string
    checked: boolean | undefined
    disabled?: boolean
    /** True, or nothing: what is not so is left out. */
    onchange: (is: true | undefined) => void
  }
  let { label, checked, disabled = false, onchange }: Props = $props()
</script>

<label class="tick"
  ><input
    type="checkbox"
    class="checkbox checkbox-xs"
    checked={checked ?? false}
    {disabled}
    onchange={(event) => onchange(event.currentTarget.checked || undefined)}
  />
  {label}</label
>

<style>
  .tick {
    display: inline-flex;
    align-items: center;
    gap: 0.35rem;
    margin-right: 0.5rem;
    font-size: 0.9375rem;
  }
</style>
