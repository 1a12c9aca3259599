<script lang="ts">
  import type { Act } from '../../core/acts/act';
  import type { JointsClosed } from '../../core/judge/close-joints';
  import { formatMoney } from '../../core/money/format';
  import Fold from '../shell/Fold.svelte';
  import RemedyButton from './RemedyButton.svelte';

  interface Props {
    joints: JointsClosed;
    currency: string;
    onact: (act: Act) => void;
  }
  const { joints, currency, onact }: Props = $props();
</script>

<div class="card joints">
  <h3>Missing adapters and cables</h3>
  <p class="reason">
    {joints.buy
      .map(({ model, quantity }) => `${quantity > 1 ? `${quantity} × ` : ''}${model}`)
      .join(', ')}: {joints.gapMinor === 0
      ? 'the cheapest parts'
      : `parts within ${formatMoney(joints.gapMinor, currency, { short: true })} of the cheapest`} that
    join what is in the kit, in all scenes.
  </p>
  <div class="how">
    <Fold title="How it goes together">
      <ul class="steps">
        {#each joints.steps as joint, index (index)}<li>
            {joint.sceneName}: {joint.steps.join(', then ')}
          </li>{/each}
      </ul>
    </Fold>
  </div>
  <RemedyButton
    label="Add them all"
    price="+{formatMoney(joints.costMinor, currency, { short: true })}"
    first
    ontake={() => joints.act && onact(joints.act)}
  />
</div>

<style>
  h3 {
    font-family: var(--text);
    font-size: 0.875rem;
    font-weight: 600;
  }

  .joints {
    margin-bottom: 0.6rem;
    padding: 0.6rem 0.8rem 0.7rem;
    border-left: 5px solid var(--pocket-accessories);
  }

  .how {
    margin-bottom: 0.5rem;
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .steps {
    padding-left: 1rem;
    list-style: disc;
  }
</style>
