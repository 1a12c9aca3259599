/**
 * What version 2 calls by the field's standard terms, by the name version 1 had for it. A value is renamed
 * only under the keys listed for it: a scene that somebody called “bench” keeps its name.
 */

/** Names of fields. */
export const renamedKeys: Readonly<Record<string, string>> = {
  cellType: 'batteryType',
  cellsIncluded: 'batteriesIncluded',
  includedCellWh: 'includedBatteryWh',
  internalCellWh: 'internalBatteryWh',
  runsFromMainsBlock: 'runsFromMainsAdapter',
  coverIncluded: 'windscreenIncluded',
  nearestFocusM: 'minimumFocusDistanceM',
  apertureLeastN: 'apertureSmallestN',
  usableIso: 'highestUsableIso',
  lowestIso: 'baseIso',
  dismissed: 'ignored',
  joining: 'accessories'
};

/** Words of closed lists, by the field they stand in. */
export const renamedWords: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  kind: {
    cell: 'battery',
    'mains block': 'mains adapter',
    bank: 'power bank',
    'sun panel': 'solar panel',
    ballast: 'sandbag',
    'wind cover': 'windscreen',
    ring: 'step-up ring',
    coupling: 'thread adapter',
    sundry: 'small item'
  },
  form: {
    'floor legs': 'tripod',
    'table legs': 'mini tripod',
    'flexible legs': 'flexible tripod',
    grip: 'hand grip',
    pole: 'extension pole',
    boom: 'boom arm',
    'lapel wired': 'lavalier wired',
    'lapel wireless': 'lavalier wireless'
  },
  fitsForms: { 'lapel wired': 'lavalier wired', 'lapel wireless': 'lavalier wireless' },
  power: { cell: 'battery' },
  cameraPlace: {
    stick: 'extension pole',
    bench: 'tabletop',
    floor: 'tripod',
    above: 'overhead'
  },
  micPlace: { boom: 'boom arm', lapel: 'lavalier' },
  lightSource: { 'as found': 'existing light' },
  school: { 'glass first': 'lenses first', 'what you have': 'start with what you have' }
};

