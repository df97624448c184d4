<script lang="ts">
  /** A QR code, row by row; it stays dark on light in every theme, so that cameras read it. */
  interface Props {
    rows: string[]
    label: string
  }
  let { rows, label }: Props = $props()
  const path = $derived(
    rows
      .flatMap((row, y) => [...row].flatMap((dark, x) => (dark === '1' ? `M${x} ${y}h1v1h-1z` : [])))
      .join(''),
  )
</script>

<svg viewBox="0 0 {rows.length} {rows.length}" role="img" aria-label={label} shape-rendering="crispEdges">
  <rect width={rows.length} height={rows.length} fill="#fff" />
  <path d={path} fill="#000" />
</svg>

<style>
  svg {
    width: min(16rem, 100%);
    height: auto;
  }
</style>
