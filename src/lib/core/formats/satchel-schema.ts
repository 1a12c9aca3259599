import { gearKindNames } from '../model/gear';
import { gearClasses } from '../model/gear/classes';
import { BuiltInLens, PictureProfile, RecordingMode } from '../model/gear/body';
import { SizeMm } from '../model/gear/base';
import { Price } from '../model/gear/price';
import { microphoneForms } from '../model/word-lists';
import { LampPlacing, Plan, PlanLine, Rig } from '../model/plan';
import { pockets } from '../model/pocket';
import { Port } from '../model/ports';
import { Project } from '../model/project';
import { Angle, Room, Scene } from '../model/scene';
import { type FieldAsk, fieldsOfClass } from '../model/stated';
import { SATCHEL_FORMAT, SATCHEL_VERSION } from './satchel-file';

type Json = Record<string, unknown>;

/** What one field asks for, as JSON Schema says it. A figure that may be unsaid may be left out or null. */
function schemaOfAsk(ask: FieldAsk): Json {
  const optional = (type: string) => (ask.needed ? type : [type, 'null']);
  switch (ask.type) {
    case 'number':
      return {
        type: optional('number'),
        minimum: ask.min,
        maximum: ask.max,
        description: ask.unit
      };
    case 'word':
      return { enum: ask.needed ? [...ask.words] : [...ask.words, null] };
    case 'yes/no':
      return { type: optional('boolean') };
    case 'text':
      return { type: optional('string'), maxLength: ask.maxLength };
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
const orNull = (schema: Json): Json => ({ anyOf: [schema, { type: 'null' }] });
const listOf = (items: Json, more: Json = {}): Json => ({ type: 'array', items, ...more });
const minor: Json = { type: 'integer', minimum: 0, maximum: 1e12, description: 'minor units' };
const yesNo: Json = { type: 'boolean' };

/** The JSON Schema (draft 2020-12) of a satchel file, made from the same classes that check it. */
export function satchelSchema(): Json {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: '/schema/satchel-1.json',
    title: 'Hearty Satchel file, version 1',
    type: 'object',
    required: ['format', 'version', 'project', 'shelf'],
    properties: {
      format: { const: SATCHEL_FORMAT },
      version: { const: SATCHEL_VERSION },
      project: ref('project'),
      shelf: listOf(ref('gear'))
    },
    $defs: {
      project: objectOf(
        Project,
        {
          currency: { type: 'string', pattern: '^[A-Z]{3}$' },
          mainsHz: { enum: [50, 60] },
          limitMinor: minor,
          reserveMinor: minor,
          pocketLimitsMinor: orNull({
            type: 'object',
            propertyNames: { enum: [...pockets] },
            additionalProperties: { type: 'integer', minimum: 0 }
          }),
          scenes: listOf(ref('scene'), { maxItems: 40 }),
          plans: listOf(ref('plan'), { minItems: 1 }),
          ownGear: listOf(ref('gear'))
        },
        ['currency', 'mainsHz', 'limitMinor', 'reserveMinor', 'scenes', 'plans', 'ownGear']
      ),
      scene: objectOf(
        Scene,
        {
          mustDo: yesNo,
          live: yesNo,
          wantsSeeSelf: yesNo,
          wantsFaceSharp: yesNo,
          room: orNull(ref('room')),
          angles: listOf(ref('angle'), { minItems: 1, maxItems: 6 })
        },
        ['mustDo', 'live', 'wantsSeeSelf', 'wantsFaceSharp', 'angles']
      ),
      angle: objectOf(Angle),
      room: objectOf(Room),
      plan: objectOf(Plan, { lines: listOf(ref('line')), rigs: listOf(ref('rig')) }, [
        'lines',
        'rigs'
      ]),
      line: objectOf(
        PlanLine,
        {
          quantity: { type: 'integer', minimum: 1, maximum: 999 },
          locked: yesNo,
          shippingMinor: orNull({ type: 'integer', minimum: 0 })
        },
        ['quantity', 'locked']
      ),
      rig: objectOf(Rig, {
        boostOn: { type: ['boolean', 'null'] },
        lamps: orNull(listOf(objectOf(LampPlacing)))
      }),
      price: objectOf(
        Price,
        {
          likely: minor,
          low: orNull(minor),
          high: orNull(minor),
          currency: { type: 'string', pattern: '^[A-Z]{3}$' },
          date: { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' }
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
    priceNew: orNull(ref('price')),
    priceUsed: orNull(ref('price')),
    sizeMm: orNull(objectOf(SizeMm)),
    ports: listOf(ref('port'))
  };
  if (kind === 'body') {
    return objectOf(
      gearClasses.body,
      {
        ...common,
        modes: listOf(objectOf(RecordingMode)),
        profiles: orNull(listOf(objectOf(PictureProfile))),
        builtInLens: orNull(objectOf(BuiltInLens))
      },
      ['ports', 'modes']
    );
  }
  if (kind === 'wind cover')
    return objectOf(
      gearClasses[kind],
      { ...common, fitsForms: listOf({ enum: [...microphoneForms] }) },
      ['ports', 'fitsForms']
    );
  return objectOf(gearClasses[kind], common, ['ports']);
}
