import type { Act } from '../acts/act';
import { fullName, type GearItem, type GearKind } from '../model/gear';
import type { PriceBasis } from '../model/plan';
import { type Pocket, pockets } from '../model/pocket';
import type { Scene } from '../model/scene';
import { formatMoney } from '../money/format';
import { daysBetween, STALE_AFTER_DAYS } from '../money/days';
import type { MoneyStatement, StatementLine } from '../money/statement';
import { countPieces } from '../rigs/kit';
import { hearsVoice } from '../rigs/placed-rig';
import { micPlacesFor } from '../rigs/place-mic';
import { supportsByPlace } from '../rigs/places';
import type { Held, PlanContext, PlanFindingRow, Proposal } from './finding';
import { cheapestOf, swapFor } from './part-candidates';

/** Ways to spend less on lines: used, put off, or a cheaper part of the same kind. */
export function waysToSave(context: PlanContext, lines: readonly StatementLine[]): Proposal[] {
  const { shelf, project } = context;
  const dearestFirst = lines
    .filter((line) => line.gear && line.firmMinor > 0 && !line.line.locked)
    .sort((a, b) => b.firmMinor - a.firmMinor);
  const proposals: Proposal[] = [];
  for (const { line, gear } of dearestFirst) {
    if (line.basis === 'new' && gear!.priceUsed?.currency === project.currency) {
      proposals.push({
        label: `${gear!.model} used`,
        act: { type: 'change line', lineId: line.id, patch: { basis: 'used' } }
      });
    }
  }
  for (const { line, gear } of [...dearestFirst].reverse()) {
    proposals.push({
      label: `${gear!.model} later`,
      act: { type: 'change line', lineId: line.id, patch: { step: 'later' } }
    });
  }
  for (const { line, gear, unitMinor } of dearestFirst.slice(0, 4)) {
    const cheaper = cheapestOf(
      shelf,
      project,
      gear!.kind,
      (other) => other.priceNew!.likely < (unitMinor ?? 0)
    ).reverse();
    proposals.push({
      parts: cheaper.slice(0, 12),
      label: (other) => `${other.model} instead`,
      act: swapFor(line.id)
    });
  }
  return proposals;
}

interface MissingRole {
  kind: GearKind;
  title: string;
  why: string;
  sceneNames: string[];
  sceneIds: string[];
  /** Made only when someone asks. */
  proposals: () => Proposal[];
  comesAlong?: true;
}

