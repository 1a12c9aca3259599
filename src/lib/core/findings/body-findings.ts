import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, minutesWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { isClosedInBag, whyOpen } from '../rigs/closings';
import { isMissingPort } from '../rigs/connection';
import { connectionsOf } from '../rigs/connections';
import type { PlacedRig } from '../rigs/placed-rig';
import { chainProposals } from './chain-proposals';
import type { AngleFindingRow } from './finding';
import { sentence } from './sentence';
import { shortLead } from './sound-place-findings';
import { severityOfWant } from './wants';
import { addOne, cheapestOf, setRig, swapFor, swapTo } from './part-candidates';

const bodyLine = (rig: PlacedRig) => (rig.body ? [rig.body.line.id] : []);

function blockedScreen(rig: PlacedRig): 'shoe' | 'plate' | 'side' | undefined {
  const screen = rig.body?.gear.screen;
  if (
    !rig.scene.wantsSeeSelf ||
    rig.kit.of('monitor').length > 0 ||
    rig.kit.of('mirror box').length > 0
  )
    return undefined;
  if (screen === 'flips up' && rig.mic && rig.micPlace === 'shoe') return 'shoe';
  if (screen === 'flips down' && rig.support) return 'plate';
  if (screen === 'side hinge' && rig.mic && rig.micPlace === 'side arm') return 'side';
  return undefined;
}

