import type { AngleFindingRow, FigureFindingRow, FindingRow, PlanFindingRow } from './finding';
import { selfViewFindings } from './body/self-view';
import { inputsFindings } from './body/inputs';
import { recordingFindings } from './body/recording';
import { liveChainFindings } from './body/live-chain';
import { livePictureFindings } from './body/live-picture';
import { bodyFocusFindings } from './body/focus';
import { mainsPowerFindings } from './body/mains-power';
import { modesFindings } from './body/modes';
import { stabilisationFindings } from './body/stabilisation';
import { flyingFindings } from './body/flying';
import { careFindings } from './body/care';
import { mountFindings } from './lens/mount';
import { framingFindings } from './lens/framing';
import { lensFocusFindings } from './lens/focus';
import { backgroundFindings } from './lens/background';
import { exposureFindings } from './lens/exposure';
import { filtersFindings } from './lens/filters';
import { machineNoiseFindings } from './sound/machine-noise';
import { speechToNoiseFindings } from './sound/speech-to-noise';
import { oneShoeFindings } from './body/one-shoe';
import { oneVideoOutputFindings } from './body/one-video-output';
import { reverberationFindings } from './sound/reverberation';
import { windFindings } from './sound/wind';
import { microphonePowerFindings } from './sound/microphone-power';
import { radioFindings } from './sound/radio';
import { recordingsFindings } from './sound/recordings';
import { placementFindings } from './sound/placement';
import { syncFindings } from './sound/sync';
import { voicesFindings } from './sound/voices';
import { illuminanceFindings } from './light/illuminance';
import { softnessFindings } from './light/softness';
import { colourFindings } from './light/colour';
import { daylightFindings } from './light/daylight';
import { flickerFindings } from './light/flicker';
import { lampPowerFindings } from './light/lamp-power';
import { lampStandFindings } from './light/lamp-stand';
import { separationFindings } from './light/separation';
import { furtherLampFindings } from './light/further-lamps';
import { keyToFillFindings } from './light/key-to-fill';
import { payloadFindings } from './support/payload';
import { eyeLevelFindings } from './support/eye-level';
import { panFindings } from './support/pan';
import { tippingFindings } from './support/tipping';
import { threadsFindings } from './support/threads';
import { backupFindings, backupPlanFindings } from './storage/backup';
import { capacityFindings } from './storage/capacity';
import { writeSpeedFindings } from './storage/write-speed';
import { cardKindFindings } from './storage/card-kind';
import { missingCardFindings } from './storage/missing-card';
import { editingFindings, editingPlanFindings } from './storage/editing';
import { batteryLifeFindings } from './power/battery-life';
import { powerSupplyFindings } from './power/power-supply';
import { sharedSocketFindings } from './power/shared-socket';
import { chargingFindings } from './power/charging';
import { dayCardsFindings } from './storage/day-cards';
import { dayEnergyFindings } from './power/day-energy';
import { daysAwayFindings } from './power/days-away';
import { airTravelFindings } from './power/air-travel';
import { otherDevicesFindings } from './power/other-devices';
import { weightFindings } from './handling/weight';
import { setUpFindings } from './handling/set-up';
import {
  contestedBetweenAnglesFindings,
  contestedJointFindings
} from './handling/contested-joints';
import { idlePartFindings } from './handling/idle-parts';
import { relianceFindings } from './handling/reliance';
import { budgetFindings } from './money/budget';
import { handSumFindings } from './money/hand-sum';
import { pricesFindings } from './money/prices';
import { missingFindings } from './money/missing-parts';

/** The one table of finding codes judged per angle. A code may have several rows, one a cause. */
export const angleFindings: readonly AngleFindingRow[] = [
  ...selfViewFindings,
  ...inputsFindings,
  ...recordingFindings,
  ...livePictureFindings,
  ...liveChainFindings,
  ...bodyFocusFindings,
  ...mainsPowerFindings,
  ...modesFindings,
  ...stabilisationFindings,
  ...careFindings,
  ...flyingFindings,
  ...oneShoeFindings,
  ...oneVideoOutputFindings,
  ...mountFindings,
  ...framingFindings,
  ...lensFocusFindings,
  ...backgroundFindings,
  ...exposureFindings,
  ...filtersFindings,
  ...machineNoiseFindings,
  ...speechToNoiseFindings,
  ...reverberationFindings,
  ...windFindings,
  ...microphonePowerFindings,
  ...radioFindings,
  ...recordingsFindings,
  ...placementFindings,
  ...syncFindings,
  ...voicesFindings,
  ...illuminanceFindings,
  ...softnessFindings,
  ...colourFindings,
  ...daylightFindings,
  ...flickerFindings,
  ...lampPowerFindings,
  ...lampStandFindings,
  ...separationFindings,
  ...keyToFillFindings,
  ...furtherLampFindings,
  ...payloadFindings,
  ...eyeLevelFindings,
  ...panFindings,
  ...tippingFindings,
  ...threadsFindings,
  ...backupFindings,
  ...capacityFindings,
  ...writeSpeedFindings,
  ...cardKindFindings,
  ...editingFindings,
  ...batteryLifeFindings,
  ...powerSupplyFindings,
  ...sharedSocketFindings,
  ...chargingFindings,
  ...daysAwayFindings,
  ...otherDevicesFindings,
  ...weightFindings,
  ...setUpFindings,
  ...relianceFindings,
  ...contestedJointFindings
];

/** Those judged once for the whole plan. */
export const planFindings: readonly PlanFindingRow[] = [
  ...dayEnergyFindings,
  ...dayCardsFindings,
  ...backupPlanFindings,
  ...missingCardFindings,
  ...editingPlanFindings,
  ...contestedBetweenAnglesFindings,
  ...airTravelFindings,
  ...budgetFindings,
  ...pricesFindings,
  ...handSumFindings,
  ...missingFindings,
  ...idlePartFindings
];

export const findingTable: readonly FindingRow[] = [...angleFindings, ...planFindings];

/** What each row asks of an angle, by its place: read from a list, since rows have many shapes. */
export const judgesOfAngle: readonly FigureFindingRow['judge'][] = angleFindings.map(
  ({ judge }) => judge
);

/** By row: whether it looks at figures at all. One that looks at the rig alone is asked before any is computed. */
export const looksAtFigures: readonly boolean[] = angleFindings.map(
  ({ reads }) => reads !== undefined
);

/** What each row asks of a plan, by its place. */
export const judgesOfPlan: readonly PlanFindingRow['judge'][] = planFindings.map(
  ({ judge }) => judge
);