/** What no scene can do without, and the kit does not have. */
function missingRoles({ rigs, kit, shelf, project }: PlanContext): MissingRole[] {
  const roles = new Map<string, MissingRole>();
  const miss = (
    key: string,
    scene: Pick<Scene, 'id' | 'name'>,
    role: () => Omit<MissingRole, 'sceneNames' | 'sceneIds'>
  ) => {
    const have = roles.get(key) ?? { ...role(), sceneNames: [], sceneIds: [] };
    if (!have.sceneIds.includes(scene.id)) {
      have.sceneIds.push(scene.id);
      have.sceneNames.push(scene.name);
    }
    roles.set(key, have);
  };
  const add = (kind: GearKind, passes?: (gear: never) => boolean): Proposal[] => [
    {
      parts: cheapestOf(shelf, project, kind, passes as never),
      label: (gear) => `Add ${gear.model}`
    }
  ];
  for (const rig of rigs) {
    const { scene, body, angle } = rig;
    if (!body) {
      miss(rig.index === 0 ? 'body' : 'second body', scene, () => ({
        kind: 'body',
        title: rig.index === 0 ? 'Nothing to film with' : 'Nothing to film the second angle with',
        why:
          rig.index === 0 ? 'There is no body in the bag.' : 'Two angles at once need two bodies.',
        proposals: () => add('body')
      }));
      continue;
    }
    if (!rig.lens) {
      const mount = body.gear.ports.find((port) => port.role === 'lens')?.type;
      miss('lens', scene, () => ({
        kind: 'lens',
        title: `No lens for ${body.gear.model}`,
        why: `${fullName(body.gear)} takes ${mount} lenses and none is in the bag.`,
        proposals: () => add('lens', (gear: { mount: string }) => gear.mount === mount)
      }));
    }
    if (hearsVoice(rig) && !rig.mic) {
      const unusable = kit.of('microphone').length > 0;
      miss('microphone', scene, () => ({
        kind: 'microphone',
        title: unusable ? 'No microphone that goes here' : 'Nothing carries the voice',
        why: unusable
          ? 'The microphones in the bag have no place in this scene.'
          : 'There is no microphone in the bag.',
        proposals: () => [
          {
            parts: cheapestOf(
              shelf,
              project,
              'microphone',
              (gear) => micPlacesFor(kit, scene, gear).length > 0
            ),
            label: (gear) => `Add ${gear.model}`
          }
        ]
      }));
    }
    const slots = body.gear.ports.filter((port) => port.role === 'card').map((port) => port.type);
    if (kit.of('card').length === 0 && body.gear.internalStorageGb === undefined) {
      miss('card', scene, () => ({
        kind: 'card',
        title: 'Nothing to record on',
        why: `${fullName(body.gear)} records to ${slots.join(' or ')} and no card is in the bag.`,
        proposals: () => add('card', (gear: { cardKind: string }) => slots.includes(gear.cardKind))
      }));
    }
    const { cellType } = body.gear;
    const powered =
      body.gear.internalCellWh !== undefined ||
      (body.gear.cellsIncluded ?? 0) > 0 ||
      countPieces(kit.of('cell'), (gear) => gear.cellType === cellType) > 0 ||
      (rig.hasSocket &&
        countPieces(kit.of('mains block'), (gear) => gear.cellType === cellType) > 0) ||
      (body.gear.runsFromUsb === true && kit.of('bank').length > 0);
    if (!powered) {
      miss('cell', scene, () => ({
        kind: 'cell',
        title: `No power for ${body.gear.model}`,
        why: `${fullName(body.gear)} runs from ${cellType ?? 'a cell'} and none is in the bag.`,
        proposals: () => add('cell', (gear: { cellType: string }) => gear.cellType === cellType)
      }));
    }
    if (!rig.support && rig.index === 0 && angle.cameraPlace !== 'hand') {
      const forms: readonly string[] = supportsByPlace[angle.cameraPlace];
      miss(`support ${angle.cameraPlace}`, scene, () => ({
        kind: 'support',
        title:
          angle.cameraPlace === 'above'
            ? 'Nothing holds the camera above'
            : angle.cameraPlace === 'stick'
              ? 'No stick to hold'
              : 'Nothing to stand the camera on',
        why: `The camera ${angle.cameraPlace === 'above' ? 'looks down from above' : angle.cameraPlace === 'stick' ? 'is held out on a stick' : `stands on the ${angle.cameraPlace}`} and the bag holds nothing for that.`,
        proposals: () => add('support', (gear: { form: string }) => forms.includes(gear.form))
      }));
    }
    if (scene.room && scene.lightSource === 'lamps' && !rig.keyLamp) {
      miss('lamp', scene, () => ({
        kind: 'lamp',
        title: 'No lamp that runs here',
        why: 'This scene makes its own light and no lamp in the bag can run there.',
        proposals: () => add('lamp')
      }));
    }
    if (
      rig.keyLamp &&
      rig.keyLamp.part.gear.form !== 'bulb' &&
      !kit.of('support').some(({ gear }) => gear.form === 'light stand')
    ) {
      miss('light stand', scene, () => ({
        comesAlong: true,
        kind: 'support',
        title: 'The lamp has no stand',
        why: `${fullName(rig.keyLamp!.part.gear)} needs something to stand on.`,
        proposals: () => add('support', (gear: { form: string }) => gear.form === 'light stand')
      }));
    }
    const foreignLamp = rig.keyLamp?.part.gear;
    if (foreignLamp && !foreignLamp.runsFromMains && foreignLamp.internalCellWh === undefined) {
      const lit = foreignLamp.cellType;
      if (countPieces(kit.of('cell'), (gear) => gear.cellType === lit) === 0) {
        miss('lamp cell', scene, () => ({
          comesAlong: true,
          kind: 'cell',
          title: `No power for ${foreignLamp.model}`,
          why: `It runs from ${lit}.`,
          proposals: () => add('cell', (gear: { cellType: string }) => gear.cellType === lit)
        }));
      }
    }
  }
  // Cells nobody can fill again.
  const cellTypes = new Set(
    kit
      .of('body')
      .map(({ gear }) => gear.cellType)
      .filter((type): type is string => type !== undefined)
  );
  for (const cellType of cellTypes) {
    const cells = kit.of('cell').filter(({ gear }) => gear.cellType === cellType);
    const body = kit.of('body').find(({ gear }) => gear.cellType === cellType)!;
    if (
      cells.length === 0 ||
      kit.of('charger').some(({ gear }) => gear.cellType === cellType) ||
      body.gear.runsFromUsb
    )
      continue;
    miss(`charger ${cellType}`, { id: '', name: 'every day' }, () => ({
      comesAlong: true,
      kind: 'charger',
      title: `Nothing fills the ${cellType} cells`,
      why: `${body.gear.model} cannot be charged over USB and no charger is in the bag.`,
      proposals: () => add('charger', (gear: { cellType: string }) => gear.cellType === cellType)
    }));
  }
  return [...roles.values()];
}

