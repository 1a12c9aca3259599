import { gearKindNames } from '../model/gear';
import { gearClasses } from '../model/gear/classes';
import { BuiltInLens, PictureProfile, RecordingMode } from '../model/gear/body';
import { SizeMm } from '../model/gear/base';
import { Price } from '../model/gear/price';
import { chanceIds, habitIds, microphoneForms, sceneWants } from '../model/word-lists';
import { LampPlacing, Plan, PlanLine, Rig } from '../model/plan';
import { pockets } from '../model/pocket';
import { Port } from '../model/ports';
import { ExchangeRate } from '../model/exchange-rate';
import { Income, PriceAlert, PriceObservation } from '../model/price-observation';
import { Ignored, OwnRules, Project } from '../model/project';
import {
  BatteryTime,
  ChancePercent,
  ChanceTally,
  DayLog,
  PartUse,
  Rehearsal
} from '../model/rehearsal';
import { Angle, Room, Scene, Window } from '../model/scene';
import { LockedFigure, LockEvidence, SceneLock } from '../model/scene-lock';
import { type FieldAsk, fieldsOfClass } from '../model/stated';
import {
  MOST_ALERTS,
  MOST_ANGLES,
  MOST_DAY_LOGS,
  MOST_LOG_NOTES,
  MOST_DISMISSED,
  MOST_INCOMES,
  MOST_RATES,
  MOST_LAMPS,
  MOST_LINES,
  MOST_MINOR,
  MOST_MODES,
  MOST_OBSERVATIONS,
  MOST_OWN_PARTS,
  MOST_PIECES,
  MOST_PLANS,
  MOST_PORTS,
  MOST_PROFILES,
  MOST_RIGS,
  MOST_SCENES
} from '../model/limits';
import { SATCHEL_FORMAT, SATCHEL_VERSION } from './satchel-file';

type Json = Record<string, unknown>;

/** What one field asks for, as JSON Schema says it. A figure that may be unsaid may be left out, never null. */
function schemaOfAsk(ask: FieldAsk): Json {
  switch (ask.type) {
    case 'number':
      return {
        type: 'number',
        minimum: ask.min,
        maximum: ask.max,
        description: ask.unit
      };
    case 'word':
      return { enum: [...ask.words] };
    case 'yes/no':
      return { type: 'boolean' };
    case 'text':
      return {
        type: 'string',
        ...(ask.minLength === undefined ? {} : { minLength: ask.minLength }),
        maxLength: ask.maxLength
      };
  }
}

/** A class by its noted fields, with what decorators alone do not note. Unknown fields are let through. */
function objectOf(
  make: abstract new () => object,
  more: Json = {},
  alsoNeeded: readonly string[] = []
): Json {
  const fields = [...fieldsOfClass(make)];
  return {
    type: 'object',
    properties: {
      ...Object.fromEntries(fields.map(([key, ask]) => [key, schemaOfAsk(ask)])),
      ...more
    },
    required: [...fields.filter(([, ask]) => ask.needed).map(([key]) => key), ...alsoNeeded]
  };
}

