import { selfScreenOf } from '../../rigs/on-camera';
import { facesFront, screenBlockedBy } from '../../rigs/own-screen';
import { figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { MONITOR_CONTRAST } from '../../relations/lighting/monitor-contrast';
import type { PlacedRig } from '../../rigs/placed-rig';
import { figureRow, rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, leaveOut, setRig, swapFor, swapTo } from '../part-candidates';
import { severityOfWant } from '../wants';
import { bodyLine } from './body-line';

/** What blocks the screen, where neither a mirror nor a monitor that is joined and held takes its place. */
function blockedScreen(rig: PlacedRig) {
  if (!rig.scene.wantsSeeSelf || selfScreenOf(rig)) return undefined;
  // Beside the first camera nobody looks at two screens.
  const looksElsewhere =
    rig.index > 0 && (rig.kit.of('monitor').length > 0 || rig.kit.of('mirror box').length > 0);
  return looksElsewhere ? undefined : screenBlockedBy(rig);
}

/** B1, B2. */
export const selfViewFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'B1',
    family: 'body',
    about: 'you cannot see yourself',
    reads: ['seesSelf'],
    judge: (rig, figures) =>
      figures.seesSelf === 0
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
        parts: cheapestOf(shelf, project, 'body', facesFront),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.body!.line.id)
      }
    ]
  }),
  rigRow({
    code: 'B2',
    family: 'body',
    about: 'the screen is blocked',
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
          label: (gear) => `Move it aside on ${gear.model}`,
          act: (line) => ({ type: 'batch', acts: [{ type: 'add line', line }, aside] })
        },
        {
          parts: cheapestOf(shelf, project, 'microphone', (gear) =>
            gear.form.startsWith('lavalier')
          ),
          label: (gear) => `Use ${gear.model} on the lapel`,
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
  }),
  figureRow({
    code: 'B2',
    family: 'body',
    about: 'the monitor is too dark for this light',
    onlyNotes: true,
    reads: ['screenContrast', 'lightBright'],
    judge: (rig, figures) => {
      const contrast = figures.screenContrast;
      if (contrast === undefined || contrast >= MONITOR_CONTRAST.frame) return undefined;
      const monitor = rig.kit.of('monitor')[0]!;
      return {
        severity: 'note',
        about: 'glare',
        lineIds: [monitor.line.id],
        figure: 'screenContrast',
        has: contrast,
        needs: MONITOR_CONTRAST.frame,
        unit: '×',
        title: () => `${monitor.gear.model} is too dark for ${rig.scene.name}`,
        why: () =>
          `In ${figureWords(figures.lightBright!, 'lx')} its picture keeps a contrast of ${figureWords(contrast, '×')}; to frame by it ${MONITOR_CONTRAST.frame}× are needed, to judge by it ${MONITOR_CONTRAST.judge}×.`
      };
    },
    propose: (context) => {
      const monitor = context.rig.kit.of('monitor')[0]!;
      return [
        swapTo(
          context,
          'monitor',
          monitor.line.id,
          (gear) => (gear.luminanceCdM2 ?? 0) > (monitor.gear.luminanceCdM2 ?? 0)
        ),
        leaveOut(monitor.line, monitor.gear.model)
      ];
    }
  })
];