const roleKey = (role: MissingRole) => `${role.kind}: ${role.title}`;

/** The part with the price of a basis seen again today, kept as one's own entry. */
function seenToday(gear: GearItem, basis: PriceBasis, date: string): GearItem {
  const key = basis === 'used' ? 'priceUsed' : 'priceNew';
  return { ...gear, [key]: { ...gear[key]!, date } };
}

/** Parts dearer than any one part may be. */
function dearParts(money: MoneyStatement, limitMinor: number | undefined): Held[] {
  if (limitMinor === undefined) return [];
  return money.lines.flatMap(({ line, gear, unitMinor, firmMinor }): Held[] =>
    unitMinor === undefined || firmMinor === 0 || unitMinor <= limitMinor
      ? []
      : [
          {
            severity: 'warn',
            about: `part ${line.id}`,
            lineIds: [line.id],
            has: unitMinor,
            needs: limitMinor,
            unit: 'money',
            title: () => `${gear!.model} costs more than one part may`,
            why: () =>
              `It costs ${formatMoney(unitMinor, money.currency)}; you said each thing stays under ${formatMoney(limitMinor, money.currency)}.`
          }
        ]
  );
}

/** Prices nobody has looked at for long. */
function stalePrices(money: MoneyStatement, asOf: string | undefined): Held[] {
  if (asOf === undefined) return [];
  return money.lines.flatMap(({ line, gear, price, firmMinor }): Held[] => {
    if (!price || firmMinor === 0) return [];
    const days = daysBetween(price.date, asOf);
    return days <= STALE_AFTER_DAYS
      ? []
      : [
          {
            severity: 'note',
            about: `${line.id} stale`,
            lineIds: [line.id],
            has: days,
            needs: STALE_AFTER_DAYS,
            unit: 'days',
            title: () => `The price of ${gear!.model} is ${days} days old`,
            why: () =>
              `It was seen on ${price.date} at the ${price.source}; look again before you count on it.`
          }
        ];
  });
}

function overPocket(
  { lines, currency }: MoneyStatement,
  pocket: Pocket,
  firmMinor: number,
  limitMinor: number
): Held {
  return {
    severity: 'warn',
    about: pocket,
    has: firmMinor,
    needs: limitMinor,
    unit: 'money',
    lineIds: lines.filter((line) => line.pocket === pocket).map(({ line }) => line.id),
    title: () =>
      `The ${pocket} pocket is ${formatMoney(firmMinor - limitMinor, currency)} over its share`,
    why: () =>
      `It holds ${formatMoney(firmMinor, currency)} of the ${formatMoney(limitMinor, currency)} set for it.`
  };
}

