<script lang="ts">
  import { figureOf } from '../../core/figures/record';
  import { minutesWords } from '../../core/figures/figure-words';
  import { isMoving, longestTakeMinOf, showsFace } from '../../core/model/scene-facts';
  import type { AngleJudgement } from '../../core/judge/incremental';

  /** What a body must do in this scene for someone alone, each yes, no or unsaid. */
  const { angle }: { angle: AngleJudgement } = $props();
  type Answer = boolean | undefined;
  const checks = $derived.by((): { words: string; answer: Answer }[] => {
    const { rig, record, scene } = angle;
    const body = rig.body?.gear;
    if (!body) return [];
    const limit = figureOf(record, 'recordLimit');
    const list: { words: string; answer: Answer }[] = [];
    if (scene.wantsSeeSelf)
      list.push({
        words: 'sees you',
        answer:
          body.screen === undefined ? undefined : body.screen !== 'fixed' && body.screen !== 'tilts'
      });
    if (scene.voice !== 'none')
      list.push({
        words: 'takes a microphone',
        answer: body.ports.some((port) => port.role === 'audioIn')
      });
    if (showsFace(angle.angle)) list.push({ words: 'follows a face', answer: rig.mode?.faceFocus });
    if (isMoving(angle.angle)) list.push({ words: 'stabilised', answer: body.stabilised });
    if (scene.live)
      list.push({ words: 'clean live picture', answer: body.usbVideo || body.cleanOutput });
    if (limit !== undefined)
      list.push({
        words: Number.isFinite(limit) ? `takes of ${minutesWords(limit)}` : 'unlimited takes',
        answer: limit >= longestTakeMinOf(scene, angle.angle)
      });
    return list;
  });
  const mark = (answer: Answer) => (answer === undefined ? '?' : answer ? '✓' : '✗');
  const spoken = (answer: Answer) => (answer === undefined ? 'not stated' : answer ? 'yes' : 'no');
</script>

<ul>
  {#each checks as { words, answer }, index (index)}
    <li class:no={answer === false} class:unsaid={answer === undefined}>
      {words} <span aria-hidden="true">{mark(answer)}</span><span class="unseen"
        >: {spoken(answer)}</span
      >
    </li>
  {/each}
</ul>

<style>
  li {
    color: var(--ink-soft);
    font-size: 0.75rem;
    line-height: 1.55;
  }

  .no {
    color: var(--brick);
    font-weight: 600;
  }

  .unsaid {
    font-style: italic;
  }
</style>