/** Parts of the shelf whose names, and so their ids, have changed. */
export const renamedParts: Readonly<Record<string, string>> = {
  'dunmarrow-perch': 'dunmarrow-plover',
  'dunmarrow-perch-plain': 'dunmarrow-plover-plain',
  'dunmarrow-perch-deep': 'dunmarrow-plover-deep',
  'dunmarrow-fur-for-shoe-microphones': 'dunmarrow-furry-windscreen-for-on-camera-microphones',
  'dunmarrow-fur-for-short-shotguns': 'dunmarrow-furry-windscreen-for-short-shotguns',
  'dunmarrow-fur-for-lapels-pair': 'dunmarrow-furry-windscreen-for-lavaliers-pair',
  'dunmarrow-fur-for-long-tubes': 'dunmarrow-furry-windscreen-for-long-tubes',
  'nibsworth-stick-on-fur-ten': 'nibsworth-stick-on-furry-windscreens-ten',
  'harkelow-fur-hat-small': 'harkelow-furry-windscreen-small',
  'brackenholt-ring-45': 'brackenholt-ring-light-45',
  'cobberly-meadow-legs': 'cobberly-meadow-tripod',
  'cobberly-meadow-legs-fluid': 'cobberly-meadow-tripod-fluid',
  'cobberly-acre-legs-fluid': 'cobberly-acre-tripod-fluid',
  'cobberly-stile-legs-light': 'cobberly-stile-tripod-light',
  'nibsworth-hob-legs': 'nibsworth-hob-mini-tripod',
  'nibsworth-hob-legs-wide': 'nibsworth-hob-mini-tripod-wide',
  'nibsworth-vine-legs': 'nibsworth-vine-flexible-tripod',
  'vantlow-palm-grip-legs': 'vantlow-palm-grip-tripod',
  'brackenholt-post-2': 'brackenholt-stand-2',
  'brackenholt-post-2-6-cushioned': 'brackenholt-stand-2-6-cushioned',
  'brackenholt-post-3-steel': 'brackenholt-stand-3-steel',
  'brackenholt-post-boom': 'brackenholt-stand-boom',
  'cobberly-bench-gallows': 'cobberly-bench-overhead-arm',
  'cobberly-bench-gallows-heavy': 'cobberly-bench-overhead-arm-heavy',
  'cobberly-acre-legs-tall': 'cobberly-acre-tripod-tall',
  'harkelow-plain-legs': 'harkelow-plain-tripod',
  'nibsworth-vine-legs-strong': 'nibsworth-vine-flexible-tripod-strong',
  'cobberly-meadow-legs-bare': 'cobberly-meadow-tripod-bare',
  'cobberly-acre-legs-bare': 'cobberly-acre-tripod-bare',
  'orrowby-ember-8-cell': 'orrowby-ember-8-battery',
  'quillfeather-ember-8-cell-twin': 'quillfeather-ember-8-battery-twin',
  'orrowby-ember-16-cell': 'orrowby-ember-16-battery',
  'quillfeather-ember-16-cell-twin': 'quillfeather-ember-16-battery-twin',
  'tesselind-slate-19-cell': 'tesselind-slate-19-battery',
  'quillfeather-slate-19-cell-twin': 'quillfeather-slate-19-battery-twin',
  'vantlow-quill-9-cell': 'vantlow-quill-9-battery',
  'quillfeather-quill-9-cell-twin': 'quillfeather-quill-9-battery-twin',
  'cobberly-pebble-5-cell': 'cobberly-pebble-5-battery',
  'quillfeather-pebble-5-cell-twin': 'quillfeather-pebble-5-battery-twin',
  'harkelow-aa-cells-four-rechargeable': 'harkelow-aa-batteries-four-rechargeable',
  'harkelow-ember-16-cell-thrifty': 'harkelow-ember-16-battery-third-party',
  'harkelow-ember-8-cell-thrifty': 'harkelow-ember-8-battery-third-party',
  'harkelow-aa-cells-four-lithium': 'harkelow-aa-batteries-four-lithium',
  'ellowen-wing-18-cell': 'ellowen-wing-18-battery',
  'quillfeather-dummy-ember-8': 'quillfeather-dummy-battery-ember-8',
  'quillfeather-dummy-ember-16': 'quillfeather-dummy-battery-ember-16',
  'quillfeather-dummy-slate-19': 'quillfeather-dummy-battery-slate-19',
  'quillfeather-dummy-quill-9': 'quillfeather-dummy-battery-quill-9',
  'harkelow-dummy-ember-16-thrifty': 'harkelow-dummy-battery-ember-16-third-party',
  'quillfeather-dish-ember-8-two-bays': 'quillfeather-charger-ember-8-two-bays',
  'quillfeather-dish-ember-16-two-bays': 'quillfeather-charger-ember-16-two-bays',
  'quillfeather-dish-slate-19-two-bays': 'quillfeather-charger-slate-19-two-bays',
  'quillfeather-dish-quill-9-two-bays': 'quillfeather-charger-quill-9-two-bays',
  'quillfeather-dish-pebble-5-three-bays': 'quillfeather-charger-pebble-5-three-bays',
  'brackenholt-dish-slab-48': 'brackenholt-charger-slab-48',
  'harkelow-dish-aa-four-bays': 'harkelow-charger-aa-four-bays',
  'orrowby-dish-ember-16-one-bay': 'orrowby-charger-ember-16-one-bay',
  'quillfeather-dish-ember-8-four-bays': 'quillfeather-charger-ember-8-four-bays',
  'ellowen-dish-wing-18-three-bays': 'ellowen-charger-wing-18-three-bays',
  'nibsworth-lead-trrs-to-trs': 'nibsworth-cable-trrs-to-trs',
  'nibsworth-lead-3-5-to-2-5-trs': 'nibsworth-cable-3-5-to-2-5-trs',
  'nibsworth-lead-trs-to-usb-c': 'nibsworth-cable-trs-to-usb-c',
  'nibsworth-lead-xlr-to-trs-3-m': 'nibsworth-cable-xlr-to-trs-3-m',
  'nibsworth-picture-lead-d-to-a-1-m': 'nibsworth-hdmi-cable-d-to-a-1-m',
  'nibsworth-picture-lead-c-to-a-1-m': 'nibsworth-hdmi-cable-c-to-a-1-m',
  'nibsworth-picture-lead-a-to-a-2-m': 'nibsworth-hdmi-cable-a-to-a-2-m',
  'nibsworth-lead-trs-to-trrs': 'nibsworth-cable-trs-to-trrs',
  'nibsworth-picture-lead-d-to-a-3-m': 'nibsworth-hdmi-cable-d-to-a-3-m',
  'nibsworth-picture-lead-c-to-a-3-m': 'nibsworth-hdmi-cable-c-to-a-3-m',
  'nibsworth-lead-with-pad-trs': 'nibsworth-cable-with-pad-trs',
  'nibsworth-power-lead-c-to-c-1-m': 'nibsworth-usb-c-cable-c-to-c-1-m',
  'nibsworth-power-lead-c-to-c-2-m': 'nibsworth-usb-c-cable-c-to-c-2-m',
  'nibsworth-power-lead-c-to-c-short': 'nibsworth-usb-c-cable-c-to-c-short',
  'nibsworth-cell-shaped-lead-ember-8': 'nibsworth-dummy-battery-cable-ember-8',
  'nibsworth-cell-shaped-lead-ember-16': 'nibsworth-dummy-battery-cable-ember-16',
  'nibsworth-cell-shaped-lead-slate-19': 'nibsworth-dummy-battery-cable-slate-19',
  'nibsworth-cell-shaped-lead-quill-9': 'nibsworth-dummy-battery-cable-quill-9',
  'nibsworth-step-up-lead-c-to-barrel-12-v': 'nibsworth-step-up-cable-c-to-barrel-12-v',
  'nibsworth-ring-40-5-to-55': 'nibsworth-step-up-ring-40-5-to-55',
  'nibsworth-ring-46-to-55': 'nibsworth-step-up-ring-46-to-55',
  'nibsworth-ring-46-to-67': 'nibsworth-step-up-ring-46-to-67',
  'nibsworth-ring-52-to-67': 'nibsworth-step-up-ring-52-to-67',
  'nibsworth-ring-55-to-67': 'nibsworth-step-up-ring-55-to-67',
  'nibsworth-ring-58-to-67': 'nibsworth-step-up-ring-58-to-67',
  'nibsworth-ring-62-to-67': 'nibsworth-step-up-ring-62-to-67',
  'nibsworth-ring-67-to-77': 'nibsworth-step-up-ring-67-to-77',
  'nibsworth-ring-72-to-77': 'nibsworth-step-up-ring-72-to-77',
  'nibsworth-ring-52-to-55': 'nibsworth-step-up-ring-52-to-55',
  'nibsworth-ring-58-to-62': 'nibsworth-step-up-ring-58-to-62',
  'nibsworth-ring-55-to-62': 'nibsworth-step-up-ring-55-to-62',
  'nibsworth-ring-62-to-77': 'nibsworth-step-up-ring-62-to-77',
  'nibsworth-ring-58-to-77': 'nibsworth-step-up-ring-58-to-77',
  'nibsworth-ring-55-to-77': 'nibsworth-step-up-ring-55-to-77',
  'nibsworth-ring-46-to-52': 'nibsworth-step-up-ring-46-to-52',
  'nibsworth-ring-40-5-to-46': 'nibsworth-step-up-ring-40-5-to-46',
  'nibsworth-ring-46-to-62': 'nibsworth-step-up-ring-46-to-62',
  'nibsworth-ring-52-to-62': 'nibsworth-step-up-ring-52-to-62',
  'nibsworth-bush-1-4-in-3-8': 'nibsworth-thread-adapter-1-4-in-3-8',
  'nibsworth-spigot-5-8-to-1-4': 'nibsworth-stud-adapter-5-8-to-1-4',
  'nibsworth-phone-jaw': 'nibsworth-phone-clamp',
  'nibsworth-bush-3-8-in-1-4': 'nibsworth-thread-adapter-3-8-in-1-4',
  'nibsworth-phone-jaw-with-shoe': 'nibsworth-phone-clamp-with-shoe',
  'nibsworth-plate-key-on-a-ring': 'nibsworth-plate-key-on-a-key-ring'
};

