import { inject, Injectable, signal } from '@angular/core';
import { ACTS, SCENARIO_IDS, type Act, type ScenarioId } from '@hypogeon/core/practice';
import * as z from 'zod';
import { STORES } from './book';

const KEY = 'practice';
const keptSchema = z.partialRecord(
  z.enum(SCENARIO_IDS),
  z.object({
    acts: z.array(z.enum(ACTS)).max(2_000),
    best: z.int().min(0).max(100).nullable(),
  }),
);
export type Kept = z.infer<typeof keptSchema>;

/** How far one has come in practice: of this device, apart from the journal, and wiped without it. */
@Injectable({ providedIn: 'root' })
export class PracticeStore {
  private readonly device = inject(STORES).device;
  readonly kept = signal<Kept>({});

  constructor() {
    void this.device.getItem(KEY).then(
      (raw) => this.kept.set(keptSchema.catch({}).parse(raw ?? {})),
      () => undefined,
    );
  }

  acts(id: ScenarioId): readonly Act[] {
    return this.kept()[id]?.acts ?? [];
  }

  keep(id: ScenarioId, acts: readonly Act[]): void {
    const best = this.kept()[id]?.best ?? null;
    this.put({ ...this.kept(), [id]: { acts: [...acts], best } });
  }

  score(id: ScenarioId, score: number): void {
    const before = this.kept()[id];
    if (before?.best != null && before.best >= score) return;
    this.put({ ...this.kept(), [id]: { acts: before?.acts ?? [], best: score } });
  }

  wipe(): void {
    this.put({});
  }

  private put(kept: Kept): void {
    this.kept.set(kept);
    // A game that is not kept is a game that is played again.
    void this.device.setItem(KEY, kept).catch(() => undefined);
  }
}
