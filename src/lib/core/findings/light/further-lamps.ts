import { figureWords } from '../../figures/figure-words';
import type { Rig } from '../../model/plan';
import { NO_PART } from '../../model/word-lists';
import { payloadNeededKg, payloadVerdict } from '../../relations/support/payload';
import { holdersFor, type LampBesideKey, lampsHeldBesideKey } from '../../rigs/lamp-stand';
import { isJoined, lampHeld } from '../../rigs/joint-between';
import { lampRuns } from '../../rigs/place-lamps';
import type { PlacedRig } from '../../rigs/placed-rig';
import {
  type AngleFindingRow,
  type Held,
  type Proposal,
  rigRow,
  type Severity,
  severityRank
} from '../finding';
import { whyNotHeld } from '../support/threads';
import { chainProposals } from '../chain-proposals';
import { addOne, setRig } from '../part-candidates';

/** What a role is called in a sentence. */
export const lampRoleWords = {
  fill: 'fill light',
  back: 'back light',
  background: 'background light',
  practical: 'practical',
  overhead: 'overhead light'
} as const satisfies Record<LampBesideKey['role'], string>;

type RigPatch = Partial<Omit<Rig, 'sceneId' | 'angleId'>>;
type Trouble = 'power' | 'stand' | 'joint' | 'load';

interface Troubled {
  lamp: LampBesideKey;
  trouble: Trouble;
  severity: Severity;
  held: () => Held;
}

/** What a lamp beside the key cannot do of what it is there for: the worst of it, of equals the first. */
function troubleIn(rig: PlacedRig): Troubled | undefined {
  let worst: Troubled | undefined;
  for (const trouble of troublesIn(rig))
    if (!worst || severityRank(trouble.severity) > severityRank(worst.severity)) worst = trouble;
  return worst;
}

function* troublesIn(rig: PlacedRig): Generator<Troubled> {
  const { kit, hasSocket, scene, project } = rig;
  for (const lamp of rig.furtherLamps) {
    const { gear, line } = lamp.part;
    if (lampRuns(gear, kit, hasSocket)) continue;
    yield {
      lamp,
      trouble: 'power',
      severity: 'warn',
      held: () => ({
        severity: 'warn',
        about: `power of ${line.id}`,
        lineIds: [line.id],
        title: () => `${scene.name}: no power for ${gear.model}, the ${lampRoleWords[lamp.role]}`,
        why: () =>
          gear.batteryType === undefined
            ? 'It runs from the mains alone and there is no socket here.'
            : `It runs from ${gear.batteryType} here and none is in the kit.`
      })
    };
  }
  for (const { lamp, holder } of lampsHeldBesideKey(rig)) {
    const { gear, line } = lamp.part;
    if (!holder) {
      yield {
        lamp,
        trouble: 'stand',
        severity: 'warn',
        held: () => ({
          severity: 'warn',
          about: `stand of ${line.id}`,
          lineIds: [line.id],
          title: () =>
            `${scene.name}: nothing holds ${gear.model}, the ${lampRoleWords[lamp.role]}`,
          why: () =>
            lamp.role === 'overhead'
              ? 'A lamp overhead hangs from an arm or a ceiling mount, and none is left in the kit. What hangs over people is tied with a safety line as well.'
              : 'Every lamp needs a stand or a clamp of its own, and none is left in the kit.'
        })
      };
      continue;
    }
    const need = lampHeld(rig, 'lamp beside the key held', lamp.part, holder);
    if (!isJoined(need, kit))
      yield {
        lamp,
        trouble: 'joint',
        severity: 'warn',
        held: () => ({
          severity: 'warn',
          about: `joint of ${line.id}`,
          lineIds: [line.id, holder.line.id],
          title: () =>
            `${scene.name}: nothing joins ${gear.model}, the ${lampRoleWords[lamp.role]}, to ${holder.gear.model}`,
          why: () => whyNotHeld(need, kit)
        })
      };
    const { payloadKg } = holder.gear;
    if (gear.massG === undefined || payloadKg === undefined) continue;
    const verdict = payloadVerdict(gear.massG / 1000, payloadKg);
    if (verdict === 'fine') continue;
    yield {
      lamp,
      trouble: 'load',
      severity: verdict,
      held: () => ({
        severity: verdict,
        about: `load of ${line.id}`,
        lineIds: [holder.line.id, line.id],
        has: gear.massG! / 1000,
        needs: payloadKg,
        unit: 'kg',
        title: () =>
          `${holder.gear.model} cannot safely carry ${gear.model}, the ${lampRoleWords[lamp.role]}`,
        why: () =>
          `The lamp weighs ${figureWords(gear.massG! / 1000, 'kg', project.units)} and what holds it may carry ${figureWords(payloadKg, 'kg', project.units)}, of which two thirds are prudent. What falls, falls on somebody: follow the maker’s manual.`
      })
    };
  }
}

/** The rig without one of its lamps. */
export const withoutLamp = (rig: PlacedRig, { part, role }: LampBesideKey): RigPatch =>
  role === 'fill'
    ? { fillLampLineId: NO_PART }
    : {
        lamps: (rig.overrides?.lamps ?? []).filter(
          (lamp) => lamp.lineId !== part.line.id || lamp.role !== role
        )
      };

/** G10. */
export const furtherLampFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'G10',
    family: 'light',
    about: 'a lamp beside the key has no power, or nothing that holds it',
    judge: (rig) =>
      rig.furtherLamps.length === 0 && !rig.fillLamp ? undefined : troubleIn(rig)?.held(),
    propose: (context) => {
      const { rig } = context;
      const found = troubleIn(rig);
      if (!found) return [];
      const { lamp, trouble } = found;
      const { gear } = lamp.part;
      const holder = () =>
        addOne(
          context,
          'support',
          ({ form, payloadKg }) =>
            holdersFor(lamp).includes(form) &&
            (payloadKg ?? 0) >= payloadNeededKg((gear.massG ?? 0) / 1000)
        );
      const mend: Proposal[] =
        trouble === 'power'
          ? [addOne(context, 'battery', ({ batteryType }) => batteryType === gear.batteryType)]
          : trouble === 'joint'
            ? [...chainProposals(context, 'lamp beside the key held'), holder()]
            : [holder()];
      return [
        ...mend,
        {
          label: `Do without ${gear.model} as ${lampRoleWords[lamp.role]}`,
          act: setRig(context, withoutLamp(rig, lamp))
        }
      ];
    }
  })
];
