<script lang="ts">
  /** A number or a letter in a chalk circle on the court. */
  interface Props {
    at: { x: number; y: number }
    text: string
    /** Metres to a pixel. */
    px: number
  }
  let { at, text, px }: Props = $props()
</script>

<circle cx={at.x} cy={at.y} r={8 * px} stroke-width={1.5 * px} />
<text x={at.x} y={at.y + 4 * px} font-size={11 * px}>{text}</text>

<style>
  circle {
    fill: var(--tag);
    stroke: var(--on-court);
  }
  text {
    font-family: var(--font-drum);
    font-weight: 600;
    text-anchor: middle;
    fill: #1b120b;
  }
</style>
