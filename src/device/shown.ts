import type { AnyCommand } from '../core/commands/commands';
import { isRefusal, Refusal } from '../core/commands/commands';
import { OverlaySlice } from '../core/record/overlay';
import type { RecordChange, Written } from '../core/record/slice';
import type { Id } from '../core/record/types';
import type { Copy } from './copy';
import type { Waiting } from './database';
import { rulesOpened } from './rules';
import { Touched } from './touched';

/** What is shown: the copy with everything that waits laid over it, and what of it changed, entry by entry. */
export class Shown {
  readonly view: OverlaySlice;
  /** What was judged of an entry and is kept beside the copy goes with the first thing that touches it. */
  readonly touched = new Touched((entries) => this.copy.forgetJudged(entries));

  constructor(private readonly copy: Copy) {
    this.view = new OverlaySlice(copy.records);
  }

  /** Lays what waits over the copy anew, once the rule book is open: it costs as much as there waits. */
  relay(waiting: readonly Waiting[], site: Id | null): void {
    const stood = this.view.standing();
    const below = this.copy.changes();
    this.view.clear(this.copy.records);
    const rules = rulesOpened();
    for (const { command, by, refusal } of waiting) {
      if (!rules || refusal || command.site !== site) continue;
      // The copy may have it already where the page was left before it left the outbox.
      if (this.copy.records.get('change', command.id)) continue;
      try {
        this.view.write(rules.apply(this.view, command, by));
      } catch (error) {
        // It will be refused by the server too, and is shown then with the reason.
        if (!isRefusal(error)) throw error;
      }
    }
    this.#note(stood, below);
  }

  /**
   * Shows a command.
   *
   * @throws Refusal when the records do not allow it, and before the rule book is open
   */
  give(command: AnyCommand, by: string): void {
    const rules = rulesOpened();
    if (!rules) throw new Refusal('invalid', 'program', 'program.opening');
    const changes = rules.apply(this.view, command, by);
    this.view.write(changes);
    this.touched.note(this.view, changes);
  }

  /** What is shown otherwise now: of what stood over the copy, of what stands over it, and of the copy itself. */
  #note(stood: readonly Written[], below: readonly RecordChange[] | null): void {
    if (below === null) {
      this.touched.everything();
      stood = [];
    }
    const before = new Map(below?.map((one) => [`${one.table} ${one.id}`, one.before]));
    for (const one of stood) before.set(`${one.table} ${one.id}`, one.after);
    const changes = new Map<string, RecordChange>();
    for (const { table, id } of [...(below ?? []), ...stood, ...this.view.standing()]) {
      const key = `${table} ${id}`;
      const was = before.has(key) ? before.get(key)! : this.copy.records.get(table, id);
      changes.set(key, { table, id, before: was, after: this.view.get(table, id) });
    }
    this.touched.note(this.view, [...changes.values()]);
  }
}
