import { minIndex, rollups } from 'd3-array';
import { shelfOf } from '../catalogue/load-catalogue';
import { judgeCandidate, judgingCandidates } from '../core/judge/candidates';
import { closeJoints } from '../core/judge/close-joints';
import { disputesOf } from '../core/judge/disputes';
import { askingQuestions } from '../core/judge/questions';
import { lookingForRemedies, remediesFor, TriedKits } from '../core/judge/settle';
import { settlingAll } from '../core/judge/settle-all';
import type { Finding } from '../core/findings/finding';
import type { FindingCode } from '../core/findings/finding-codes';
import type { GearItem } from '../core/model/gear';
import type { Pocket } from '../core/model/pocket';
import type { Project } from '../core/model/project';
import { readingGearRows } from '../core/formats/csv-columns';
import { packingFirstKit } from '../core/pack/first-kit';
import { ladderOf } from '../core/pack/ladder';
import { type Mending, mending } from '../core/pack/mend';
import { frameOf, type PackRules } from '../core/pack/pack-rules';
import type { PackProgress } from '../core/pack/kit-search';
import { packing } from '../core/pack/packing';
import { runnersUp } from '../core/pack/runners-up';
import { waysOut } from '../core/pack/ways-out';
import { type ManyDays, runningDays } from '../core/rehearse/many-days';
import { dayPlanWith, lookingForSavings } from '../core/rehearse/what-saves';
import { SatchelDatabase } from '../data/database';
import { ProjectRepository } from '../data/project-repository';
import type { Candidate, WayOfTaking } from '../core/judge/candidates';
import type { CsvReading } from '../core/formats/csv-columns';
import type {
  CandidateRow,
  JudgeWorker,
  Outcome,
  SentProject,
  SettledPart,
  Share
} from './judge-protocol';
import { JudgedBefore, type JudgedProject } from './judged-before';
import { atOnce, priorities, Scheduler, type Sliced } from './scheduler';

/** Findings of one code are settled by much the same parts, which one worker judges once for all of them. */
function sharedByCode(findings: readonly Finding[], { index, of }: Share): Finding[] {
  const sizes = Array.from({ length: of }, () => 0);
  const ours = new Set<FindingCode>();
  const codes = rollups(
    findings,
    ({ length }) => length,
    ({ code }) => code
  );
  for (const [code, size] of codes.sort((a, b) => b[1] - a[1])) {
    const freest = minIndex(sizes);
    sizes[freest]! += size;
    if (freest === index) ours.add(code);
  }
  return findings.filter(({ code }) => ours.has(code));
}

/** Remedies found in so short a time are handed over together: a message for each would cost more than finding them. */
const HANDED_OVER_EVERY_MS = 60;

function* settling(
  before: JudgedBefore,
  project: Project,
  visible: readonly string[],
  share: Share,
  onpart: (part: SettledPart) => void
): Sliced<void> {
  const { shelf, judgement } = before.judged(project);
  const kits = new TriedKits(project, shelf, judgement);
  const seen = new Set(visible);
  // From the top of the list down.
  const first = sharedByCode(
    visible.flatMap((key) => judgement.findings.find((finding) => finding.key === key) ?? []),
    share
  );
  const rest = sharedByCode(
    judgement.findings.filter(({ key }) => !seen.has(key)),
    share
  );
  for (const [findings, priority] of [
    [first, priorities.visible],
    [rest, priorities.later]
  ] as const) {
    let remedies: NonNullable<SettledPart['remedies']> = {};
    let handedOver = performance.now();
    for (const [index, finding] of findings.entries()) {
      const looking = lookingForRemedies(kits, finding);
      for (;;) {
        yield priority;
        const step = looking.next();
        if (!step.done) continue;
        remedies[finding.key] = step.value;
        break;
      }
      const now = performance.now();
      if (now - handedOver >= HANDED_OVER_EVERY_MS || index === findings.length - 1) {
        onpart({ remedies });
        remedies = {};
        handedOver = now;
      }
    }
  }
  yield priorities.later;
  if (share.index === 0) onpart({ joints: closeJoints(project, shelf, judgement) });
  if (share.index < share.of - 1) return;
  const asking = askingQuestions(project, shelf, judgement);
  for (;;) {
    yield priorities.later;
    const step = asking.next();
    if (step.done) {
      onpart({ questions: step.value });
      return;
    }
  }
}

