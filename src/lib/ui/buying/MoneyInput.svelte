<script lang="ts">
  import { TextInput } from 'carbon-components-svelte';
  import { formatMoney } from '../../core/money/format';
  import { MeasureError } from '../../core/reading/measure';
  import { readAmount } from '../../core/reading/amount';

  /** An amount in the money of the project, or none; with a sign in front where it may be owed. */
  interface Props {
    label: string;
    hint?: string;
    value: number | undefined;
    currency: string;
    maySink?: boolean;
    onset: (value: number | undefined) => void;
  }
  const { label, hint, value, currency, maySink = false, onset }: Props = $props();

  let fault = $state('');
  const shown = $derived(
    value === undefined ? '' : `${value < 0 ? '−' : ''}${formatMoney(Math.abs(value), currency)}`
  );

  function take(text: string) {
    fault = '';
    if (text.trim() === '') return onset(undefined);
    const isOver = maySink && (/^\s*[-−]/u.test(text) || /over\s*$/i.test(text));
    try {
      const amount = readAmount(
        text.replace(/^\s*[-−]\s*/u, '').replace(/(left|over)\s*$/i, ''),
        currency
      );
      if (amount.currency !== currency) {
        fault = `“${text.trim()}” is in ${amount.currency}; this list is kept in ${currency}.`;
        return;
      }
      onset(isOver ? -amount.minor : amount.minor);
    } catch (error) {
      if (!(error instanceof MeasureError)) throw error;
      fault = error.message;
    }
  }
</script>

<TextInput
  size="sm"
  labelText={label}
  helperText={hint}
  value={shown}
  invalid={fault !== ''}
  invalidText={fault}
  on:change={(event) => take(String(event.detail ?? ''))}
/>
