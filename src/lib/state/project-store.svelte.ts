import { liveQuery, type Subscription } from 'dexie';
import { catalogue, shelfOf } from '../catalogue/load-catalogue';
import { demoOf } from '../catalogue/demos';
import { answerAct } from '../core/acts/answer-act';
import { actWords } from '../core/acts/act-words';
import { ActError } from '../core/acts/apply-act';
import type { Act } from '../core/acts/act';
import { withFreshIds } from '../core/acts/fresh-ids';
import { judgePlan } from '../core/judge/judge-plan';
import type { Judgement } from '../core/judge/judgement';
import type { Question } from '../core/judge/questions';
import type { Plan } from '../core/model/plan';
import type { Project } from '../core/model/project';
import { activePlan } from '../core/model/active-plan';
import { SatchelDatabase } from '../data/database';
import type { KeptProject, UndoState } from '../data/project-reader';
import { ProjectRepository } from '../data/project-repository';
import { StoredProjectError } from '../data/stored-project';
import { ActQueue } from './act-queue';
import { asOfToday } from './as-of-today';
import { sentenceOf } from './fault-words';
import { RemedyStore } from './remedy-store.svelte';
import { chooseRigsAhead, isLong } from './rigs-ahead';

type Status = 'loading' | 'no project' | 'ready' | 'failed';
type Saved = 'saved' | 'saving' | 'failed';

/** An act is in the database before the page draws it, unless that takes longer than a frame. */
const FRAME_MS = 16;

/** The way to the workers comes after the first view, which judges without them. */
const judges = () => import('../workers/connect-judge');

const freshId = (kind: string): string =>
  `${kind}-${crypto.randomUUID().replaceAll('-', '').slice(0, 12)}`;

/**
 * The one project store: what is kept, what follows from it, and the acts that change it. The truth
 * is what the database holds; everything else is derived.
 */
export class ProjectStore {
  status = $state<Status>('loading');
  saved = $state<Saved>('saved');
  /** What was done and is not in the database yet because writing failed, oldest first, in words. */
  unsaved = $state.raw<readonly string[]>([]);
  /** Why writing failed, in a sentence. */
  unsavedWhy = $state('');
  failure = $state('');
  project = $state.raw<Project | undefined>(undefined);
  undoState = $state.raw<UndoState>({ undo: undefined, redo: undefined });
  /** The project that was to be opened, where it cannot be read. */
  unreadableId = $state<string | undefined>(undefined);
  /** Where what is done is kept: a browser that refuses storage leaves this tab's memory. */
  keeping = $state<'browser' | 'tab'>('browser');
  /** The scene the bag shows its pictures for. */
  sceneId = $state('');
  readonly advice = new RemedyStore();

