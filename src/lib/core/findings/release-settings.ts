import { figureWords } from '../figures/figure-words';
import type { AngleContext, SettingProposal } from './finding';
import { setRig } from './part-candidates';

/** Settings made by hand given back to the exposure plan, each alone and both together. */
export function releasedSettings(context: AngleContext): SettingProposal[] {
  const { apertureN, shutterS } = context.rig.overrides ?? {};
  const proposals: SettingProposal[] = [];
  if (apertureN !== undefined)
    proposals.push({
      label: `Free the aperture, set to ${figureWords(apertureN, 'f/')} by hand`,
      act: setRig(context, { apertureN: undefined })
    });
  if (shutterS !== undefined)
    proposals.push({
      label: `Free the shutter, set to ${figureWords(shutterS, 's')} by hand`,
      act: setRig(context, { shutterS: undefined })
    });
  if (proposals.length === 2)
    proposals.push({
      label: 'Free aperture and shutter',
      act: setRig(context, { apertureN: undefined, shutterS: undefined })
    });
  return proposals;
}