const ref = (name: string): Json => ({ $ref: `#/$defs/${name}` });
const listOf = (items: Json, more: Json = {}): Json => ({ type: 'array', items, ...more });
const minor: Json = {
  type: 'integer',
  minimum: 0,
  maximum: MOST_MINOR,
  description: 'minor units'
};
const day: Json = { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$', description: 'a day' };
const currency: Json = { type: 'string', pattern: '^[A-Z]{3}$' };
const yesNo: Json = { type: 'boolean' };

/** The JSON Schema (draft 2020-12) of a satchel file, made from the same classes that check it. */
export function satchelSchema(): Json {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: '/schema/satchel-1.json',
    title: 'Hearty Satchel file, version 2',
    type: 'object',
    required: ['format', 'version', 'project', 'shelf'],
    properties: {
      format: { const: SATCHEL_FORMAT },
      version: { const: SATCHEL_VERSION },
      project: ref('project'),
      shelf: listOf(ref('gear')),
      history: listOf({ type: 'string', maxLength: 60 }, { maxItems: 100 })
    },
    $defs: {
      project: objectOf(
        Project,
        {
          currency,
          mainsHz: { enum: [50, 60] },
          limitMinor: minor,
          reserveMinor: minor,
          pocketLimitsMinor: {
            type: 'object',
            propertyNames: { enum: [...pockets] },
            additionalProperties: minor
          },
          inHandMinor: minor,
          savedPerMonthMinor: minor,
          consumablesMinor: minor,
          incomes: listOf(
            objectOf(Income, { date: day, amountMinor: minor }, ['date', 'amountMinor']),
            { maxItems: MOST_INCOMES }
          ),
          priceObservations: listOf(
            objectOf(PriceObservation, { priceMinor: minor, currency, date: day, dealEnds: day }, [
              'priceMinor',
              'currency',
              'date'
            ]),
            { maxItems: MOST_OBSERVATIONS }
          ),
          priceAlerts: listOf(objectOf(PriceAlert, { atMostMinor: minor }, ['atMostMinor']), {
            maxItems: MOST_ALERTS
          }),
          itemLimitMinor: minor,
          pricesAsOf: day,
          rehearsal: objectOf(Rehearsal, {
            habits: listOf({ enum: [...habitIds] }, { uniqueItems: true }),
            chances: listOf(objectOf(ChancePercent), { maxItems: chanceIds.length }),
            sceneOrder: listOf(
              { type: 'string', minLength: 1, maxLength: 60 },
              { maxItems: MOST_SCENES, uniqueItems: true }
            )
          }),
          locks: listOf(
            objectOf(
              SceneLock,
              {
                lockedOn: day,
                figures: listOf(objectOf(LockedFigure), { maxItems: MOST_LOG_NOTES }),
                evidence: listOf(objectOf(LockEvidence), { maxItems: MOST_LOG_NOTES }),
                angle: ref('angle'),
                rig: ref('rig')
              },
              ['lockedOn', 'figures', 'evidence']
            ),
            { maxItems: MOST_RIGS }
          ),
          logbook: listOf(
            objectOf(
              DayLog,
              {
                date: day,
                tallies: listOf(objectOf(ChanceTally), { maxItems: chanceIds.length }),
                batteries: listOf(objectOf(BatteryTime), { maxItems: MOST_LOG_NOTES }),
                used: listOf(objectOf(PartUse), { maxItems: MOST_LOG_NOTES })
              },
              ['date', 'tallies', 'batteries', 'used']
            ),
            { maxItems: MOST_DAY_LOGS }
          ),
          ownWeights: {
            type: 'object',
            additionalProperties: { type: 'number', minimum: 0, maximum: 100 }
          },
          rates: listOf(objectOf(ExchangeRate), { maxItems: MOST_RATES }),
          rules: objectOf(OwnRules),
          ignored: listOf(objectOf(Ignored), { maxItems: MOST_DISMISSED }),
          scenes: listOf(ref('scene'), { maxItems: MOST_SCENES }),
          plans: listOf(ref('plan'), { minItems: 1, maxItems: MOST_PLANS }),
          ownGear: listOf(ref('gear'), { maxItems: MOST_OWN_PARTS })
        },
        ['currency', 'mainsHz', 'limitMinor', 'reserveMinor', 'scenes', 'plans', 'ownGear']
      ),
      scene: objectOf(
        Scene,
        {
          mustDo: yesNo,
          filmedOn: day,
          live: yesNo,
          wantsSeeSelf: yesNo,
          wantsFaceSharp: yesNo,
          room: ref('room'),
          window: objectOf(Window),
          niceToHave: listOf({ enum: [...sceneWants] }, { uniqueItems: true }),
          angles: listOf(ref('angle'), { minItems: 1, maxItems: MOST_ANGLES })
        },
        ['mustDo', 'live', 'wantsSeeSelf', 'wantsFaceSharp', 'angles']
      ),
      angle: objectOf(Angle),
      room: objectOf(Room),
      plan: objectOf(
        Plan,
        {
          lines: listOf(ref('line'), { maxItems: MOST_LINES }),
          rigs: listOf(ref('rig'), { maxItems: MOST_RIGS })
        },
        ['lines', 'rigs']
      ),
      line: objectOf(
        PlanLine,
        {
          quantity: { type: 'integer', minimum: 1, maximum: MOST_PIECES },
          locked: yesNo,
          shippingMinor: minor,
          paidMinor: minor,
          paidOn: day,
          refundMinor: minor,
          cashBackMinor: minor,
          cashBackUntil: day,
          handRemainingMinor: { type: 'integer', minimum: -MOST_MINOR, maximum: MOST_MINOR },
          resaleMinor: minor
        },
        ['quantity', 'locked']
      ),
      rig: objectOf(Rig, {
        boostOn: yesNo,
        lamps: listOf(objectOf(LampPlacing), { maxItems: MOST_LAMPS })
      }),
      price: objectOf(
        Price,
        {
          likely: minor,
          low: minor,
          high: minor,
          currency,
          date: day,
          dealEnds: day
        },
        ['likely', 'currency', 'date']
      ),
      port: objectOf(Port),
      gear: {
        type: 'object',
        required: ['kind'],
        properties: { kind: { enum: [...gearKindNames] } },
        allOf: gearKindNames.map((kind) => ({
          if: { properties: { kind: { const: kind } } },
          then: gearSchema(kind)
        }))
      }
    }
  };
}

function gearSchema(kind: (typeof gearKindNames)[number]): Json {
  const common: Json = {
    priceNew: ref('price'),
    priceUsed: ref('price'),
    sizeMm: objectOf(SizeMm),
    ports: listOf(ref('port'), { maxItems: MOST_PORTS })
  };
  if (kind === 'body') {
    return objectOf(
      gearClasses.body,
      {
        ...common,
        modes: listOf(objectOf(RecordingMode), { maxItems: MOST_MODES }),
        profiles: listOf(objectOf(PictureProfile), { maxItems: MOST_PROFILES }),
        builtInLens: objectOf(BuiltInLens)
      },
      ['ports', 'modes']
    );
  }
  if (kind === 'windscreen')
    return objectOf(
      gearClasses[kind],
      { ...common, fitsForms: listOf({ enum: [...microphoneForms] }, { uniqueItems: true }) },
      ['ports', 'fitsForms']
    );
  return objectOf(gearClasses[kind], common, ['ports']);
}