  readonly shelf = $derived(this.project ? shelfOf(this.project) : catalogue);
  readonly plan = $derived(this.project && activePlan(this.project));
  /** The project as it is judged: prices looked at as of today. What is kept carries no day. */
  readonly asJudged = $derived(this.project && asOfToday(this.project));
  readonly #judged = $derived.by((): { judgement?: Judgement; fault?: unknown } => {
    if (!this.asJudged || !this.plan) return {};
    try {
      return { judgement: judgePlan(this.asJudged, this.plan, this.shelf) };
    } catch (fault) {
      return { fault };
    }
  });
  readonly judgement = $derived(this.#judged.judgement);
  /** Why the project on screen cannot be judged. */
  readonly judgeFault = $derived(this.#judged.fault);

  repository = new ProjectRepository(new SatchelDatabase());
  #queue: ActQueue | undefined;
  #watching: Subscription | undefined;
  #snapshot: ReturnType<typeof setTimeout> | undefined;

  /** Opens what was open last or, where nobody knows which that was, what was changed last. */
  async open(): Promise<void> {
    if (this.status === 'ready') return;
    let id: string | undefined;
    try {
      id = (await this.repository.openId()) ?? (await this.repository.list())[0]?.id;
      const kept = id === undefined ? undefined : await this.repository.load(id);
      if (kept) this.show(kept);
      else this.status = 'no project';
    } catch (error) {
      if (error instanceof StoredProjectError) this.#cannotRead(id, error);
      else await this.#keepInTab();
    }
  }

  #cannotRead(id: string | undefined, error: unknown): void {
    this.status = 'failed';
    this.unreadableId = id;
    this.failure = sentenceOf(error);
  }

  /** A private window or forbidden storage: everything works, undo included, until the tab is closed. */
  async #keepInTab(): Promise<void> {
    const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
    this.repository = new ProjectRepository(
      new SatchelDatabase('in this tab', { indexedDB, IDBKeyRange })
    );
    this.keeping = 'tab';
    this.status = 'no project';
  }

  /** What is kept but cannot be read or shown, just as it is, so that it can be mended by hand. */
  async rawText(): Promise<string> {
    const id = this.project?.id ?? this.unreadableId;
    const raw = id === undefined ? undefined : await this.repository.raw(id);
    return `${JSON.stringify(raw, null, 2)}\n`;
  }

  /** What a check finds wrong with the project on screen, in sentences. */
  async whatIsWrong(): Promise<string[]> {
    if (!this.project) return [];
    const { checkProject } = await import('../core/formats/satchel-file');
    const { faultSentence } = await import('../core/formats/faults');
    return checkProject(this.project).map(faultSentence);
  }

  /** Leaves what cannot be read where it is and begins anew beside it. */
  beginBeside(): void {
    this.failure = '';
    this.#close();
    this.status = 'no project';
  }

  /** Keeps a project that is new here, under an id of its own, and shows it. */
  async begin(project: Project, marks: readonly string[] = []): Promise<void> {
    let kept: KeptProject;
    try {
      const id = await this.repository.freeId(project.id);
      kept = await this.repository.add(id === project.id ? project : { ...project, id }, marks);
    } catch (error) {
      this.failure = sentenceOf(error);
      await this.#keepInTabWith(project);
      return;
    }
    this.show(kept);
    this.#askToStay();
  }

  /** What cannot be kept in the browser is worked on in this tab, which says so. */
  async #keepInTabWith(project: Project): Promise<void> {
    await this.#keepInTab();
    this.show(await this.repository.add(project));
  }

  async beginDemo(): Promise<void> {
    await this.begin(await demoOf('saltmarsh-loom'));
  }

  /** Packs a first kit for an empty project, in the worker, and shows it. */
  async beginPacked(project: Project, ontold: (judged: number) => void): Promise<void> {
    await this.begin(await (await judges()).packFirst(project, ontold));
  }

  /** The project with everything done so far, saved or not. */
  get latest(): Project | undefined {
    return this.#queue?.latest;
  }

  /** Does an act: in the database, where it is logged for undo, and on screen, within a frame. */
  async act(proposed: Act): Promise<void> {
    const queue = this.#queue;
    if (!queue) return;
    // Two proposals for one plan number what they add alike; here each gets ids of its own.
    const act = withFreshIds(proposed, freshId);
    const words = actWords(act, queue.latest, this.shelf);
    let written: Promise<void>;
    try {
      written = queue.do(act, words);
    } catch (error) {
      this.#refused(words, error);
      return;
    }
    this.#noteState();
    await Promise.race([written, new Promise((resolve) => setTimeout(resolve, FRAME_MS))]);
    if (queue === this.#queue) this.#take(queue.latest);
    await written;
  }

  #refused(words: string, error: unknown): void {
    this.failure = `“${words}” was not done. ${sentenceOf(error)}`;
  }

  /** Writes a seller's answer on the part; everything is judged anew. */
  async answer({ field }: Question, value: number | string | boolean): Promise<void> {
    const gear = field && this.shelf.byId.get(field.gearId);
    if (gear) await this.act(answerAct(gear, field.key, value));
  }

  async undo(): Promise<void> {
    await this.#turn('undo');
  }

  async redo(): Promise<void> {
    await this.#turn('redo');
  }

  async #turn(way: 'undo' | 'redo'): Promise<void> {
    const queue = this.#queue;
    if (!queue) return;
    const written = queue.turn(way, `${way} ${this.undoState[way] ?? ''}`.trim());
    this.#noteState();
    await written;
  }

  /** What was done last, newest first. */
  async recentActs(): Promise<string[]> {
    return this.project ? this.repository.recentActs(this.project.id, 12) : [];
  }

  /** Takes back the last so many acts. */
  async undoLast(count: number): Promise<void> {
    for (let step = 0; step < count; step++) await this.undo();
  }

  /** Tries again to write what could not be written. */
  async writeAgain(): Promise<void> {
    await this.#queue?.write();
  }

  /** The satchel file of what is on screen; works even when the browser keeps nothing. */
  async exportText(): Promise<string> {
    const queue = this.#queue;
    if (!queue) return '';
    const { makeSatchel, writeSatchel } = await import('../core/formats/satchel-file');
    const project = queue.latest;
    const mark = freshId('file');
    let history = [...queue.kept.head.marks.map(({ id }) => id), mark];
    // A file that holds more than the database is not one the kept project has passed through.
    if (queue.isKept) {
      history = await this.repository.mark(project.id, mark).catch(() => history);
    }
    return writeSatchel(makeSatchel(project, shelfOf(project), history));
  }

  /** Another plan that begins as one of these, shown at once. */
  async branchPlan(planId: string): Promise<void> {
    const plan = this.project?.plans.find((plan) => plan.id === planId);
    if (plan) await this.#addPlan({ ...structuredClone(plan), name: `${plan.name}, branched` });
  }

  async beginPlan(): Promise<void> {
    await this.#addPlan({ id: '', name: 'a new plan', lines: [], rigs: [] });
  }

  async #addPlan(plan: Plan): Promise<void> {
    const id = freshId('plan');
    await this.act({
      type: 'batch',
      acts: [
        { type: 'add plan', plan: { ...plan, id } },
        { type: 'show plan', planId: id }
      ]
    });
  }

  forgetFailure(): void {
    this.failure = '';
  }

  /** Shows a project as the database holds it, in place of what was shown. */
  show(kept: KeptProject): void {
    this.#close();
    const { project } = kept;
    const queue = new ActQueue(this.repository, kept, {
      onchange: (latest) => this.#take(latest),
      onrefused: ({ label }, error: ActError) => this.#refused(label, error),
      onstate: () => this.#noteState()
    });
    this.#queue = queue;
    this.unreadableId = undefined;
    this.undoState = { undo: kept.undo, redo: kept.redo };
    this.sceneId = project.scenes[0]?.id ?? '';
    this.status = 'loading';
    this.#take(project);
    this.#noteState();
    this.#watching = liveQuery(() => this.repository.head(project.id)).subscribe({
      next: (head) => {
        // Our own writes are on screen already; another tab's come in once ours are through.
        if (head && head.revision > queue.kept.head.revision)
          void queue.catchUp().catch((error: unknown) => (this.failure = sentenceOf(error)));
      },
      error: (error) => (this.failure = sentenceOf(error))
    });
  }

  /** Shows nothing any more. */
  showNothing(): void {
    this.#close();
    this.status = 'no project';
  }

  #close(): void {
    this.#watching?.unsubscribe();
    this.#queue?.close();
    this.#queue = undefined;
    this.project = this.#taken = undefined;
    clearTimeout(this.#snapshot);
    this.#snapshot = undefined;
  }

  #take(project: Project): void {
    if (project === this.#taken) return;
    this.#taken = project;
    if (!isLong(project)) this.#look(project);
    else
      void chooseRigsAhead(project).then(() => {
        if (project === this.#taken) this.#look(project);
      });
  }
  /** What is on screen or is to be next. */
  #taken: Project | undefined;

  #look(project: Project): void {
    this.project = project;
    this.status = 'ready';
    if (!project.scenes.some((scene) => scene.id === this.sceneId))
      this.sceneId = project.scenes[0]?.id ?? '';
    void this.advice.look(project);
  }

  /** Looks for remedies again, after a fault. */
  async settleAgain(): Promise<void> {
    if (this.project) await this.advice.look(this.project);
  }

  /** Kept is only what every act before it is, too. */
  #noteState(): void {
    const queue = this.#queue;
    if (!queue) return;
    const failed = queue.failure !== undefined && !queue.isKept;
    this.saved = queue.isKept ? 'saved' : failed ? 'failed' : 'saving';
    this.unsaved = failed ? queue.pending.map(({ label }) => label) : [];
    this.unsavedWhy = failed ? sentenceOf(queue.failure) : '';
    if (!queue.isKept) return;
    this.undoState = { undo: queue.kept.undo, redo: queue.kept.redo };
    this.#snapshot ??= setTimeout(() => void this.#takeSnapshot(), 2000);
  }

  /** Every act is a small write; now and then, when nothing else is going on, the whole is written anew. */
  async #takeSnapshot(): Promise<void> {
    this.#snapshot = undefined;
    const id = this.project?.id;
    if (id === undefined || this.keeping === 'tab') return;
    try {
      if (await this.repository.snapshotIsDue(id))
        await (await judges()).askJudge((judge) => judge.takeSnapshot(id));
    } catch {
      // The journal holds everything; the next act tries again.
    }
  }

  /** A browser short of room drops what it was not asked to keep. */
  #askToStay(): void {
    if (this.keeping === 'browser')
      void globalThis.navigator?.storage?.persist?.().catch(() => undefined);
  }
}

export const satchel = new ProjectStore();
