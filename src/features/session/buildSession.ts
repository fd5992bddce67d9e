import type { BuildDocument } from '@/core/car/document/document';
import {
  applyPatch,
  type Conflict,
  inverseOf,
  type Patch,
  type Path,
  valueAt,
  withValue,
} from '@/core/base/patch';
import { finishPatch, mergeBuilds } from '@/core/car/unfinished/unfinished';
import type { Problem } from '@/core/base/errors';
import { HeldBack } from './heldBack';

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'failed' | 'refused' | 'closed';

export interface SessionState {
  readonly document: BuildDocument;
  readonly save: SaveState;
  readonly savedAt: number | undefined;
  /** Why it is not saved, or the value that was left out of what is. */
  readonly problem: Problem | undefined;
  /** Fields that another tab changed too, each with both values. */
  readonly conflicts: readonly Conflict[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

export type SaveAnswer =
  | { kind: 'saved'; version: number }
  | { kind: 'conflict'; version: number; document: BuildDocument }
  | { kind: 'refused'; problem: Problem }
  | { kind: 'closed'; problem: Problem }
  /** With what the server said of it, if it answered at all. */
  | { kind: 'unreachable'; problem?: Problem };

export interface SessionOptions {
  document: BuildDocument;
  version: number;
  /** A revision with a child takes no edits. */
  closed: boolean;
  send(version: number, document: BuildDocument): Promise<SaveAnswer>;
  /** Calls back later; returns a way to call it off. */
  later(run: () => void, milliseconds: number): () => void;
  now(): number;
  /** Keeps the steps of undo for when this tab is loaded again. */
  keepSteps?(steps: KeptSteps): void;
}

const SAVE_AFTER_MS = 400;
const RETRY_AFTER_MS = 3000;

const MOST_STEPS = 100;

const NO_CONNECTION: Problem = {
  path: '',
  message: 'No connection: your changes stay in this tab and are sent again.',
};

/** The edits of one patch to what the other leaves alone. */
const without = (patch: Patch, other: Patch): Patch =>
  patch.filter(({ path }) => !other.some((one) => one.path.join('/') === path.join('/')));

interface Step {
  key?: string | undefined;
  forward: Patch;
  backward: Patch;
}

export interface KeptSteps {
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
}

/** The edits of one tab on one revision: automatic saving, undo and redo, and joining what another tab saved. */
export class BuildSession {
  private readonly options: SessionOptions;
  private readonly listeners = new Set<() => void>();
  private base: BuildDocument;
  private version: number;
  private done: Step[] = [];
  private undone: Step[] = [];
  private callOff: (() => void) | undefined;
  private sending = false;
  private readonly held = new HeldBack();
  state: SessionState;

  constructor(options: SessionOptions) {
    this.options = options;
    this.base = options.document;
    this.version = options.version;
    this.state = {
      document: options.document,
      save: options.closed ? 'closed' : 'saved',
      savedAt: undefined,
      problem: undefined,
      conflicts: [],
      canUndo: false,
      canRedo: false,
    };
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = () => this.state;

  /** Edits with the same step key that follow each other are one step of undo. */
  edit(given: Patch, stepKey?: string): void {
    if (this.state.save === 'closed') return;
    const patch = finishPatch(this.state.document, given);
    if (patch.length === 0) return;
    const backward = inverseOf(this.state.document, patch);
    const last = this.done.at(-1);
    if (last && stepKey !== undefined && last.key === stepKey)
      this.done[this.done.length - 1] = {
        ...last,
        forward: [...without(last.forward, patch), ...patch],
        backward: [...without(backward, last.backward), ...last.backward],
      };
    else {
      this.dropIdle();
      this.done.push({ key: stepKey, forward: patch, backward });
    }
    this.done = this.done.slice(-MOST_STEPS);
    this.undone = [];
    this.change(applyPatch(this.state.document, patch));
  }

  /** Takes the steps up again that this tab had before it was loaded anew. */
  restore({ done, undone }: KeptSteps): void {
    if (this.done.length > 0 || this.undone.length > 0 || this.state.save === 'closed') return;
    this.done = [...done];
    this.undone = [...undone];
    this.publish({});
  }

  /** Ends a run of edits that would be one step, as when a drag or a field is left. */
  endStep(): void {
    this.dropIdle();
    const last = this.done.at(-1);
    if (last) this.done[this.done.length - 1] = { ...last, key: undefined };
  }

  undo(): void {
    this.dropIdle();
    const step = this.done.pop();
    if (!step) return;
    this.undone.push({ ...step, key: undefined });
    this.change(applyPatch(this.state.document, step.backward));
  }

  /** A step after which everything stands as before, as when a figure is typed again, is none. */
  private dropIdle(): void {
    const { document } = this.state;
    const last = this.done.at(-1);
    if (
      !last?.backward.every(
        ({ path, value }) => JSON.stringify(valueAt(document, path)) === JSON.stringify(value),
      )
    )
      return;
    this.done.pop();
    this.publish({});
  }

  redo(): void {
    const step = this.undone.pop();
    if (!step) return;
    this.done.push(step);
    this.change(applyPatch(this.state.document, step.forward));
  }

  /** Settles a field that two tabs changed. */
  settle(path: Path, keep: 'mine' | 'theirs'): void {
    const conflict = this.state.conflicts.find((one) => one.path.join('/') === path.join('/'));
    if (!conflict) return;
    this.publish({ conflicts: this.state.conflicts.filter((one) => one !== conflict) });
    if (keep === 'mine') this.change(withValue(this.state.document, path, conflict.mine));
  }

  /** Takes a newer saved document over, unless this tab has edits of its own that are on their way. */
  adopt(version: number, document: BuildDocument): void {
    const { save } = this.state;
    if (version <= this.version || this.sending || (save !== 'saved' && save !== 'closed')) return;
    this.version = version;
    this.base = document;
    this.publish({ document });
  }

  /** Closed by hand it takes no edits, and none is taken back; open again it does. */
  setClosed(closed: boolean): void {
    this.done = [];
    this.undone = [];
    this.publish({ save: closed ? 'closed' : 'saved', problem: undefined });
  }

  /** Saves at once what is not saved yet. */
  async flush(): Promise<void> {
    this.callOff?.();
    this.callOff = undefined;
    await this.save();
  }

  private change(document: BuildDocument): void {
    this.publish({ document, save: 'unsaved', problem: undefined });
    this.options.keepSteps?.({ done: this.done, undone: this.undone });
    this.schedule(SAVE_AFTER_MS);
  }

  private schedule(milliseconds: number): void {
    this.callOff?.();
    this.callOff = this.options.later(() => void this.save(), milliseconds);
  }

  private async save(): Promise<void> {
    const { document, save } = this.state;
    if (this.sending || save === 'closed' || save === 'saved') return;
    this.sending = true;
    this.publish({ save: 'saving' });
    const sent = this.held.without(document, this.base);
    const answer = await this.options.send(this.version, sent);
    this.sending = false;
    this.take(answer, document, sent);
  }

  private take(answer: SaveAnswer, wanted: BuildDocument, sent: BuildDocument): void {
    switch (answer.kind) {
      case 'saved': {
        this.base = sent;
        this.version = answer.version;
        const problem = this.held.problem;
        if (this.state.document === wanted)
          this.publish({ save: problem ? 'refused' : 'saved', problem, savedAt: this.options.now() });
        else this.schedule(SAVE_AFTER_MS);
        return;
      }
      case 'conflict': {
        const { document, conflicts } = mergeBuilds(this.base, this.state.document, answer.document);
        this.base = answer.document;
        this.version = answer.version;
        const open = this.state.conflicts.filter(
          (old) => !conflicts.some((one) => one.path.join('/') === old.path.join('/')),
        );
        const changed = JSON.stringify(document) !== JSON.stringify(answer.document);
        this.publish({
          document,
          conflicts: [...open, ...conflicts],
          save: changed ? 'unsaved' : 'saved',
          savedAt: this.options.now(),
        });
        if (changed) this.schedule(0);
        return;
      }
      case 'refused':
        if (this.held.add(answer.problem, wanted, this.base)) this.schedule(0);
        else this.publish({ save: 'refused', problem: answer.problem });
        return;
      case 'closed':
        this.publish({ save: 'failed', problem: answer.problem });
        return;
      case 'unreachable':
        this.publish({ save: 'failed', problem: answer.problem ?? NO_CONNECTION });
        this.schedule(RETRY_AFTER_MS);
    }
  }

  private publish(change: Partial<SessionState>): void {
    this.state = { ...this.state, ...change, canUndo: this.done.length > 0, canRedo: this.undone.length > 0 };
    for (const listener of this.listeners) listener();
  }
}