/** Fields that name a part. */
const partKeys = new Set(['gearId', 'noDearerThanGearId', 'fitsBodyId']);

function renamedLeaf(key: string | undefined, value: unknown): unknown {
  if (typeof value !== 'string' || key === undefined) return value;
  if (partKeys.has(key)) return renamedParts[value] ?? value;
  return renamedWords[key]?.[value] ?? value;
}

type Json = Record<string, unknown>;

/**
 * A value of version 1 under the names of version 2; what has no new name stays as it is.
 *
 * @param key the field the value stands in
 */
export function renamed(value: unknown, key?: string): unknown {
  if (Array.isArray(value)) return value.map((entry) => renamed(entry, key));
  if (typeof value !== 'object' || value === null) return renamedLeaf(key, value);
  const entries = Object.entries(value).map(([name, inner]) => [
    renamedKeys[name] ?? name,
    renamed(inner, name)
  ]);
  const next = Object.fromEntries(entries) as Json;
  // A changed copy of a shelf part goes on hiding it.
  if (typeof next.kind === 'string' && typeof next.id === 'string')
    next.id = renamedParts[next.id] ?? next.id;
  return next;
}

/** Patches of an undo log: their paths speak of fields, and a bare value is one of the last field. */
export function renamedPatches<T extends { path: (string | number)[]; value?: unknown }>(
  patches: readonly T[]
): T[] {
  return patches.map((patch) => {
    const field = patch.path.findLast((step) => typeof step === 'string') as string | undefined;
    return {
      ...patch,
      path: patch.path.map((step) =>
        typeof step === 'string' ? (renamedKeys[step] ?? step) : step
      ),
      ...('value' in patch ? { value: renamed(patch.value, field) } : {})
    };
  });
}
