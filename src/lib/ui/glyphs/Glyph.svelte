<script lang="ts" module>
  import type { GlyphName, GlyphShape } from './glyph-shapes';

  /** The drawings come just after the first view: names and figures need not wait for them. */
  let shapes = $state.raw<Record<GlyphName, GlyphShape>>();
  void import('./glyph-shapes').then(({ glyphShapes }) => (shapes = glyphShapes));
</script>

<script lang="ts">
  interface Props {
    name: GlyphName;
    /** Edge of the square it is drawn in, px. */
    size?: number;
    /** Spoken name; left out where the words beside it say the same. */
    label?: string;
    wash?: string;
  }
  const { name, size = 48, label, wash = 'var(--tan)' }: Props = $props();
  const shape: GlyphShape = $derived(shapes?.[name] ?? { strokes: [] });
  /** The pen keeps its width however large the drawing. */
  const pen = $derived(180 / size);
</script>

<svg
  viewBox="-2 -2 104 104"
  width={size}
  height={size}
  role={label ? 'img' : undefined}
  aria-label={label}
  aria-hidden={label ? undefined : 'true'}
>
  {#each shape.washes ?? [] as path (path)}<path d={path} fill={wash} opacity="0.5" />{/each}
  {#each shape.dots ?? [] as path (path)}
    <path
      d={path}
      fill="none"
      stroke="currentColor"
      stroke-width={pen * 0.7}
      stroke-dasharray="{pen * 1.2} {pen * 1.2}"
    />
  {/each}
  {#each shape.strokes as path (path)}
    <path
      d={path}
      fill="none"
      stroke="currentColor"
      stroke-width={pen}
      stroke-linejoin="round"
      stroke-linecap="round"
    />
  {/each}
</svg>
