import { figureWords, massWords, minutesWords } from '../figures/figure-words';
import { minutesFor, partsOfScene } from '../figures/handling-rows';
import { figureOf } from '../figures/record';
import { markdownText } from '../formats/buying-list';
import type { AngleJudgement } from '../judge/incremental';
import type { Judgement } from '../judge/judgement';
import { changesSinceLock } from '../judge/scene-lock';
import { settingsOf } from '../judge/settings';
import { fullName, type GearItem, pocketOf } from '../model/gear';
import { habits } from '../model/habits';
import { type Pocket, pockets } from '../model/pocket';
import type { Project, UnitSystem } from '../model/project';
import { isRecorded, showsFace } from '../model/scene-facts';
import type { KitPart } from '../rigs/kit';
import { recordedApart, voiceGoesInto } from '../rigs/sound-path';
import { copyMinutesOfDay } from '../supplies/copy-minutes';
import { filmingDays } from '../supplies/filming-days';

/** One line to tick. */
export interface CardItem {
  /** The same as long as it is about the same thing, so that a tick stays where it was. */
  key: string;
  text: string;
  note?: string;
}

export interface CardGroup {
  name: string;
  items: readonly CardItem[];
}

/** A list one carries to the shoot. */
export interface Card {
  id: CardId;
  title: string;
  about: string;
  groups: readonly CardGroup[];
}

export const cardIds = ['packing', 'pre-roll', 'settings', 'set-up', 'evening'] as const;
export type CardId = (typeof cardIds)[number];

/** Every card of a judged plan, made from the parts that are really in it. */
export function cardsOf(project: Project, judgement: Judgement): Card[] {
  return [
    packing(judgement, project.units),
    {
      id: 'pre-roll',
      title: 'Pre-roll',
      about: 'Before every take, in the order one goes round the set.',
      groups: judgement.angles.map((angle) => ({
        name: nameOf(angle),
        items: [
          ...preRoll(angle),
          ...keptLines(project, 'pre-roll', `${angle.scene.id} ${angle.angle.id} `)
        ]
      }))
    },
    {
      id: 'settings',
      title: 'Settings',
      about: 'What the camera and the sound are set to, scene by scene.',
      groups: judgement.angles.map((angle) => ({
        name: `${nameOf(angle)}${lockedWords(project, angle)}`,
        items: settingsOf(angle).map(({ name, set }) => ({
          key: `${angle.scene.id} ${angle.angle.id} ${name}`,
          text: `${name}: ${set}`
        }))
      }))
    },
    {
      id: 'set-up',
      title: 'Set-up',
      about: 'In the order in which nothing has to be moved twice, with its minutes, about.',
      groups: judgement.angles.map((angle) => ({ name: setUpName(angle), items: setUp(angle) }))
    },
    evening(project, judgement)
  ];
}

const nameOf = ({ scene, angle }: AngleJudgement): string =>
  scene.angles.length > 1 ? `${scene.name}, ${angle.name}` : scene.name;

function packing({ kit }: Judgement, units: UnitSystem): Card {
  const inPocket = (pocket: Pocket) =>
    kit.parts.filter(({ gear }) => pocketOf(gear) === pocket && gear.kind !== 'computer');
  const grams = (parts: readonly KitPart[]) =>
    parts.reduce((sum, { gear, line }) => sum + (gear.massG ?? 0) * line.quantity, 0);
  const unweighed = kit.parts.filter(({ gear }) => gear.massG === undefined).length;
  const groups = pockets.flatMap((pocket): CardGroup[] => {
    const parts = inPocket(pocket);
    if (parts.length === 0) return [];
    return [
      {
        name: `${pocket}, ${massWords(grams(parts) / 1000, units)}`,
        items: parts.map(({ gear, line }) => ({
          key: line.id,
          text: `${line.quantity > 1 ? `${line.quantity} × ` : ''}${fullName(gear)}`,
          note:
            gear.massG === undefined
              ? 'not weighed'
              : massWords((gear.massG * line.quantity) / 1000, units)
        }))
      }
    ];
  });
  const all = pockets.flatMap(inPocket);
  return {
    id: 'packing',
    title: 'Packing',
    about: `${massWords(grams(all) / 1000, units)} in all${unweighed > 0 ? `, ${unweighed} ${unweighed === 1 ? 'part' : 'parts'} not weighed` : ''}; the computer stays out of it.`,
    groups
  };
}