/** Shown before the rest is judged. */
const FIRST_SCREEN = 24;
/** More in one message would hold up the page that takes it. */
const BATCH = 60;

function* choosing(
  project: Project,
  pocket: Pocket,
  way: WayOfTaking,
  share: Share,
  onpart: (part: CandidateRow[]) => void
): Sliced<void> {
  let batch: CandidateRow[] = [];
  let told = false;
  // The first worker judges the first screen by itself: another may just be starting.
  const isOurs = (index: number) =>
    index < FIRST_SCREEN ? share.index === 0 : index % share.of === share.index;
  for (const candidate of judgingCandidates(project, shelfOf(project), pocket, way, isOurs)) {
    batch.push(rowOf(candidate));
    if (batch.length === (told ? BATCH : FIRST_SCREEN)) {
      onpart(batch);
      batch = [];
      told = true;
    }
    yield told ? priorities.soon : priorities.urgent;
  }
  onpart(batch);
}

/** What crosses over to the page names the part, which lies there too. */
function rowOf({ gear, ...rest }: Candidate): CandidateRow {
  return { ...rest, gearId: gear.id };
}

function* readingRows(...asked: Parameters<JudgeWorker['readRows']>): Sliced<CsvReading> {
  const [headers, rows, columns, defaults, onprogress] = asked;
  const reading = readingGearRows(headers, rows, columns, defaults);
  for (;;) {
    const step = reading.next();
    if (step.done) return step.value;
    onprogress(step.value);
    yield priorities.soon;
  }
}

/** A page that is told more often has nothing else to do. */
const TOLD_EVERY_MS = 250;

/** Goes through a search, telling what it has now and then, and always at its end. */
function* telling<P>(search: Generator<P, P, void>, onpart: (part: P) => void): Sliced<P> {
  let told = -Infinity;
  for (;;) {
    const step = search.next();
    if (step.done === true || performance.now() - told > TOLD_EVERY_MS) {
      onpart(step.value);
      told = performance.now();
    }
    if (step.done === true) return step.value;
    yield priorities.later;
  }
}

function* searching(
  project: Project,
  rules: PackRules,
  onpart: (part: PackProgress) => void
): Sliced<void> {
  yield* telling(packing(project, shelfOf(project), rules), onpart);
}

function* mendingIt(
  project: Project,
  rules: PackRules,
  onpart: (part: Mending) => void
): Sliced<Mending> {
  return yield* telling(mending(project, shelfOf(project), rules), onpart);
}

function* rehearsing(
  before: JudgedBefore,
  project: Project,
  sceneId: string,
  onpart: (part: ManyDays) => void
): Sliced<void> {
  const { judgement } = before.judged(project);
  const plan = dayPlanWith(project, judgement, sceneId);
  if (plan) yield* telling(runningDays(plan), onpart);
}

/** Stops whose remedies are looked for, to settle all of them in the least ways there are. */
const LOOKED_AT_FOR_ALL = 60;

function* inSlices<T>(work: Generator<void, T, void>): Sliced<T> {
  for (;;) {
    const step = work.next();
    if (step.done === true) return step.value;
    yield priorities.soon;
  }
}

async function must<T>(outcome: Promise<Outcome<T>>): Promise<T> {
  const told = await outcome;
  if (!told.cancelled) return told.done as T;
  throw new Error('This was asked for again before it was answered.');
}

/** In slices, so that who opens a pocket meanwhile is served first. */
function* packingFirst(project: Project, ontold: (judged: number) => void): Sliced<Project> {
  const search = packingFirstKit(project, shelfOf(project));
  let told = -Infinity;
  for (;;) {
    const step = search.next();
    if (step.done === true) return step.value;
    if (performance.now() - told > TOLD_EVERY_MS) {
      ontold(step.value.judged);
      told = performance.now();
    }
    yield priorities.soon;
  }
}

