import type { AngleContext, Proposal } from '../finding';
import { cheapestOf, setRig } from '../part-candidates';

/** A microphone taken in and used here. */
export function useMic(context: AngleContext, passes: (form: string) => boolean): Proposal {
  return {
    parts: cheapestOf(context.shelf, context.project, 'microphone', (gear) => passes(gear.form)),
    label: (gear) => `Add ${gear.model}`,
    act: (line) => ({
      type: 'batch',
      acts: [
        { type: 'add line', line },
        setRig(context, { micLineId: line.id, micPlace: undefined })
      ]
    })
  };
}