/** Switches, batteries and checks that this rig really has. */
function preRoll(judged: AngleJudgement): CardItem[] {
  const { rig, record, scene, angle } = judged;
  const items: CardItem[] = [];
  const tell = (key: string, text: string, note?: string) =>
    items.push({
      key: `${scene.id} ${angle.id} ${key}`,
      text,
      ...(note === undefined ? {} : { note })
    });
  const { body, mic } = rig;
  if (!body) return items;
  if (figureOf(record, 'onMains') === 1)
    tell('mains', `${body.gear.model} runs from the socket, cable taped down`);
  else {
    const minutes = figureOf(record, 'minutesPerBattery');
    tell(
      'battery',
      `Full battery in ${body.gear.model}`,
      minutes === undefined ? undefined : `lasts about ${minutesWords(minutes)}`
    );
  }
  if (isRecorded(scene)) {
    const minutes = figureOf(record, 'cardMinutes');
    tell(
      'card',
      'Card in, its files copied, formatted in the camera',
      minutes === undefined ? undefined : `takes ${minutesWords(minutes)}`
    );
  }
  if (rig.lens && !rig.lens.builtIn) tell('cap', 'Lens cap off, front glass clean');
  if (rig.filter) tell('filter', `${rig.filter.gear.model} as the settings card says`);
  for (const lamp of [rig.keyLamp, rig.fillLamp, ...rig.furtherLamps])
    if (lamp) tell(`lamp ${lamp.part.line.id}`, `${lamp.part.gear.model} on`);
  if (mic) {
    if (mic.gear.form === 'lavalier wireless') {
      tell('transmitter', `Transmitter of ${mic.gear.model} on and charged`);
      tell('receiver', `Receiver of ${mic.gear.model} on, paired`);
    } else if (mic.gear.hasSwitch === true) tell('mic', `Switch of ${mic.gear.model} on`);
    if ((mic.gear.boostDb ?? 0) > 0)
      tell(
        'boost',
        `Boost of ${mic.gear.model} ${rig.overrides?.boostOn === false ? 'off' : 'on'}`
      );
    if (rig.cover !== 'none')
      tell('cover', `${rig.cover[0]!.toUpperCase()}${rig.cover.slice(1)} over ${mic.gear.model}`);
    if (rig.micPlace === 'shoe' && body.gear.screen === 'flips up')
      tell('screen', 'Cable and microphone off the screen');
  } else if (rig.hearsByBody)
    tell('own mic', `Nothing covers the microphone of ${body.gear.model}`);
  const apart = recordedApart(rig);
  if (apart) {
    const model = voiceGoesInto(rig)?.gear.model ?? 'The computer';
    tell(
      'recorder',
      apart === 'recorder'
        ? `${model} charged, card in, rolling`
        : `${model} awake, records ${mic!.gear.model}, room left on its disk`
    );
    tell('clap', 'One clap in the picture, for picture and sound');
  }
  if (scene.voice !== 'none' && rig.index === 0)
    tell('level', 'Say a sentence as loud as you will: peaks at −12, none at 0');
  for (const { gear } of rig.kit.of('monitor'))
    tell(`monitor ${gear.id}`, `${gear.model} on, shows the clean picture`);
  if (scene.live) tell('live', 'The computer shows this camera and hears this microphone');
  if (showsFace(angle)) tell('focus', 'Focus on the eye nearer to the lens, then leave it');
  if (rig.support?.gear.form === 'gimbal')
    tell('gimbal', `${rig.support.gear.model} balanced and on`);
  if (figureOf(record, 'boomBag') !== undefined && rig.micPlace === 'boom arm')
    tell('bag', 'Sandbag on the foot under the arm');
  tell('phone', 'Telephone silent, fridge and fan off');
  return items;
}

/** A card whose settings were proved says so, and says when they are no longer those. */
function lockedWords({ locks = [] }: Project, judged: AngleJudgement): string {
  const lock = locks.find(
    ({ sceneId, angleId }) => sceneId === judged.scene.id && angleId === judged.angle.id
  );
  if (!lock) return '';
  const changes = changesSinceLock(lock, judged);
  return changes.length === 0
    ? `, locked on ${lock.lockedOn}`
    : `, no longer as locked on ${lock.lockedOn}: ${changes.map(({ name }) => name).join(', ')}`;
}

/** Lines a rehearsal has put on the lists. */
function keptLines(
  { rehearsal }: Project,
  when: 'evening' | 'pre-roll',
  before: string
): CardItem[] {
  return (rehearsal?.habits ?? [])
    .filter((habit) => habits[habit].when === when)
    .map((habit) => ({ key: `${before}${habit}`, text: habits[habit].line }));
}