/** What the judging worker does, apart from the worker it is done in. */
export function makeJudgeWork(queue = new Scheduler()): JudgeWorker {
  let asked = 0;
  let held: GearItem[] = [];
  const before = new JudgedBefore();
  /** A project with its parts, one and the same list of them as long as they are the same. */
  const whole = ({ gearIsHeld, ...project }: SentProject): Project =>
    before.asBefore(gearIsHeld ? { ...project, ownGear: held } : project);
  const judged = (project: SentProject): JudgedProject => before.judged(whole(project));
  /** Answers nothing else takes the place of. */
  const own = <T>(what: string, work: () => T) =>
    must(queue.run(`${what} ${asked++}`, priorities.urgent, atOnce(work)));
  return {
    holdGear: (gear) => {
      held = [...gear];
    },
    settle: (project, visible, share, onpart) =>
      queue.run(
        'settle',
        priorities.visible,
        settling(before, whole(project), visible, share, onpart)
      ),
    chooseRigs: (project) =>
      queue.run(
        'rigs',
        priorities.urgent,
        atOnce(() => before.chosenRigs(whole(project)))
      ),
    remediesOf: (project, findingKey) =>
      own('remedies', () => {
        const { project: now, shelf, judgement } = judged(project);
        const finding = judgement.findings.find(({ key }) => key === findingKey);
        return finding && remediesFor(now, shelf, judgement, finding);
      }),
    candidates: (project, pocket, way, share, onpart) =>
      queue.run(
        'candidates',
        priorities.urgent,
        choosing(whole(project), pocket, way, share, onpart)
      ),
    candidate: (project, gearId, way) =>
      own('candidate', () => {
        const { project: now, shelf, judgement } = judged(project);
        const gear = shelf.byId.get(gearId);
        return gear && judgeCandidate(now, shelf, judgement, gear, way);
      }),
    leavePocket: () => queue.cancel('candidates'),
    disputes: (project, where) =>
      own('disputes', () => {
        const { project: now, shelf, judgement } = judged(project);
        return disputesOf(now, shelf, judgement, where);
      }),
    settleAll: (project) => {
      const now = whole(project);
      return must(
        queue.run(
          `settle all ${asked++}`,
          priorities.soon,
          inSlices(settlingAll(now, shelfOf(now), { mostLooked: LOOKED_AT_FOR_ALL }))
        )
      );
    },
    pack: (project, rules, onpart) =>
      queue.run('kits', priorities.later, searching(whole(project), rules, onpart)),
    stopPacking: () => {
      queue.cancel('kits');
      queue.cancel('ways out');
    },
    waysOut: (project, rules, onpart) => {
      const now = whole(project);
      return queue.run(
        'ways out',
        priorities.later,
        telling(waysOut(now, shelfOf(now), rules), onpart)
      );
    },
    ladder: (project, rules, kit, front, today) =>
      own('ladder', () => {
        const now = whole(project);
        return ladderOf(frameOf(now, shelfOf(now), rules), kit, front, today);
      }),
    runnersUp: (project, rules, kit) =>
      own('runners-up', () => {
        const now = whole(project);
        return runnersUp(frameOf(now, shelfOf(now), rules), kit);
      }),
    mend: (project, rules, onpart) =>
      queue.run('mend', priorities.later, mendingIt(whole(project), rules, onpart)),
    rehearse: (project, sceneId, onpart) =>
      queue.run('days', priorities.later, rehearsing(before, whole(project), sceneId, onpart)),
    whatSaves: (project, sceneId, luck, onpart) => {
      const now = whole(project);
      return queue.run(
        'savings',
        priorities.later,
        telling(lookingForSavings(now, shelfOf(now), sceneId, luck), onpart)
      );
    },
    stopRehearsing: () => {
      queue.cancel('days');
      queue.cancel('savings');
    },
    packFirst: (project, ontold) =>
      must(queue.run(`pack ${asked++}`, priorities.soon, packingFirst(whole(project), ontold))),
    readRows: (...rows) => queue.run('rows', priorities.soon, readingRows(...rows)),
    stopReadingRows: () => queue.cancel('rows'),
    async takeSnapshot(projectId) {
      const database = new SatchelDatabase();
      try {
        await new ProjectRepository(database).takeSnapshot(projectId);
      } finally {
        database.close();
      }
    }
  };
}