export const bodyFindings: AngleFindingRow[] = [
  {
    code: 'B1',
    family: 'body',
    scope: 'angle',
    about: 'you cannot see yourself',
    reads: ['seesSelf'],
    judge: (rig, record) =>
      figureAt(record, figureIndex.seesSelf) === 0
        ? {
            severity: severityOfWant(rig.scene, 'see self', 'warn'),
            lineIds: bodyLine(rig),
            figure: 'seesSelf',
            has: 0,
            needs: 1,
            unit: 'yes/no',
            title: () => 'You cannot see yourself',
            why: () =>
              `The screen of ${fullName(rig.body!.gear)} does not turn to the front, so framing and focus are checked only afterwards.`
          }
        : undefined,
    propose: ({ shelf, project, rig }) => [
      { parts: cheapestOf(shelf, project, 'mirror box'), label: (gear) => `Add ${gear.model}` },
      { parts: cheapestOf(shelf, project, 'monitor'), label: (gear) => `Add ${gear.model}` },
      {
        parts: cheapestOf(
          shelf,
          project,
          'body',
          (gear) => gear.screen !== undefined && gear.screen !== 'fixed' && gear.screen !== 'tilts'
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.body!.line.id)
      }
    ]
  },
  {
    code: 'B2',
    family: 'body',
    scope: 'angle',
    about: 'the screen is blocked',
    reads: [],
    judge: (rig) => {
      const by = blockedScreen(rig);
      if (!by) return undefined;
      const says = {
        shoe: [
          'The microphone blocks the flip-up screen',
          `The screen of ${fullName(rig.body!.gear)} flips up behind the shoe, where ${rig.mic && fullName(rig.mic.gear)} sits.`
        ],
        plate: [
          'The plate blocks the flip-down screen',
          `The screen of ${fullName(rig.body!.gear)} flips down onto the plate of the support.`
        ],
        side: [
          'The side arm hides the opened screen',
          `The screen of ${fullName(rig.body!.gear)} opens to the side the arm holds the microphone on.`
        ]
      }[by] as [string, string];
      return {
        severity: 'warn',
        has: 0,
        needs: 1,
        unit: 'yes/no',
        lineIds: [...bodyLine(rig), ...(rig.mic && by !== 'plate' ? [rig.mic.line.id] : [])],
        title: () => says[0],
        why: () => says[1]
      };
    },
    propose: (context) => {
      const { shelf, project, rig } = context;
      const aside = setRig(context, { micPlace: 'side arm' });
      const sideArms = cheapestOf(
        shelf,
        project,
        'thread adapter',
        (gear) => gear.movesShoeAside === true
      );
      return [
        { label: 'Move it to the side arm', act: aside },
        { label: 'Move it back to the shoe', act: setRig(context, { micPlace: 'shoe' }) },
        {
          parts: sideArms,
          label: (gear) => `Side arm: ${gear.model}`,
          act: (line) => ({ type: 'batch', acts: [{ type: 'add line', line }, aside] })
        },
        {
          parts: cheapestOf(shelf, project, 'microphone', (gear) =>
            gear.form.startsWith('lavalier')
          ),
          label: (gear) => `Lapel: ${gear.model}`,
          act: (line) => ({
            type: 'batch',
            acts: [
              { type: 'add line', line },
              setRig(context, { micLineId: line.id, micPlace: undefined })
            ]
          })
        },
        { parts: cheapestOf(shelf, project, 'monitor'), label: (gear) => `Add ${gear.model}` },
        {
          parts: cheapestOf(
            shelf,
            project,
            'body',
            (gear) => gear.screen === 'side hinge' || gear.screen === 'front'
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  },
  {
    code: 'B3',
    family: 'body',
    scope: 'angle',
    about: 'no way in for the microphone, or the plug differs',
    reads: [],
    judge: (rig) => {
      const need = connectionsOf(rig).find(({ purpose }) => purpose === 'microphone into body');
      if (!need || !rig.mic) return undefined;
      const lineIds = [...bodyLine(rig), rig.mic.line.id];
      if (isMissingPort(need)) {
        return {
          severity: 'stop',
          has: 0,
          needs: 1,
          unit: 'yes/no',
          lineIds,
          title: () => 'No way in for the microphone',
          why: () =>
            `${fullName(need.part.gear)} has no ${need.role === 'audioIn' ? 'microphone input' : 'sound output'}, so ${fullName(rig.mic!.gear)} cannot be heard on the recording.`
        };
      }
      if (isClosedInBag(need, rig.kit) || shortLead(rig)) return undefined;
      return {
        severity: 'stop',
        has: 0,
        needs: 1,
        unit: 'yes/no',
        lineIds,
        title: () =>
          need.fromPorts[0]!.type === need.toPorts[0]!.type
            ? `${rig.mic!.gear.model} does not work with ${rig.body!.gear.model}`
            : `The ${need.fromPorts[0]!.type} plug finds no ${need.toPorts[0]!.type} jack`,
        why: () => sentence(whyOpen(need, rig.kit))
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      return [
        ...chainProposals(context, 'microphone into body'),
        {
          parts: cheapestOf(shelf, project, 'body', (gear) =>
            gear.ports.some((port) => port.role === 'audioIn')
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  },
  {
    code: 'B4',
    family: 'body',
    scope: 'angle',
    about: 'the longest take exceeds the record limit or the heat limit',
    reads: ['longestTake', 'recordLimit', 'heatMinutes'],
    judge: (rig, record) => {
      const clip = figureAt(record, figureIndex.recordLimit) ?? Infinity;
      const heat = figureAt(record, figureIndex.heatMinutes) ?? Infinity;
      const take = figureAt(record, figureIndex.longestTake);
      const limit = Math.min(clip, heat);
      if (take === undefined || take <= limit) return undefined;
      const hot = heat < clip;
      return {
        severity: rig.scene.live ? 'stop' : 'warn',
        lineIds: bodyLine(rig),
        figure: hot ? 'heatMinutes' : 'recordLimit',
        has: limit,
        needs: take,
        unit: 'min',
        title: () =>
          hot
            ? `Overheats after about ${minutesWords(limit)}`
            : `Clips end after ${minutesWords(limit)}`,
        why: () =>
          hot
            ? `${rig.scene.name} has takes of ${minutesWords(take)}; ${fullName(rig.body!.gear)} switches itself off after ${minutesWords(limit)} to ${minutesWords(figureAt(record, figureIndex.heatMinutesMost)!)} in this mode at ${figureWords(figureAt(record, figureIndex.temperature)!, '°C', rig.project.units)}, about.`
            : `${rig.scene.name} has takes of ${minutesWords(take)}; ${fullName(rig.body!.gear)} stops this mode after ${minutesWords(limit)} and has to be started again.`
      };
    },
    propose: (context, held) => {
      const { rig, record } = context;
      const hot = held.figure === 'heatMinutes';
      const lighter = rig.body!.gear.modes.find(
        (mode) =>
          mode.fps === rig.scene.fps &&
          mode.pixelsAcross < rig.scene.pixelsAcross &&
          (mode.recordLimitMin ?? Infinity) >= rig.scene.longestTakeMin
      );
      const take = figureAt(record, figureIndex.longestTake)!;
      return [
        ...(hot
          ? [
              addOne(context, 'small item', (gear) => gear.use === 'fan' || gear.use === 'shade'),
              addOne(context, 'cage', (gear) => gear.fitsBodyId === rig.body!.gear.id)
            ]
          : []),
        ...(hot && lighter
          ? [
              {
                label: `Film at ${lighter.pixelsAcross} pixels`,
                act: {
                  type: 'change scene' as const,
                  sceneId: rig.scene.id,
                  patch: { pixelsAcross: lighter.pixelsAcross }
                }
              }
            ]
          : []),
        {
          label: `Film takes of ${minutesWords(Math.floor(held.has!))}`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: { longestTakeMin: Math.max(1, Math.floor(Math.min(take, held.has!))) }
          }
        },
        swapTo(context, 'body', rig.body!.line.id)
      ];
    }
  },
  {
    code: 'B5',
    family: 'body',
    scope: 'angle',
    about: 'no live picture',
    reads: [],
    judge: (rig) => {
      const unjoined = connectionsOf(rig).find(
        (need) =>
          need.purpose === 'picture out' && (isMissingPort(need) || !isClosedInBag(need, rig.kit))
      );
      if (unjoined) {
        return {
          severity: rig.scene.live ? 'stop' : 'warn',
          about: 'lead',
          has: 0,
          needs: 1,
          unit: 'count',
          lineIds: bodyLine(rig),
          title: () => 'No cable for the video output',
          why: () =>
            isMissingPort(unjoined)
              ? `${fullName(unjoined.part.gear)} has no picture ${unjoined.role === 'videoOut' ? 'output' : 'input'}.`
              : sentence(whyOpen(unjoined, rig.kit))
        };
      }
      const { body } = rig;
      if (!rig.scene.live || !body || body.gear.usbVideo === true) return undefined;
      const lineIds = bodyLine(rig);
      if (body.gear.cleanOutput === false) {
        return {
          severity: 'stop',
          lineIds,
          has: 0,
          needs: 1,
          unit: 'yes/no',
          title: () => 'The live picture carries the menus',
          why: () =>
            `${fullName(body.gear)} sends its screen marks over HDMI and is no camera over USB, so callers would see them.`
        };
      }
      if (body.gear.cleanOutput === undefined && body.gear.usbVideo === undefined) {
        return {
          severity: 'note',
          lineIds,
          title: () => 'It is not stated whether the live picture is clean',
          why: () =>
            `Ask before paying: does ${fullName(body.gear)} send a picture without menus over HDMI, or show up as a camera over USB?`
        };
      }
      if (rig.kit.of('capture device').length > 0) return undefined;
      return {
        severity: 'stop',
        lineIds,
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => 'The computer cannot take the picture',
        why: () =>
          `${fullName(body.gear)} sends a clean picture over HDMI, but nothing in the kit brings it into the computer.`
      };
    },
    propose: (context) => {
      const { shelf, project, rig } = context;
      return [
        ...chainProposals(context, 'picture out'),
        {
          parts: cheapestOf(shelf, project, 'capture device'),
          label: (gear) => `Add ${gear.model}`
        },
        {
          parts: cheapestOf(
            shelf,
            project,
            'body',
            (gear) => gear.usbVideo === true || gear.cleanOutput === true
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  },
  {
    code: 'B8',
    family: 'body',
    scope: 'angle',
    about: 'the wanted mode is missing',
    reads: [],
    judge: (rig) => {
      const { mode, scene } = rig;
      if (!mode || (mode.pixelsAcross >= scene.pixelsAcross && mode.fps === scene.fps))
        return undefined;
      return {
        severity: 'warn',
        has: Math.min(mode.pixelsAcross / scene.pixelsAcross, mode.fps / scene.fps),
        needs: 1,
        unit: '×',
        lineIds: bodyLine(rig),
        title: () => `No mode with ${scene.pixelsAcross} pixels at ${scene.fps} frames`,
        why: () =>
          `${fullName(rig.body!.gear)} comes nearest with ${mode.pixelsAcross} pixels at ${mode.fps} frames a second.`
      };
    },
    propose: (context) => {
      const { rig, project, shelf } = context;
      const mode = rig.mode!;
      return [
        {
          label: `Film at ${mode.pixelsAcross} pixels, ${mode.fps} frames`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: { pixelsAcross: mode.pixelsAcross, fps: mode.fps }
          }
        },
        {
          parts: cheapestOf(shelf, project, 'body', (gear) =>
            gear.modes.some(
              (one) => one.pixelsAcross >= rig.scene.pixelsAcross && one.fps === rig.scene.fps
            )
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  }
];