/** What stands first is what the rest stands on or is measured from. */
const SET_UP_ORDER: Partial<Record<GearItem['kind'], number>> = {
  support: 0,
  head: 1,
  body: 2,
  lens: 3,
  filter: 4,
  lamp: 5,
  microphone: 6,
  windscreen: 7,
  recorder: 8,
  monitor: 9
};

function setUp(judged: AngleJudgement): CardItem[] {
  const { rig, scene, angle } = judged;
  const order = ({ gear }: KitPart) => SET_UP_ORDER[gear.kind] ?? 10;
  return [...partsOfScene(rig)]
    .sort((a, b) => order(a) - order(b))
    .map(({ gear, line }) => {
      const minutes = minutesFor(gear, rig);
      return {
        key: `${scene.id} ${angle.id} ${line.id}`,
        text: fullName(gear),
        ...(minutes > 0 ? { note: minutesWords(minutes) } : {})
      };
    });
}

function setUpName(judged: AngleJudgement): string {
  const minutes = figureOf(judged.record, 'setUp');
  return minutes === undefined
    ? nameOf(judged)
    : `${nameOf(judged)}, about ${minutesWords(minutes)}`;
}

/** Charging and copying at night, so that the next morning begins full and empty. */
function evening(project: Project, judgement: Judgement): Card {
  const { kit, angles } = judgement;
  const charging: CardItem[] = [];
  for (const { gear, line } of kit.of('battery'))
    charging.push({
      key: `charge ${line.id}`,
      text: `Charge ${line.quantity > 1 ? `all ${line.quantity} ` : ''}${gear.model}`
    });
  const hours = Math.max(
    0,
    ...angles.flatMap(({ record }) => figureOf(record, 'chargingHours') ?? [])
  );
  for (const { gear, line } of [...kit.of('power bank'), ...kit.of('recorder')])
    charging.push({ key: `charge ${line.id}`, text: `Charge ${gear.model}` });
  for (const { gear, line } of kit.of('lamp'))
    if (gear.internalBatteryWh !== undefined || gear.batteryType !== undefined)
      charging.push({ key: `charge ${line.id}`, text: `Charge ${gear.model}` });
  for (const { gear, line } of kit.of('microphone'))
    if (gear.form === 'lavalier wireless')
      charging.push({ key: `charge ${line.id}`, text: `Charge ${gear.model}, both halves` });
  // Of several days of filming the one that records most.
  const minutes = Math.max(
    0,
    ...filmingDays(angles.map(({ rig }) => rig)).map(
      ({ scenes }) =>
        copyMinutesOfDay(
          angles.flatMap(({ scene, record }) => (scenes.includes(scene) ? [record] : []))
        ) ?? 0
    )
  );
  const copies = Math.max(0, ...angles.flatMap(({ record }) => figureOf(record, 'copies') ?? []));
  const files: CardItem[] =
    kit.of('card').length > 0
      ? [
          {
            key: 'offload',
            text: 'Copy the cards',
            ...(minutes > 0 ? { note: `about ${minutesWords(minutes)}` } : {})
          },
          {
            key: 'second copy',
            text:
              copies >= 2
                ? 'A second copy, elsewhere'
                : 'A second copy: the kit has no second place for it',
            note: `${figureWords(copies, 'count')} ${copies === 1 ? 'place' : 'places'} in the kit`
          },
          { key: 'verify', text: 'Open a clip from each copy' },
          { key: 'format', text: 'Format the cards in the camera, not before both copies open' }
        ]
      : [];
  return {
    id: 'evening',
    title: 'Evening',
    about:
      hours > 0
        ? `The largest battery takes ${figureWords(hours, 'h')} in the weakest bay. Charge where you would notice smoke, never on a bed.`
        : 'Charge where you would notice smoke, never on a bed.',
    groups: [
      { name: 'charging', items: charging },
      { name: 'files', items: files },
      { name: 'from the rehearsal', items: keptLines(project, 'evening', '') }
    ].filter(({ items }) => items.length > 0)
  };
}

/** A card as Markdown, each line a box to tick. */
export function cardMarkdown(projectName: string, { title, about, groups }: Card): string {
  const out = [`# ${title}: ${markdownText(projectName)}`, '', markdownText(about), ''];
  for (const { name, items } of groups) {
    out.push(`## ${markdownText(name[0]!.toUpperCase() + name.slice(1))}`, '');
    for (const { text, note } of items)
      out.push(
        `- [ ] ${markdownText(text)}${note === undefined ? '' : ` (${markdownText(note)})`}`
      );
    out.push('');
  }
  return out.join('\n');
}