export const moneyFindings: PlanFindingRow[] = [
  {
    code: 'M1',
    family: 'money',
    scope: 'plan',
    about: 'over the total',
    judge: ({ money }): Held[] => {
      if (money.firmMinor <= money.limitMinor) return [];
      return [
        {
          severity: 'warn',
          has: money.firmMinor,
          needs: money.spendableMinor,
          unit: 'money',
          title: () =>
            `${formatMoney(-money.remainingMinor, money.currency)} over what may be spent`,
          why: () =>
            `The lines add up to ${formatMoney(money.firmMinor, money.currency)}; ${formatMoney(money.spendableMinor, money.currency)} may be spent once ${formatMoney(money.reserveMinor, money.currency)} is kept back.`
        }
      ];
    },
    propose: (context) => waysToSave(context, context.money.lines)
  },
  {
    code: 'M2',
    family: 'money',
    scope: 'plan',
    about: 'over a pocket limit, or a part over the limit for one part',
    judge: ({ money, project }) => {
      const held = dearParts(money, project.itemLimitMinor);
      for (const pocket of pockets) {
        const { firmMinor, limitMinor } = money.pockets[pocket];
        if (limitMinor !== undefined && firmMinor > limitMinor)
          held.push(overPocket(money, pocket, firmMinor, limitMinor));
      }
      return held;
    },
    propose: (context, held) => {
      if (held.about?.startsWith('part ')) {
        const line = context.money.lines.find((one) => one.line.id === held.lineIds![0]);
        return line ? waysToSave(context, [line]) : [];
      }
      const pocket = held.about as Pocket;
      return [
        ...waysToSave(
          context,
          context.money.lines.filter((line) => line.pocket === pocket)
        ),
        {
          label: `Allow it ${formatMoney(held.has ?? 0, context.money.currency, { short: true })}`,
          act: { type: 'set pocket limit', pocket, limitMinor: held.has }
        }
      ];
    }
  },
  {
    code: 'M4',
    family: 'money',
    scope: 'plan',
    about: 'a price is missing or stale',
    judge: ({ money, project }) => [
      ...stalePrices(money, project.pricesAsOf),
      ...money.unpriced.map(({ line, gear }): Held => ({
        severity: 'warn',
        has: 0,
        needs: 1,
        unit: 'count',
        about: line.id,
        lineIds: [line.id],
        title: () => `${gear ? fullName(gear) : 'A part that is gone from the shelf'} has no price`,
        why: () =>
          `Nobody has stated a ${line.basis} price in ${money.currency}, so the total leaves it out.`
      }))
    ],
    propose: ({ plan, shelf, project }, held) => {
      const line = plan.lines.find((one) => one.id === held.lineIds?.[0]);
      const gear = line && shelf.byId.get(line.gearId);
      const acts: { label: string; act: Act }[] = [];
      if (held.about?.endsWith(' stale') && line && gear)
        return [
          {
            label: 'I looked: it still holds',
            act: { type: 'put gear', gear: seenToday(gear, line.basis, project.pricesAsOf!) }
          },
          {
            label: 'Put it off',
            act: { type: 'change line', lineId: line.id, patch: { step: 'later' } }
          }
        ];
      if (line && gear && line.basis === 'used' && gear.priceNew?.currency === project.currency) {
        acts.push({
          label: 'Buy it new',
          act: { type: 'change line', lineId: line.id, patch: { basis: 'new' } }
        });
      }
      if (line) acts.push({ label: 'Leave it out', act: { type: 'remove line', lineId: line.id } });
      return acts;
    }
  },
  {
    code: 'M7',
    family: 'money',
    scope: 'plan',
    about: 'a needed part is not in the list',
    mayComeAlong: true,
    judge: (context) =>
      missingRoles(context).map((role): Held => ({
        severity: 'stop',
        has: 0,
        needs: 1,
        unit: 'count',
        about: roleKey(role),
        lineIds: [],
        sceneIds: role.sceneIds,
        ...(role.comesAlong ? { comesAlong: true } : {}),
        title: () => role.title,
        why: () => `${role.why} Needed for ${role.sceneNames.join(', ')}.`
      })),
    propose: (context, held) =>
      missingRoles(context)
        .find((role) => roleKey(role) === held.about)
        ?.proposals() ?? []
  }
];
